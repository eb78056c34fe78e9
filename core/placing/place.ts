// Placing work: what an assignment asks for becomes buckets, and each bucket is spread over its days by weight.
import type { CapacityBook } from "../calendar/capacityBook.ts";
import { type Day, parseDay, weekdayOf } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import { TICKS_PER_DAY } from "../calendar/workingLine.ts";
import type { Assignment, Plan } from "../plan/schema.ts";
import { BY_RULE, FINISHED, type Progress, UNTRACKED } from "../progress/progress.ts";
import type { Schedule, TaskDates } from "../schedule/dates.ts";
import type { Consumed } from "../schedule/effort.ts";
import { partOf } from "../schedule/parts.ts";
import { roundedQuotient, workMinutes } from "../values/units.ts";
import { CUSTOM, HOURS, PER_DAY, PER_WEEK, PERCENT, type Shape, shapes } from "../work/statement.ts";
import type { Work } from "../work/work.ts";
import { allot, emptyPlacements, type Placements } from "./placements.ts";
import { applyShape, splitByWeight, takeShares } from "./split.ts";
import { windowOf } from "./window.ts";

/** The input of placing. */
export interface PlaceInput {
  plan: Plan;
  work: Work;
  schedule: Pick<Schedule, "of">;
  capacity: CapacityBook;
  progress: Progress;
}

/** Places all work of a plan. */
export function placeAll(input: PlaceInput): Placements {
  const placements = emptyPlacements(input.work.rows);
  for (let row = 0; row < input.work.assignments; row++) placeAssignment(input, placements, row);
  for (let row = input.work.firstRecorded; row < input.work.rows; row++) addActual(input, placements, row);
  for (const task of input.work.effortTasks) placeImplicitOpening(input, placements, task);
  return placements;
}

/** Places one assignment again; its former minutes are left behind in the buffer. */
export function placeAssignment(input: PlaceInput, placements: Placements, row: number): void {
  const { work } = input;
  if (placements.asked[row] > 0) clear(placements, row);
  if (work.isMaterial[row] === 1) return;
  const dates = input.schedule.of(work.task[row]);
  if (input.progress.stage[work.task[row]] !== UNTRACKED) {
    placeRemaining(input, placements, row, dates);
    addActual(input, placements, row);
    return;
  }
  if (dates === null) placeUnscheduled(input, placements, row);
  else if (dates.consumed !== null)
    placeConsumed(placements, row, work.amount[row], dates.consumed.get(input.plan.assignments[row].id) ?? null, dates.start.day);
  else if (work.way[row] === CUSTOM) spreadCustom(input, placements, row, dates);
  else spreadAssignment(input, placements, row, dates);
}

/** Places the implicit opening of a task: its effort less what its labour asks for, evenly over its window. */
export function placeImplicitOpening(input: PlaceInput, placements: Placements, task: number): void {
  const { work, plan } = input;
  const row = work.implicitRow[task];
  if (placements.asked[row] > 0) clear(placements, row);
  const asked = workMinutes(plan.tasks[task].effortHours ?? 0) - askedOfEffort(input, placements, task);
  if (asked <= 0 || input.progress.stage[task] === FINISHED) return;
  placements.asked[row] = asked;
  const shown = input.schedule.of(task);
  if (!shown) {
    leaveUnplaced(placements, row, unscheduledDay(input, row), asked);
    return;
  }
  const dates = restOf(input, task, shown);
  const window = windowOf(dates, work, row);
  const at = allot(placements, row, window.start, window.stop - window.start);
  weigh(dates, window, null, placements.buffer.minutes, at);
  placeBucket(placements, row, { minutes: asked, shape: "even", at, count: window.stop - window.start, unplacedDay: window.start });
}

/** The minutes of a task's effort that are worked or asked for. Of a tracked project each assignment counts with no less than it
 * states in hours: a person who needs less leaves no opening. */
function askedOfEffort({ work, progress }: PlaceInput, placements: Placements, task: number): number {
  let asked = 0;
  const isTracked = progress.stage[task] !== UNTRACKED;
  const parts = new Map<number, number>();
  for (let at = work.byTask.first[task]; at < work.byTask.first[task + 1]; at++) {
    const row = work.byTask.members[at];
    if (row >= work.firstRecorded && work.partOf[row] < 0) asked += placements.asked[row];
    else if (work.partOf[row] >= 0) parts.set(work.partOf[row], (parts.get(work.partOf[row]) ?? 0) + placements.asked[row]);
  }
  for (let at = work.byTask.first[task]; at < work.byTask.first[task + 1]; at++) {
    const row = work.byTask.members[at];
    if (row >= work.assignments) continue;
    const own = placements.asked[row] + (parts.get(row) ?? 0);
    const isOfHours = work.way[row] === HOURS || work.way[row] === CUSTOM;
    asked += isTracked && isOfHours && work.isMaterial[row] === 0 ? Math.max(own, work.amount[row]) : own;
  }
  return asked;
}

/** The dates of what is left of a task: from the later of the status date and its start, or that of its remaining part. */
function restOf({ progress }: PlaceInput, task: number, dates: TaskDates): TaskDates {
  if (progress.stage[task] === UNTRACKED) return dates;
  const { line, restAt, finishAt } = dates;
  const status = line.place(progress.status, 0);
  const startAt = Math.max(restAt, status);
  if (startAt === dates.startAt && dates.start.day >= progress.status) return dates;
  const isOver = startAt > finishAt;
  const day = Math.max(progress.status, startAt === restAt ? line.asStart(startAt).day : dates.start.day);
  return { ...dates, startAt: isOver ? finishAt : startAt, start: { day, tick: startAt === restAt ? line.asStart(startAt).tick : 0 } };
}

/** Places what remains of an assignment of a tracked project. */
function placeRemaining(input: PlaceInput, placements: Placements, row: number, shown: TaskDates | null): void {
  const { work, progress } = input;
  const task = work.task[row];
  const remaining = progress.remaining[row];
  if (progress.stage[task] === FINISHED) return;
  if (shown === null) {
    const asked = Math.max(0, remaining);
    placements.asked[row] = asked;
    leaveUnplaced(placements, row, unscheduledDay(input, row), asked);
    return;
  }
  const dates = restOf(input, task, shown);
  if (shown.consumed !== null)
    placeConsumed(placements, row, remaining, shown.consumed.get(input.plan.assignments[row].id) ?? null, dates.start.day);
  else if (work.way[row] === CUSTOM) spreadRemainingCustom(input, placements, row, shown);
  else if (remaining !== BY_RULE) spreadRemaining(input, placements, row, dates, remaining);
  else spreadAssignment(input, placements, row, dates);
}

/** One bucket of what remains, over the remaining window. */
function spreadRemaining(input: PlaceInput, placements: Placements, row: number, dates: TaskDates, minutes: number): void {
  const { work } = input;
  const window = windowOf(dates, work, row);
  const count = window.stop - window.start;
  const at = allot(placements, row, window.start, count);
  weigh(dates, window, capacityOver(input, row, window), placements.buffer.minutes, at);
  placements.asked[row] = minutes;
  const unplacedDay = count > 0 ? window.start : dates.start.day;
  placeBucket(placements, row, { minutes, shape: shapes[work.shape[row]], at, count, unplacedDay });
}

/** Places the part of typed periods from the status date on, up to the remaining minutes; the latest days are cut first. */
function spreadRemainingCustom(input: PlaceInput, placements: Placements, row: number, dates: TaskDates): void {
  const { status, remaining } = input.progress;
  spreadCustom(input, placements, row, dates);
  const days = placements.buffer.minutes;
  const [start, at] = [placements.start[row], placements.offset[row]];
  let left = remaining[row];
  for (let i = 0; i < placements.length[row]; i++) {
    const given = start + i < status ? 0 : Math.min(days[at + i], left);
    days[at + i] = given;
    left -= given;
  }
  placements.asked[row] = remaining[row];
  placements.placed[row] = remaining[row] - left;
  placements.unplaced[row] = 0;
  placements.unplacedAt.delete(row);
  leaveUnplaced(placements, row, status, left);
}

/** Adds the actual minutes of a row on the days they were recorded for. */
function addActual({ progress }: PlaceInput, placements: Placements, row: number): void {
  const line = progress.lines.get(row);
  if (!line) return;
  // A copy: where there is no more room, its days move with all others.
  const own = { start: placements.start[row], length: placements.length[row], days: placedDays(placements, row) };
  const last = line.days[line.days.length - 1] + 1;
  const start = own.length > 0 ? Math.min(own.start, line.days[0]) : line.days[0];
  const stop = own.length > 0 ? Math.max(own.start + own.length, last) : last;
  const at = allot(placements, row, start, stop - start);
  const { minutes } = placements.buffer;
  minutes.fill(0, at, at + stop - start);
  if (own.length > 0) minutes.set(own.days, at + own.start - start);
  line.days.forEach((day, i) => {
    minutes[at + day - start] += line.minutes[i];
  });
  placements.asked[row] += progress.actual[row];
  placements.placed[row] += progress.actual[row];
}

const placedDays = ({ buffer, offset, length }: Placements, row: number): Int32Array =>
  buffer.minutes.slice(offset[row], offset[row] + length[row]);

function clear(placements: Placements, row: number): void {
  placements.length[row] = 0;
  placements.asked[row] = 0;
  placements.placed[row] = 0;
  placements.unplaced[row] = 0;
  placements.unplacedAt.delete(row);
}

function placeUnscheduled(input: PlaceInput, placements: Placements, row: number): void {
  const way = input.work.way[row];
  const asked = way === HOURS || way === CUSTOM ? input.work.amount[row] : 0;
  placements.asked[row] = asked;
  leaveUnplaced(placements, row, unscheduledDay(input, row), asked);
}

function placeConsumed(placements: Placements, row: number, asked: number, consumed: Consumed | null, taskStart: Day): void {
  placements.asked[row] = asked;
  if (!consumed) {
    leaveUnplaced(placements, row, taskStart, asked);
    return;
  }
  if (consumed.days.length === 0) return;
  const first = consumed.days[0];
  const at = allot(placements, row, first, consumed.days[consumed.days.length - 1] - first + 1);
  consumed.days.forEach((day, k) => {
    placements.buffer.minutes[at + day - first] = consumed.minutes[k];
  });
  placements.placed[row] = asked;
}

function spreadAssignment(input: PlaceInput, placements: Placements, row: number, dates: TaskDates): void {
  const { work } = input;
  const amount = work.amount[row];
  const shape = shapes[work.shape[row]];
  const window = windowOf(dates, work, row);
  const count = window.stop - window.start;
  const at = allot(placements, row, window.start, count);
  weigh(dates, window, capacityOver(input, row, window), placements.buffer.minutes, at);
  const unplacedDay = count > 0 ? window.start : dates.start.day;
  switch (work.way[row]) {
    case PERCENT:
      takePercent(input, placements, row, { share: amount, dates, window, at, unplacedDay });
      break;
    case PER_DAY:
      takeDaily(placements, row, { perDay: amount, dates, window, at });
      break;
    case PER_WEEK:
      takeWeekly(placements, row, { perWeek: amount, shape, dates, window, at });
      break;
    default:
      placements.asked[row] = amount;
      placeBucket(placements, row, { minutes: amount, shape, at, count, unplacedDay });
  }
}

interface Minutes {
  regular: Int32Array;
  overtime: Int32Array;
  at: number;
}

function capacityOver({ work, capacity }: PlaceInput, row: number, window: Range): Minutes | null {
  return work.person[row] < 0 ? null : capacity.of(work.person[row], window.start, window.stop);
}

/** Writes the weight of each day of a window: capacity where the task's calendar works, times the part of the day inside. */
function weigh(dates: TaskDates, window: Range, capacity: Minutes | null, out: Int32Array, at: number): void {
  const count = window.stop - window.start;
  if (dates.startAt === dates.finishAt) {
    out.fill(0, at, at + count);
    return;
  }
  const working = dates.line.minutesOver(window.start, window.stop);
  if (capacity === null) for (let i = 0; i < count; i++) out[at + i] = working.minutes[working.at + i];
  else {
    const { regular, overtime, at: own } = capacity;
    for (let i = 0; i < count; i++) out[at + i] = working.minutes[working.at + i] === 0 ? 0 : regular[own + i] + overtime[own + i];
  }
  cutDay(dates, dates.start.day, window, out, at);
  if (dates.finish.day !== dates.start.day) cutDay(dates, dates.finish.day, window, out, at);
}

/** Cuts the weight of a task's first or last day down to the part of the day that lies inside. */
function cutDay(dates: TaskDates, day: Day, window: Range, out: Int32Array, at: number): void {
  const part = partOf(dates, day);
  if (part === TICKS_PER_DAY || day < window.start || day >= window.stop) return;
  const i = at + day - window.start;
  out[i] = roundedQuotient(out[i] * part, TICKS_PER_DAY);
}

/** Splits a bucket over the weights that are in its days, or leaves it unplaced where all of them are 0. */
function placeBucket(
  placements: Placements,
  row: number,
  { minutes, shape, at, count, unplacedDay }: { minutes: number; shape: Shape; at: number; count: number; unplacedDay: Day },
): void {
  const days = placements.buffer.minutes;
  applyShape(shape, days, at, count);
  if (!splitByWeight(minutes, days, at, count)) {
    leaveUnplaced(placements, row, unplacedDay, minutes);
    return;
  }
  placements.placed[row] += minutes;
}

function leaveUnplaced(placements: Placements, row: number, day: Day, minutes: number): void {
  if (minutes <= 0) return;
  placements.unplaced[row] += minutes;
  const known = placements.unplacedAt.get(row) ?? [];
  // A day has one entry: what counts in part is rounded once a day.
  const same = known.find((own) => own.day === day);
  const others = known.filter((own) => own !== same);
  placements.unplacedAt.set(row, [...others, { day, minutes: minutes + (same?.minutes ?? 0) }]);
}

/** The days of a task that a row of work is placed on: day `window.start + i` is slot `at + i` of the buffer. */
interface Slots {
  dates: TaskDates;
  window: Range;
  at: number;
}

function takePercent(
  input: PlaceInput,
  placements: Placements,
  row: number,
  { share, dates, window, at, unplacedDay }: Slots & { share: number; unplacedDay: Day },
): void {
  const given = takeShares(share, 10_000, placements.buffer.minutes, at, window.stop - window.start);
  placements.placed[row] = given;
  placements.asked[row] = roundedQuotient(share * plainWeights(input, row, dates, window), 10_000);
  leaveUnplaced(placements, row, unplacedDay, placements.asked[row] - given);
}

/** The sum of a window's weights taken with week hours alone. */
function plainWeights({ work, capacity }: PlaceInput, row: number, dates: TaskDates, window: Range): number {
  if (dates.startAt === dates.finishAt) return 0;
  const person = work.person[row];
  const working = dates.line.minutesOver(window.start, window.stop);
  const plain = person < 0 ? null : capacity.plainWeek(person, window.start, window.stop);
  let sum = 0;
  for (let i = 0; i < window.stop - window.start; i++) {
    if (working.minutes[working.at + i] === 0) continue;
    const day = window.start + i;
    const minutes = plain ? plain.minutes[plain.at + i] : dates.line.weekMinutesOn(day);
    const isCut = day === dates.start.day || day === dates.finish.day;
    sum += isCut ? roundedQuotient(minutes * partOf(dates, day), TICKS_PER_DAY) : minutes;
  }
  return sum;
}

function takeDaily(placements: Placements, row: number, { perDay, dates, window, at }: Slots & { perDay: number }): void {
  if (dates.startAt === dates.finishAt) return;
  const days = placements.buffer.minutes;
  const working = dates.line.minutesOver(window.start, window.stop);
  const count = window.stop - window.start;
  const bucket = new Int32Array(count);
  for (let i = 0; i < count; i++) bucket[i] = working.minutes[working.at + i] === 0 ? 0 : partOf(dates, window.start + i);
  const given = takeShares(perDay, TICKS_PER_DAY, bucket, 0, count);
  let placed = 0;
  for (let i = 0; i < count; i++) {
    if (working.minutes[working.at + i] === 0) continue;
    if (days[at + i] > 0) {
      days[at + i] = bucket[i];
      placed += bucket[i];
    } else leaveUnplaced(placements, row, window.start + i, bucket[i]);
  }
  placements.placed[row] = placed;
  placements.asked[row] = given;
}

function takeWeekly(
  placements: Placements,
  row: number,
  { perWeek, shape, dates, window, at }: Slots & { perWeek: number; shape: Shape },
): void {
  if (dates.startAt === dates.finishAt) return;
  const working = dates.line.minutesOver(window.start, window.stop);
  for (let start = window.start; start < window.stop; ) {
    const stop = Math.min(window.stop, start - weekdayOf(start) + 7);
    let parts = 0;
    for (let day = start; day < stop; day++) if (working.minutes[working.at + day - window.start] > 0) parts += partOf(dates, day);
    const minutes = roundedQuotient(perWeek * parts, TICKS_PER_DAY * dates.line.plainWorkingDays);
    placements.asked[row] += minutes;
    placeBucket(placements, row, { minutes, shape, at: at + start - window.start, count: stop - start, unplacedDay: start });
    start = stop;
  }
}

/** The calendar days by which typed periods have moved with their task since they were typed. */
export function customShift({ customFrom }: Assignment, { start }: TaskDates): number {
  return customFrom === undefined ? 0 : start.day - parseDay(customFrom);
}

/** Typed buckets: on the task calendar's working days from–to, whole days, regardless of the task's own dates. */
function spreadCustom(input: PlaceInput, placements: Placements, row: number, dates: TaskDates): void {
  const assignment = input.plan.assignments[row];
  const shift = customShift(assignment, dates);
  const buckets = (assignment.custom ?? []).map(({ from, to, hours }) => ({
    start: parseDay(from) + shift,
    stop: parseDay(to) + 1 + shift,
    minutes: workMinutes(hours),
  }));
  if (buckets.length === 0) return;
  const start = Math.min(...buckets.map((bucket) => bucket.start));
  const stop = Math.max(...buckets.map((bucket) => bucket.stop));
  const at = allot(placements, row, start, stop - start);
  const days = placements.buffer.minutes;
  days.fill(0, at, at + stop - start);
  for (const bucket of buckets) {
    placements.asked[row] += bucket.minutes;
    const count = bucket.stop - bucket.start;
    const own = wholeDayWeights(input, row, dates, bucket);
    if (count === 1 && shift === 0) own[0] = 1;
    if (own.every((weight) => weight === 0)) {
      leaveUnplaced(placements, row, bucket.start, bucket.minutes);
      continue;
    }
    applyShape(shapes[input.work.shape[row]], own, 0, count);
    splitByWeight(bucket.minutes, own, 0, count);
    own.forEach((minutes, i) => {
      days[at + bucket.start - start + i] += minutes;
    });
    placements.placed[row] += bucket.minutes;
  }
}

function wholeDayWeights(input: PlaceInput, row: number, { line }: TaskDates, { start, stop }: Range): Int32Array {
  const weights = new Int32Array(stop - start);
  const capacity = capacityOver(input, row, { start, stop });
  for (let day = start; day < stop; day++) {
    const i = day - start;
    const hours = line.minutesOn(day);
    weights[i] = hours === 0 || capacity === null ? hours : capacity.regular[capacity.at + i] + capacity.overtime[capacity.at + i];
  }
  return weights;
}

/** The day on which reports count what an unscheduled task asks for: its project's start, never before the status date of a
 * tracked project. */
function unscheduledDay({ plan, work, progress }: PlaceInput, row: number): Day {
  const start = parseDay(plan.projects[work.project[row]].start);
  return progress.stage[work.task[row]] === UNTRACKED ? start : Math.max(start, progress.status);
}
