// Places single rows of work as they would be with someone else, later or in part, without a copy of the plan.
import type { Day } from "../calendar/day.ts";
import type { Model } from "../model.ts";
import { type PlaceInput, placeAssignment } from "../placing/place.ts";
import { emptyPlacements } from "../placing/placements.ts";
import { BY_RULE } from "../progress/progress.ts";
import type { TaskDates } from "../schedule/dates.ts";
import type { Work } from "../work/work.ts";

/** The changes to try on a row of work; keys that are not stated stay. */
export interface TriedRow {
  person?: number;
  amount?: number;
  from?: Day;
  to?: Day;
  dates?: TaskDates;
}

/** The minutes as they would be placed; the array belongs to the caller. */
export interface TriedPlace {
  start: Day;
  minutes: Int32Array;
  asked: number;
  unplaced: number;
}

/** Places rows of one model. Work sized by effort is not for it: its dates depend on who does it. */
export class TrialPlacer {
  readonly #work: Work;
  readonly #input: PlaceInput;
  readonly #remaining: Int32Array;
  readonly #placements;
  #dates: { task: number; own: TaskDates } | null = null;

  constructor(model: Model) {
    const { plan, work, schedule, capacity, progress } = model;
    this.#remaining = progress.remaining.slice();
    this.#work = { ...work, person: work.person.slice(), amount: work.amount.slice(), from: work.from.slice(), to: work.to.slice() };
    this.#placements = emptyPlacements(work.rows, 0);
    this.#input = {
      plan,
      work: this.#work,
      capacity,
      progress: { ...progress, remaining: this.#remaining },
      schedule: { of: (task) => (this.#dates?.task === task ? this.#dates.own : schedule.of(task)) },
    };
  }

  place(row: number, { person, amount, from, to, dates }: TriedRow): TriedPlace {
    const work = this.#work;
    const kept = { person: work.person[row], amount: work.amount[row], from: work.from[row], to: work.to[row] };
    const remaining = this.#remaining[row];
    if (amount !== undefined && remaining !== BY_RULE) this.#remaining[row] = amount;
    work.person[row] = person ?? kept.person;
    work.amount[row] = amount ?? kept.amount;
    work.from[row] = from ?? kept.from;
    work.to[row] = to ?? kept.to;
    this.#dates = dates ? { task: work.task[row], own: dates } : null;
    const placements = this.#placements;
    placements.buffer.used = 0;
    placements.asked[row] = 1;
    placeAssignment(this.#input, placements, row);
    [work.person[row], work.amount[row], work.from[row], work.to[row]] = [kept.person, kept.amount, kept.from, kept.to];
    this.#remaining[row] = remaining;
    const at = placements.offset[row];
    const minutes = placements.buffer.minutes.slice(at, at + placements.length[row]);
    // Tried minutes are not kept when the buffer grows.
    placements.length[row] = 0;
    return { start: placements.start[row], minutes, asked: placements.asked[row], unplaced: placements.unplaced[row] };
  }
}
