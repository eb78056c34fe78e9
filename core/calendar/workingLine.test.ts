import fc from "fast-check";
import { expect, test } from "vitest";
import { parseDay } from "./day.ts";
import { finishTickOf, startTickOf, TICKS_PER_DAY, WorkingLine } from "./workingLine.ts";

const origin = parseDay("2027-01-04");
const calendar = {
  id: "c",
  name: "Studio",
  week: [8, 8, 8, 8, 6, 0, 0],
  exceptions: [
    { from: "2027-02-10", to: "2027-02-12", hours: 0, name: "Closed" },
    { from: "2027-02-12", to: "2027-02-13", hours: 4, name: "Short days" },
  ],
};
const line = new WorkingLine(calendar, origin);

test("the later of two exceptions that overlap holds, also on a day off", () => {
  expect(line.minutesOn(parseDay("2027-02-11"))).toBe(0);
  expect(line.minutesOn(parseDay("2027-02-12"))).toBe(240);
  expect(line.minutesOn(parseDay("2027-02-13"))).toBe(240);
});

test("working days are numbered in date order, however far one asks", () => {
  fc.assert(
    fc.property(fc.integer({ min: -6_000, max: 6_000 }), (index) => {
      const day = line.dayAt(index);
      expect(line.isWorkingDay(day)).toBe(true);
      expect(line.indexOf(day)).toBe(index);
      expect(line.dayAt(index + 1)).toBeGreaterThan(day);
    }),
  );
});

test("the end of one working day and the start of the next are one instant, read as two dates", () => {
  const friday = parseDay("2027-01-15");
  const end = line.place(friday, TICKS_PER_DAY);
  expect(line.asFinish(end)).toEqual({ day: friday, tick: TICKS_PER_DAY });
  expect(line.asStart(end)).toEqual({ day: friday + 3, tick: 0 });
});

test("a date without work is placed at the start of the next working day", () => {
  expect(line.place(parseDay("2027-01-16"), 300)).toBe(line.place(parseDay("2027-01-18"), 0));
});

test("days before the origin have negative numbers", () => {
  const fresh = new WorkingLine(calendar, origin);
  expect(fresh.indexOf(origin - 3)).toBe(-1);
  expect(fresh.indexOf(origin - 1)).toBe(0);
  expect(fresh.indexOf(origin)).toBe(0);
});

/** Questions about a day of the line, far before its origin to far after. */
type Question = readonly [keyof typeof questions, number];
const questions = {
  dayAt: (own: WorkingLine, at: number) => own.dayAt(at),
  asStart: (own: WorkingLine, at: number) => own.asStart(at * TICKS_PER_DAY + 7),
  asFinish: (own: WorkingLine, at: number) => own.asFinish(at * TICKS_PER_DAY),
  indexOf: (own: WorkingLine, at: number) => own.indexOf(origin + at),
  place: (own: WorkingLine, at: number) => own.place(origin + at, 100),
  minutesOn: (own: WorkingLine, at: number) => own.minutesOn(origin + at),
  exceptionOn: (own: WorkingLine, at: number) => own.exceptionOn(origin + at),
  isWorkingDay: (own: WorkingLine, at: number) => own.isWorkingDay(origin + at),
  minutesOver: (own: WorkingLine, at: number) => {
    const { minutes, at: from } = own.minutesOver(origin + at, origin + at + 9);
    return [...minutes.subarray(from, from + 9)];
  },
};

/** The same answers by walking day by day from the origin. */
function plainIndexOf(day: number): number {
  let index = 0;
  for (let own = origin; own < day; own++) if (line.minutesOn(own) > 0) index++;
  for (let own = day; own < origin; own++) if (line.minutesOn(own) > 0) index--;
  return index;
}

test("a fresh line gives the same answers in any order of questions, from far before the origin to far after", () => {
  const question = fc.tuple(
    fc.constantFrom(...(Object.keys(questions) as (keyof typeof questions)[])),
    fc.oneof(fc.integer({ min: -30, max: 30 }), fc.integer({ min: -6_000, max: 6_000 })),
  );
  fc.assert(
    fc.property(fc.array(question, { minLength: 1, maxLength: 6 }), (asked: Question[]) => {
      const fresh = new WorkingLine(calendar, origin);
      for (const [name, at] of asked) {
        expect(questions[name](fresh, at), `${name} ${at}`).toEqual(questions[name](line, at));
        if (name === "indexOf") expect(fresh.indexOf(origin + at)).toBe(plainIndexOf(origin + at));
        if (name !== "dayAt") continue;
        expect(fresh.isWorkingDay(fresh.dayAt(at))).toBe(true);
        expect(plainIndexOf(fresh.dayAt(at))).toBe(at);
      }
    }),
  );
});

test("the tick of an instant is that of its day, before the origin too", () => {
  expect([startTickOf(480), finishTickOf(480), startTickOf(-1), finishTickOf(-480), startTickOf(-480)]).toEqual([0, 480, 479, 480, 0]);
});
