// The input of the two passes, in typed arrays: sizes, constraints on each task's own line, lags.
import { parseDay } from "../calendar/day.ts";
import { type Instant, TICKS_PER_DAY, type WorkingLine } from "../calendar/workingLine.ts";
import { type Grouping, rowById } from "../plan/rows.ts";
import type { Link, Plan, Task } from "../plan/schema.ts";
import { forLeaves, isSummary, type TaskGraph } from "../plan/taskGraph.ts";
import { FINISHED, NO_DAY, NOT_STARTED, type Progress, UNDER_WAY } from "../progress/progress.ts";
import { lookUp } from "../values/lookUp.ts";
import { durationTicks, percentHundredths, roundedQuotient } from "../values/units.ts";
import { statedPin } from "./pin.ts";
import { NOT_BEFORE_RANK, PROJECT_START_RANK, STATUS_DATE_RANK } from "./ranks.ts";

/** How a task is sized; a finished task with actual dates is not sized any more. */
export const [UNSCHEDULED, SUMMARY, PINNED, DURATION, EFFORT, ACTUAL] = [0, 1, 2, 3, 4, 5];

export const [FS, SS, FF, SF] = [0, 1, 2, 3];
const linkKinds: Record<Link["kind"], number> = { FS, SS, FF, SF };

/** The plain links of each task, side by side as a pass reads them: those of task row r are at the places that the
 * graph's grouping gives to r. A link is plain between leaves that last, on one line, with a lag in working time: instants
 * stay what they are there, however they are read, and nothing has to be put on another line. */
export interface PlainLinks {
  /** By task row: 1 where these are all the links there are, the summaries above having none. */
  isWhole: Uint8Array;
  /** The end of the other task that is read, as an index of `DateColumns.ends`. */
  end: Int32Array;
  /** Ticks between that end and this task. */
  gap: Float64Array;
  /** 1 where the other end of this task is bound, which is its duration away. */
  isAway: Uint8Array;
}

/** A plan as the passes see it. Instants are on the task's own line; ±Infinity where nothing is stated. */
export interface Network {
  plan: Plan;
  graph: TaskGraph;
  /** By calendar row. */
  lines: readonly WorkingLine[];
  progress: Progress;
  /** By task row: how it is sized, its calendar row and its project row. */
  sizing: Uint8Array;
  line: Int32Array;
  project: Int32Array;
  /** In ticks; of a task under way that of its remaining part. */
  duration: Float64Array;
  stagger: Float64Array;
  /** First and last day of a pinned task, and of one that is finished with actual dates; the actual start of one under way. */
  pinStart: Int32Array;
  pinFinish: Int32Array;
  /** 1 of a task under way that is not pinned: the pass dates its remaining part. */
  isBegun: Uint8Array;
  /** The latest of the project's start, every `notBefore` that binds the task and the status date, and its rank among equal bounds. */
  earliest: Float64Array;
  earliestRank: Float64Array;
  leastFinish: Float64Array;
  /** From `notAfter`; from the deadlines that bind the task, its project's among them. */
  latestStart: Float64Array;
  latestFinish: Float64Array;
  /** By link row. A lag is in ticks, or in calendar days where it is elapsed. */
  linkKind: Uint8Array;
  lag: Float64Array;
  isElapsed: Uint8Array;
  inbound: PlainLinks;
  outbound: PlainLinks;
}

/** Lays out a plan for the passes. */
export function networkOf(plan: Plan, lines: readonly WorkingLine[], graph: TaskGraph, progress: Progress): Network {
  const [tasks, links] = [plan.tasks.length, plan.links.length];
  const network: Network = {
    plan,
    graph,
    lines,
    progress,
    sizing: new Uint8Array(tasks),
    line: new Int32Array(tasks),
    project: new Int32Array(tasks),
    duration: new Float64Array(tasks),
    stagger: new Float64Array(tasks),
    pinStart: new Int32Array(tasks),
    pinFinish: new Int32Array(tasks),
    earliest: new Float64Array(tasks),
    isBegun: new Uint8Array(tasks),
    earliestRank: new Float64Array(tasks),
    leastFinish: new Float64Array(tasks),
    latestStart: new Float64Array(tasks),
    latestFinish: new Float64Array(tasks),
    linkKind: new Uint8Array(links),
    lag: new Float64Array(links),
    isElapsed: new Uint8Array(links),
    inbound: emptyLinks(tasks, links),
    outbound: emptyLinks(tasks, links),
  };
  for (let row = 0; row < tasks; row++) writeTask(network, row);
  for (let row = 0; row < links; row++) writeLink(network, row);
  for (let row = 0; row < tasks; row++) writePlainLinks(network, row);
  return network;
}

/** The network of a plan whose rows are those of a former one, in which some tasks and links were changed. What binds
 * a summary binds the leaves below it, so these are laid out again with it. */
export function networkChanged(former: Network, plan: Plan, graph: TaskGraph, tasks: Iterable<number>, links: Iterable<number>): Network {
  const network: Network = { ...copyOf(former), plan, graph };
  const touched = new Set<number>();
  const write = (row: number) => {
    writeTask(network, row);
    touched.add(row);
    for (let at = graph.into.first[row]; at < graph.into.first[row + 1]; at++) touched.add(graph.from[graph.into.members[at]]);
    for (let at = graph.outOf.first[row]; at < graph.outOf.first[row + 1]; at++) touched.add(graph.to[graph.outOf.members[at]]);
  };
  for (const row of tasks) {
    write(row);
    forLeaves(graph, row, write);
  }
  for (const row of links) {
    writeLink(network, row);
    touched.add(graph.from[row]).add(graph.to[row]);
  }
  for (const row of touched) writePlainLinks(network, row);
  return network;
}

/** The same columns, to be written to. */
function copyOf(former: Network): Network {
  return {
    ...former,
    sizing: former.sizing.slice(),
    line: former.line.slice(),
    project: former.project.slice(),
    duration: former.duration.slice(),
    stagger: former.stagger.slice(),
    pinStart: former.pinStart.slice(),
    pinFinish: former.pinFinish.slice(),
    earliest: former.earliest.slice(),
    isBegun: former.isBegun.slice(),
    earliestRank: former.earliestRank.slice(),
    leastFinish: former.leastFinish.slice(),
    latestStart: former.latestStart.slice(),
    latestFinish: former.latestFinish.slice(),
    linkKind: former.linkKind.slice(),
    lag: former.lag.slice(),
    isElapsed: former.isElapsed.slice(),
    inbound: copyLinks(former.inbound),
    outbound: copyLinks(former.outbound),
  };
}

function emptyLinks(tasks: number, links: number): PlainLinks {
  return {
    isWhole: new Uint8Array(tasks),
    end: new Int32Array(links),
    gap: new Float64Array(links),
    isAway: new Uint8Array(links),
  };
}

function copyLinks({ isWhole, end, gap, isAway }: PlainLinks): PlainLinks {
  return { isWhole: isWhole.slice(), end: end.slice(), gap: gap.slice(), isAway: isAway.slice() };
}

function writeTask(network: Network, row: number): void {
  const { plan, lines } = network;
  const task = plan.tasks[row];
  const projectRow = lookUp(rowById(plan.projects), task.projectId);
  const project = plan.projects[projectRow];
  const calendar = lookUp(rowById(plan.calendars), task.calendarId ?? project.calendarId);
  const line = lines[calendar];
  network.sizing[row] = sizingOf(network, row);
  network.line[row] = calendar;
  network.project[row] = projectRow;
  network.latestFinish[row] = latestFinishOf(network, row, line);
  writeSize(network, row, line);
  writeBounds(network, row, line);
}

/** The size of a task: its days, or the ticks that it lasts or is left of it. */
function writeSize(network: Network, row: number, line: WorkingLine): void {
  const { plan, progress, sizing } = network;
  const task = plan.tasks[row];
  const isBegun = progress.stage[row] === UNDER_WAY && (sizing[row] === DURATION || sizing[row] === EFFORT);
  const hasActuals = isBegun || sizing[row] === ACTUAL;
  const pin = statedPin(task);
  network.isBegun[row] = isBegun ? 1 : 0;
  network.duration[row] = isBegun ? remainingTicks(progress, row, task, line) : durationTicks(task.durationDays ?? 0);
  network.stagger[row] = isBegun || sizing[row] === PINNED || sizing[row] === ACTUAL ? 0 : durationTicks(task.staggerDays ?? 0);
  network.pinStart[row] = hasActuals ? progress.actualStart[row] : (pin?.start ?? 0);
  network.pinFinish[row] = hasActuals ? progress.actualFinish[row] : (pin?.finish ?? 0);
}

/** The ticks that the remaining part of a task sized by duration lasts: by the hours left, else by the percentage, else by the days. */
function remainingTicks(
  { statedHours, remainingHours, actualStart, status }: Progress,
  row: number,
  task: Task,
  line: WorkingLine,
): number {
  const duration = durationTicks(task.durationDays ?? 0);
  if (statedHours[row] > 0) return roundedQuotient(duration * remainingHours[row], statedHours[row]);
  if (task.percentComplete !== undefined) return roundedQuotient(duration * (10_000 - percentHundredths(task.percentComplete)), 10_000);
  return Math.max(0, duration - (line.place(status, 0) - line.place(actualStart[row], 0)));
}

/** The constraints on the start and the finish of a task. What has begun is bound by the status date alone. */
function writeBounds(network: Network, row: number, line: WorkingLine): void {
  const { plan, graph, progress, isBegun } = network;
  const task = plan.tasks[row];
  let [latest, latestRank] = [Number.NEGATIVE_INFINITY, 0];
  const bind = (at: Instant, rank: number) => {
    if (at > latest || (at === latest && rank < latestRank)) [latest, latestRank] = [at, rank];
  };
  if (isBegun[row] === 1 || progress.stage[row] === NOT_STARTED) bind(line.place(progress.status, 0), STATUS_DATE_RANK);
  if (isBegun[row] === 0) {
    bind(line.place(parseDay(plan.projects[network.project[row]].start), 0), PROJECT_START_RANK);
    for (let at = row; at >= 0; at = graph.parent[at]) {
      const { notBefore } = plan.tasks[at];
      if (notBefore !== undefined) bind(line.place(parseDay(notBefore), 0), NOT_BEFORE_RANK);
    }
  }
  network.earliest[row] = latest;
  network.earliestRank[row] = latestRank;
  network.leastFinish[row] =
    task.finishNotBefore === undefined ? Number.NEGATIVE_INFINITY : line.place(parseDay(task.finishNotBefore), TICKS_PER_DAY);
  network.latestStart[row] =
    task.notAfter === undefined || isBegun[row] === 1 ? Number.POSITIVE_INFINITY : latestStart(line, task.notAfter);
}

/** The least of all that bounds a task's finish from above: deadlines and `finishNotAfter`, its own and those above it. */
function latestFinishOf({ plan, graph, project }: Network, row: number, line: WorkingLine): Instant {
  const { deadline } = plan.projects[project[row]];
  let latest = deadline === undefined ? Number.POSITIVE_INFINITY : endOf(line, deadline);
  for (let at = row; at >= 0; at = graph.parent[at]) {
    const bound = plan.tasks[at];
    if (bound.deadline !== undefined) latest = Math.min(latest, endOf(line, bound.deadline));
    if (bound.finishNotAfter !== undefined) latest = Math.min(latest, endOf(line, bound.finishNotAfter));
  }
  return latest;
}

function sizingOf({ plan, graph, progress }: Network, row: number): number {
  if (isSummary(graph, row)) return SUMMARY;
  const { sizing } = plan.tasks[row];
  if (sizing !== undefined && progress.stage[row] === FINISHED && progress.actualStart[row] !== NO_DAY) return ACTUAL;
  return sizing === "dates" ? PINNED : sizing === "duration" ? DURATION : sizing === "effort" ? EFFORT : UNSCHEDULED;
}

function writeLink(network: Network, row: number): void {
  const { kind, elapsed, lagDays } = network.plan.links[row];
  network.linkKind[row] = linkKinds[kind];
  network.isElapsed[row] = elapsed ? 1 : 0;
  network.lag[row] = elapsed ? (lagDays ?? 0) : durationTicks(lagDays ?? 0);
}

/** Lays out the links of a task for both passes. */
function writePlainLinks(network: Network, row: number): void {
  const { graph, inbound, outbound, linkKind, lag, stagger } = network;
  const { into, outOf, from, to } = graph;
  inbound.isWhole[row] = isAllPlain(network, into, row) ? 1 : 0;
  for (let at = into.first[row]; at < into.first[row + 1]; at++) {
    const link = into.members[at];
    const kind = linkKind[link];
    inbound.end[at] = 2 * from[link] + (kind === FS || kind === FF ? 1 : 0);
    inbound.gap[at] = lag[link];
    inbound.isAway[at] = kind === FF || kind === SF ? 1 : 0;
  }
  outbound.isWhole[row] = isAllPlain(network, outOf, row) ? 1 : 0;
  for (let at = outOf.first[row]; at < outOf.first[row + 1]; at++) {
    const link = outOf.members[at];
    const kind = linkKind[link];
    outbound.end[at] = 2 * to[link] + (kind === FF || kind === SF ? 1 : 0);
    outbound.gap[at] = lag[link] + stagger[to[link]];
    outbound.isAway[at] = kind === SS || kind === SF ? 1 : 0;
  }
}

function isAllPlain(network: Network, { first, members }: Grouping, row: number): boolean {
  const { parent } = network.graph;
  for (let above = parent[row]; above >= 0; above = parent[above]) if (first[above] < first[above + 1]) return false;
  for (let at = first[row]; at < first[row + 1]; at++) if (!isPlain(network, members[at])) return false;
  return true;
}

function isPlain(network: Network, link: number): boolean {
  const { graph, line, isElapsed } = network;
  const [from, to] = [graph.from[link], graph.to[link]];
  return isElapsed[link] === 0 && line[from] === line[to] && lasts(network, from) && lasts(network, to);
}

/** True of leaves that have instants of their own once they are dated. */
function lasts({ sizing, isBegun, lines, line, pinStart, pinFinish }: Network, row: number): boolean {
  if (sizing[row] !== PINNED) return isBegun[row] === 0 && (sizing[row] === DURATION || sizing[row] === EFFORT);
  const own = lines[line[row]];
  return own.indexOf(pinStart[row]) < own.indexOf(pinFinish[row] + 1);
}

/** The end of a date, or of the working day before it. */
export function endOf(line: WorkingLine, date: string): Instant {
  return line.place(parseDay(date), TICKS_PER_DAY);
}

/** Tick 0 of a date, or of the working day before it. */
export function latestStart(line: WorkingLine, date: string): Instant {
  const on = parseDay(date);
  return (line.indexOf(on) - (line.isWorkingDay(on) ? 0 : 1)) * TICKS_PER_DAY;
}
