// From a report's name and options to its answer.
import { parseDay } from "../core/calendar/day.ts";
import { horizonOf } from "../core/calendar/horizon.ts";
import type { ReportRange } from "../core/calendar/periods.ts";
import { type Grain, grains } from "../core/calendar/periods.ts";
import { type Counting, defaultCounting } from "../core/load/counting.ts";
import { buildModel, type Model } from "../core/model.ts";
import { isCalendarDate, type Plan } from "../core/plan/schema.ts";
import { capacityReport } from "../core/reports/capacity.ts";
import { costReport } from "../core/reports/cost.ts";
import { loadReport } from "../core/reports/load.ts";
import { matchReport } from "../core/reports/match.ts";
import { scheduleReport } from "../core/reports/schedule.ts";

export const reportNames = ["check", "capacity", "schedule", "load", "cost", "match"] as const;
export type ReportName = (typeof reportNames)[number];

/** The command line was not understood; the message says what and what would be. */
export class UsageError extends Error {}

const ranged = ["--from", "--to", "--by"];
const optionsOf: Record<ReportName, readonly string[]> = {
  check: [],
  capacity: ranged,
  schedule: [],
  load: [...ranged, "--pencilled", "--pipeline"],
  cost: ranged,
  match: ["--opening"],
};

/** Runs one report over a sound plan.
 * @param args Options as typed, `--name value` in pairs. */
export function runReport(report: ReportName, plan: Plan, args: readonly string[]): unknown {
  const options = readOptions(report, args);
  const model = buildModel(plan);
  switch (report) {
    case "check":
      return { errors: [], signals: model.signals() };
    case "capacity":
      return capacityReport(model, rangeOf(plan, options));
    case "schedule":
      return scheduleReport(model);
    case "load":
      return loadReport(model, rangeOf(plan, options), countingOf(options));
    case "cost":
      return costReport(model, rangeOf(plan, options));
    case "match":
      return matchOf(model, options.get("--opening"));
  }
}

function matchOf(model: Model, openingId: string | undefined): unknown {
  if (openingId === undefined) throw new UsageError("match needs --opening ID, of an assignment or a task.");
  const answer = matchReport(model, openingId);
  if (!answer) throw new UsageError(`--opening: there is no opening "${openingId}" in this plan.`);
  return answer;
}

function readOptions(report: ReportName, args: readonly string[]): Map<string, string> {
  const options = new Map<string, string>();
  for (let at = 0; at < args.length; at += 2) {
    const [name, value] = [args[at], args[at + 1]];
    if (!optionsOf[report].includes(name)) throw new UsageError(`${report} has no option "${name}".`);
    if (value === undefined) throw new UsageError(`${name} needs a value.`);
    options.set(name, value);
  }
  return options;
}

function rangeOf(plan: Plan, options: Map<string, string>): ReportRange {
  const horizon = horizonOf(plan);
  const start = dayOption(options, "--from") ?? horizon.start;
  const stop = (dayOption(options, "--to") ?? horizon.stop - 1) + 1;
  if (stop <= start) throw new UsageError("--to comes on or after --from.");
  return { range: { start, stop }, grain: oneOf(options, "--by", grains, "week") as Grain };
}

function dayOption(options: Map<string, string>, name: string): number | undefined {
  const text = options.get(name);
  if (text === undefined) return undefined;
  if (!isCalendarDate(text)) throw new UsageError(`${name}: "${text}" is not a date; write a real day as YYYY-MM-DD.`);
  return parseDay(text);
}

function countingOf(options: Map<string, string>): Counting {
  return {
    pencilled: oneOf(options, "--pencilled", ["yes", "no"], defaultCounting.pencilled ? "yes" : "no") === "yes",
    pipeline: oneOf(options, "--pipeline", ["none", "weighted", "full"], defaultCounting.pipeline) as Counting["pipeline"],
  };
}

function oneOf(options: Map<string, string>, name: string, allowed: readonly string[], fallback: string): string {
  const value = options.get(name) ?? fallback;
  if (!allowed.includes(value)) throw new UsageError(`${name}: "${value}" is not one of ${allowed.join(", ")}.`);
  return value;
}
