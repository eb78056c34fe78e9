// Bars dragged along time: within their task, and with it.
import fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { parseDay } from "../calendar/day.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { buildModel, type Model } from "../model.ts";
import { type BarShift, shiftBar, type TaskShift } from "./shiftBar.ts";

const model = buildModel(fernhollow());
const scenic = model.plan.assignments.find(({ taskId, personId }) => taskId === "tidepool-scenic" && personId === "rui")?.id as string;

function after(edit: Edit, from: Model = model): Model {
  const outcome = applyEdit(from.plan, edit);
  if (!outcome.plan) throw new Error(JSON.stringify(outcome.faults));
  return buildModel(outcome.plan);
}

function datesOf({ plan, schedule }: Model, taskId: string) {
  const dates = schedule.of(plan.tasks.findIndex(({ id }) => id === taskId));
  return dates && { start: dates.start.day, stop: dates.finish.day + 1 };
}

const taskShift = (shift: BarShift): TaskShift => {
  if (!("as" in shift) || shift.as !== "task") throw new Error(JSON.stringify(shift));
  return shift;
};

test("a bar that fills its task takes the task along, with each way in which it can start then, and names who comes with it", () => {
  const shift = taskShift(shiftBar(model, { assignmentId: scenic, startDays: 7, stopDays: 7 }));
  expect(shift.start).toBe(parseDay("2027-03-03"));
  expect(shift.options.length).toBeGreaterThan(1);
  for (const { edit } of shift.options) expect(datesOf(after(edit), "tidepool-scenic")?.start).toBe(shift.start);
});

test("own dates within a task change alone while the bar stays inside, and go along with the task further out", () => {
  const inside = shiftBar(model, { assignmentId: scenic, startDays: 7, stopDays: 0 });
  expect(inside).toMatchObject({ as: "own", range: { start: parseDay("2027-03-03") } });
  const shorter = after((inside as { edit: Edit }).edit);
  expect(shiftBar(shorter, { assignmentId: scenic, startDays: -5, stopDays: -5 })).toMatchObject({ as: "own" });
  const out = taskShift(shiftBar(shorter, { assignmentId: scenic, startDays: 14, stopDays: 14 }));
  const moved = after(out.options[0].edit, shorter);
  expect(datesOf(moved, "tidepool-scenic")?.start).toBe(parseDay("2027-03-10"));
  expect(moved.plan.assignments.find(({ id }) => id === scenic)).toMatchObject({ from: "2027-03-17" });
});

test("an end drawn out of the task makes the task longer", () => {
  const longer = taskShift(shiftBar(model, { assignmentId: scenic, startDays: 0, stopDays: 9 }));
  expect(longer.options.map(({ way }) => way)).toEqual(["longer"]);
  expect(datesOf(after(longer.options[0].edit), "tidepool-scenic")).toEqual({
    start: parseDay("2027-02-24"),
    stop: parseDay("2027-04-10"),
  });
  expect(shiftBar(model, { assignmentId: "survey-bo", startDays: 0, stopDays: 3 })).toEqual({ fault: "byEffort" });
});

test("always: what a drag promises can be done, and a move with one way ends where it said", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 1e6 }),
      fc.nat(),
      fc.integer({ min: -40, max: 40 }),
      fc.constantFrom("whole", "start", "finish"),
      (seed, at, days, part) => {
        const from = seed % 3 === 0 ? model : buildModel(tangledPlan(seed));
        const { assignments } = from.plan;
        if (assignments.length === 0) return;
        const assignment = assignments[at % assignments.length];
        const drag = { assignmentId: assignment.id, startDays: part === "finish" ? 0 : days, stopDays: part === "start" ? 0 : days };
        const shift = shiftBar(from, drag);
        if ("fault" in shift) return;
        const edits = shift.as === "own" ? [shift.edit] : shift.options.map(({ edit }) => edit);
        for (const edit of edits) expect(applyEdit(from.plan, edit).faults).toEqual([]);
        if (shift.as === "task") expect(datesOf(after(shift.options[0].edit, from), assignment.taskId)).toEqual(shift.range);
      },
    ),
    { numRuns: 50 },
  );
});
