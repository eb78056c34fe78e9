// The moves of evening out for one piece of work, each with its change of everyone's days.
import { type Day, formatDay } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import { TICKS_PER_DAY } from "../calendar/workingLine.ts";
import { costOfMinutes } from "../cost/labour.ts";
import { costRole, rateBookOf } from "../cost/rateBook.ts";
import type { SingleEdit } from "../edits/edit.ts";
import type { Model } from "../model.ts";
import { windowOf } from "../placing/window.ts";
import { membersOf } from "../plan/rows.ts";
import type { Task } from "../plan/schema.ts";
import type { TaskDates } from "../schedule/dates.ts";
import { runsOf } from "../values/runs.ts";
import { workMinutes } from "../values/units.ts";
import { CUSTOM, HOURS } from "../work/statement.ts";
import { delayEdits, isInTotals } from "./delay.ts";
import { sharedEdits, splitEdit } from "./give.ts";
import { MOST_OVERTIME, type RemedyKind } from "./kinds.ts";
import type { Loads, Part, PersonParts } from "./loads.ts";
import { workedDays } from "./overloadCase.ts";
import { mayTake } from "./recipients.ts";
import type { TrialPlacer, TriedPlace, TriedRow } from "./trialPlacer.ts";

/** One move. Minutes are exact, so that what it changes is what will be. */
export interface Move {
  /** Of the assignment, or of the person who works overtime. */
  id: string;
  kind: RemedyKind;
  /** Rows of the task and of the work; −1 for overtime. */
  task: number;
  row: number;
  /** Distinguishes moves of one kind, one piece of work and one taker: days, minutes or a date. */
  variant: number;
  /** The person row that receives the work; −1 for nobody. */
  recipient: number;
  parts: PersonParts[];
  unplaced: number;
  /** Made when the move is; null where it cannot be. */
  edits: (newId: () => string) => SingleEdit[] | null;
}

export interface MoveOptions {
  kinds: ReadonlySet<RemedyKind>;
  today: Day | null;
  /** How far a task may be delayed, in working days. */
  mostDelayDays: number;
  /** Leaves confirmed work as it is. */
  isPencilledOnly: boolean;
}

/** People that are tried for one piece of work; for a part of it fewer. */
const [MOST_RECIPIENTS, MOST_RECIPIENTS_OF_PART] = [24, 8];
/** Days later that are tried. */
const DELAYS = [1, 2, 3, 4, 5, 7, 10, 15, 20, 30, 40, 60];

/** The moves of one model. */
export class Moves {
  readonly #recipients = new Map<number, number[]>();
  readonly #peopleOf = new Map<number, number[]>();

  constructor(
    readonly model: Model,
    readonly placer: TrialPlacer,
    readonly loads: Loads,
    readonly options: MoveOptions,
  ) {}

  /** Every move of a row of work that might take minutes off some days. @param over Days that have too much, in order. */
  *of(row: number, over: readonly Day[]): Generator<Move> {
    const { model, options } = this;
    const { kinds, today } = options;
    const task = model.work.task[row];
    const dates = model.schedule.of(task);
    if (!dates || dates.consumed !== null) return;
    const place = this.#placeOf(row);
    const hasBegun = today !== null && workedDays(model, row).start < today;
    if (!hasBegun && kinds.has("give")) yield* this.#gives(row, place);
    if (kinds.has("handOver")) yield* this.#handOvers(row, place, over);
    if (!hasBegun && kinds.has("share")) yield* this.#shares(row, place);
    if (!hasBegun && kinds.has("delay")) yield* this.#delays(row, dates);
    if (!hasBegun && kinds.has("spread")) yield* this.#spreads(row, dates);
  }

  /** Overtime that covers the days on which a person has too much, one entry for each run of such days. Capacity that is added has
   * the effect of load that is removed. @param over Days that have too much, in order. */
  overtimeOf(person: number, over: readonly Day[]): Move | null {
    const { model, options, loads } = this;
    const days = over.filter((day) => options.today === null || day >= options.today);
    if (days.length === 0 || !options.kinds.has("overtime")) return null;
    const { id, overtime: known = [] } = model.plan.people[person];
    const runs = runsOf(days).map(({ first, last }) => {
      let most = 0;
      for (let day = first; day <= last; day++) most = Math.max(most, loads.loadOn(person, day) - loads.capacityOn(person, day));
      const hoursPerDay = Math.min(MOST_OVERTIME, Math.ceil(most / 15) / 4);
      return { first, last, hoursPerDay };
    });
    const parts = runs.map(({ first, last, hoursPerDay }): Part => {
      const minutes = new Int32Array(last + 1 - first).fill(workMinutes(hoursPerDay));
      return { start: first, minutes, sign: -1 };
    });
    return {
      id,
      kind: "overtime",
      task: -1,
      row: -1,
      recipient: -1,
      variant: days[0],
      unplaced: 0,
      parts: [{ person, parts }],
      edits: (newId) => {
        const entries = runs.map(({ first, last, hoursPerDay }) => ({
          id: newId(),
          from: formatDay(first),
          to: formatDay(last),
          hoursPerDay,
        }));
        return [{ kind: "changePerson", id, set: { overtime: [...known, ...entries] } }];
      },
    };
  }

  /** The added cost of labour of a move, at the standard rates of its days, in minor units. Delays and longer tasks count as 0,
   * because they seldom meet another rate; so does overtime, which is compared with no other kind. */
  costOf({ kind, row, parts }: Move): number {
    const { plan, work } = this.model;
    const book = rateBookOf(plan);
    const table =
      kind === "delay" || kind === "spread" || kind === "overtime" ? undefined : book.table(plan.projects[work.project[row]].costTableId);
    if (!table) return 0;
    const exchange = book.exchange(table);
    let cost = 0;
    for (const { person, parts: own } of parts) {
      const stretches = book.labour(table, plan.people[person].id, costRole(plan, work.role[row], person));
      for (const { start, minutes, sign } of own) cost += sign * costOfMinutes(stretches, exchange, start, minutes);
    }
    return cost;
  }

  /** Every transfer of a row of work that has not begun. */
  *givesOf(row: number): Generator<Move> {
    const { model, options } = this;
    const dates = row < 0 ? null : model.schedule.of(model.work.task[row]);
    if (!dates || dates.consumed !== null) return;
    const place = this.#placeOf(row);
    if (options.today === null || workedDays(model, row).start >= options.today) yield* this.#gives(row, place);
  }

  /** The people who may take a row of work: those with most room on its days first, then in plan order. */
  recipientsOf(row: number): readonly number[] {
    let recipients = this.#recipients.get(row);
    if (!recipients) {
      const { model, loads } = this;
      const { work, schedule } = model;
      const dates = schedule.of(work.task[row]);
      const window = dates ? windowOf(dates, work, row) : { start: 0, stop: 0 };
      const placed = workedDays(model, row);
      const range: Range = { start: Math.min(window.start, placed.start), stop: Math.max(window.stop, placed.stop) };
      const place = this.#placeOf(row);
      recipients = this.#peopleWith(work.role[row])
        .filter((recipient) => mayTake(model, row, recipient, range))
        .map((recipient) => ({ recipient, fits: loads.fits(recipient, place) }))
        .sort((a, b) => b.fits - a.fits || a.recipient - b.recipient)
        .slice(0, MOST_RECIPIENTS)
        .map(({ recipient }) => recipient);
      this.#recipients.set(row, recipients);
    }
    return recipients;
  }

  /** People with a role, or everyone if no role is stated or the holder does not have it, either. */
  #peopleWith(role: number): number[] {
    let people = this.#peopleOf.get(role);
    if (!people) {
      const { plan } = this.model;
      const id = plan.roles[role]?.id;
      people = plan.people.flatMap((person, at) => (id === undefined || person.roleIds.includes(id) ? [at] : []));
      if (people.length === 0) people = plan.people.map((_, at) => at);
      this.#peopleOf.set(role, people);
    }
    return people;
  }

  #placeOf(row: number): TriedPlace {
    return this.placer.place(row, {});
  }

  *#gives(row: number, place: TriedPlace): Generator<Move> {
    const { plan, work } = this.model;
    const { id } = plan.assignments[row];
    for (const recipient of this.recipientsOf(row)) {
      const taken = this.placer.place(row, { person: recipient });
      if (taken.asked !== place.asked) continue;
      const personId = plan.people[recipient].id;
      yield {
        ...this.#moved(row, { kind: "give", recipient, variant: 0, unplaced: taken.unplaced - place.unplaced }),
        parts: [leaving(work.person[row], place), coming(recipient, taken)],
        edits: () => [{ kind: "reassign", id, personId }],
      };
    }
  }

  /** From a day that has too much on; the first few of them, after gaps first. */
  *#handOvers(row: number, place: TriedPlace, over: readonly Day[]): Generator<Move> {
    const { model, placer } = this;
    const { plan, work } = model;
    const assignment = plan.assignments[row];
    if (work.way[row] === CUSTOM) return;
    const stop = place.start + place.minutes.length;
    const dates = over
      .filter((day, at) => day > place.start && day < stop && (at === 0 || over[at - 1] < day - 3 || over.length < 6))
      .slice(0, 4);
    for (const date of dates) {
      const later = place.minutes.subarray(date - place.start).reduce((sum, minutes) => sum + minutes, 0);
      if (later === 0) continue;
      const isTotal = work.way[row] === HOURS;
      const hours = Math.min(assignment.hours ?? 0, Math.round(later / 0.6) / 100);
      const [given, kept] = [workMinutes(hours), workMinutes(Math.round(((assignment.hours ?? 0) - hours) * 100) / 100)];
      const stays = placer.place(row, { to: date - 1, ...(isTotal && { amount: kept }) });
      for (const recipient of this.recipientsOf(row).slice(0, MOST_RECIPIENTS_OF_PART)) {
        const taken = placer.place(row, { person: recipient, from: Math.max(date, work.from[row]), ...(isTotal && { amount: given }) });
        if (stays.asked + taken.asked !== place.asked) continue;
        const personId = plan.people[recipient].id;
        yield {
          ...this.#moved(row, { kind: "handOver", recipient, variant: date, unplaced: stays.unplaced + taken.unplaced - place.unplaced }),
          parts: byPerson([leaving(work.person[row], place), coming(work.person[row], stays), coming(recipient, taken)]),
          edits: (newId) => {
            const edit = splitEdit(model, row, { from: date, personId, newId });
            return edit ? [edit] : null;
          },
        };
      }
    }
  }

  *#shares(row: number, place: TriedPlace): Generator<Move> {
    const { model, placer } = this;
    const { plan, work } = model;
    if (work.way[row] !== HOURS) return;
    const all = work.amount[row];
    const excess = this.#excessOf(work.person[row], place);
    for (const recipient of this.recipientsOf(row).slice(0, MOST_RECIPIENTS_OF_PART)) {
      const room = this.#roomFor(recipient, placer.place(row, { person: recipient }));
      const parts = [0.25, 0.5, 0.75, room, excess].map((part) => Math.floor(all * part));
      for (const given of new Set(parts.filter((minutes) => minutes > 0 && minutes < all))) {
        const stays = placer.place(row, { amount: all - given });
        const taken = placer.place(row, { person: recipient, amount: given });
        const personId = plan.people[recipient].id;
        yield {
          ...this.#moved(row, { kind: "share", recipient, variant: given, unplaced: stays.unplaced + taken.unplaced - place.unplaced }),
          parts: byPerson([leaving(work.person[row], place), coming(work.person[row], stays), coming(recipient, taken)]),
          edits: (newId) => sharedEdits(plan.assignments[row], given / all, personId, newId),
        };
      }
    }
  }

  /** The share of some work that fills exactly the room a person has on its fullest day: more would overload them. */
  #roomFor(person: number, { start, minutes }: TriedPlace): number {
    let share = 1;
    minutes.forEach((own, at) => {
      if (own === 0) return;
      const free = this.loads.capacityOn(person, start + at) - this.loads.loadOn(person, start + at);
      share = Math.min(share, Math.max(0, free) / own);
    });
    return share;
  }

  /** The share of a person's work that has to go so that none of its days is over. */
  #excessOf(person: number, { start, minutes }: TriedPlace): number {
    let share = 0;
    minutes.forEach((own, at) => {
      if (own === 0) return;
      const over = this.loads.loadOn(person, start + at) - this.loads.capacityOn(person, start + at);
      share = Math.max(share, Math.min(1, over / own));
    });
    return share;
  }

  /** Later within what follows it leaves free: nothing else moves. Everyone on the task comes along. */
  *#delays(row: number, dates: TaskDates): Generator<Move> {
    const { model } = this;
    yield* this.#later(row, dates, "delay", (days) => {
      const edits = delayEdits(model, model.work.task[row], dates, days);
      if (!edits) return null;
      const moved = shifted(dates, days);
      return { edits, tried: (at) => ownDates(model, at, moved, moved.start.day - dates.start.day) };
    });
  }

  /** More days for the same hours, within what follows it leaves free. Everyone on the task works longer on it. */
  *#spreads(row: number, dates: TaskDates): Generator<Move> {
    const { model } = this;
    const task = model.work.task[row];
    if (!isInTotals(model, task)) return;
    yield* this.#later(row, dates, "spread", (days) => {
      const moved = lengthened(dates, days);
      const edit = longerEdit(model.plan.tasks[task], days, moved.finish.day);
      return edit && { edits: [edit], tried: () => ({ dates: moved }) };
    });
  }

  /** Moves that end a task some working days later, for everyone on it. @param change Null where the task cannot be changed so. */
  *#later(
    row: number,
    dates: TaskDates,
    kind: "delay" | "spread",
    change: (days: number) => { edits: SingleEdit[]; tried: (row: number) => TriedRow } | null,
  ): Generator<Move> {
    const { options } = this;
    const { work } = this.model;
    const rows = this.#rowsThatMove(work.task[row], dates);
    if (!rows) return;
    const free = Math.floor((this.model.slack().of(work.task[row])?.free ?? 0) / TICKS_PER_DAY);
    const before = rows.map((at) => this.#placeOf(at));
    for (const days of DELAYS) {
      if (days > Math.min(free, options.mostDelayDays)) return;
      const changed = change(days);
      if (!changed) return;
      const after = rows.map((at) => this.placer.place(at, changed.tried(at)));
      if (after.some(({ asked }, at) => asked !== before[at].asked)) continue;
      const unplaced = after.reduce((sum, own, at) => sum + own.unplaced - before[at].unplaced, 0);
      yield {
        ...this.#moved(row, { kind, recipient: -1, variant: days, unplaced }),
        parts: byPerson(rows.flatMap((at, k) => [leaving(work.person[at], before[k]), coming(work.person[at], after[k])])),
        edits: () => changed.edits,
      };
    }
  }

  /** The work on a task that moves with it; null when the task has begun, or when work on it is locked. */
  #rowsThatMove(task: number, dates: TaskDates): number[] | null {
    const { model, options } = this;
    const { plan, work } = model;
    if (dates.isIdlePin || dates.startAt === dates.finishAt || (options.today !== null && dates.start.day < options.today)) return null;
    const { state, percentComplete = 0 } = plan.tasks[task];
    if (state === "underWay" || percentComplete > 0) return null;
    const rows = [...membersOf(work.byTask, task)].filter((at) => work.isMaterial[at] === 0 && work.person[at] >= 0);
    const stays = (at: number) => plan.people[work.person[at]].locked || (options.isPencilledOnly && work.isPencilled[at] === 0);
    return rows.some(stays) ? null : rows;
  }

  #moved(row: number, own: Pick<Move, "kind" | "recipient" | "variant" | "unplaced">): Omit<Move, "parts" | "edits"> {
    return { id: this.model.plan.assignments[row].id, task: this.model.work.task[row], row, ...own };
  }
}

const leaving = (person: number, { start, minutes }: TriedPlace): PersonParts => ({ person, parts: [{ start, minutes, sign: -1 }] });
const coming = (person: number, { start, minutes }: TriedPlace): PersonParts => ({ person, parts: [{ start, minutes, sign: 1 }] });

/** All changes of one person are combined, so that their days are checked once. */
export function byPerson(all: readonly PersonParts[]): PersonParts[] {
  const people = new Map<number, Part[]>();
  for (const { person, parts } of all) people.set(person, [...(people.get(person) ?? []), ...parts]);
  return [...people].map(([person, parts]) => ({ person, parts }));
}

function shifted(dates: TaskDates, days: number): TaskDates {
  const { line } = dates;
  const [startAt, finishAt] = [dates.startAt + days * TICKS_PER_DAY, dates.finishAt + days * TICKS_PER_DAY];
  return { ...dates, startAt, finishAt, start: line.asStart(startAt), finish: line.asFinish(finishAt) };
}

function lengthened(dates: TaskDates, days: number): TaskDates {
  const finishAt = dates.finishAt + days * TICKS_PER_DAY;
  return { ...dates, finishAt, finish: dates.line.asFinish(finishAt) };
}

/** The edit that lets a task last some working days longer; null of a task whose length follows from its work. */
function longerEdit({ id, sizing, durationDays, start, finish }: Task, days: number, finishDay: Day): SingleEdit | null {
  if (sizing === "duration" && durationDays) return { kind: "changeTask", id, set: { durationDays: durationDays + days } };
  if (sizing !== "dates" || start === undefined || finish === undefined) return null;
  return { kind: "changeTask", id, set: { finish: formatDay(finishDay) } };
}

function ownDates({ work, plan }: Model, row: number, dates: TaskDates, by: number): TriedRow {
  const { from, to } = plan.assignments[row] ?? {};
  return { dates, ...(from !== undefined && { from: work.from[row] + by }), ...(to !== undefined && { to: work.to[row] + by }) };
}
