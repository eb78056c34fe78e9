// Today: what wants attention, the weeks ahead, and the two figures that matter against last week.

import { attentionOf } from "../attention/attention.ts";
import { type Day, parseDay } from "../calendar/day.ts";
import { horizonOf, periodSettingsOf, todayOf } from "../calendar/horizon.ts";
import { periodStart, periodsIn, type Range } from "../calendar/periods.ts";
import { defaultCounting } from "../load/counting.ts";
import { peopleSums, workSums } from "../load/periodSums.ts";
import { assignedPercent, utilizationPercent } from "../load/totals.ts";
import type { Model } from "../model.ts";
import { allRows } from "../plan/rows.ts";
import type { Snooze } from "../plan/schema.ts";
import type { Attention, AttentionKind } from "../signals/kinds.ts";

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
  /** Number of signals of each kind, listed or not. */
  counts: Partial<Record<AttentionKind, number>>;
  /** Signals that wait, with until when and why; those that are gone are left out. */
  snoozed: { signal: Attention; snooze: Snooze }[];
  weeks: WeekAhead[];
  /** In hundredths of a percent: this week, and the week before. */
  assigned: { now: number | null; before: number | null };
  used: { now: number | null; before: number | null };
}

const WEEKS = 12;
/** Most signals of one kind that are listed. */
const MOST_OF_KIND = 50;

/** @param clock The day that is today where the plan does not fix one.
 * @param isWhole True where all signals of a kind are listed, however many there are. */
export function todayAnswer(model: Model, clock: Day, isWhole = false): Today {
  const { plan } = model;
  const today = todayOf(plan, clock);
  const snoozes = new Map(plan.snoozes.filter(({ until }) => parseDay(until) > today).map((own) => [own.signal, own]));
  const counts: Today["counts"] = {};
  const [signals, snoozed]: [Attention[], Today["snoozed"]] = [[], []];
  for (const signal of attentionOf(model, today)) {
    const snooze = snoozes.get(signal.key);
    if (snooze) snoozed.push({ signal, snooze });
    else {
      const count = (counts[signal.kind] ?? 0) + 1;
      counts[signal.kind] = count;
      if (isWhole || count <= MOST_OF_KIND) signals.push(signal);
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
  const { plan, work } = model;
  const horizon = horizonOf(plan);
  const range = { start: Math.max(start, horizon.start), stop: Math.min(start + 7 * WEEKS, horizon.stop) };
  const weeks = periodsIn(range, "week", periodSettingsOf(plan));
  const load = model.load(defaultCounting);
  const everyone = allRows(plan.people);
  const { capacity, load: assigned } = peopleSums(model, load, everyone, weeks);
  const nobodys: number[] = [];
  for (let row = 0; row < work.rows; row++) if (work.person[row] < 0 && work.isMaterial[row] === 0) nobodys.push(row);
  const open = workSums(model, load.shares, nobodys, weeks);
  const inWeek = (minutes: Int32Array, at: number) => {
    let sum = 0;
    for (let slot = at; slot < minutes.length; slot += weeks.length) sum += minutes[slot];
    return sum;
  };
  return weeks.map((week, at) => ({ week, capacity: inWeek(capacity, at), assigned: inWeek(assigned, at), open: open[at] }));
}
