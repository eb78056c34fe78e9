// The kinds of cost, and what money is added up by.

export const costKinds = ["labour", "material", "fixed", "expense"] as const;
export type CostKind = (typeof costKinds)[number];

/** What money can be added up by. */
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

/** How money of projects that are not won yet may count. */
export const pipelineCountings = ["none", "weighted", "full"] as const;

/** The key of lines that have nothing of what they are added up by: before the kind of line that they are, or alone. */
export const NONE = "none:";
