// The staffing of a made-up plan: of the people with the role, those with the most room over those weeks.
import { countAll } from "../core/load/counting.ts";
import type { Model } from "../core/model.ts";
import type { Person } from "../core/plan/schema.ts";

/** Weeks are filled up to this part of their room, so that plans look lived in and not crammed. */
const FILL = 0.88;

/** Keeps an account of planned hours by person and week, and gives work to those who have room. */
export class Staffing {
  readonly #people: readonly Person[];
  /** room[person][week], hours; weeks from `#first` on. */
  readonly #room: number[][];
  readonly #first: number;

  constructor(model: Model) {
    const { span } = model.capacity;
    this.#people = model.plan.people;
    this.#first = weekOf(span.start);
    const book = model.load(countAll);
    this.#room = this.#people.map((_, person) => {
      const { regular, overtime, at } = model.capacity.of(person, span.start, span.stop);
      const load = book.of(person, span.start, span.stop);
      const weeks: number[] = [];
      for (let i = 0; i < span.stop - span.start; i++) {
        const week = weekOf(span.start + i) - this.#first;
        weeks[week] = (weeks[week] ?? 0) + ((regular[at + i] + overtime[at + i] - load.minutes[load.at + i]) * FILL) / 60;
      }
      return weeks;
    });
  }

  /** Gives up to `hours` of work over a range of days to `count` people of a role, as much as they have room for. */
  take(
    roleId: string,
    count: number,
    hours: number,
    start: number,
    finish: number,
    passedOver?: ReadonlySet<string>,
  ): { person: Person; hours: number }[] {
    const weeks = Math.max(1, (finish - start + 1) / 7);
    const able = this.#people
      .map((person, row) => ({ person, row, room: this.#leastRoom(row, start, finish) }))
      .filter(({ person, room }) => person.roleIds[0] === roleId && !passedOver?.has(person.id) && room > 2)
      .sort((a, b) => b.room - a.room)
      .slice(0, count);
    return able.map(({ person, row, room }) => {
      const own = Math.floor(Math.min(hours / able.length, room * weeks));
      this.book(row, own, start, finish);
      return { person, hours: own };
    });
  }

  /** Notes hours of a person, evenly over the weeks of a range. */
  book(row: number, hours: number, start: number, finish: number): void {
    const weeks = this.#weeks(start, finish);
    for (const week of weeks) this.#room[row][week] -= hours / weeks.length;
  }

  #leastRoom(row: number, start: number, finish: number): number {
    return Math.min(...this.#weeks(start, finish).map((week) => this.#room[row][week] ?? 0));
  }

  #weeks(start: number, finish: number): number[] {
    const first = weekOf(start) - this.#first;
    return Array.from({ length: weekOf(finish) - this.#first - first + 1 }, (_, at) => first + at);
  }
}

function weekOf(day: number): number {
  return Math.floor((day + 3) / 7);
}
