// The plan's settings about time: its horizon, the start of its weeks and years, and today.
import type { Plan } from "../plan/schema.ts";
import { usualSettings } from "../plan/usualSettings.ts";
import { type Day, parseDay } from "./day.ts";
import { nextPeriodStart, type PeriodSettings, periodStart, type Range, type ReportRange } from "./periods.ts";

/** The planning horizon, both ends included. */
export function horizonOf(plan: Plan): Range {
  return { start: parseDay(plan.settings.planStart), stop: parseDay(plan.settings.planEnd) + 1 };
}

/** The start of the plan's weeks and years; Monday and January by default. */
export function periodSettingsOf(plan: Plan): PeriodSettings {
  return {
    weekStartsOn: plan.settings.weekStartsOn ?? usualSettings.weekStartsOn,
    fiscalYearStartMonth: plan.settings.fiscalYearStartMonth ?? usualSettings.fiscalYearStartMonth,
  };
}

/** A window drawn out to whole periods. */
export function wholePeriods(plan: Plan, { range, grain }: ReportRange): ReportRange {
  const settings = periodSettingsOf(plan);
  return {
    range: { start: periodStart(range.start, grain, settings), stop: nextPeriodStart(range.stop - 1, grain, settings) },
    grain,
  };
}

/** The day that counts as today: the plan's own where it fixes one. */
export function todayOf(plan: Plan, clock: Day): Day {
  return plan.settings.today === undefined ? clock : parseDay(plan.settings.today);
}
