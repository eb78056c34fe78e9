// Daily load of everyone under one way of counting, laid out once for all that reads it.
import type { Day } from "../calendar/day.ts";
import type { Placed } from "../placing/placed.ts";
import { addPlaced } from "../placing/placements.ts";
import { type Counting, countedShares } from "./counting.ts";

/** A person's load by day, from one shared table inside the span of the capacities and calculated on the spot outside it. */
export class LoadBook {
  /** The counted share of each row of work, in hundredths of a percent; `NOT_COUNTED` if it does not count. */
  readonly shares: Int32Array;
  readonly #placed: Placed;
  /** By person row, once asked for: minutes of each day of the span. */
  readonly #filled: (Int32Array | undefined)[];

  constructor(
    placed: Placed,
    readonly counting: Counting,
  ) {
    this.#placed = placed;
    this.shares = countedShares(placed, counting);
    this.#filled = new Array(placed.plan.people.length);
  }

  /** The book of what an edit has led to; the loads of those whose work is as it was are shared.
   * @param formerOf By person row the row in this book, −1 for those whose load may be another. */
  carried(placed: Placed, formerOf: Int32Array): LoadBook {
    const book = new LoadBook(placed, this.counting);
    formerOf.forEach((former, person) => {
      if (former >= 0) book.#filled[person] = this.#filled[former];
    });
    return book;
  }

  /** A person's counted minutes over a range: index `at + (day − start)`. The array is shared: read, never write. */
  of(person: number, start: Day, stop: Day): { minutes: Int32Array; at: number } {
    const { span } = this.#placed.capacity;
    if (start < span.start || stop > span.stop) return { minutes: this.#calculate(person, start, stop), at: 0 };
    const minutes = this.#filled[person] ?? this.#calculate(person, span.start, span.stop);
    this.#filled[person] = minutes;
    return { minutes, at: start - span.start };
  }

  /** A person's counted minutes over a range, in total. */
  sum(person: number, start: Day, stop: Day): number {
    const { minutes, at } = this.of(person, start, stop);
    let sum = 0;
    for (let i = at; i < at + stop - start; i++) sum += minutes[i];
    return sum;
  }

  #calculate(person: number, start: Day, stop: Day): Int32Array {
    const { work, placements } = this.#placed;
    const load = new Int32Array(Math.max(0, stop - start));
    for (let at = work.byPerson.first[person]; at < work.byPerson.first[person + 1]; at++) {
      const row = work.byPerson.members[at];
      addPlaced(placements, row, this.shares[row], start, stop, load, 0);
    }
    return load;
  }
}
