// Critical path method, forward pass: the earliest dates of every task, and what decides each start.
import type { CapacityBook } from "../calendar/capacityBook.ts";
import { type Day, parseDay } from "../calendar/day.ts";
import { type Instant, TICKS_PER_DAY, type WorkingLine } from "../calendar/workingLine.ts";
import type { Assignment, Person } from "../plan/schema.ts";
import { forFollowers } from "../plan/taskGraph.ts";
import { NOT_STARTED, UNDER_WAY } from "../progress/progress.ts";
import { percentHundredths, roundedQuotient, workMinutes } from "../values/units.ts";
import type { Work } from "../work/work.ts";
import { forLinkBounds, isOfFinish } from "./bounds.ts";
import {
  BEGUN,
  BY_ACTUAL,
  BY_FINISH_NOT_BEFORE,
  BY_LINK,
  BY_NOT_BEFORE,
  BY_PIN,
  BY_PROJECT_START,
  BY_STAGGER,
  BY_STATUS_DATE,
  copyRow,
  type DateColumns,
  DONE,
  emptyDates,
  finishesBefore,
  IDLE_PIN,
  LEAF,
  NO_DATES,
  Schedule,
  SUM,
  sameDates,
  startsBefore,
} from "./dates.ts";
import { type Consumed, consumeEffort, type EffortPart, LONGEST_EFFORT_DAYS, leastStart } from "./effort.ts";
import { ACTUAL, DURATION, EFFORT, FF, FS, type Network, PINNED, SUMMARY, UNSCHEDULED } from "./network.ts";
import { LEAST_FINISH_RANK, NOT_BEFORE_RANK, STATUS_DATE_RANK } from "./ranks.ts";

/** Dates every task of a plan from the constraints, links and sizes it states. The plan must be free of link cycles. */
export function schedule(network: Network, work: Work, capacity: CapacityBook): Schedule {
  const pass = new ForwardPass(network, work, capacity, emptyDates(network.sizing.length));
  const { order } = network.graph;
  for (let at = 0; at < order.length; at++) pass.date(order[at]);
  return new Schedule(network, pass.dates);
}

/** The state of a task while some are dated again: to be dated; or dated with its work to be placed again, because its dates are
 * new or its people consume its effort again. */
export const [STALE, DATED_AGAIN] = [1, 2];

/** Dates some tasks again, and after them only those that what changed leads to.
 * @param dates The dates of all tasks as they were; they are written over.
 * @param stale By task row, `STALE` where a task has to be dated again; `DATED_AGAIN` is written where it was. */
export function reschedule(network: Network, work: Work, capacity: CapacityBook, dates: DateColumns, stale: Uint8Array): Schedule {
  const pass = new ForwardPass(network, work, capacity, dates);
  const { graph } = network;
  const former = emptyDates(1);
  for (let at = 0; at < graph.order.length; at++) {
    const row = graph.order[at];
    if (stale[row] !== STALE) continue;
    copyRow(dates, row, former, 0);
    former.driverLink[0] = dates.driverLink[row];
    dates.consumed.delete(row);
    pass.date(row);
    const isMoved = !sameDates(dates, row, former, 0);
    if (isMoved || network.sizing[row] === EFFORT) stale[row] = DATED_AGAIN;
    if (!isMoved && dates.driver[row] === former.driver[0] && dates.driverLink[row] === former.driverLink[0]) continue;
    forFollowers(graph, row, (follower) => {
      stale[follower] = STALE;
    });
  }
  return new Schedule(network, dates);
}

/** Part of an effort, with the id of its assignment. */
interface OwnPart extends EffortPart {
  id: string | null;
}

class ForwardPass {
  constructor(
    readonly network: Network,
    readonly work: Work,
    readonly capacity: CapacityBook,
    readonly dates: DateColumns,
  ) {}

  /** Dates one task; those it waits for must have been dated before. */
  date(row: number): void {
    const { network, dates } = this;
    const sizing = network.sizing[row];
    dates.driverLink[row] = -1;
    if (sizing === UNSCHEDULED) dates.state[row] = NO_DATES;
    else if (sizing === SUMMARY) this.#sumUp(row);
    else if (sizing === PINNED) this.#pin(row);
    else if (sizing === ACTUAL) this.#showActual(row);
    else if (sizing === EFFORT) this.#dateEffort(row);
    else this.#dateDuration(row);
  }

  #sumUp(row: number): void {
    const { dates, network } = this;
    const { first: begins, members } = network.graph.children;
    let [first, last] = [-1, -1];
    for (let at = begins[row]; at < begins[row + 1]; at++) {
      const child = members[at];
      if (dates.state[child] === NO_DATES) continue;
      if (first < 0 || startsBefore(dates, child, first)) first = child;
      if (last < 0 || finishesBefore(dates, last, child)) last = child;
    }
    dates.state[row] = first < 0 ? NO_DATES : SUM;
    if (first < 0) return;
    const line = network.lines[network.line[row]];
    dates.startDay[row] = dates.startDay[first];
    dates.startTick[row] = dates.startTick[first];
    dates.finishDay[row] = dates.finishDay[last];
    dates.finishTick[row] = dates.finishTick[last];
    dates.ends[2 * row] = line.place(dates.startDay[row], dates.startTick[row]);
    dates.ends[2 * row + 1] = line.place(dates.finishDay[row], dates.finishTick[row]);
    dates.restAt[row] = dates.ends[2 * row];
  }

  #pin(row: number): void {
    const { dates, network } = this;
    const line = network.lines[network.line[row]];
    const start = network.pinStart[row];
    const finish = network.pinFinish[row];
    const [first, next] = [line.indexOf(start), line.indexOf(finish + 1)];
    const isIdle = next <= first;
    dates.state[row] = isIdle ? IDLE_PIN : LEAF;
    dates.ends[2 * row] = first * TICKS_PER_DAY;
    dates.ends[2 * row + 1] = (isIdle ? first : next) * TICKS_PER_DAY;
    dates.restAt[row] = dates.ends[2 * row];
    // Typed days without work are read as every start and finish is; a task without any other keeps them.
    dates.startDay[row] = isIdle ? start : line.dayAt(first);
    dates.startTick[row] = 0;
    dates.finishDay[row] = isIdle ? finish : line.dayAt(next - 1);
    dates.finishTick[row] = TICKS_PER_DAY;
    dates.driver[row] = BY_PIN;
  }

  /** A finished task shows its actual dates, working days or not. */
  #showActual(row: number): void {
    const { dates, network } = this;
    const line = network.lines[network.line[row]];
    const [start, finish] = [network.pinStart[row], network.pinFinish[row]];
    dates.state[row] = DONE;
    dates.ends[2 * row] = line.place(start, 0);
    dates.ends[2 * row + 1] = line.place(finish, TICKS_PER_DAY);
    dates.restAt[row] = dates.ends[2 * row];
    dates.startDay[row] = start;
    dates.startTick[row] = 0;
    dates.finishDay[row] = finish;
    dates.finishTick[row] = TICKS_PER_DAY;
    dates.driver[row] = BY_ACTUAL;
  }

  /** A task under way shows its actual start, and the finish of its remaining part. */
  #showBegun(row: number, restAt: Instant, finishAt: Instant): void {
    const { dates, network } = this;
    const line = network.lines[network.line[row]];
    const start = network.pinStart[row];
    dates.state[row] = BEGUN;
    dates.ends[2 * row] = line.place(start, 0);
    dates.ends[2 * row + 1] = finishAt;
    dates.restAt[row] = restAt;
    dates.startDay[row] = start;
    dates.startTick[row] = 0;
    const isOneDate = finishAt <= dates.ends[2 * row] || this.#isWithoutDuration(row);
    const finish = isOneDate ? { day: start, tick: 0 } : line.asFinish(finishAt);
    dates.finishDay[row] = finish.day;
    dates.finishTick[row] = finish.tick;
    dates.driver[row] = BY_ACTUAL;
  }

  /** True of a milestone under way, and of an effort of nothing. */
  #isWithoutDuration(row: number): boolean {
    const { plan, sizing, progress } = this.network;
    const { durationDays = 0, effortHours = 0 } = plan.tasks[row];
    if (sizing[row] === DURATION) return durationDays === 0;
    return progress.statedHours[row] + progress.remainingHours[row] + progress.actualOfTask[row] === 0 && effortHours === 0;
  }

  #dateDuration(row: number): void {
    const { network, dates } = this;
    const duration = network.duration[row];
    const stagger = network.stagger[row];
    let free = network.earliest[row];
    let rank = network.earliestRank[row];
    const byFinish = network.leastFinish[row] - duration;
    if (byFinish > free || (byFinish === free && LEAST_FINISH_RANK < rank)) {
      free = byFinish;
      rank = LEAST_FINISH_RANK;
    }
    const { isWhole, end, gap, isAway } = network.inbound;
    const { into } = network.graph;
    if (isWhole[row] === 1) {
      const stop = into.first[row + 1];
      for (let at = into.first[row]; at < stop; at++) {
        const asked = dates.ends[end[at]] + gap[at] - isAway[at] * duration;
        if (asked < free || (asked === free && into.members[at] > rank)) continue;
        free = asked;
        rank = into.members[at];
      }
    } else
      forLinkBounds(network, dates, row, (link, at) => {
        const asked = at - (isOfFinish(network, link) ? duration : 0);
        if (asked < free || (asked === free && link > rank)) return;
        free = asked;
        rank = link;
      });
    if (network.isBegun[row] === 1) this.#showBegun(row, free, free + duration);
    else this.#show(row, free + stagger, free + stagger + duration, rank);
  }

  #dateEffort(row: number): void {
    const { network, dates } = this;
    const bounds = [{ at: network.leastFinish[row], ofFinish: true, rank: LEAST_FINISH_RANK }];
    bounds.push({ at: network.earliest[row], ofFinish: false, rank: network.earliestRank[row] });
    forLinkBounds(network, dates, row, (link, at) => bounds.push({ at, ofFinish: isOfFinish(network, link), rank: link }));
    const stagger = network.stagger[row];
    const parts = this.#partsOf(row);
    const run = (start: Instant) => this.#consume(row, start, parts);
    const earliest = Math.max(...bounds.map(({ ofFinish, at }) => (ofFinish ? Number.NEGATIVE_INFINITY : at)));
    const leastFinish = Math.max(...bounds.map(({ ofFinish, at }) => (ofFinish ? at : Number.NEGATIVE_INFINITY)));
    const free = leastStart(network.lines[network.line[row]], earliest, leastFinish, parts);
    const result = run(free + stagger);
    const unstaggered = stagger === 0 ? result : run(free);
    const isDeciding = ({ ofFinish, at }: (typeof bounds)[number]) => (ofFinish ? at === unstaggered.finish : at === free);
    const isWanted = ({ ofFinish, at }: (typeof bounds)[number]) => ofFinish && at === leastFinish;
    const deciding = bounds.some(isDeciding) ? bounds.filter(isDeciding) : bounds.filter(isWanted);
    dates.consumed.set(row, result.consumed);
    if (network.isBegun[row] === 1) this.#showBegun(row, free, result.finish);
    else this.#show(row, free + stagger, result.finish, Math.min(...deciding.map(({ rank }) => rank)));
  }

  /** The people who consume the effort of a task: its labour, or if there is none the hours of its calendar, without an id. */
  #partsOf(row: number): OwnPart[] {
    const { plan, lines, line: lineRows } = this.network;
    const { byTask, assignments, isMaterial, person } = this.work;
    const line = lines[lineRows[row]];
    const parts: OwnPart[] = [];
    const { stage, remaining, actualOfTask } = this.network.progress;
    // A task finished without actual dates is dated as if nothing were recorded.
    const isTracked = stage[row] === NOT_STARTED || stage[row] === UNDER_WAY;
    for (let i = byTask.first[row]; i < byTask.first[row + 1]; i++) {
      const at = byTask.members[i];
      if (at >= assignments || isMaterial[at] === 1) continue;
      const assignment = plan.assignments[at];
      parts.push({
        id: assignment.id,
        minutes: isTracked ? remaining[at] : workMinutes(assignment.hours ?? 0),
        fullOn: this.#fullDay(assignment, person[at], line),
        until: lastDayOf(assignment, plan.people[person[at]]),
      });
    }
    if (parts.length > 0) return parts;
    const effort = workMinutes(plan.tasks[row].effortHours ?? 0);
    const minutes = isTracked ? Math.max(0, effort - actualOfTask[row]) : effort;
    return [{ id: null, minutes, fullOn: (day) => line.minutesOn(day) }];
  }

  #consume(row: number, start: Instant, parts: readonly OwnPart[]) {
    const line = this.network.lines[this.network.line[row]];
    const consumed = new Map<string, Consumed | null>();
    let finish = start;
    const limit = line.asStart(start).day + LONGEST_EFFORT_DAYS;
    for (const { id, minutes, fullOn, until = limit } of parts) {
      const part = consumeEffort(line, start, minutes, fullOn, Math.min(limit, until));
      if (id !== null) consumed.set(id, part);
      if (part && part.finish > finish) finish = part.finish;
    }
    return { finish, consumed };
  }

  #fullDay({ percent = 100 }: Assignment, person: number, line: WorkingLine): (day: Day) => number {
    const share = percentHundredths(percent);
    const whole = person < 0 ? (day: Day) => line.minutesOn(day) : (day: Day) => this.capacity.on(person, day);
    return (day) => roundedQuotient(whole(day) * share, 10_000);
  }

  /** Writes a leaf's dates as read: what lasts no time shows one date, a finish only where a link from a finish alone
   * decides. @param rank The deciding bound: a link's row, or the rank of a constraint. */
  #show(row: number, startAt: Instant, finishAt: Instant, rank: number): void {
    const { network, dates } = this;
    const line = network.lines[network.line[row]];
    const isStaggered = network.stagger[row] > 0;
    const link = rank < NOT_BEFORE_RANK && !isStaggered ? rank : -1;
    dates.state[row] = LEAF;
    dates.ends[2 * row] = startAt;
    dates.ends[2 * row + 1] = finishAt;
    dates.restAt[row] = startAt;
    dates.driver[row] = isStaggered ? BY_STAGGER : driverOfRank(rank);
    dates.driverLink[row] = link;
    const kind = link < 0 ? -1 : network.linkKind[link];
    const isFinish = startAt !== finishAt || ((kind === FS || kind === FF) && network.earliest[row] !== startAt);
    const isStart = startAt !== finishAt || !isFinish;
    const lastIndex = Math.ceil(finishAt / TICKS_PER_DAY) - 1;
    const firstIndex = Math.floor(startAt / TICKS_PER_DAY);
    const from = isStart ? firstIndex : lastIndex;
    const until = isFinish ? lastIndex : firstIndex;
    dates.startDay[row] = line.dayAt(from);
    dates.startTick[row] = startAt - from * TICKS_PER_DAY;
    dates.finishDay[row] = line.dayAt(until);
    dates.finishTick[row] = finishAt - until * TICKS_PER_DAY;
  }
}

/** The last day on which an assignment can be worked on at all. */
function lastDayOf({ percent }: Assignment, person: Person | undefined): Day | undefined {
  if (percent === 0) return Number.NEGATIVE_INFINITY;
  return person?.employedTo === undefined ? undefined : parseDay(person.employedTo);
}

function driverOfRank(rank: number): number {
  if (rank < NOT_BEFORE_RANK) return BY_LINK;
  if (rank === NOT_BEFORE_RANK) return BY_NOT_BEFORE;
  if (rank === LEAST_FINISH_RANK) return BY_FINISH_NOT_BEFORE;
  return rank === STATUS_DATE_RANK ? BY_STATUS_DATE : BY_PROJECT_START;
}
