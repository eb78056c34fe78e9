// Everyone's load and capacity by day as evening out writes them: what a move would change is summed in days, not worked out
// again.
import type { Day } from "../calendar/day.ts";
import { horizonOf } from "../calendar/horizon.ts";
import type { Range } from "../calendar/periods.ts";
import { defaultCounting } from "../load/counting.ts";
import type { Model } from "../model.ts";

/** Minutes by day that are added to a person's load, or leave it. */
export interface Part {
  start: Day;
  minutes: Int32Array;
  sign: 1 | -1;
}

/** The change of one person's days. */
export interface PersonParts {
  person: number;
  parts: Part[];
}

/** Minutes over capacity, after less before: in the window and over the horizon. */
export interface OverDelta {
  window: number;
  horizon: number;
}

/** Daily loads of everyone over the horizon. */
export class Loads {
  readonly #range: Range;
  readonly #window: Range;
  readonly #load: Int32Array[];
  readonly #capacity: Int32Array[];
  /** The change of a move, day by day; all 0 between two questions. */
  readonly #change: Int32Array;

  constructor(model: Model, window: Range) {
    this.#range = horizonOf(model.plan);
    this.#window = { start: Math.max(window.start, this.#range.start), stop: Math.min(window.stop, this.#range.stop) };
    const days = this.#range.stop - this.#range.start;
    this.#change = new Int32Array(days);
    this.#load = [];
    this.#capacity = [];
    for (let person = 0; person < model.plan.people.length; person++) this.refresh(model, person);
  }

  /** Takes a person's load and capacity from a model. */
  refresh(model: Model, person: number): void {
    const { start, stop } = this.#range;
    const { regular, overtime, at } = model.capacity.of(person, start, stop);
    const load = model.load(defaultCounting).of(person, start, stop);
    this.#load[person] = load.minutes.slice(load.at, load.at + stop - start);
    const capacity = regular.slice(at, at + stop - start);
    for (let i = 0; i < capacity.length; i++) capacity[i] += overtime[at + i];
    this.#capacity[person] = capacity;
  }

  /** Minutes that a person has too much in the window. */
  overOf(person: number): number {
    const [load, capacity] = [this.#load[person], this.#capacity[person]];
    let sum = 0;
    for (let i = this.#window.start - this.#range.start; i < this.#window.stop - this.#range.start; i++) {
      const over = load[i] - capacity[i];
      if (over > 0) sum += over;
    }
    return sum;
  }

  /** The days of the window on which a person has too much. */
  overDaysOf(person: number): Day[] {
    const [load, capacity] = [this.#load[person], this.#capacity[person]];
    const days: Day[] = [];
    for (let day = this.#window.start; day < this.#window.stop; day++)
      if (load[day - this.#range.start] > capacity[day - this.#range.start]) days.push(day);
    return days;
  }

  loadOn(person: number, day: Day): number {
    return this.#load[person][day - this.#range.start] ?? 0;
  }

  capacityOn(person: number, day: Day): number {
    return this.#capacity[person][day - this.#range.start] ?? 0;
  }

  /** Minutes of some days that fit into a person's free time. */
  fits(person: number, { start, minutes }: Pick<Part, "start" | "minutes">): number {
    const [load, capacity] = [this.#load[person], this.#capacity[person]];
    const first = this.#range.start;
    let sum = 0;
    for (let day = Math.max(start, first); day < Math.min(start + minutes.length, this.#range.stop); day++) {
      const free = capacity[day - first] - load[day - first];
      if (free > 0) sum += Math.min(free, minutes[day - start]);
    }
    return sum;
  }

  /** The overload of everyone after a move, less the overload now. */
  deltaOf(move: readonly PersonParts[]): OverDelta {
    const delta = { window: 0, horizon: 0 };
    for (const { person, parts } of move) this.#addDelta(person, parts, delta);
    return delta;
  }

  apply(move: readonly PersonParts[]): void {
    for (const { person, parts } of move) this.#add(person, parts, 1);
  }

  revert(move: readonly PersonParts[]): void {
    for (const { person, parts } of move) this.#add(person, parts, -1);
  }

  #add(person: number, parts: readonly Part[], times: 1 | -1): void {
    const load = this.#load[person];
    const { start, stop } = this.#range;
    for (const part of parts)
      for (let i = Math.max(0, start - part.start); i < Math.min(part.minutes.length, stop - part.start); i++)
        load[part.start + i - start] += times * part.sign * part.minutes[i];
  }

  #addDelta(person: number, parts: readonly Part[], delta: OverDelta): void {
    const { start, stop } = this.#range;
    const change = this.#change;
    let [low, high] = [stop, start];
    for (const part of parts) {
      const from = Math.max(start, part.start);
      const until = Math.min(stop, part.start + part.minutes.length);
      for (let day = from; day < until; day++) change[day - start] += part.sign * part.minutes[day - part.start];
      if (from < until) [low, high] = [Math.min(low, from), Math.max(high, until)];
    }
    const [load, capacity] = [this.#load[person], this.#capacity[person]];
    for (let day = low; day < high; day++) {
      const i = day - start;
      if (change[i] === 0) continue;
      const was = load[i] - capacity[i];
      const is = was + change[i];
      change[i] = 0;
      const over = Math.max(0, is) - Math.max(0, was);
      delta.horizon += over;
      if (day >= this.#window.start && day < this.#window.stop) delta.window += over;
    }
  }
}
