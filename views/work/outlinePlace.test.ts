import * as fc from "fast-check";
import { expect, test } from "vitest";
import { outlineOf } from "../../core/answers/outline.ts";
import { applyEdit } from "../../core/edits/edit.ts";
import { buildModel } from "../../core/model.ts";
import type { Plan } from "../../core/plan/schema.ts";
import { fernhollow } from "../../demo/fernhollow.ts";
import { afterAll, type OutlineRow, placeAfter, type Step } from "./outlinePlace.ts";

const plan = fernhollow();
const rowsOf = (from: Plan): OutlineRow[] => outlineOf(buildModel(from), "orchard")?.tasks ?? [];
const rows = rowsOf(plan);
const listed = (from: readonly OutlineRow[]) => from.map(({ task, depth }) => `${depth} ${task.id}`);

function moved(id: string, step: Step, from = plan): Plan {
  const place = placeAfter(rowsOf(from), id, step);
  if (!place) throw new Error("it can move there");
  const outcome = applyEdit(from, { kind: "moveTask", id, ...place });
  if (!outcome.plan) throw new Error(outcome.faults.map(({ message }) => message).join(" "));
  return outcome.plan;
}

test("after a summary comes what is after all below it", () => {
  const summary = rows.find(({ depth }, at) => depth === 0 && rows[at + 1]?.depth === 1);
  const next = afterAll(rows, summary?.task.id ?? "");
  const at = rows.findIndex(({ task }) => task.id === next);
  expect(rows[at]?.depth).toBe(0);
  expect(afterAll(rows, rows.at(-1)?.task.id ?? "")).toBeNull();
});

test("at the ends a task cannot go further", () => {
  const siblings = rows.filter(({ task }) => task.parentId === rows[2].task.parentId);
  expect(placeAfter(rows, siblings[0].task.id, "up")).toBeNull();
  expect(placeAfter(rows, siblings.at(-1)?.task.id ?? "", "down")).toBeNull();
  expect(placeAfter(rows, rows[0].task.id, "out")).toBeNull();
  expect(placeAfter(rows, "none", "up")).toBeNull();
});

test("up takes a down back, and out an in, for every task that can make the step", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...rows.map(({ task }) => task.id)),
      fc.constantFrom<[Step, Step]>(["up", "down"], ["down", "up"]),
      (id, [there, back]) => {
        const place = placeAfter(rows, id, there);
        if (!place) return;
        const outcome = applyEdit(plan, { kind: "moveTask", id, ...place });
        if (!outcome.plan) return;
        const changed = listed(rowsOf(outcome.plan));
        expect(changed).not.toEqual(listed(rows));
        expect(new Set(changed)).toEqual(new Set(listed(rows)));
        expect(listed(rowsOf(moved(id, back, outcome.plan)))).toEqual(listed(rows));
      },
    ),
    { seed: 4, numRuns: 60 },
  );
});

test("a task goes below the one before it and comes out behind it again", () => {
  const at = rows.findIndex(({ task, depth }, row) => {
    const before = plan.tasks.find(({ id }) => id === task.id);
    return before?.durationDays === 0 && rows[row + 1]?.depth === depth;
  });
  expect(at).toBeGreaterThan(0);
  const next = rows[at + 1];
  const nested = moved(next.task.id, "in");
  expect(rowsOf(nested).find(({ task }) => task.id === next.task.id)?.depth).toBe(next.depth + 1);
  expect(listed(rowsOf(moved(next.task.id, "out", nested)))).toEqual(listed(rows));
});
