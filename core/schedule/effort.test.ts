// Effort-sized work, against the rule taken day by day on dates as they are written.
import fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { calendarMinutes, nextDate, plainCapacity } from "../../tests/plainCapacity.ts";
import { irregular } from "../../tests/randomPeople.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { formatDay, parseDay } from "../calendar/day.ts";
import { WorkingLine } from "../calendar/workingLine.ts";
import { buildModel } from "../model.ts";
import type { Calendar, Plan } from "../plan/schema.ts";
import { percentHundredths, workMinutes } from "../values/units.ts";
import { consumeEffort, type EffortPart, LONGEST_EFFORT_DAYS, leastStart } from "./effort.ts";

const calendar: Calendar = {
  id: "c",
  name: "Five days, one of them short",
  week: [8, 8, 8, 8, 4, 0, 0],
  exceptions: [{ from: "2027-01-06", to: "2027-01-06", hours: 0, name: "Feast" }],
};
const line = new WorkingLine(calendar, parseDay("2027-01-01"));
const monday = line.indexOf(parseDay("2027-01-04")) * 480;

test("work is consumed day by day from the tick it begins at, and finishes within the day it runs out on", () => {
  const consumed = consumeEffort(line, monday + 120, 600, () => 480);
  expect(consumed?.days.map(formatDay)).toEqual(["2027-01-04", "2027-01-05"]);
  expect(consumed?.minutes).toEqual([360, 240]);
  expect(line.asFinish(consumed?.finish as number)).toEqual({ day: parseDay("2027-01-05"), tick: 240 });
});

test("a person with a half day needs the whole day for its minutes, and days off are skipped", () => {
  const consumed = consumeEffort(line, monday, 600, () => 240);
  expect(consumed?.days.map(formatDay)).toEqual(["2027-01-04", "2027-01-05", "2027-01-07"]);
  expect(line.asFinish(consumed?.finish as number)).toEqual({ day: parseDay("2027-01-07"), tick: 240 });
});

test("nothing to do finishes where it starts, and a person who is never there never finishes", () => {
  expect(consumeEffort(line, monday, 0, () => 0)).toEqual({ finish: monday, days: [], minutes: [] });
  let asked = 0;
  const last = parseDay("2027-01-04") + LONGEST_EFFORT_DAYS;
  expect(
    consumeEffort(line, monday, 60, (day) => {
      asked = Math.max(asked, day);
      return 0;
    }),
  ).toBeNull();
  expect(asked).toBeLessThanOrEqual(last);
  expect(asked).toBeGreaterThan(last - 5);
});

test("always: what is consumed is what there was, no day gives more than it has, and less to do never finishes later", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 20_000 }),
      fc.integer({ min: 1, max: 6_000 }),
      fc.array(fc.integer({ min: 0, max: 720 }), { minLength: 7, maxLength: 7 }).filter((week) => week.slice(0, 5).some((own) => own > 0)),
      (offset, minutes, week) => {
        const full = (day: number) => week[day % 7];
        const whole = consumeEffort(line, monday + offset, minutes, full);
        const less = consumeEffort(line, monday + offset, minutes - 1, full);
        if (!whole || !less) return;
        expect(whole.minutes.reduce((sum, own) => sum + own, 0)).toBe(minutes);
        whole.days.forEach((day, at) => {
          expect(whole.minutes[at]).toBeLessThanOrEqual(full(day));
        });
        expect(less.finish).toBeLessThanOrEqual(whole.finish);
        expect(whole.finish).toBeGreaterThan(monday + offset);
      },
    ),
  );
});

/** The least start by trying one instant after the other. */
function leastStartByHand(earliest: number, leastFinish: number, parts: readonly EffortPart[]): number {
  for (let start = earliest; ; start++) {
    const finishes = parts.flatMap(({ minutes, fullOn }) => consumeEffort(line, start, minutes, fullOn)?.finish ?? []);
    if (Math.max(start, ...finishes) >= leastFinish) return start;
  }
}

test("always: the least start is the first from which those who finish do so late enough, also where a person leaves or comes late", () => {
  const part = fc.record({
    minutes: fc.integer({ min: 0, max: 4_000 }),
    from: fc.integer({ min: -30, max: LONGEST_EFFORT_DAYS + 20 }),
    days: fc.integer({ min: 0, max: 60 }),
    full: fc.integer({ min: 1, max: 600 }),
  });
  fc.assert(
    fc.property(
      fc.integer({ min: -500, max: 500 }),
      fc.integer({ min: -500, max: 3_000 }),
      fc.array(part, { maxLength: 3 }),
      (early, ahead, made) => {
        const day = parseDay("2027-01-04");
        const parts = made.map(
          ({ minutes, from, days, full }): EffortPart => ({
            minutes,
            fullOn: (on) => (on >= day + from && on < day + from + days ? full : 0),
          }),
        );
        const [earliest, leastFinish] = [monday + early, monday + early + ahead];
        expect(leastStart(line, earliest, leastFinish, parts)).toBe(leastStartByHand(earliest, leastFinish, parts));
      },
    ),
    { numRuns: 60 },
  );
});

/** Days and minutes of each assignment of effort-sized tasks, and the task's last day with its tick, day by day. */
function consumedByHand(plan: Plan, taskRow: number, start: { day: number; tick: number }) {
  const task = plan.tasks[taskRow];
  const project = plan.projects.find(({ id }) => id === task.projectId);
  const own = plan.calendars.find(({ id }) => id === (task.calendarId ?? project?.calendarId)) as Calendar;
  const labour = plan.assignments.filter(({ taskId, materialId }) => taskId === task.id && materialId === undefined);
  return labour.map((assignment) => {
    const person = plan.people.find(({ id }) => id === assignment.personId);
    const share = BigInt(percentHundredths(assignment.percent ?? 100));
    const placed: [string, number][] = [];
    let remaining = workMinutes(assignment.hours ?? 0);
    let tick = start.tick;
    for (let date = formatDay(start.day); remaining > 0; date = nextDate(date)) {
      if (date > nextDate(formatDay(start.day), LONGEST_EFFORT_DAYS)) return { id: assignment.id, placed: [] };
      const hours = calendarMinutes(own, date);
      if (hours === 0) continue;
      const { regular, overtime } = person ? plainCapacity(plan, person, date) : { regular: hours, overtime: 0 };
      const full = Number((2n * BigInt(regular + overtime) * share + 10_000n) / 20_000n);
      const used = Math.min(remaining, Math.floor((full * (480 - tick)) / 480));
      if (used > 0) placed.push([date, used]);
      remaining -= used;
      tick = 0;
    }
    return { id: assignment.id, placed };
  });
}

function compare(plan: Plan): number {
  const model = buildModel(plan);
  let compared = 0;
  plan.tasks.forEach((task, row) => {
    const dates = model.schedule.of(row);
    if (task.sizing !== "effort" || !dates?.consumed || dates.isSummary) return;
    for (const { id, placed } of consumedByHand(plan, row, dates.line.asStart(dates.startAt))) {
      const consumed = dates.consumed.get(id);
      const found = consumed?.days.map((day, at) => [formatDay(day), consumed.minutes[at]]) ?? [];
      expect(found, `${task.name}: ${id}`).toEqual(placed);
      compared++;
    }
  });
  return compared;
}

test("the demo plan's effort-sized work is consumed as the rule says", () => {
  expect(compare(fernhollow())).toBeGreaterThan(0);
});

test.each([1, 2, 3])("and so it is where people are away, part time or gone (seed %i)", (seed) => {
  expect(compare(irregular(tangledPlan(seed), seed))).toBeGreaterThan(5);
});
