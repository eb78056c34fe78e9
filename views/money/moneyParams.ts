// The view of money in the address; read by the pages on the server and by the screens.
import { parseAsArrayOf, parseAsString, parseAsStringLiteral } from "nuqs/server";
import { type Grain, grains, type Range } from "../../core/calendar/periods.ts";
import { type MoneyBy, moneyBys, pipelineCountings } from "../../core/cost/moneyKeys.ts";
import { type MoneyPlace, type MoneyQuery, moneyMeasures } from "../../core/cost/moneyQuery.ts";
import { isOneOf } from "../../core/values/oneOf.ts";
import { kindOf } from "../../ui/options.ts";
import type { TimeWindow } from "../../ui/timeWindow.ts";

export const moneyKinds = ["all", "labour", "material", "fixed", "expense"] as const;
export const spans = ["window", "plan"] as const;

export const moneyParams = {
  group: parseAsStringLiteral(moneyBys).withDefault("project"),
  cost: parseAsStringLiteral(moneyKinds).withDefault("all"),
  show: parseAsStringLiteral(moneyMeasures).withDefault("cost"),
  /** Periods of the columns; as the window has them, months at least, where it is left out. */
  per: parseAsStringLiteral(grains),
  span: parseAsStringLiteral(spans).withDefault("window"),
  /** Only what falls under these, each as "client:saltmarsh". */
  of: parseAsArrayOf(parseAsString).withDefault([]),
  /** How pipeline projects count. */
  pipeline: parseAsStringLiteral(pipelineCountings).withDefault("full"),
};

export type MoneyParams = {
  group: MoneyBy;
  cost: (typeof moneyKinds)[number];
  show: MoneyQuery["measure"];
  per: Grain | null;
  span: (typeof spans)[number];
  of: string[];
  pipeline: MoneyQuery["pipeline"];
};

/** Periods that columns have: days and weeks only where a person has asked for them. */
export const grainOf = ({ per }: Pick<MoneyParams, "per">, { grain }: TimeWindow): Grain =>
  per ?? (grain === "day" || grain === "week" ? "month" : grain);

/** Groupings that have a revenue, or a budget, as a whole. */
const ofProjects: readonly MoneyBy[] = ["project", "client", "category"];

/** Groupings that a measure can be shown by. */
export const groupsFor = (measure: MoneyQuery["measure"]): readonly MoneyBy[] => (measure === "left" ? ofProjects : moneyBys);

export function moneyQueryOf(params: MoneyParams, window: TimeWindow, horizon: Range): MoneyQuery {
  const { cost, show, span, of, pipeline } = params;
  const by = groupsFor(show).includes(params.group) ? params.group : "project";
  return {
    range: span === "plan" ? horizon : window.range,
    grain: grainOf(params, window),
    by,
    // Of revenue nothing is left out, and a budget is for all of it.
    kind: show === "cost" ? cost : "all",
    measure: show,
    within: placesOf(of),
    pipeline,
  };
}

/** The filters of texts such as "client:saltmarsh". */
export function placesOf(of: readonly string[]): MoneyPlace[] {
  return of.flatMap((text) => {
    const { kind, id } = kindOf(text);
    return isOneOf(moneyBys, kind) ? [{ by: kind, key: id }] : [];
  });
}

export const placeText = ({ by, key }: MoneyPlace): string => `${by}:${key}`;

/** The fixed settings of cash flow, regardless of the table's settings in the address. */
export const cashSettings = { group: "kind", cost: "all", show: "cost" } as const;
