import fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { hoursGrid } from "../answers/hoursGrid.ts";
import { parseDay } from "../calendar/day.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { buildModel, type Model } from "../model.ts";
import { placedIn } from "../placing/placements.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import { NOT_STARTED } from "../progress/progress.ts";
import { workMinutes } from "../values/units.ts";
import { type TypedCell, typeHours } from "./typeHours.ts";
import { typePeriod } from "./typePeriod.ts";

const range = { start: parseDay("2027-02-01"), stop: parseDay("2027-04-26") };
const demo = buildModel(fernhollow());

function typed(model: Model, cells: readonly TypedCell[]): Model {
  const { edit } = typeHours(model, cells);
  if (!edit) throw new Error("nothing could be typed");
  const outcome = applyEdit(model.plan, edit);
  if (!outcome.plan) throw new Error(outcome.faults[0].message);
  return buildModel(outcome.plan);
}

const minutesIn = (model: Model, id: string, { start, stop }: { start: number; stop: number }) =>
  placedIn(model.placements, rowById(model.plan.assignments).get(id) as number, 10_000, start, stop);
const unplacedOf = ({ placements, plan }: Model, id: string) => placements.unplaced[rowById(plan.assignments).get(id) as number];

const grid = hoursGrid(demo, { of: { projectId: "tidepool" }, range, grain: "week" });
const typable = (grid?.rows ?? []).filter(({ fault }) => fault === null);

test("always: what is typed into weeks is what is there, and every other week of the row keeps its minutes", () => {
  const cell = fc.record({
    row: fc.nat(typable.length - 1),
    week: fc.nat((grid?.periods.length ?? 1) - 1),
    hours: fc.constantFrom(0, 0.5, 7.5, 16, 40),
  });
  fc.assert(
    fc.property(fc.uniqueArray(cell, { minLength: 1, maxLength: 6, selector: ({ row, week }) => `${row} ${week}` }), (chosen) => {
      const periods = grid?.periods ?? [];
      const cells = chosen.map(({ row, week, hours }) => ({ assignmentId: typable[row].assignmentId, ...periods[week], hours }));
      const after = typed(demo, cells);
      for (const id of new Set(cells.map(({ assignmentId }) => assignmentId)))
        for (const period of periods) {
          const own = cells.find((one) => one.assignmentId === id && one.start === period.start);
          if (!own) expect(minutesIn(after, id, period), `${id} ${period.start}`).toBe(minutesIn(demo, id, period));
          // A week in which its person never works takes nothing: the hours are reported as unplaced.
          else if (unplacedOf(after, id) === 0) expect(minutesIn(after, id, period)).toBe(workMinutes(own.hours));
        }
    }),
    { numRuns: 40 },
  );
});

test("a day typed within a typed week leaves the rest of the week where it was", () => {
  const [row] = typable.filter(({ minutes }) => minutes[2] > 600);
  const [, , week] = grid?.periods ?? [];
  const once = typed(demo, [{ assignmentId: row.assignmentId, ...week, hours: 20 }]);
  const wednesday = { start: week.start + 2, stop: week.start + 3 };
  const others = 20 * 60 - minutesIn(once, row.assignmentId, wednesday);
  const twice = typed(once, [{ assignmentId: row.assignmentId, ...wednesday, hours: 1 }]);
  expect(minutesIn(twice, row.assignmentId, wednesday)).toBe(60);
  expect(minutesIn(twice, row.assignmentId, week)).toBe(others + 60);
});

test("typed hours follow their task: they state the day it began, and move with it", () => {
  const [row] = typable.filter(({ taskId }) => findRow(demo.plan.tasks, taskId)?.sizing === "duration");
  const [week] = grid?.periods ?? [];
  const after = typed(demo, [{ assignmentId: row.assignmentId, ...week, hours: 12 }]);
  const task = demo.schedule.of(rowById(demo.plan.tasks).get(row.taskId) as number);
  const assignment = findRow(after.plan.assignments, row.assignmentId);
  expect(assignment?.customFrom && parseDay(assignment.customFrom)).toBe(task?.start.day);
  expect(assignment?.hours).toBeUndefined();
});

test("a task sized by effort takes no typed periods, and says so; the others of a block are typed all the same", () => {
  const effort = demo.plan.tasks.find(({ id, sizing }) => sizing === "effort" && demo.plan.assignments.some(({ taskId }) => taskId === id));
  const own = demo.plan.assignments.find(({ taskId, personId }) => taskId === effort?.id && personId !== undefined);
  const [week] = grid?.periods ?? [];
  const both = [own?.id ?? "", typable[0].assignmentId].map((assignmentId) => ({ assignmentId, ...week, hours: 3 }));
  const { edit, refused } = typeHours(demo, both);
  expect(refused).toEqual([{ assignmentId: own?.id, fault: "byEffort" }]);
  expect(edit).toMatchObject({ kind: "changeAssignment", id: typable[0].assignmentId });
});

test("the grid's rows add up to what the person has to do, and say which weeks are typed", () => {
  const own = hoursGrid(demo, { of: { personId: "mara" }, range, grain: "week" });
  const load = own?.people.mara.load ?? new Int32Array();
  own?.periods.forEach((_, at) => {
    const sum = own.rows.reduce((total, { minutes }) => total + minutes[at], 0);
    expect(sum).toBeGreaterThanOrEqual(load[at]);
  });
  const [row] = own?.rows.filter(({ fault, minutes }) => fault === null && minutes[2] > 0) ?? [];
  expect([...row.typed]).not.toContain(1);
  const [, , week] = own?.periods ?? [];
  const after = hoursGrid(typed(demo, [{ assignmentId: row.assignmentId, ...week, hours: 4 }]), {
    of: { personId: "mara" },
    range,
    grain: "week",
  });
  const now = after?.rows.find(({ assignmentId }) => assignmentId === row.assignmentId);
  expect(now?.minutes[2]).toBe(240);
  expect(now?.typed[2]).toBe(1);
  expect(hoursGrid(demo, { of: { personId: "nobody" }, range, grain: "week" })).toBeNull();
});

test("hours of days that have passed in a project that records them are not typed over; those ahead are", () => {
  const edits: Edit[] = [
    { kind: "changeProject", id: "tidepool", set: { tracking: "recorded", stage: "active" } },
    { kind: "changeSettings", set: { today: "2027-03-01" } },
  ];
  const plan = edits.reduce((own, edit) => applyEdit(own, edit).plan ?? own, demo.plan);
  const model = buildModel(plan);
  const past = { start: parseDay("2027-02-15"), stop: parseDay("2027-02-22") };
  const ahead = { start: parseDay("2027-03-08"), stop: parseDay("2027-03-15") };
  const { assignmentId } =
    typable.find(({ taskId }) => model.progress.stage[rowById(plan.tasks).get(taskId) as number] === NOT_STARTED) ?? typable[0];
  const { edit, refused } = typeHours(model, [
    { assignmentId, ...past, hours: 7 },
    { assignmentId, ...ahead, hours: 5 },
  ]);
  expect(refused).toEqual([{ assignmentId, fault: "recorded" }]);
  const after = buildModel(applyEdit(plan, edit as Edit).plan as Plan);
  expect([minutesIn(after, assignmentId, past), minutesIn(after, assignmentId, ahead)]).toEqual([0, 300]);
  expect(typePeriod(model, assignmentId, past, 7, { clock: past.start, newId: "new" })).toEqual({ fault: "recorded" });
  const row = hoursGrid(model, { of: { projectId: "tidepool" }, range, grain: "week" })?.rows.find(
    (own) => own.assignmentId === assignmentId,
  );
  expect([...(row?.recorded ?? [])].slice(0, 6)).toEqual([1, 1, 1, 1, 0, 0]);
});
