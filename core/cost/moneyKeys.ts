// The kinds of cost, and what money is added up by.

export const costKinds = ["labour", "material", "fixed", "expense"] as const;
export type CostKind = (typeof costKinds)[number];

/** The keys by which money can be grouped. */
export const moneyBys = [
  "project",
  "client",
  "category",
  "phase",
  "task",
  "person",
  "role",
  "kind",
  "supplier",
  "costType",
  "treatment",
] as const;
export type MoneyBy = (typeof moneyBys)[number];

/** The countings of money of projects that are not won yet. */
export const pipelineCountings = ["none", "weighted", "full"] as const;

/** The key of lines that have nothing of what they are added up by: before the kind of line that they are, or alone. */
export const NONE = "none:";
