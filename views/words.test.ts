// The texts of screens about conflicts, drops, days and weeks.
import { expect, test } from "vitest";
import { peopleLoads } from "../core/answers/peopleLoads.ts";
import { parseDay } from "../core/calendar/day.ts";
import { weekSpans } from "../core/calendar/weekSpans.ts";
import { buildModel } from "../core/model.ts";
import { fernhollow } from "../demo/fernhollow.ts";
import { conflictText } from "./effect/conflictText.ts";
import { dropOutcome } from "./effect/dropOutcome.ts";
import { dayText, markText, spanText, weekHoursText } from "./people/dayWords.ts";
import { dateRangeFields, hoursADay, hoursOf } from "./people/person/rangeFields.ts";

const model = buildModel(fernhollow());
const range = { start: parseDay("2027-01-25"), stop: parseDay("2027-03-22") };

test("a conflict says what is missed and by how many working days, one of them in the singular", () => {
  expect(conflictText({ kind: "deadline", taskId: "t", ticks: 480 })).toBe("Finishes 1 working day after its deadline.");
  expect(conflictText({ kind: "finishNotAfter", taskId: "t", ticks: 720 })).toBe("Finishes 1.5 working days after its deadline.");
  expect(conflictText({ kind: "link", taskId: "t", ticks: 4_800_000 })).toBe("Pinned 10,000 working days too early for a link.");
  expect(conflictText({ kind: "notAfter", taskId: "t", ticks: 960 })).toBe("Starts 2 working days later than it may.");
  expect(conflictText({ kind: "noCapacity", taskId: "t", ticks: 0 })).toMatch(/never has the time/);
  for (const conflict of model.conflicts()) expect(conflictText(conflict)).toMatch(/^[A-Z].*\.$/);
});

test("a drop says that there is room, or how much is over and when most", () => {
  const loads = (ids: string[]) => peopleLoads(model, { range, grain: "week", ids });
  expect(dropOutcome(loads(["rui"]))).toEqual({ name: "Rui Monteverde", says: "has room for it", isOver: false });
  // Two weeks are over by as much; the first of them counts.
  expect(dropOutcome(loads(["mara", "rui"]))).toEqual({
    name: "Mara Ellingsen",
    says: "would be over by 49.8 h, most in the week of 15 February",
    isOver: true,
  });
});

test("a drop says what a person lacks for the work, and that single days are over where the weeks are not", () => {
  const casts = model.plan.assignments.find(({ id, personId }) => personId === "mara" && id.includes("rockpools"));
  const loads = peopleLoads(model, { range, grain: "week", ids: ["ilka"], takes: [casts?.id ?? ""] });
  expect(loads.missing.length).toBeGreaterThan(0);
  expect(
    dropOutcome({ ...loads, state: loads.state.map(() => 0), peakOver: loads.peakOver.map((_, at) => (at === 1 ? 90 : 0)) }).says,
  ).toBe(`has room for it; single days over by 1.5 h; missing: ${loads.missing.join(" and ")}`);
  expect(peopleLoads(model, { range, grain: "week", ids: ["rui"], takes: [casts?.id ?? ""] }).missing).toEqual([]);
});

test("marks of a day are reported in words, with their hours and what they are called", () => {
  expect(markText({ kind: "holiday", name: "Independence Day" })).toBe("Independence Day");
  expect(markText({ kind: "holiday" })).toBe("public holiday");
  expect(markText({ kind: "approved", name: "holiday, Carnival week" })).toBe("time off (Leave, Carnival week)");
  expect(markText({ kind: "requested", name: "training", hours: 4 })).toBe("time off requested, 4 h (Training)");
  expect(markText({ kind: "overtime", hours: 2 })).toBe("overtime 2 h");
  expect(dayText(parseDay("2027-02-09"), 480, null, [{ kind: "overtime", hours: 1 }])).toBe("Tue 9 Feb: 8 h · overtime 1 h");
  expect(dayText(parseDay("2027-02-09"), 480, 594, [])).toBe("Tue 9 Feb: 9.9 of 8 h");
});

test("weeks say their hours and when they hold", () => {
  expect(weekHoursText([8, 8, 8, 8, 4.5, 0, 0])).toBe("36.5 h a week");
  expect(weekHoursText([0, 0, 0, 0, 0, 0, 0])).toBe("does not work");
  expect(spanText({ from: null, last: null })).toBe("");
  expect(spanText({ from: parseDay("2027-03-01"), last: parseDay("2027-05-31") })).toBe("from 1 Mar 2027 until 31 May 2027");
  const tomas = model.plan.people.find(({ id }) => id === "tomas");
  const calendar = model.plan.calendars.find(({ id }) => id === tomas?.calendarId);
  if (!tomas || !calendar) throw new Error("Tomas is in the demo plan");
  const spans = weekSpans(tomas, calendar);
  expect(spans.length).toBeGreaterThan(1);
  spans.slice(1).forEach((span, at) => {
    expect(span.from, spanText(span)).toBe((spans[at].last as number) + 1);
  });
});

test("hours of a day are above 0 and up to 24, with a comma or a point; empty only where that is allowed", () => {
  expect([hoursOf("7,5"), hoursOf("7.5"), hoursOf("  ")]).toEqual([7.5, 7.5, null]);
  for (const text of ["0", "24.5", "-1", "eight"]) expect(hoursADay(true).safeParse(text).success, text).toBe(false);
  for (const text of ["24", "0,5"]) expect(hoursADay(false).safeParse(text).success, text).toBe(true);
  expect([hoursADay(true).safeParse("").success, hoursADay(false).safeParse("").success]).toEqual([true, false]);
});

test("a first and a last day are dates in order, and the message is at the field that is wrong", () => {
  const fields = dateRangeFields({});
  expect(fields.safeParse({ from: "1 Mar 2027", to: "5.3.2027" }).success).toBe(true);
  const backwards = fields.safeParse({ from: "5 Mar 2027", to: "1 Mar 2027" });
  expect(backwards.error?.issues.map(({ path, message }) => [path.join("."), message])).toEqual([
    ["to", "The last day must be on or after the first day."],
  ]);
  const unread = fields.safeParse({ from: "30 Feb 2027", to: "1 Mar 2027" });
  expect(unread.error?.issues[0].path).toEqual(["from"]);
});
