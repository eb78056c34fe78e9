import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { everyEditFrom } from "../../tests/everyEdit.ts";
import { isSame } from "../values/same.ts";
import { applyEdit, type Edit } from "./edit.ts";
import { stepRows } from "./stepRows.ts";

function changesOf(edit: Edit) {
  const outcome = applyEdit(fernhollow(), edit);
  if (!outcome.plan) throw new Error(outcome.faults[0].message);
  return outcome.changes;
}

test("a changed row is reported by its fields, one that was added or deleted by its name", () => {
  expect(stepRows(changesOf({ kind: "changeTask", id: "tidepool-order", set: { name: "Order it all", priority: 1 } }))).toEqual([
    {
      list: "tasks",
      id: "tidepool-order",
      name: "Order it all",
      sort: "changed",
      cells: [
        { field: "name", before: "Order materials", after: "Order it all" },
        { field: "priority", before: undefined, after: 1 },
      ],
    },
  ]);
  const [added] = stepRows(changesOf({ kind: "addNamed", list: "roles", row: { id: "rigger", name: "Rigger" } }));
  expect(added).toMatchObject({ name: "Rigger", sort: "added", cells: [] });
});

test("a project goes with all that is its own, and nothing of another one", () => {
  const plan = fernhollow();
  const changes = changesOf({ kind: "deleteProject", id: "tidepool" });
  const gone = (list: string) => stepRows(changes).filter((row) => row.list === list && row.sort === "deleted").length;
  const tasks = new Set(plan.tasks.filter(({ projectId }) => projectId === "tidepool").map(({ id }) => id));
  expect(gone("projects")).toBe(1);
  expect(gone("tasks")).toBe(tasks.size);
  expect(gone("assignments")).toBe(plan.assignments.filter(({ taskId }) => tasks.has(taskId)).length);
  expect(gone("expenses")).toBe(plan.expenses.filter(({ projectId }) => projectId === "tidepool").length);
});

test("always: every field that an edit changes is reported, and none that it leaves", () => {
  for (const seed of [3, 7]) {
    let plan = fernhollow();
    const next = everyEditFrom(seed);
    for (let step = 0; step < 80; step++) {
      const outcome = applyEdit(plan, next(plan));
      if (!outcome.plan) continue;
      outcome.changes.forEach(({ list, before, after }, at) => {
        const reported = stepRows(outcome.changes)[at];
        if (!before || !after || list === "rateTables") return;
        const fields = new Set([...Object.keys(before), ...Object.keys(after)]);
        const changed = [...fields].filter((key) => !isSame((before as never)[key], (after as never)[key]));
        expect(reported.cells.map(({ field }) => field).sort()).toEqual(changed.sort());
      });
      plan = outcome.plan;
    }
  }
});
