// The dates of every task, in columns, and as a reader of single tasks sees them.
import { type Day, parseDay } from "../calendar/day.ts";
import type { Instant, WorkingLine } from "../calendar/workingLine.ts";
import { forLeaves, type TaskGraph } from "../plan/taskGraph.ts";
import type { Consumed } from "./effort.ts";
import type { Network } from "./network.ts";

export const driverKinds = ["pinned", "link", "notBefore", "finishNotBefore", "projectStart", "stagger", "statusDate", "actual"] as const;

export type DriverKind = (typeof driverKinds)[number];

/** The number a driver kind has in the columns. */
export const [BY_PIN, BY_LINK, BY_NOT_BEFORE, BY_FINISH_NOT_BEFORE, BY_PROJECT_START, BY_STAGGER, BY_STATUS_DATE, BY_ACTUAL] = [
  0, 1, 2, 3, 4, 5, 6, 7,
];

/** A date as shown: a day, and the tick within it. */
export interface Shown {
  day: Day;
  tick: number;
}

/** When a task takes place. */
export interface TaskDates {
  line: WorkingLine;
  /** On `line`. For a summary these are its shown dates put on its project's line. */
  startAt: Instant;
  finishAt: Instant;
  /** As a person reads them: a finish at the end of a day is that day. */
  start: Shown;
  finish: Shown;
  driver: { kind: DriverKind; linkId?: string };
  isSummary: boolean;
  /** Pinned to days on which its calendar does not work: it has dates and no duration. */
  isIdlePin: boolean;
  /** The start of what is left of a task under way; of any other task its start. */
  restAt: Instant;
  /** True of a finished task that shows its actual dates. */
  isActual: boolean;
  /** Of an effort-sized task what each assignment consumes, by id, null for one that never finishes; else null. */
  consumed: ReadonlyMap<string, Consumed | null> | null;
}

/** The dates of a row: none, or dates that are read in one of several ways. A task under way begins as it is shown; a finished
 * one with actual dates also ends so. */
export const [NO_DATES, LEAF, SUM, IDLE_PIN, BEGUN, DONE] = [0, 1, 2, 3, 4, 5];

/** By task row; shown dates are days and the tick within them. */
export interface DateColumns {
  state: Uint8Array;
  /** Instants on the task's own line: at 2 × row it starts, at 2 × row + 1 it finishes. */
  ends: Float64Array;
  /** The start of what is left of a task under way; of any other task its start. */
  restAt: Float64Array;
  startDay: Int32Array;
  startTick: Int32Array;
  finishDay: Int32Array;
  finishTick: Int32Array;
  /** Of leaves. */
  driver: Uint8Array;
  /** Link row of a driver that is a link; −1 for all others. */
  driverLink: Int32Array;
  consumed: Map<number, ReadonlyMap<string, Consumed | null>>;
}

/** Date columns without dates, for that number of rows. */
export function emptyDates(rows: number): DateColumns {
  return {
    state: new Uint8Array(rows),
    ends: new Float64Array(2 * rows),
    restAt: new Float64Array(rows),
    startDay: new Int32Array(rows),
    startTick: new Int32Array(rows),
    finishDay: new Int32Array(rows),
    finishTick: new Int32Array(rows),
    driver: new Uint8Array(rows),
    driverLink: new Int32Array(rows).fill(-1),
    consumed: new Map(),
  };
}

/** A copy laid out for the rows of another plan. @param formerTask, formerLink By new row the former row, −1 where
 * there was none; null where rows stayed as they are. */
export function carryDates(
  former: DateColumns,
  rows: number,
  formerTask: Int32Array | null,
  newLinkOf: (formerLink: number) => number,
): DateColumns {
  if (!formerTask) {
    return {
      state: former.state.slice(),
      ends: former.ends.slice(),
      restAt: former.restAt.slice(),
      startDay: former.startDay.slice(),
      startTick: former.startTick.slice(),
      finishDay: former.finishDay.slice(),
      finishTick: former.finishTick.slice(),
      driver: former.driver.slice(),
      driverLink: former.driverLink.map(newLinkOf),
      consumed: new Map(former.consumed),
    };
  }
  const dates = emptyDates(rows);
  for (let row = 0; row < rows; row++) {
    const old = formerTask[row];
    if (old < 0) continue;
    copyRow(former, old, dates, row);
    dates.driverLink[row] = newLinkOf(former.driverLink[old]);
    const consumed = former.consumed.get(old);
    if (consumed) dates.consumed.set(row, consumed);
  }
  return dates;
}

/** Copies all of a row but what its people consume and the link that drives it. */
export function copyRow(from: DateColumns, old: number, to: DateColumns, row: number): void {
  to.state[row] = from.state[old];
  to.ends[2 * row] = from.ends[2 * old];
  to.ends[2 * row + 1] = from.ends[2 * old + 1];
  to.restAt[row] = from.restAt[old];
  to.startDay[row] = from.startDay[old];
  to.startTick[row] = from.startTick[old];
  to.finishDay[row] = from.finishDay[old];
  to.finishTick[row] = from.finishTick[old];
  to.driver[row] = from.driver[old];
}

/** The dates of a plan's tasks and projects. */
export class Schedule {
  readonly #seen: (TaskDates | null | undefined)[];
  #projects: { start: Shown; finish: Shown }[] | null = null;

  constructor(
    readonly network: Network,
    readonly columns: DateColumns,
  ) {
    this.#seen = new Array(columns.state.length);
  }

  /** The dates of a task by its row; null for an unscheduled one, and for a row that there is not. */
  of(row: number): TaskDates | null {
    let seen = this.#seen[row];
    if (seen === undefined) {
      seen = row < 0 || row >= this.columns.state.length ? null : this.#read(row);
      if (row >= 0) this.#seen[row] = seen;
    }
    return seen;
  }

  /** By project row: first start and last finish as shown; the project's start where nothing has dates. */
  get projects(): { start: Shown; finish: Shown }[] {
    this.#projects ??= projectDates(this.network, this.columns);
    return this.#projects;
  }

  #read(row: number): TaskDates | null {
    const { columns, network } = this;
    if (columns.state[row] === NO_DATES) return null;
    const leaf = columns.state[row] === SUM ? firstLeaf(network.graph, columns, row) : row;
    const kind = driverKinds[columns.driver[leaf]];
    const link = columns.driverLink[leaf];
    return {
      line: network.lines[network.line[row]],
      startAt: columns.ends[2 * row],
      finishAt: columns.ends[2 * row + 1],
      start: { day: columns.startDay[row], tick: columns.startTick[row] },
      finish: { day: columns.finishDay[row], tick: columns.finishTick[row] },
      driver: link < 0 ? { kind } : { kind, linkId: network.plan.links[link].id },
      isSummary: columns.state[row] === SUM,
      isIdlePin: columns.state[row] === IDLE_PIN,
      restAt: columns.restAt[row],
      isActual: columns.state[row] === DONE,
      consumed: columns.consumed.get(row) ?? null,
    };
  }
}

/** The leaf of a summary that starts first, of equal ones the first in plan order. */
function firstLeaf(graph: TaskGraph, columns: DateColumns, summary: number): number {
  let first = -1;
  forLeaves(graph, summary, (leaf) => {
    if (columns.state[leaf] === NO_DATES) return;
    if (first < 0 || startsBefore(columns, leaf, first) || (leaf < first && !startsBefore(columns, first, leaf))) first = leaf;
  });
  return first;
}

const TICKS_IN_KEY = 512;

/** By project row; leaves count. A day and its tick are compared as one number. */
function projectDates({ plan, project }: Network, dates: DateColumns): { start: Shown; finish: Shown }[] {
  const count = plan.projects.length;
  const first = new Float64Array(count).fill(Number.POSITIVE_INFINITY);
  const last = new Float64Array(count).fill(Number.NEGATIVE_INFINITY);
  const { state, startDay, startTick, finishDay, finishTick } = dates;
  for (let row = 0; row < project.length; row++) {
    if (state[row] === NO_DATES || state[row] === SUM) continue;
    const at = project[row];
    first[at] = Math.min(first[at], startDay[row] * TICKS_IN_KEY + startTick[row]);
    last[at] = Math.max(last[at], finishDay[row] * TICKS_IN_KEY + finishTick[row]);
  }
  const shown = (key: number): Shown => {
    const day = Math.floor(key / TICKS_IN_KEY);
    return { day, tick: key - day * TICKS_IN_KEY };
  };
  return plan.projects.map((own, at) => {
    if (first[at] < Number.POSITIVE_INFINITY) return { start: shown(first[at]), finish: shown(last[at]) };
    const start = { day: parseDay(own.start), tick: 0 };
    return { start, finish: start };
  });
}

/** True if row `a` starts at an earlier day, or at an earlier tick of the same day, than row `b`. */
export function startsBefore({ startDay, startTick }: DateColumns, a: number, b: number): boolean {
  return startDay[a] < startDay[b] || (startDay[a] === startDay[b] && startTick[a] < startTick[b]);
}

/** True if row `a` finishes at an earlier day, or at an earlier tick of the same day, than row `b`. */
export function finishesBefore({ finishDay, finishTick }: DateColumns, a: number, b: number): boolean {
  return finishDay[a] < finishDay[b] || (finishDay[a] === finishDay[b] && finishTick[a] < finishTick[b]);
}

/** True where two rows say the same of when their task takes place and why, what people consume left aside. */
export function sameDates(a: DateColumns, rowA: number, b: DateColumns, rowB: number): boolean {
  return (
    a.state[rowA] === b.state[rowB] &&
    a.ends[2 * rowA] === b.ends[2 * rowB] &&
    a.ends[2 * rowA + 1] === b.ends[2 * rowB + 1] &&
    a.restAt[rowA] === b.restAt[rowB] &&
    a.startDay[rowA] === b.startDay[rowB] &&
    a.startTick[rowA] === b.startTick[rowB] &&
    a.finishDay[rowA] === b.finishDay[rowB] &&
    a.finishTick[rowA] === b.finishTick[rowB]
  );
}
