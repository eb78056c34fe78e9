import * as fc from "fast-check";
import { expect, test } from "vitest";
import type { Calendar, Person } from "../plan/schema.ts";
import { fillCapacity, weekMinutesOf } from "./capacity.ts";
import { formatDay, parseDay } from "./day.ts";
import { personMarks } from "./dayMarks.ts";
import { WorkingLine } from "./workingLine.ts";

const START = parseDay("2027-02-01");
const DAYS = 56;
const planStart = parseDay("2026-12-01");

const span = fc
  .tuple(fc.integer({ min: 0, max: DAYS - 1 }), fc.integer({ min: 0, max: 9 }))
  .map(([from, length]) => ({ from: formatDay(START + from), to: formatDay(START + from + length) }));
const week = fc.array(fc.constantFrom(0, 4, 8), { minLength: 7, maxLength: 7 }).map((hours) => [8, ...hours.slice(1)]);
const people = fc.record({
  week,
  exceptions: fc.array(fc.tuple(span, fc.constantFrom(0, 4, 10)), { maxLength: 3 }),
  pattern: fc.option(fc.tuple(span, week)),
  timeOff: fc.array(fc.tuple(span, fc.constantFrom("requested", "approved", "declined"), fc.option(fc.constantFrom(2, 8))), {
    maxLength: 3,
  }),
  overtime: fc.option(span),
  employedTo: fc.option(fc.integer({ min: 5, max: DAYS })),
});

/** The part of a day that its marks do not explain; null if they explain all of it. */
function unexplained(kinds: readonly string[], regular: number, overtime: number, plain: number): string | null {
  if (kinds.length === 0 && (regular !== plain || overtime !== 0)) return "no plain day, and no mark";
  if (kinds.includes("notEmployed") && (regular + overtime !== 0 || kinds.length !== 1)) return "not employed, and yet something";
  if (regular !== plain && kinds.every((kind) => kind === "declined" || kind === "requested" || kind === "overtime"))
    return "other hours, and no reason";
  if (overtime > 0 !== kinds.includes("overtime")) return "overtime, or its mark, alone";
  if (regular === 0 && plain > 0 && !kinds.some((kind) => kind === "notEmployed" || kind === "holiday" || kind === "approved"))
    return "no hours, and no absence";
  return null;
}

test("a day without marks is a plain working day, and one that differs from its week says why", () => {
  fc.assert(
    fc.property(people, (drawn) => {
      const calendar: Calendar = {
        id: "c",
        name: "C",
        week: drawn.week,
        exceptions: drawn.exceptions.map(([own, hours]) => ({ ...own, hours, name: "Drawn" })),
      };
      const person: Person = {
        id: "p",
        name: "P",
        roleIds: [],
        calendarId: "c",
        ...(drawn.employedTo !== null && { employedTo: formatDay(START + drawn.employedTo) }),
        ...(drawn.pattern && { patterns: [{ ...drawn.pattern[0], week: drawn.pattern[1] }] }),
        timeOff: drawn.timeOff.map(([own, state, hoursPerDay], at) => ({
          ...own,
          id: `off-${at}`,
          kind: "holiday" as const,
          state: state as "approved",
          ...(hoursPerDay !== null && { hoursPerDay }),
        })),
        ...(drawn.overtime && { overtime: [{ ...drawn.overtime, id: "o", hoursPerDay: 2 }] }),
      };
      const line = new WorkingLine(calendar, planStart);
      const [regular, overtime] = [new Int32Array(DAYS), new Int32Array(DAYS)];
      fillCapacity(person, line, planStart, START, START + DAYS, regular, overtime);
      const wrong = Array.from(regular, (minutes, i) => {
        const kinds = personMarks(person, calendar, line, planStart, START + i).map(({ kind }) => kind);
        const why = unexplained(kinds, minutes, overtime[i], weekMinutesOf(person, line, START + i));
        return why && `${formatDay(START + i)}: ${why}`;
      });
      expect(wrong.filter((why) => why !== null)).toEqual([]);
    }),
    { seed: 6, numRuns: 150 },
  );
});
