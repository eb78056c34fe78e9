// What the address says of how the horizon is looked at; read by the page on the server and by the screen.
import { parseAsInteger, parseAsStringLiteral } from "nuqs/server";
import type { HorizonQuery, PipelineCase } from "../../core/answers/horizon.ts";
import type { Grain, Range } from "../../core/calendar/periods.ts";
import { type ForecastBy, forecastBys } from "../../core/forecast/groups.ts";
import type { TimeWindow } from "../../ui/timeWindow.ts";
import { type Measure, measureNames } from "./measures.ts";

export const horizonGrains = ["week", "month", "quarter"] as const satisfies readonly Grain[];

/** By month over the whole plan unless the address says otherwise. */
export const horizonParams = {
  per: parseAsStringLiteral(horizonGrains).withDefault("month"),
  span: parseAsStringLiteral(["plan", "window"] as const).withDefault("plan"),
  by: parseAsStringLiteral(forecastBys).withDefault("role"),
  /** Of skills: from which level on somebody counts. */
  level: parseAsInteger.withDefault(1),
  /** The figure that the table shows. */
  show: parseAsStringLiteral(measureNames).withDefault("left"),
};

export interface HorizonParams {
  per: (typeof horizonGrains)[number];
  span: "plan" | "window";
  by: ForecastBy;
  level: number;
  show: Measure;
}

/** Whatever an address says, a level that there is. */
export const levelOf = ({ level }: Pick<HorizonParams, "level">): number => Math.min(5, Math.max(1, level));

/** @param today The first day that is of interest: what is behind is not forecast. */
export function horizonQueryOf(
  { per, span, ...shown }: HorizonParams,
  window: TimeWindow,
  horizon: Range,
  today: number,
  cases: readonly PipelineCase[] = [],
): HorizonQuery {
  const range =
    span === "window" ? window.range : { start: Math.min(Math.max(horizon.start, today), horizon.stop - 1), stop: horizon.stop };
  return { range, grain: per, cases, by: shown.by, level: levelOf(shown) };
}
