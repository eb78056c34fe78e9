// Daily capacity of everyone over one span of days, laid out once for all that reads it.
import type { Person, Plan } from "../plan/schema.ts";
import { fillCapacity, fillPlainWeek, type Leave } from "./capacity.ts";
import { type Day, parseDay } from "./day.ts";
import { lineFinder } from "./lines.ts";
import type { Range } from "./periods.ts";
import type { WorkingLine } from "./workingLine.ts";

/** Minutes a day: `at` is the index of the range's first day in both arrays. */
export interface DayMinutes {
  regular: Int32Array;
  overtime: Int32Array;
  at: number;
}

/** Days that are calculated together where one of them is asked for outside the span. */
const BLOCK_DAYS = 512;

/** A person's capacity by day, from one shared table inside `span` and calculated on the spot outside it. */
export class CapacityBook {
  readonly #people: readonly Person[];
  readonly #planStart: Day;
  readonly #lineOf: (calendarId: string) => WorkingLine;
  readonly #days: number;
  /** By person row, once asked for: minutes of each day of the span. */
  readonly #filled: (DayMinutes | undefined)[];
  /** By person row, then by number of the block of days: regular and overtime minutes of days outside the span. */
  readonly #beyond = new Map<number, Map<number, Int32Array>>();
  /** Plain week minutes, laid out likewise for those who are asked for. */
  readonly #plain = new Map<number, Int32Array>();

  constructor(
    plan: Plan,
    lines: readonly WorkingLine[],
    readonly span: Range,
  ) {
    this.#people = plan.people;
    this.#planStart = parseDay(plan.settings.planStart);
    this.#lineOf = lineFinder(plan, lines);
    this.#days = span.stop - span.start;
    this.#filled = new Array(plan.people.length);
  }

  /** The book of a plan that differs in some people, on the same lines; what is known of all others is shared.
   * @param formerOf By person row the row in this book, −1 for those who are new or changed. */
  withPeople(plan: Plan, lines: readonly WorkingLine[], formerOf: Int32Array): CapacityBook {
    const book = new CapacityBook(plan, lines, this.span);
    formerOf.forEach((former, person) => {
      if (former < 0) return;
      book.#filled[person] = this.#filled[former];
      const beyond = this.#beyond.get(former);
      if (beyond) book.#beyond.set(person, beyond);
      const plain = this.#plain.get(former);
      if (plain) book.#plain.set(person, plain);
    });
    return book;
  }

  /** A person's capacity over a range, approved leave applied. The arrays are shared: read, never write. */
  of(person: number, start: Day, stop: Day): DayMinutes {
    if (start < this.span.start || stop > this.span.stop) return this.fresh(person, start, stop, "approved");
    return { ...this.#spanOf(person), at: start - this.span.start };
  }

  #spanOf(person: number): DayMinutes {
    let filled = this.#filled[person];
    if (!filled) {
      filled = { regular: new Int32Array(this.#days), overtime: new Int32Array(this.#days), at: 0 };
      this.#fill(person, this.span.start, this.span.stop, filled.regular, filled.overtime, 0, "approved");
      this.#filled[person] = filled;
    }
    return filled;
  }

  /** The same calculated again, with requested leave granted too where asked for. */
  fresh(person: number, start: Day, stop: Day, leave: Leave): DayMinutes {
    const length = Math.max(0, stop - start);
    const minutes = { regular: new Int32Array(length), overtime: new Int32Array(length), at: 0 };
    this.#fill(person, start, Math.max(start, stop), minutes.regular, minutes.overtime, 0, leave);
    return minutes;
  }

  /** A person's plain week over a range of the span: exceptions, time off, overtime and employment are left out.
   * Index `at + (day − start)`; shared: read, never write. */
  plainWeek(person: number, start: Day, stop: Day): { minutes: Int32Array; at: number } {
    const { span } = this;
    if (start < span.start || stop > span.stop) return { minutes: this.#plainMinutes(person, start, stop), at: 0 };
    let minutes = this.#plain.get(person);
    if (!minutes) {
      minutes = this.#plainMinutes(person, span.start, span.stop);
      this.#plain.set(person, minutes);
    }
    return { minutes, at: start - span.start };
  }

  #plainMinutes(person: number, start: Day, stop: Day): Int32Array {
    const row = this.#people[person];
    const minutes = new Int32Array(Math.max(0, stop - start));
    fillPlainWeek(row, this.#lineOf(row.calendarId), start, stop, minutes);
    return minutes;
  }

  /** Regular and overtime minutes of one day. */
  on(person: number, day: Day): number {
    const { start, stop } = this.span;
    if (day < start || day >= stop) {
      const block = Math.floor(day / BLOCK_DAYS);
      return this.#blockOf(person, block)[day - block * BLOCK_DAYS];
    }
    const { regular, overtime } = this.#spanOf(person);
    return regular[day - start] + overtime[day - start];
  }

  #blockOf(person: number, block: number): Int32Array {
    const blocks = this.#beyond.get(person) ?? new Map<number, Int32Array>();
    this.#beyond.set(person, blocks);
    let minutes = blocks.get(block);
    if (!minutes) {
      const { regular, overtime } = this.fresh(person, block * BLOCK_DAYS, (block + 1) * BLOCK_DAYS, "approved");
      minutes = regular.map((own, at) => own + overtime[at]);
      blocks.set(block, minutes);
    }
    return minutes;
  }

  #fill(person: number, start: Day, stop: Day, regular: Int32Array, overtime: Int32Array, at: number, leave: Leave): void {
    const row = this.#people[person];
    fillCapacity(row, this.#lineOf(row.calendarId), this.#planStart, start, stop, regular, overtime, at, leave);
  }
}
