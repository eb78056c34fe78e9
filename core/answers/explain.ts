// The explanation of a person's capacity and load in a period, line by line; the lines add up to the figures.
import { fillCapacity, type Leave, patternOn, weekMinutesOf } from "../calendar/capacity.ts";
import { type Day, parseDay } from "../calendar/day.ts";
import { exceptionOn, isEmployedOn } from "../calendar/dayMarks.ts";
import type { Range } from "../calendar/periods.ts";
import { type Bar, barsOf } from "../load/bars.ts";
import { type Counting, defaultCounting } from "../load/counting.ts";
import { levelBandOf, overOf, type PeriodState, periodState, roomOf } from "../load/periodSums.ts";
import type { Model } from "../model.ts";
import { placedIn } from "../placing/placements.ts";
import { firstRoleName } from "../plan/names.ts";
import { knownRow, membersOf, rowById } from "../plan/rows.ts";
import type { Acceptance, Person, TimeOff } from "../plan/schema.ts";

/** One line of capacity in minutes; what removes is negative. */
export interface CapacityLine {
  kind: "week" | "notEmployed" | "exception" | "timeOff" | "overtime";
  /** Of a week: true where it is the person's own pattern. Else the name or kind of what changes it. */
  isPattern?: boolean;
  name?: string;
  note?: string;
  /** Of an exception: the first and last of its days in the period. */
  from?: Day;
  to?: Day;
  /** Days it concerns. */
  days: number;
  minutes: number;
}

export interface CellExplained {
  personId: string;
  name: string;
  roleName: string;
  range: Range;
  capacityLines: CapacityLine[];
  capacity: number;
  /** Leave that is asked for on these days, and by how much approving all of it would lower the capacity. */
  requestedLeave: { id: string; kind: TimeOff["kind"]; from: Day; to: Day }[];
  requestedMinutes: number;
  bars: Bar[];
  /** Recorded hours of tasks that are not the person's own: as a member of a team, or unplanned. */
  unplanned: { taskName: string; projectName: string; projectRow: number; minutes: number }[];
  /** True where days of the period have passed on which hours are recorded. */
  isRecorded: boolean;
  load: number;
  room: number;
  over: number;
  state: PeriodState;
  /** Days on which load passes capacity, worst first. */
  overDays: { day: Day; over: number; load: number; capacity: number }[];
  /** The reason why an overload of these days is accepted. */
  acceptances: Acceptance[];
}

/** Explains a person's figures of a period; null where the person is not in the plan. */
export function explainCell(model: Model, personId: string, range: Range, counting: Counting = defaultCounting): CellExplained | null {
  const { plan } = model;
  const row = rowById(plan.people).get(personId);
  if (row === undefined) return null;
  const person = plan.people[row];
  const book = model.load(counting);
  const load = book.of(row, range.start, range.stop);
  const own = model.capacity.of(row, range.start, range.stop);
  const capacityOn = (i: number) => own.regular[own.at + i] + own.overtime[own.at + i];
  const sums = { capacity: 0, load: 0 };
  const overDays: CellExplained["overDays"] = [];
  for (let i = 0; i < range.stop - range.start; i++) {
    const minutes = load.minutes[load.at + i];
    sums.capacity += capacityOn(i);
    sums.load += minutes;
    const over = overOf(capacityOn(i), minutes);
    if (over > 0) overDays.push({ day: range.start + i, over, load: minutes, capacity: capacityOn(i) });
  }
  return {
    personId,
    name: person.name,
    roleName: firstRoleName(plan, person) ?? "",
    range,
    capacityLines: capacityLines(model, row, range),
    ...sums,
    ...requestedOf(model, row, range),
    bars: barsOf(model, personId, range, [range], book.shares),
    unplanned: unplannedOf(model, row, range, book.shares),
    isRecorded: model.progress.isTracked && range.start < model.progress.status,
    room: roomOf(sums.capacity, sums.load),
    over: overOf(sums.capacity, sums.load),
    state: periodState(sums.capacity, sums.load, levelBandOf(plan)),
    overDays: overDays.sort((a, b) => b.over - a.over),
    acceptances: plan.acceptances.filter(
      (own) => own.personId === personId && parseDay(own.from) < range.stop && parseDay(own.to) >= range.start,
    ),
  };
}

function unplannedOf({ plan, work, placements }: Model, person: number, { start, stop }: Range, shares: Int32Array) {
  return [...membersOf(work.byPerson, person)].flatMap((row) => {
    const minutes = row < work.firstRecorded ? 0 : placedIn(placements, row, shares[row], start, stop);
    if (minutes === 0) return [];
    const projectRow = work.project[row];
    return [{ taskName: plan.tasks[work.task[row]].name, projectName: plan.projects[projectRow].name, projectRow, minutes }];
  });
}

interface ExceptionSums {
  days: number;
  minutes: number;
  from: Day;
  to: Day;
}

function requestedOf(
  { plan, capacity }: Model,
  row: number,
  { start, stop }: Range,
): Pick<CellExplained, "requestedLeave" | "requestedMinutes"> {
  const requestedLeave = (plan.people[row].timeOff ?? []).flatMap(({ id, kind, state, from, to }) => {
    const days = { from: parseDay(from), to: parseDay(to) };
    return state === "requested" && days.from < stop && days.to >= start ? [{ id, kind, ...days }] : [];
  });
  if (requestedLeave.length === 0) return { requestedLeave, requestedMinutes: 0 };
  const sumWith = (leave: Leave) => {
    const { regular, overtime } = capacity.fresh(row, start, stop, leave);
    return regular.reduce((sum, minutes, i) => sum + minutes + overtime[i], 0);
  };
  return { requestedLeave, requestedMinutes: sumWith("approved") - sumWith("approvedAndRequested") };
}

/** The steps from the plain week to the capacity of a range, each with what it adds or takes. */
export function capacityLines(model: Model, row: number, range: Range): CapacityLine[] {
  const person = model.plan.people[row];
  const line = model.personLines[row];
  const planStart = parseDay(model.plan.settings.planStart);
  const lines: CapacityLine[] = [];
  const plain = { own: { days: 0, minutes: 0 }, calendar: { days: 0, minutes: 0 } };
  const exceptions = new Map<string, ExceptionSums>();
  const away = { days: 0, minutes: 0 };
  for (let day = range.start; day < range.stop; day++) {
    const pattern = patternOn(person, day);
    const week = weekMinutesOf(person, line, day);
    const exception = line.exceptionOn(day);
    const change = exception < 0 ? 0 : (pattern ? Math.min(week, exception) : exception) - week;
    tally(pattern ? plain.own : plain.calendar, week);
    if (!isEmployedOn(person, planStart, day)) tally(away, -week);
    else if (change !== 0) {
      const entry = entryOf(exceptions, exceptionName(model, person, day), day);
      entry.to = day;
      tally(entry, change);
    }
  }
  if (plain.own.days > 0) lines.push({ kind: "week", isPattern: true, ...plain.own });
  if (plain.calendar.days > 0) lines.push({ kind: "week", isPattern: false, ...plain.calendar });
  if (away.days > 0) lines.push({ kind: "notEmployed", ...away });
  for (const [name, sums] of exceptions) lines.push({ kind: "exception", name, ...sums });
  return [...lines, ...leaveLines(model, row, range), ...overtimeLines(model, row, range)];
}

/** The hours that each approved time off takes, in list order: the difference on top of those before it. */
function leaveLines(model: Model, row: number, range: Range): CapacityLine[] {
  const person = model.plan.people[row];
  const offs = (person.timeOff ?? []).filter(({ state }) => state === "approved");
  const regularWith = (count: number) => {
    const days = range.stop - range.start;
    const [regular, overtime] = [new Int32Array(days), new Int32Array(days)];
    const planStart = parseDay(model.plan.settings.planStart);
    fillCapacity(
      { ...person, timeOff: offs.slice(0, count) },
      model.personLines[row],
      planStart,
      range.start,
      range.stop,
      regular,
      overtime,
    );
    return regular;
  };
  return offs.flatMap((off, at) => {
    if (parseDay(off.to) < range.start || parseDay(off.from) >= range.stop) return [];
    const [before, after] = [regularWith(at), regularWith(at + 1)];
    const sums = { days: 0, minutes: 0 };
    before.forEach((minutes, i) => {
      tally(sums, after[i] - minutes);
    });
    return sums.days === 0
      ? []
      : [{ kind: "timeOff" as const, name: off.kind, ...(off.note !== undefined && { note: off.note }), ...sums }];
  });
}

function overtimeLines(model: Model, row: number, range: Range): CapacityLine[] {
  const { overtime, at } = model.capacity.of(row, range.start, range.stop);
  const sums = { days: 0, minutes: 0 };
  for (let i = at; i < at + range.stop - range.start; i++) tally(sums, overtime[i]);
  return sums.days === 0 ? [] : [{ kind: "overtime", ...sums }];
}

function tally(sums: { days: number; minutes: number }, minutes: number): void {
  if (minutes === 0) return;
  sums.days++;
  sums.minutes += minutes;
}

function entryOf(entries: Map<string, ExceptionSums>, name: string, day: Day): ExceptionSums {
  const known = entries.get(name) ?? { days: 0, minutes: 0, from: day, to: day };
  entries.set(name, known);
  return known;
}

function exceptionName({ plan }: Model, person: Person, day: Day): string {
  return exceptionOn(knownRow(plan.calendars, person.calendarId), day)?.name ?? "";
}
