// Critical path method, backward pass: how late every task may be, and its slack.
import type { Day } from "../calendar/day.ts";
import { type Instant, TICKS_PER_DAY, type WorkingLine } from "../calendar/workingLine.ts";
import { LEAF, NO_DATES, type Schedule, type Shown, SUM } from "./dates.ts";
import { leavesOf } from "./graph.ts";
import { FS, type Network, PINNED, SF, SS } from "./network.ts";

/** How late a task may be, and the room it has; instants and ticks on the task's own line. */
export interface Slack {
  lateStart: Instant;
  lateFinish: Instant;
  /** As a person reads them. */
  lateStartDay: Day;
  lateFinishDay: Day;
  total: number;
  free: number;
  isCritical: boolean;
}

/** The slack of every task, in columns; of summaries it is read from what is below them. */
export class SlackTable {
  /** By task row, of leaves with dates. */
  readonly lateFinish: Float64Array;
  readonly total: Float64Array;
  readonly free: Float64Array;
  readonly #schedule: Schedule;
  readonly #network: Network;
  readonly #projectFinish: Float64Array;

  constructor(schedule: Schedule) {
    const { network } = schedule;
    this.#schedule = schedule;
    this.#network = network;
    const tasks = network.sizing.length;
    this.lateFinish = new Float64Array(tasks);
    this.total = new Float64Array(tasks);
    this.free = new Float64Array(tasks);
    this.#projectFinish = new Float64Array(network.plan.projects.length * network.lines.length).fill(Number.NaN);
    this.#boundAll();
  }

  /** The slack of a task by its row; null for an unscheduled one. A summary shows the tightest of what is below it. */
  of(row: number): Slack | null {
    const { state, startAt, finishAt } = this.#schedule.columns;
    if (row < 0 || state[row] === NO_DATES) return null;
    if (state[row] === SUM) return this.#sumUp(row);
    const line = this.#network.lines[this.#network.line[row]];
    const lateFinish = this.lateFinish[row];
    const lateStart = lateFinish - (finishAt[row] - startAt[row]);
    return {
      lateStart,
      lateFinish,
      lateStartDay: startRead(line, lateStart).day,
      lateFinishDay: line.asFinish(Math.max(0, lateFinish)).day,
      total: this.total[row],
      free: this.free[row],
      isCritical: this.total[row] <= 0,
    };
  }

  #sumUp(row: number): Slack | null {
    const { children } = this.#network.graph;
    const parts: Slack[] = [];
    for (let at = children.first[row]; at < children.first[row + 1]; at++) {
      const part = this.of(children.members[at]);
      if (part) parts.push(part);
    }
    const line = this.#network.lines[this.#network.line[row]];
    const lateStartDay = Math.min(...parts.map(({ lateStartDay: day }) => day));
    const lateFinishDay = Math.max(...parts.map(({ lateFinishDay: day }) => day));
    const total = Math.min(...parts.map((part) => part.total));
    return {
      lateStart: placeOf(line, { day: lateStartDay, tick: 0 }),
      lateFinish: placeOf(line, { day: lateFinishDay, tick: TICKS_PER_DAY }),
      lateStartDay,
      lateFinishDay,
      total,
      free: Math.min(...parts.map(({ free }) => free)),
      isCritical: total <= 0,
    };
  }

  /** Bounds every leaf, each after its successors. */
  #boundAll(): void {
    const { lateFinish, total, free } = this;
    const network = this.#network;
    const { state, startAt, finishAt } = this.#schedule.columns;
    const { order, parent, outOf, to, children } = network.graph;
    const { project, line, latestFinish, latestStart, linkKind } = network;
    for (let position = order.length - 1; position >= 0; position--) {
      const row = order[position];
      if (state[row] === NO_DATES || state[row] === SUM) continue;
      const finish = finishAt[row];
      const duration = finish - startAt[row];
      const projectFinish = this.#finishOf(project[row], line[row]);
      let late = Math.min(projectFinish, latestFinish[row], latestStart[row] + duration);
      let room = projectFinish - finish;
      for (let at = row; at >= 0; at = parent[at]) {
        const stop = outOf.first[at + 1];
        for (let i = outOf.first[at]; i < stop; i++) {
          const link = outOf.members[i];
          const isOfStart = linkKind[link] === SS || linkKind[link] === SF;
          // The start of a summary hangs on the leaves that start with it alone.
          if (at !== row && isOfStart && !this.#startsWith(row, at)) continue;
          const offset = isOfStart ? duration : 0;
          const next = to[link];
          // No callback here: what one captures is slow to write.
          const leaves = children.first[next] === children.first[next + 1] ? null : leavesOf(network.graph, next);
          for (let k = leaves ? leaves.length - 1 : 0; k >= 0; k--) {
            const successor = leaves ? leaves[k] : next;
            if (state[successor] === NO_DATES) continue;
            late = Math.min(late, this.#linkBound(link, successor, row, true) + offset);
            room = Math.min(room, this.#linkBound(link, successor, row, false) + offset - finish);
          }
        }
      }
      lateFinish[row] = late;
      total[row] = late - finish;
      free[row] = Math.max(0, Math.min(late - finish, room));
    }
  }

  #startsWith(leaf: number, summary: number): boolean {
    const { startDay, startTick } = this.#schedule.columns;
    return startDay[leaf] === startDay[summary] && startTick[leaf] === startTick[summary];
  }

  /** A project's finish on a line, remembered: many tasks ask for it. */
  #finishOf(project: number, line: number): Instant {
    const at = project * this.#network.lines.length + line;
    if (Number.isNaN(this.#projectFinish[at]))
      this.#projectFinish[at] = placeOf(this.#network.lines[line], this.#schedule.projects[project].finish);
    return this.#projectFinish[at];
  }

  /** What a successor's start or finish asks of the predecessor, on the predecessor's line.
   * @param isLate From its late date; else from the actual one. */
  #linkBound(link: number, successor: number, row: number, isLate: boolean): Instant {
    const network = this.#network;
    const { state, startAt, finishAt } = this.#schedule.columns;
    const kind = network.linkKind[link];
    const isToStart = kind === FS || kind === SS;
    let at = isToStart ? startAt[successor] : finishAt[successor];
    if (isLate) {
      const latest = this.lateFinish[successor] - (isToStart ? finishAt[successor] - startAt[successor] : 0);
      at = network.sizing[successor] === PINNED ? Math.min(latest, at) : latest;
    }
    const isElapsed = network.isElapsed[link] === 1;
    at = Math.max(0, at - (isElapsed ? 0 : network.lag[link]) - network.stagger[successor]);
    // On one line an instant stays what it is, however it is read.
    if (network.line[successor] === network.line[row] && !isElapsed && state[successor] === LEAF) return at;
    const line = network.lines[network.line[row]];
    const read = network.lines[network.line[successor]].asStart(at);
    const day = isElapsed ? read.day - network.lag[link] : read.day;
    const placed = placeOf(line, { day, tick: read.tick });
    return (kind === SS || kind === SF) && !line.isWorkingDay(within(line, day)) ? placed - 1 : placed;
  }
}

// A line begins two years before the plan; what would be earlier is taken as its beginning.
const within = (line: WorkingLine, day: Day): Day => Math.max(line.origin, day);
const startRead = (line: WorkingLine, at: Instant) => line.asStart(Math.max(0, at));
const placeOf = (line: WorkingLine, { day, tick }: Shown): Instant => line.place(within(line, day), tick);
