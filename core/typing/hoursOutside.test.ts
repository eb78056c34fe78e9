import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { formatDay, parseDay } from "../calendar/day.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { togetherOf } from "../edits/together.ts";
import { buildModel, type Model } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { hoursOutside } from "./hoursOutside.ts";
import { typeHours } from "./typeHours.ts";

const demo = fernhollow();

function made(plan: Plan, edit: Edit | null): Model {
  const outcome = edit && applyEdit(plan, edit);
  if (!outcome?.plan) throw new Error("the edit is allowed");
  return buildModel(outcome.plan);
}

/** A week of Rui's on one task, typed. */
const weekOf = (assignmentId: string, monday: string, hours: number) => ({
  assignmentId,
  start: parseDay(monday),
  stop: parseDay(monday) + 7,
  hours,
});

const sized = (sizing: "duration" | "dates"): Plan => ({
  ...demo,
  links: demo.links.filter(({ from, to }) => from !== "tidepool-scenic" && to !== "tidepool-scenic"),
  tasks: demo.tasks.map((task) => {
    if (task.id !== "tidepool-scenic") return task;
    const { start: _, finish: __, durationDays: ___, effortHours: ____, notBefore: _____, ...rest } = task;
    return sizing === "dates"
      ? { ...rest, sizing, start: "2027-03-01", finish: "2027-03-12" }
      : { ...rest, sizing, durationDays: 10, notBefore: "2027-03-01" };
  }),
});

const idOf = (plan: Plan) => plan.assignments.find(({ taskId, personId }) => taskId === "tidepool-scenic" && personId)?.id as string;

test.each(["dates", "duration"] as const)("hours after the finish are found, and the finish moves to the last of them (%s)", (sizing) => {
  const plan = sized(sizing);
  const cells = [weekOf(idOf(plan), "2027-03-22", 12)];
  const model = made(plan, typeHours(buildModel(plan), cells).edit);
  const [own, ...others] = hoursOutside(model, cells);
  expect(others).toEqual([]);
  expect(own).toMatchObject({ taskId: "tidepool-scenic", before: 0, after: 12 * 60 });
  expect(formatDay(own.finish)).toBe("2027-03-12");
  const moved = made(model.plan, togetherOf(own.moveFinish, "move"));
  const row = moved.plan.tasks.findIndex(({ id }) => id === "tidepool-scenic");
  expect(moved.schedule.of(row)?.finish.day).toBe(own.lastDay);
  expect(hoursOutside(moved, cells)).toEqual([]);
});

test("hours before the start are found and nothing is offered; hours inside the dates are no matter", () => {
  const plan = sized("dates");
  const id = idOf(plan);
  const cells = [weekOf(id, "2027-02-15", 6), weekOf(id, "2027-03-08", 9)];
  const model = made(plan, typeHours(buildModel(plan), cells).edit);
  expect(hoursOutside(model, cells)).toMatchObject([{ before: 6 * 60, after: 0, moveFinish: [] }]);
  expect(hoursOutside(model, cells.slice(1))).toEqual([]);
});
