// Critical path method, backward pass: how late every task may be, and its slack.
import type { Day } from "../calendar/day.ts";
import { type Instant, TICKS_PER_DAY, type WorkingLine } from "../calendar/workingLine.ts";
import { leavesOf } from "../plan/taskGraph.ts";
import { BEGUN, DONE, NO_DATES, type Schedule, type Shown, SUM } from "./dates.ts";
import { FF, type Network, PINNED, SF, SS } from "./network.ts";

/** The latest dates of a task, and its slack; instants and ticks on the task's own line. */
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
  /** Laid out as the ends of the dates: what those before a task may calculate with. */
  readonly #lateEnds: Float64Array;
  /** The same of the dates as they are, where what is left of a task under way stands for it. */
  readonly #restEnds: Float64Array;
  /** Of the task that is being bounded: its late finish, and its room, so far. */
  #late = 0;
  #room = 0;

  constructor(schedule: Schedule) {
    const { network } = schedule;
    this.#schedule = schedule;
    this.#network = network;
    const tasks = network.sizing.length;
    this.lateFinish = new Float64Array(tasks);
    this.total = new Float64Array(tasks);
    this.free = new Float64Array(tasks);
    this.#lateEnds = new Float64Array(2 * tasks);
    this.#restEnds = restEnds(schedule);
    this.#projectFinish = new Float64Array(network.plan.projects.length * network.lines.length).fill(Number.NaN);
    this.#boundAll();
  }

  /** The slack of a task by its row; null for an unscheduled one, and where everything is finished with actual dates. A summary shows the tightest of what is below it. */
  of(row: number): Slack | null {
    const { state, ends, restAt } = this.#schedule.columns;
    if (row < 0 || state[row] === NO_DATES || state[row] === DONE) return null;
    if (state[row] === SUM) return this.#sumUp(row);
    const line = this.#network.lines[this.#network.line[row]];
    const lateFinish = this.lateFinish[row];
    const lateStart = lateFinish - (ends[2 * row + 1] - restAt[row]);
    return {
      lateStart,
      lateFinish,
      lateStartDay: line.asStart(lateStart).day,
      lateFinishDay: line.asFinish(lateFinish).day,
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
    if (parts.length === 0) return null;
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
    const network = this.#network;
    const { state, ends, restAt } = this.#schedule.columns;
    const { order } = network.graph;
    const { project, line, latestFinish, latestStart, sizing, outbound } = network;
    for (let position = order.length - 1; position >= 0; position--) {
      const row = order[position];
      if (state[row] === NO_DATES || state[row] === SUM || state[row] === DONE) continue;
      const start = restAt[row];
      const finish = ends[2 * row + 1];
      const projectFinish = this.#finishOf(project[row], line[row]);
      this.#late = Math.min(projectFinish, latestFinish[row], latestStart[row] + finish - start);
      this.#room = projectFinish - finish;
      if (outbound.isWhole[row] === 1) this.#boundByPlainLinks(row, finish - start, finish);
      else this.#boundByLinks(row, finish - start, finish);
      const late = this.#late;
      this.lateFinish[row] = late;
      this.total[row] = late - finish;
      this.free[row] = Math.max(0, Math.min(late - finish, this.#room));
      const lateStart = late - (finish - start);
      // A task pinned too late does not let its predecessors be later still.
      this.#lateEnds[2 * row] = sizing[row] === PINNED ? Math.min(lateStart, start) : lateStart;
      this.#lateEnds[2 * row + 1] = sizing[row] === PINNED ? Math.min(late, finish) : late;
    }
  }

  #boundByPlainLinks(row: number, duration: number, finish: Instant): void {
    const { ends } = this.#schedule.columns;
    const { outbound, graph } = this.#network;
    const { end, gap, isAway } = outbound;
    const lateEnds = this.#lateEnds;
    let [late, room] = [this.#late, this.#room];
    const stop = graph.outOf.first[row + 1];
    for (let at = graph.outOf.first[row]; at < stop; at++) {
      const offset = isAway[at] * duration;
      late = Math.min(late, lateEnds[end[at]] - gap[at] + offset);
      room = Math.min(room, ends[end[at]] - gap[at] + offset - finish);
    }
    this.#late = late;
    this.#room = room;
  }

  /** By all links of a task and of the summaries above it, through dates where they have to be put on another line. */
  #boundByLinks(row: number, duration: number, finish: Instant): void {
    const { graph, linkKind } = this.#network;
    const { parent, outOf, to } = graph;
    const { state } = this.#schedule.columns;
    for (let at = row; at >= 0; at = parent[at])
      for (let i = outOf.first[at]; i < outOf.first[at + 1]; i++) {
        const link = outOf.members[i];
        const isOfStart = linkKind[link] === SS || linkKind[link] === SF;
        // The start of a summary depends on the leaves that start with it alone.
        if (at !== row && isOfStart && !this.#startsWith(row, at)) continue;
        // The start of a task under way is a fact.
        if (isOfStart && state[row] === BEGUN) continue;
        const offset = isOfStart ? duration : 0;
        for (const successor of leavesOf(graph, to[link])) {
          if (state[successor] === NO_DATES || state[successor] === DONE) continue;
          this.#late = Math.min(this.#late, this.#linkBound(link, successor, row, this.#lateEnds) + offset);
          this.#room = Math.min(this.#room, this.#linkBound(link, successor, row, this.#restEnds) + offset - finish);
        }
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

  /** The bound that a successor's start or finish puts on the predecessor, on the predecessor's line.
   * @param ends Of the successor: the late ones, or the actual ones. */
  #linkBound(link: number, successor: number, row: number, ends: Float64Array): Instant {
    const network = this.#network;
    const kind = network.linkKind[link];
    const isElapsed = network.isElapsed[link] === 1;
    const end = ends[2 * successor + (kind === FF || kind === SF ? 1 : 0)];
    const at = end - (isElapsed ? 0 : network.lag[link]) - network.stagger[successor];
    const line = network.lines[network.line[row]];
    const read = network.lines[network.line[successor]].asStart(at);
    const day = isElapsed ? read.day - network.lag[link] : read.day;
    const placed = placeOf(line, { day, tick: read.tick });
    return (kind === SS || kind === SF) && !line.isWorkingDay(day) ? placed - 1 : placed;
  }
}

function restEnds({ network, columns }: Schedule): Float64Array {
  if (!network.progress.isTracked) return columns.ends;
  const ends = columns.ends.slice();
  for (let row = 0; row < columns.state.length; row++) if (columns.state[row] === BEGUN) ends[2 * row] = columns.restAt[row];
  return ends;
}

const placeOf = (line: WorkingLine, { day, tick }: Shown): Instant => line.place(day, tick);
