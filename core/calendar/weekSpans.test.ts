import * as fc from "fast-check";
import { expect, test } from "vitest";
import type { Person } from "../plan/schema.ts";
import { patternOn } from "./capacity.ts";
import { formatDay, parseDay } from "./day.ts";
import { weekSpans } from "./weekSpans.ts";

const full = [8, 8, 8, 8, 8, 0, 0];
const part = [8, 8, 8, 0, 0, 0, 0];
const none = [0, 0, 0, 0, 0, 0, 0];
const calendar = { week: full };

test("without a pattern one span holds always", () => {
  expect(weekSpans({}, calendar)).toEqual([{ from: null, last: null, week: full, pattern: null }]);
});

test("a pattern with an end gives way to the calendar again; a later one in the list wins inside it", () => {
  const spans = weekSpans(
    {
      patterns: [
        { from: "2027-03-01", to: "2027-08-31", week: part },
        { from: "2027-05-01", to: "2027-05-31", week: none },
      ],
    },
    calendar,
  );
  expect(spans.map(({ from, last, pattern }) => [from && formatDay(from), last && formatDay(last), pattern])).toEqual([
    [null, "2027-02-28", null],
    ["2027-03-01", "2027-04-30", 0],
    ["2027-05-01", "2027-05-31", 1],
    ["2027-06-01", "2027-08-31", 0],
    ["2027-09-01", null, null],
  ]);
});

test("spans follow each other without a gap, and on every day name the pattern that capacity uses", () => {
  const date = fc.integer({ min: parseDay("2027-01-01"), max: parseDay("2027-03-31") });
  const [first, stop] = [parseDay("2026-12-25"), parseDay("2027-06-01")];
  const days = Array.from({ length: stop - first }, (_, at) => first + at);
  const pattern = fc.record({ start: date, length: fc.option(fc.integer({ min: 0, max: 40 })) });
  fc.assert(
    fc.property(fc.array(pattern, { maxLength: 5 }), (drawn) => {
      const patterns = drawn.map(({ start, length }, at) => ({
        from: formatDay(start),
        ...(length !== null && { to: formatDay(start + length) }),
        week: [at + 1, 0, 0, 0, 0, 0, 0],
      }));
      const person: Person = { id: "p", name: "P", roleIds: [], calendarId: "c", patterns };
      const spans = weekSpans(person, calendar);
      expect(spans[0].from).toBeNull();
      expect(spans.at(-1)?.last).toBeNull();
      expect(spans.slice(1).map(({ from }) => from)).toEqual(spans.slice(0, -1).map(({ last }) => (last as number) + 1));
      const spanOn = (day: number) => spans.find(({ from, last }) => (from === null || from <= day) && (last === null || last >= day));
      expect(days.map((day) => (spanOn(day)?.week[0] ?? 0) * 60)).toEqual(days.map((day) => patternOn(person, day)?.week[0] ?? 480));
    }),
    { seed: 3, numRuns: 60 },
  );
});
