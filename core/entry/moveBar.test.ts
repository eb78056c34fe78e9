// Bars moved and stretched, a period's hours typed over and given back.
import fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { parseDay } from "../calendar/day.ts";
import { applyEdit } from "../edits/edit.ts";
import { buildModel, type Model } from "../model.ts";
import { placedIn } from "../placing/placements.ts";
import { type BarChange, moveBar, typePeriod, untype } from "./moveBar.ts";

const model = buildModel(fernhollow());
const week = { start: parseDay("2027-02-15"), stop: parseDay("2027-02-22") };

function after(change: BarChange, from: Model = model): Model {
  if ("fault" in change) throw new Error(change.fault);
  const outcome = applyEdit(from.plan, change.edit);
  if (!outcome.plan) throw new Error(JSON.stringify(outcome.faults));
  return buildModel(outcome.plan);
}

const rowOf = ({ plan }: Model, id: string) => plan.assignments.findIndex((own) => own.id === id);
const minutesIn = (from: Model, id: string, { start, stop } = { start: 0, stop: 60_000 }) =>
  placedIn(from.placements, rowOf(from, id), 10_000, start, stop);
const scenic = model.plan.assignments.find(({ taskId, personId }) => taskId === "tidepool-scenic" && personId === "rui")?.id as string;

test("a bar that is shorter than its task moves within it and keeps its length and hours", () => {
  const shorter = after(moveBar(model, scenic, 7, 0));
  expect(shorter.plan.assignments[rowOf(shorter, scenic)]).toMatchObject({ from: "2027-03-03" });
  const moved = after(moveBar(shorter, scenic, -5, -5), shorter);
  expect(moved.plan.assignments[rowOf(moved, scenic)]).toMatchObject({ from: "2027-02-26", to: "2027-03-26" });
  expect(minutesIn(moved, scenic)).toBe(minutesIn(model, scenic));
  const back = moveBar(shorter, scenic, -40, 0);
  expect("edit" in back && back.edit).toMatchObject({ set: { from: null, to: null } });
});

test("what fills its task, and what has no dates of its own, says where to move it instead", () => {
  expect(moveBar(model, scenic, 3, 3)).toEqual({ fault: "fillsTask" });
  expect(moveBar(model, "survey-bo", 3, 3)).toEqual({ fault: "byEffort" });
  expect(typePeriod(model, "survey-bo", week, 4)).toEqual({ fault: "byEffort" });
});

test("a typed period has just those hours, every other week what it had; given back, the total is spread again", () => {
  const range = { start: parseDay("2027-03-08"), stop: parseDay("2027-03-15") };
  const typed = after(typePeriod(model, scenic, range, 32));
  expect(minutesIn(typed, scenic, range)).toBe(32 * 60);
  expect(minutesIn(typed, scenic) - 32 * 60).toBe(minutesIn(model, scenic) - minutesIn(model, scenic, range));
  const again = after(untype(typed, scenic), typed);
  expect(minutesIn(again, scenic)).toBe(minutesIn(typed, scenic));
  expect(again.plan.assignments[rowOf(again, scenic)].custom).toBeUndefined();
});

test("always: typing over a period leaves the minutes outside it as they are", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 80 }), (seed, hours, at) => {
      const made = buildModel(tangledPlan(seed));
      const period = { start: parseDay("2027-01-04") + at * 7, stop: parseDay("2027-01-04") + at * 7 + 7 };
      for (const { id } of made.plan.assignments.slice(0, 12)) {
        const change = typePeriod(made, id, period, hours);
        if ("fault" in change) continue;
        const next = after(change, made);
        const outside = (from: Model) => minutesIn(from, id) - minutesIn(from, id, period);
        expect(outside(next), id).toBe(outside(made));
      }
    }),
    { numRuns: 20 },
  );
});
