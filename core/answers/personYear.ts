// A person's year: capacity and load of every day with what makes it so, sums by month, and the work they are on.
import { type Day, parseDay } from "../calendar/day.ts";
import { type DayMark, personMarks } from "../calendar/dayMarks.ts";
import { periodSettingsOf } from "../calendar/horizon.ts";
import { periodsIn, type Range } from "../calendar/periods.ts";
import { type WeekSpan, weekSpans } from "../calendar/weekSpans.ts";
import { type Bar, barsOf } from "../load/bars.ts";
import { defaultCounting } from "../load/counting.ts";
import type { LoadBook } from "../load/loadBook.ts";
import { emptySums, levelBandOf, type PeriodState, periodState, sumDays } from "../load/periodSums.ts";
import type { Model } from "../model.ts";
import { type Unplaceable, unplaceablesOf } from "../placing/unplaceable.ts";
import { findRow, knownRow, rowById } from "../plan/rows.ts";
import type { Comment, Person, Plan, Team } from "../plan/schema.ts";

/** One day of the strip; minutes. */
export interface DayCell {
  day: Day;
  capacity: number;
  load: number;
  /** The plain week's minutes, before anything is removed or added. */
  plain: number;
  marks: DayMark[];
}

export interface MonthSums {
  month: Range;
  regular: number;
  overtime: number;
  load: number;
  state: PeriodState;
  /** The capacity that would be lost if every request were approved. */
  requested: number;
}

export interface PersonYear {
  person: Person;
  roleNames: string[];
  skills: { name: string; level: number }[];
  calendarName: string;
  teams: Team[];
  spans: WeekSpan[];
  range: Range;
  days: DayCell[];
  months: MonthSums[];
  work: Bar[];
  unplaceable: Unplaceable[];
  /** Comments that call upon them, or upon a team they are in, the newest first. */
  mentions: { comment: Comment; taskName: string; projectId: string }[];
}

/** A person's range day by day; null where there is nobody with this id. */
export function personYear(model: Model, personId: string, range: Range): PersonYear | null {
  const { plan } = model;
  const row = rowById(plan.people).get(personId);
  if (row === undefined) return null;
  const person = plan.people[row];
  const calendar = knownRow(plan.calendars, person.calendarId);
  const book = model.load(defaultCounting);
  const months = periodsIn(range, "month", { ...periodSettingsOf(plan), fiscalYearStartMonth: 1 });
  return {
    person,
    roleNames: person.roleIds.map((id) => findRow(plan.roles, id)?.name ?? id),
    skills: (person.skills ?? []).map(({ skillId, level }) => ({ name: findRow(plan.skills, skillId)?.name ?? skillId, level })),
    calendarName: calendar.name,
    teams: plan.teams.filter(({ memberIds }) => memberIds.includes(personId)),
    spans: weekSpans(person, calendar),
    range,
    days: dayCells(model, row, range, book),
    months: monthSums(model, row, range, months, book),
    work: barsOf(model, personId, range, [range], book.shares),
    unplaceable: unplaceablesOf(model, book.shares, row),
    mentions: mentionsOf(plan, personId),
  };
}

function mentionsOf(plan: Plan, personId: string): PersonYear["mentions"] {
  const teams = new Set(plan.teams.filter(({ memberIds }) => memberIds.includes(personId)).map(({ id }) => id));
  return plan.comments
    .filter(({ mentions }) => mentions?.some((called) => called.personId === personId || teams.has(called.teamId ?? "")))
    .map((comment) => {
      const task = findRow(plan.tasks, comment.taskId);
      return { comment, taskName: task?.name ?? "", projectId: task?.projectId ?? "" };
    })
    .sort((a, b) => b.comment.at.localeCompare(a.comment.at));
}

function dayCells(model: Model, row: number, range: Range, book: LoadBook): DayCell[] {
  const { plan, personLines } = model;
  const person = plan.people[row];
  const calendar = knownRow(plan.calendars, person.calendarId);
  const planStart = parseDay(plan.settings.planStart);
  const count = range.stop - range.start;
  const { regular, overtime, at } = model.capacity.of(row, range.start, range.stop);
  const load = book.of(row, range.start, range.stop);
  const plain = model.capacity.plainWeek(row, range.start, range.stop);
  return Array.from({ length: count }, (_, i) => ({
    day: range.start + i,
    capacity: regular[at + i] + overtime[at + i],
    load: load.minutes[load.at + i],
    plain: plain.minutes[plain.at + i],
    marks: personMarks(person, calendar, personLines[row], planStart, range.start + i),
  }));
}

function monthSums(model: Model, row: number, range: Range, months: readonly Range[], book: LoadBook): MonthSums[] {
  const now = model.capacity.of(row, range.start, range.stop);
  const granted = model.capacity.fresh(row, range.start, range.stop, "approvedAndRequested");
  const load = book.of(row, range.start, range.stop);
  const sums = emptySums(months.length);
  const grantedSums = emptySums(months.length);
  sumDays(now, load, months, sums);
  sumDays(granted, load, months, grantedSums);
  const band = levelBandOf(model.plan);
  return months.map((month, at) => {
    let overtime = 0;
    for (let day = month.start; day < month.stop; day++) overtime += now.overtime[now.at + day - range.start];
    return {
      month,
      regular: sums.capacity[at] - overtime,
      overtime,
      load: sums.load[at],
      state: periodState(sums.capacity[at], sums.load[at], band),
      requested: sums.capacity[at] - grantedSums.capacity[at],
    };
  });
}
