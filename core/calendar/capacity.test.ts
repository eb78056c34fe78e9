// Capacity by day, against the rules taken one by one on dates as they are written.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { largePlan } from "../../demo/large.ts";
import { nextDate, plainCapacity, plainWeekMinutes } from "../../tests/plainCapacity.ts";
import { irregular } from "../../tests/randomPeople.ts";
import { buildModel } from "../model.ts";
import type { Calendar, Plan } from "../plan/schema.ts";
import type { CapacityBook } from "./capacityBook.ts";
import { parseDay } from "./day.ts";

const small = { people: 8, projects: 2, tasks: 10, assignments: 10, links: 0 };
const [first, days] = ["2026-12-20", 900];

/** Every person on every day of two and a half years, around the turns of years and beyond the plan's own span. */
function compare(plan: Plan): void {
  const { capacity } = buildModel(plan);
  const start = parseDay(first);
  plan.people.forEach((person, row) => {
    const approved = capacity.of(row, start, start + days);
    const granted = capacity.fresh(row, start, start + days, "approvedAndRequested");
    const week = capacity.plainWeek(row, start, start + days);
    const calendar = plan.calendars.find(({ id }) => id === person.calendarId) as Calendar;
    const dates = Array.from({ length: days }, (_, at) => nextDate(first, at));
    const plain = (isGranted: boolean) => dates.map((date) => ({ date, ...plainCapacity(plan, person, date, isGranted) }));
    const read = ({ regular, overtime, at }: typeof approved) =>
      dates.map((date, i) => ({ date, regular: regular[at + i], overtime: overtime[at + i] }));
    expect(read(approved), person.name).toEqual(plain(false));
    expect(read(granted), `${person.name}, requests granted`).toEqual(plain(true));
    expect([...week.minutes.subarray(week.at, week.at + days)], person.name).toEqual(
      dates.map((date) => plainWeekMinutes(person, calendar, date)),
    );
  });
}

test("the capacity of the demo plan's people is what the rules say, day by day", () => compare(fernhollow()));

test.each([1, 2, 3])("and so it is where patterns, exceptions, leave, overtime and employment meet (seed %i)", (seed) => {
  compare(irregular(largePlan(small, seed), seed));
});

test("granting every request never gives anyone more", () => {
  const plan = irregular(largePlan(small, 7), 7);
  const { capacity } = buildModel(plan);
  let taken = 0;
  plan.people.forEach((_, row) => {
    const [asIs, granted] = (["approved", "approvedAndRequested"] as const).map((leave) =>
      capacity.fresh(row, parseDay(first), parseDay(first) + days, leave),
    );
    const hasMore = (minutes: number, at: number) => granted.regular[at] > minutes || granted.overtime[at] > asIs.overtime[at];
    expect(asIs.regular.findIndex(hasMore)).toBe(-1);
    for (let at = 0; at < days; at++) taken += asIs.regular[at] - granted.regular[at];
  });
  expect(taken).toBeGreaterThan(0);
});

test("a person changed has a new capacity, and all others keep the one they had", () => {
  const plan = fernhollow();
  const { capacity, lines } = buildModel(plan);
  const row = plan.people.findIndex(({ id }) => id === "jonas");
  const people = plan.people.map((person) =>
    person.id === "jonas" ? { ...person, patterns: [{ from: "2027-03-01", week: [8, 8, 8, 0, 0, 0, 0] }] } : person,
  );
  const changed = { ...plan, people };
  const formerOf = Int32Array.from(plan.people, (_, at) => (at === row ? -1 : at));
  const friday = parseDay("2027-03-12");
  const mara = plan.people.findIndex(({ id }) => id === "mara");
  const known = capacity.of(mara, friday, friday + 1).regular;
  const book = capacity.withPeople(changed, lines, formerOf);
  expect([capacity.on(row, friday), book.on(row, friday), book.on(row, friday - 4)]).toEqual([480, 0, 480]);
  expect(book.of(mara, friday, friday + 1).regular).toBe(known);
});

test("always: a day asked for by itself has what it has in a range, far outside the span and after a change too (seeds 1 to 6)", () => {
  for (let seed = 1; seed <= 6; seed++) {
    const plan = irregular(largePlan(small, seed), seed);
    const { capacity, lines } = buildModel(plan);
    const { start, stop } = capacity.span;
    const days = [start - 1_300, start - 1, start, start + 40, stop - 1, stop, stop + 511, stop + 512, stop + 3_000];
    const alone = (book: CapacityBook) => plan.people.map((_, row) => days.map((day) => book.on(row, day)));
    const inRange = (book: CapacityBook) =>
      plan.people.map((_, row) =>
        days.map((day) => {
          const { regular, overtime, at } = book.fresh(row, day - 3, day + 3, "approved");
          return regular[at + 3] + overtime[at + 3];
        }),
      );
    expect(alone(capacity)).toEqual(inRange(capacity));
    // Every second person works other weeks now; the others keep what is known of them.
    const people = plan.people.map((own, row) =>
      row % 2 === 0 ? { ...own, patterns: [{ from: first, week: [1, 2, 3, 4, 5, 6, 7] }] } : own,
    );
    const changed = { ...plan, people };
    const next = capacity.withPeople(
      changed,
      lines,
      Int32Array.from(people, (_, row) => (row % 2 === 0 ? -1 : row)),
    );
    expect(alone(next)).toEqual(inRange(next));
    expect(alone(next)).not.toEqual(alone(capacity));
  }
});
