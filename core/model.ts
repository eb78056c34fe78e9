// The chain of answers over one revision of a plan: plan → capacity → schedule → placements.
import { CapacityBook } from "./calendar/capacityBook.ts";
import { type Day, parseDay } from "./calendar/day.ts";
import { workingLines } from "./calendar/lines.ts";
import type { PeriodSettings, Range } from "./calendar/periods.ts";
import type { WorkingLine } from "./calendar/workingLine.ts";
import { type PlaceInput, placeAll } from "./load/place.ts";
import type { Placements } from "./load/placements.ts";
import { type Work, workOf } from "./load/work.ts";
import { rowById } from "./plan/rows.ts";
import type { Plan } from "./plan/schema.ts";
import { SlackTable } from "./schedule/backward.ts";
import type { Schedule } from "./schedule/dates.ts";
import { schedule } from "./schedule/forward.ts";
import { graphOf } from "./schedule/graph.ts";
import { networkOf } from "./schedule/network.ts";

/** A plan and what follows from it; every report and screen reads this. */
export interface Model {
  plan: Plan;
  /** By calendar row. */
  lines: readonly WorkingLine[];
  /** By person row: the line of each person's own calendar. */
  personLines: readonly WorkingLine[];
  capacity: CapacityBook;
  schedule: Schedule;
  /** The slack of every task, worked out when it is first asked for. */
  slack: () => SlackTable;
  work: Work;
  placements: Placements;
}

/** Works out everything that follows from a plan. The plan must be sound (`checkPlan`). */
export function buildModel(plan: Plan): Model {
  const lines = workingLines(plan);
  const capacity = new CapacityBook(plan, lines, capacitySpan(plan));
  const work = workOf(plan);
  const dates = schedule(networkOf(plan, lines, graphOf(plan)), work, capacity);
  const input: PlaceInput = { plan, work, schedule: dates, capacity };
  return modelFrom({ ...input, lines, placements: placeAll(input) });
}

/** Completes a model with what is derived from its parts. */
export function modelFrom(parts: Omit<Model, "slack" | "personLines">): Model {
  const { plan, lines } = parts;
  const calendars = rowById(plan.calendars);
  let slack: SlackTable | null = null;
  return {
    ...parts,
    personLines: plan.people.map(({ calendarId }) => lines[calendars.get(calendarId) as number]),
    slack: () => {
      slack ??= new SlackTable(parts.schedule);
      return slack;
    },
  };
}

// Wide enough for the horizon and every stated date; days beyond are reckoned one by one.
function capacitySpan(plan: Plan): Range {
  let first = parseDay(plan.settings.planStart);
  let last = parseDay(plan.settings.planEnd);
  for (const task of plan.tasks) {
    if (task.start !== undefined) first = Math.min(first, parseDay(task.start));
    if (task.finish !== undefined) last = Math.max(last, parseDay(task.finish));
  }
  return { start: first - 7, stop: last + 120 };
}

/** The planning horizon, both ends included. */
export function horizonOf(plan: Plan): Range {
  return { start: parseDay(plan.settings.planStart), stop: parseDay(plan.settings.planEnd) + 1 };
}

/** Where the plan's weeks and years begin; Monday and January by default. */
export function periodSettingsOf(plan: Plan): PeriodSettings {
  return { weekStartsOn: plan.settings.weekStartsOn ?? 1, fiscalYearStartMonth: plan.settings.fiscalYearStartMonth ?? 1 };
}

/** The day that counts as today: the plan's own where it fixes one. */
export function todayOf(plan: Plan, clock: Day): Day {
  return plan.settings.today === undefined ? clock : parseDay(plan.settings.today);
}
