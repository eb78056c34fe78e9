// The view of the horizon in the address; read by the page on the server and by the screen.
import { createParser, parseAsArrayOf, parseAsInteger, parseAsStringLiteral } from "nuqs/server";
import type { HorizonQuery, PipelineCase } from "../../core/answers/horizon.ts";
import type { Grain, Range } from "../../core/calendar/periods.ts";
import { pipelineCountings } from "../../core/cost/moneyKeys.ts";
import { type ForecastBy, forecastBys } from "../../core/forecast/groups.ts";
import type { Counting } from "../../core/load/counting.ts";
import type { TimeWindow } from "../../ui/timeWindow.ts";
import { type Measure, measureNames } from "./measures.ts";

export const horizonGrains = ["week", "month", "quarter"] as const satisfies readonly Grain[];

/** Is between cases in the address. */
export const CASES_BETWEEN = ";";

const MOST_DAYS = 20_000;

/** A project id, "won", "lost" or nothing, and the days by which it is moved. */
const parseAsCase = createParser<PipelineCase>({
  parse(text) {
    const [id = "", outcome = "", moved = "0"] = text.split(":");
    const days = Number(moved);
    if (id === "" || !["won", "lost", ""].includes(outcome) || !Number.isInteger(days) || Math.abs(days) > MOST_DAYS) return null;
    return { projectId: decodeURIComponent(id), outcome: outcome === "won" || outcome === "lost" ? outcome : null, days };
  },
  serialize: ({ projectId, outcome, days }) => `${encodeURIComponent(projectId)}:${outcome ?? ""}:${days}`,
});

/** By month over the whole plan unless the address says otherwise. */
export const horizonParams = {
  per: parseAsStringLiteral(horizonGrains).withDefault("month"),
  span: parseAsStringLiteral(["plan", "window"] as const).withDefault("plan"),
  by: parseAsStringLiteral(forecastBys).withDefault("role"),
  /** Of skills: from which level on a person counts. */
  level: parseAsInteger.withDefault(1),
  /** The figure that the table shows. */
  show: parseAsStringLiteral(measureNames).withDefault("left"),
  /** The counting of pipeline projects without a case. */
  pipeline: parseAsStringLiteral(pipelineCountings).withDefault("weighted"),
  /** Pipeline projects that are looked at otherwise, each as "seedvault:won:14". */
  cases: parseAsArrayOf(parseAsCase, CASES_BETWEEN).withDefault([]),
};

export interface HorizonParams {
  per: (typeof horizonGrains)[number];
  span: "plan" | "window";
  by: ForecastBy;
  level: number;
  show: Measure;
  pipeline: Counting["pipeline"];
  cases: PipelineCase[];
}

/** A valid level, regardless of the address. */
export const levelOf = ({ level }: Pick<HorizonParams, "level">): number => Math.min(5, Math.max(1, level));

/** @param today The first day that is of interest: what is behind is not forecast. */
export function horizonQueryOf({ per, span, ...shown }: HorizonParams, window: TimeWindow, horizon: Range, today: number): HorizonQuery {
  const range =
    span === "window" ? window.range : { start: Math.min(Math.max(horizon.start, today), horizon.stop - 1), stop: horizon.stop };
  return { range, grain: per, cases: shown.cases, pipeline: shown.pipeline, by: shown.by, level: levelOf(shown) };
}
