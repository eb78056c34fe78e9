// The bounds on a task's start and finish, one by one, with what each asks for.
import { parseDay } from "../calendar/day.ts";
import { type Instant, TICKS_PER_DAY, type WorkingLine } from "../calendar/workingLine.ts";
import { NOT_STARTED } from "../progress/progress.ts";
import { BEGUN, type DateColumns, DONE, type DriverKind, IDLE_PIN, LEAF, NO_DATES, type Schedule } from "./dates.ts";
import { FF, FS, type Network, SF } from "./network.ts";
import { LEAST_FINISH_RANK, NOT_BEFORE_RANK, PROJECT_START_RANK, STATUS_DATE_RANK } from "./ranks.ts";

/** One bound of a task: it asks for a start, or a finish, at `at` or later. */
export interface StartBound {
  kind: DriverKind;
  linkId?: string;
  at: Instant;
  /** Bounds of the finish are compared as starts once the duration is known. */
  ofFinish: boolean;
  /** Among equal bounds the lowest rank decides: links in plan order, then constraints, then the project's start. */
  rank: number;
}

/** The bounds of a task in a schedule that is worked out: its own constraints and links, and those of the summaries
 * above it. A pinned task is held to none of them. */
export function boundsOf({ network, columns }: Schedule, row: number): StartBound[] {
  const { plan, lines } = network;
  const line = lines[network.line[row]];
  const { progress } = network;
  const bounds: StartBound[] = [];
  if (columns.state[row] === DONE) return bounds;
  const isBegun = columns.state[row] === BEGUN;
  if (isBegun || progress.stage[row] === NOT_STARTED)
    bounds.push({ kind: "statusDate", at: line.place(progress.status, 0), ofFinish: false, rank: STATUS_DATE_RANK });
  if (!isBegun) bounds.push(...statedStarts(network, row, line));
  forLinkBounds(network, columns, row, (link, at) =>
    bounds.push({ kind: "link", linkId: plan.links[link].id, at, ofFinish: isOfFinish(network, link), rank: link }),
  );
  const { finishNotBefore } = plan.tasks[row];
  if (finishNotBefore !== undefined) {
    const at = line.place(parseDay(finishNotBefore), TICKS_PER_DAY);
    bounds.push({ kind: "finishNotBefore", at, ofFinish: true, rank: LEAST_FINISH_RANK });
  }
  return bounds;
}

/** The bounds of the project's start and of every `notBefore`, the task's own and those above it. */
function statedStarts({ plan, graph, project }: Network, row: number, line: WorkingLine): StartBound[] {
  const { start } = plan.projects[project[row]];
  const bounds: StartBound[] = [{ kind: "projectStart", at: line.place(parseDay(start), 0), ofFinish: false, rank: PROJECT_START_RANK }];
  for (let at = row; at >= 0; at = graph.parent[at]) {
    const { notBefore } = plan.tasks[at];
    if (notBefore !== undefined)
      bounds.push({ kind: "notBefore", at: line.place(parseDay(notBefore), 0), ofFinish: false, rank: NOT_BEFORE_RANK });
  }
  return bounds;
}

/** Every link that bounds a task, its own and those of the summaries above it, with the instant it asks for on the task's
 * line. What follows a task without dates is not bounded by it. */
export function forLinkBounds(network: Network, dates: DateColumns, row: number, visit: (link: number, at: Instant) => void): void {
  const { parent, into, from } = network.graph;
  for (let at = row; at >= 0; at = parent[at])
    for (let i = into.first[at]; i < into.first[at + 1]; i++) {
      const link = into.members[i];
      if (dates.state[from[link]] !== NO_DATES) visit(link, linkInstant(network, dates, link, network.line[row]));
    }
}

/** True of the kinds that bound the successor's finish. */
export function isOfFinish({ linkKind }: Network, link: number): boolean {
  return linkKind[link] === FF || linkKind[link] === SF;
}

/** The instant a link asks for on a line. @param lineRow Calendar row of the successor's line. The predecessor must
 * have dates. */
export function linkInstant(network: Network, dates: DateColumns, link: number, lineRow: number): Instant {
  const from = network.graph.from[link];
  const kind = network.linkKind[link];
  const readsFinish = kind === FS || kind === FF;
  // On one line a leaf's instant stays what it is, however it is read.
  if (network.line[from] === lineRow && dates.state[from] === LEAF && network.isElapsed[link] === 0)
    return dates.ends[2 * from + (readsFinish ? 1 : 0)] + network.lag[link];
  const { day, tick } = readsFinish
    ? finishRead(network.lines[network.line[from]], dates, from)
    : startRead(network.lines[network.line[from]], dates, from);
  const line = network.lines[lineRow];
  const lag = network.lag[link];
  return network.isElapsed[link] === 1 ? line.place(day + lag, tick) : line.place(day, tick) + lag;
}

// A leaf's instants are read on its own line. A pin over no working day starts at its instant and finishes as typed; a
// summary only has the dates it shows. Actual dates are read as they are shown, working day or not.
function finishRead(line: WorkingLine, dates: DateColumns, row: number) {
  const isRead = dates.state[row] === LEAF || dates.state[row] === BEGUN;
  return isRead ? line.asFinish(dates.ends[2 * row + 1]) : { day: dates.finishDay[row], tick: dates.finishTick[row] };
}

function startRead(line: WorkingLine, dates: DateColumns, row: number) {
  const isRead = dates.state[row] === LEAF || dates.state[row] === IDLE_PIN;
  return isRead ? line.asStart(dates.ends[2 * row]) : { day: dates.startDay[row], tick: dates.startTick[row] };
}
