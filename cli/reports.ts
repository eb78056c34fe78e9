// From a report's name and options to its answer.
import { remedyKinds } from "../core/balancing/kinds.ts";
import { type Day, parseDay } from "../core/calendar/day.ts";
import { horizonOf } from "../core/calendar/horizon.ts";
import type { ReportRange } from "../core/calendar/periods.ts";
import { grains } from "../core/calendar/periods.ts";
import { type Counting, defaultCounting } from "../core/load/counting.ts";
import { buildModel, type Model } from "../core/model.ts";
import { firstRoleOf } from "../core/plan/names.ts";
import { planText } from "../core/plan/planText.ts";
import { findRow, rowById } from "../core/plan/rows.ts";
import type { Baseline, Plan } from "../core/plan/schema.ts";
import { recordedOf } from "../core/recorded/recorded.ts";
import { baselineReport } from "../core/reports/baseline.ts";
import { capacityReport } from "../core/reports/capacity.ts";
import { costReport } from "../core/reports/cost.ts";
import { earliestReport } from "../core/reports/earliest.ts";
import { evenOutReport } from "../core/reports/evenOut.ts";
import { forecastReport } from "../core/reports/forecast.ts";
import { loadReport } from "../core/reports/load.ts";
import { matchReport } from "../core/reports/match.ts";
import { progressReport } from "../core/reports/progress.ts";
import { remediesReport } from "../core/reports/remedies.ts";
import { scheduleReport } from "../core/reports/schedule.ts";
import { timesheetReport } from "../core/reports/timesheet.ts";
import { isCalendarDate } from "../core/values/calendarDate.ts";
import { lookUp } from "../core/values/lookUp.ts";
import { isOneOf } from "../core/values/oneOf.ts";
import { workMinutes } from "../core/values/units.ts";

export const reportNames = [
  "check",
  "capacity",
  "schedule",
  "load",
  "cost",
  "forecast",
  "match",
  "earliest",
  "remedies",
  "even-out",
  "progress",
  "baseline",
  "timesheet",
] as const;
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
  forecast: ranged,
  match: ["--opening"],
  earliest: ["--project", "--tolerance"],
  remedies: ["--person", "--from", "--to", "--take", "--out"],
  "even-out": ["--from", "--to", "--steps", "--seconds", "--kinds", "--role", "--out"],
  progress: ["--baseline"],
  baseline: ["--id", "--name", "--projects", "--out"],
  timesheet: ["--person", "--from", "--to"],
};

/** The outside world of a report: a file to write, and the clock. */
export interface Outside {
  writeFile(path: string, text: string): void;
  /** Milliseconds since any moment. */
  now(): number;
  /** The day it is: the status date of a plan that states none. */
  today(): Day;
}

/** Runs one report over a sound plan.
 * @param args Options as typed, `--name value` in pairs. */
export function runReport(report: ReportName, plan: Plan, args: readonly string[], outside: Outside = nothingOutside): unknown {
  const options = readOptions(report, args);
  const model = buildModel(plan, recordedOf(plan, outside.today()));
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
    case "forecast":
      return forecastReport(model, rangeOf(plan, options));
    case "earliest":
      return earliestFor(model, options);
    case "match":
      return matchOf(model, options.get("--opening"));
    case "remedies":
      return remediesFor(model, options, outside);
    case "even-out":
      return evenedOut(model, options, outside);
    case "progress":
      return progressReport(model, baselineOf(plan, options.get("--baseline")));
    case "baseline":
      return baselineTaken(model, options, outside);
    case "timesheet":
      return timesheetOf(model, options);
  }
}

const nothingOutside: Outside = { writeFile: () => {}, now: () => 0, today: () => 0 };

function remediesFor(model: Model, options: Map<string, string>, outside: Outside): unknown {
  const personId = options.get("--person");
  if (personId === undefined) throw new UsageError("remedies needs --person ID.");
  if (!findRow(model.plan.people, personId)) throw new UsageError(`--person: there is no person "${personId}" in this plan.`);
  const take = countOption(options, "--take");
  const out = options.get("--out");
  if ((take === undefined) !== (out === undefined)) throw new UsageError("--take N and --out FILE go together.");
  const { range } = rangeOf(model.plan, options);
  const { report, after } = remediesReport(model, { personId, range }, take);
  if (take !== undefined && !after) throw new UsageError(`--take: there are ${report.remedies.length} remedies, so no number ${take}.`);
  if (out !== undefined && after) outside.writeFile(out, planText(after));
  return report;
}

function baselineOf({ baselines }: Plan, id: string | undefined): Baseline | null {
  if (id === undefined) return null;
  const baseline = findRow(baselines, id);
  if (!baseline) throw new UsageError(`--baseline: there is no baseline "${id}" in this plan.`);
  return baseline;
}

function baselineTaken(model: Model, options: Map<string, string>, outside: Outside): unknown {
  const [id, name] = [options.get("--id"), options.get("--name")];
  if (!id || !name) throw new UsageError("baseline needs --id ID and --name NAME.");
  const rows = rowById(model.plan.projects);
  const projects = options
    .get("--projects")
    ?.split(",")
    .map((projectId) => {
      const row = rows.get(projectId);
      if (row === undefined) throw new UsageError(`--projects: there is no project "${projectId}" in this plan.`);
      return row;
    });
  const { report, after } = baselineReport(model, { id, name }, projects && new Set(projects));
  const out = options.get("--out");
  if (out !== undefined) outside.writeFile(out, planText(after));
  return report;
}

function timesheetOf(model: Model, options: Map<string, string>): unknown {
  const personId = options.get("--person");
  if (personId === undefined) throw new UsageError("timesheet needs --person ID.");
  const answer = timesheetReport(model, personId, rangeOf(model.plan, options).range);
  if (!answer) throw new UsageError(`--person: there is no person "${personId}" in this plan.`);
  return answer;
}

/** Moves tried where neither steps nor seconds are named. */
const USUAL_STEPS = 100_000;

function evenedOut(model: Model, options: Map<string, string>, outside: Outside): unknown {
  const [steps, seconds] = [countOption(options, "--steps"), countOption(options, "--seconds")];
  if (steps !== undefined && seconds !== undefined) throw new UsageError("Name --steps or --seconds, not both.");
  const until = seconds === undefined ? Number.POSITIVE_INFINITY : outside.now() + seconds * 1000;
  const kinds = options
    .get("--kinds")
    ?.split(",")
    .map((kind) => allowedOf("--kinds", remedyKinds, kind));
  const { report, after } = evenOutReport(model, {
    window: rangeOf(model.plan, options).range,
    ...(kinds && { kinds }),
    ...(options.has("--role") && { people: peopleOfRole(model.plan, lookUp(options, "--role")) }),
    mostSteps: steps ?? (seconds === undefined ? USUAL_STEPS : Number.POSITIVE_INFINITY),
    isOver: () => outside.now() >= until,
  });
  const out = options.get("--out");
  if (out !== undefined) outside.writeFile(out, planText(after));
  return report;
}

function peopleOfRole(plan: Plan, roleId: string): ReadonlySet<number> {
  if (!findRow(plan.roles, roleId)) throw new UsageError(`--role: there is no role "${roleId}" in this plan.`);
  return new Set(plan.people.flatMap((person, row) => (firstRoleOf(person) === roleId ? [row] : [])));
}

function countOption(options: Map<string, string>, name: string): number | undefined {
  const text = options.get(name);
  if (text === undefined) return undefined;
  if (!/^[1-9]\d{0,8}$/.test(text)) throw new UsageError(`${name}: "${text}" is not a whole number from 1 on.`);
  return Number(text);
}

function earliestFor(model: Model, options: Map<string, string>): unknown {
  const projectId = options.get("--project");
  if (projectId === undefined) throw new UsageError("earliest needs --project ID.");
  const hours = options.get("--tolerance") ?? "0";
  if (!/^\d{1,9}(\.\d{1,6})?$/.test(hours)) throw new UsageError(`--tolerance: "${hours}" is not a number of hours from 0 on.`);
  const answer = earliestReport(model, projectId, workMinutes(Number(hours)));
  if (!answer) throw new UsageError(`--project: there is no project "${projectId}" in this plan.`);
  return answer;
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
  if (stop <= start) throw new UsageError("--to must not be before --from.");
  return { range: { start, stop }, grain: oneOf(options, "--by", grains, "week") };
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
    pipeline: oneOf(options, "--pipeline", ["none", "weighted", "full"], defaultCounting.pipeline),
  };
}

function oneOf<T extends string>(options: Map<string, string>, name: string, allowed: readonly T[], fallback: T): T {
  return allowedOf(name, allowed, options.get(name) ?? fallback);
}

/** @throws {UsageError} */
function allowedOf<T extends string>(name: string, allowed: readonly T[], text: string): T {
  if (!isOneOf(allowed, text)) throw new UsageError(`${name}: "${text}" is not one of ${allowed.join(", ")}.`);
  return text;
}
