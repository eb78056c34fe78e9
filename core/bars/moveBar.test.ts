// Bars moved and stretched.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { parseDay } from "../calendar/day.ts";
import { applyEdit } from "../edits/edit.ts";
import { buildModel, type Model } from "../model.ts";
import { placedIn } from "../placing/placements.ts";
import { typePeriod } from "../typing/typePeriod.ts";
import { type BarChange, moveBar } from "./moveBar.ts";

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

test("what fills its task stays, and what has no dates of its own says so", () => {
  expect(moveBar(model, scenic, 3, 3)).toEqual({ fault: "unchanged" });
  expect(moveBar(model, "survey-bo", 3, 3)).toEqual({ fault: "byEffort" });
  expect(typePeriod(model, "survey-bo", week, 4, { clock: week.start, newId: "rest" })).toEqual({ fault: "byEffort" });
});
