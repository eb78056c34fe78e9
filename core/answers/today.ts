// Today: what wants attention, the weeks ahead, and the two figures that matter against last week.

import { attentionOf } from "../attention/attention.ts";
import type { Attention, AttentionKind } from "../attention/kinds.ts";
import { type Day, parseDay } from "../calendar/day.ts";
import { horizonOf, periodSettingsOf } from "../calendar/horizon.ts";
import { periodStart, periodsIn, type Range } from "../calendar/periods.ts";
import { defaultCounting } from "../load/counting.ts";
import { assignedPercent, utilizationPercent } from "../load/totals.ts";
import type { Model } from "../model.ts";
import { addPlaced } from "../placing/placements.ts";
import type { Snooze } from "../plan/schema.ts";

/** One week of capacity against demand, in minutes. */
export interface WeekAhead {
  week: Range;
  capacity: number;
  /** On people. */
  assigned: number;
  /** On teams as a whole, and on nobody. */
  open: number;
}

export interface Today {
  today: Day;
  signals: Attention[];
  /** How many there are of each kind, listed or not. */
  counts: Partial<Record<AttentionKind, number>>;
  /** Signals that wait, with until when and why; those that are no longer there are left out. */
  snoozed: { signal: Attention; snooze: Snooze }[];
  weeks: WeekAhead[];
  /** In hundredths of a percent: this week, and the week before. */
  assigned: { now: number | null; before: number | null };
  used: { now: number | null; before: number | null };
}

const WEEKS = 12;
/** Most signals of one kind that are listed. */
const MOST_OF_KIND = 50;

/** @param clock The day that is today where the plan does not fix one. */
export function todayAnswer(model: Model, clock: Day): Today {
  const { plan } = model;
  const today = plan.settings.today === undefined ? clock : parseDay(plan.settings.today);
  const snoozes = new Map(plan.snoozes.filter(({ until }) => parseDay(until) > today).map((own) => [own.signal, own]));
  const counts: Today["counts"] = {};
  const [signals, snoozed]: [Attention[], Today["snoozed"]] = [[], []];
  for (const signal of attentionOf(model, today)) {
    const snooze = snoozes.get(signal.key);
    if (snooze) snoozed.push({ signal, snooze });
    else {
      counts[signal.kind] = (counts[signal.kind] ?? 0) + 1;
      if ((counts[signal.kind] as number) <= MOST_OF_KIND) signals.push(signal);
    }
  }
  const start = periodStart(today, "week", periodSettingsOf(plan));
  const [week, before] = [
    { start, stop: start + 7 },
    { start: start - 7, stop: start },
  ];
  const load = model.load(defaultCounting);
  return {
    today,
    signals,
    counts,
    snoozed,
    weeks: weeksAhead(model, start),
    assigned: { now: assignedPercent(model, load, week), before: assignedPercent(model, load, before) },
    used: { now: utilizationPercent(model, load, week), before: utilizationPercent(model, load, before) },
  };
}

function weeksAhead(model: Model, start: Day): WeekAhead[] {
  const { plan, capacity, work, placements } = model;
  const horizon = horizonOf(plan);
  const range = { start: Math.max(start, horizon.start), stop: Math.min(start + 7 * WEEKS, horizon.stop) };
  if (range.stop <= range.start) return [];
  const load = model.load(defaultCounting);
  const days = range.stop - range.start;
  const [can, assigned, open] = [new Int32Array(days), new Int32Array(days), new Int32Array(days)];
  for (let person = 0; person < plan.people.length; person++) {
    const { regular, overtime, at } = capacity.of(person, range.start, range.stop);
    const own = load.of(person, range.start, range.stop);
    for (let i = 0; i < days; i++) {
      can[i] += regular[at + i] + overtime[at + i];
      assigned[i] += own.minutes[own.at + i];
    }
  }
  for (let row = 0; row < work.rows; row++)
    if (work.person[row] < 0 && work.isMaterial[row] === 0) addPlaced(placements, row, load.shares[row], range.start, range.stop, open, 0);
  const sum = (minutes: Int32Array, week: Range) =>
    minutes.subarray(week.start - range.start, week.stop - range.start).reduce((a, b) => a + b, 0);
  return periodsIn(range, "week", periodSettingsOf(plan)).map((week) => ({
    week,
    capacity: sum(can, week),
    assigned: sum(assigned, week),
    open: sum(open, week),
  }));
}
