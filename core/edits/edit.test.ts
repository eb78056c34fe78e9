import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { largePlan } from "../../demo/large.ts";
import { everyEditFrom, noEditsYet } from "../../tests/everyEdit.ts";
import { editsFrom } from "../../tests/randomEdits.ts";
import { checkPlan } from "../plan/check.ts";
import { applyChanges, invert } from "./change.ts";
import { applyEdit, type Edit, editSchema } from "./edit.ts";

const plan = fernhollow();

/** The message with which an edit is refused; empty where it is made. */
function refusal(edit: Edit): string {
  return applyEdit(plan, edit)
    .faults.map(({ message }) => message)
    .join(" ");
}

test.each([11, 12, 13])("every edit leaves a sound plan, and its changes reversed bring back the plan before it (seed %i)", (seed) => {
  let current = largePlan({ people: 12, projects: 4, tasks: 60, assignments: 120, links: 60 }, seed);
  const next = editsFrom(seed);
  for (let step = 0; step < 80; step++) {
    const edit = next(current);
    expect(editSchema.safeParse(edit).success).toBe(true);
    const before = JSON.stringify(current);
    const outcome = applyEdit(current, edit);
    expect(JSON.stringify(current)).toBe(before);
    if (!outcome.plan) continue;
    expect(checkPlan(outcome.plan)).toEqual([]);
    expect(applyChanges(outcome.plan, invert(outcome.changes))).toEqual(current);
    expect(outcome.words).not.toBe("");
    current = outcome.plan;
  }
});

test("so it is with every kind of edit on the demo plan, and every kind is made", () => {
  const made = noEditsYet();
  for (const seed of [1, 2, 3, 4, 11, 12]) {
    let current = fernhollow();
    const next = everyEditFrom(seed);
    for (let step = 0; step < 200; step++) {
      const edit = next(current);
      const read = editSchema.safeParse(JSON.parse(JSON.stringify(edit)));
      expect(read.error?.issues ?? [], JSON.stringify(edit)).toEqual([]);
      const outcome = applyEdit(current, edit);
      if (!outcome.plan) {
        for (const { message } of outcome.faults) expect(message, JSON.stringify(edit)).toMatch(/[.?]$/);
        continue;
      }
      made[edit.kind]++;
      expect(checkPlan(outcome.plan), JSON.stringify(edit)).toEqual([]);
      expect(applyChanges(outcome.plan, invert(outcome.changes)), JSON.stringify(edit)).toEqual(current);
      expect(outcome.words).not.toBe("");
      current = outcome.plan;
    }
  }
  expect(Object.entries(made).filter(([, count]) => count === 0)).toEqual([]);
});

test("giving an assignment to a person changes its person alone", () => {
  const outcome = applyEdit(plan, { kind: "reassign", id: "rockpools-mara", personId: "rui" });
  expect(outcome.plan && outcome.words).toBe('reassign "Rock pool trial casts" to Rui Monteverde');
  expect(outcome.plan?.assignments.filter((row, at) => row !== plan.assignments[at])).toEqual([
    { id: "rockpools-mara", taskId: "tidepool-rockpools", personId: "rui", hours: 60 },
  ]);
});

test("an opening given to a person keeps the role it was made in", () => {
  const outcome = applyEdit(plan, { kind: "reassign", id: "tank-open", personId: "rui" });
  expect(outcome.plan?.assignments.find(({ id }) => id === "tank-open")).toMatchObject({
    roleId: "fabricator",
    personId: "rui",
    hours: 40,
  });
});

test("an edit for a row that is gone says so", () => {
  expect(refusal({ kind: "changeTask", id: "gone", set: { name: "x" } })).toMatch(/^This task is no longer in the plan/);
  expect(refusal({ kind: "reassign", id: "rockpools-mara", personId: "gone" })).toMatch(/^This person is no longer/);
  expect(refusal({ kind: "deleteTask", id: "gone" })).toMatch(/no longer/);
  expect(refusal({ kind: "deleteAssignment", id: "gone" })).toMatch(/no longer/);
});

test("material cannot be given to a person", () => {
  expect(refusal({ kind: "reassign", id: "m-tank", personId: "rui" })).not.toBe("");
});

test("an edit that would make a fault is refused with its place", () => {
  const outcome = applyEdit(plan, { kind: "changeTask", id: "tidepool-cases", set: { roleId: "weldr" } });
  expect(outcome.faults[0].place).toMatch(/^tasks\[\d+\]\.roleId$/);
  expect(refusal({ kind: "changeTask", id: "tidepool-cases", set: { durationDays: null } })).toMatch(/working days/);
  expect(
    refusal({ kind: "addTask", task: { id: "t", projectId: "slowlight", parentId: "tidepool-design", name: "T" }, next: null }),
  ).toMatch(/another project/);
  expect(refusal({ kind: "changeTask", id: "tidepool-design", set: { parentId: "tidepool-design" } })).toMatch(/ancestor/);
  expect(refusal({ kind: "addAssignment", assignment: { id: "a", taskId: "tidepool-design", personId: "rui", hours: 3 } })).toMatch(
    /children/,
  );
  expect(refusal({ kind: "addPerson", person: { id: "rui", name: "Rui", roleIds: [], calendarId: "porto" } })).toMatch(/already a person/);
});

test("sizing a task by effort is refused while its work is stated in another way", () => {
  expect(refusal({ kind: "changeTask", id: "tidepool-leading", set: { sizing: "effort", durationDays: null } })).toMatch(/effort/);
});

test("a task put under one that has work is refused, since work belongs to leaves", () => {
  expect(refusal({ kind: "addTask", task: { id: "t", projectId: "tidepool", parentId: "tidepool-cases", name: "T" }, next: null })).toMatch(
    /children/,
  );
});

test("deleting a task takes all below it, their work and links, and detaches expenses", () => {
  const outcome = applyEdit(plan, { kind: "deleteTask", id: "tidepool-fabrication" });
  if (!outcome.plan) throw new Error("the task can be deleted");
  const ids = new Set(outcome.plan.tasks.map(({ id }) => id));
  expect(ids.has("tidepool-cases")).toBe(false);
  expect(outcome.plan.assignments.every(({ taskId }) => ids.has(taskId))).toBe(true);
  expect(outcome.plan.links.every(({ from, to }) => ids.has(from) && ids.has(to))).toBe(true);
  expect(applyChanges(outcome.plan, invert(outcome.changes))).toEqual(plan);
});

test("a new task is before the one named, and at the end where none is", () => {
  const added = (next: string | null) =>
    applyEdit(plan, { kind: "addTask", task: { id: "t", projectId: "tidepool", name: "T" }, next }).plan?.tasks.findIndex(
      ({ id }) => id === "t",
    );
  expect(added("tidepool-cases")).toBe(plan.tasks.findIndex(({ id }) => id === "tidepool-cases"));
  expect(added(null)).toBe(plan.tasks.length);
});

test("a key set to null is removed", () => {
  const outcome = applyEdit(plan, { kind: "changePerson", id: "tomas", set: { patterns: null, location: null } });
  const tomas = outcome.plan?.people.find(({ id }) => id === "tomas");
  expect(tomas).toBeDefined();
  expect(tomas && "patterns" in tomas).toBe(false);
  expect(refusal({ kind: "changePerson", id: "tomas", set: { name: null } })).not.toBe("");
});

test("a task on a cycle of links can wait without dates, and cannot be given any", () => {
  const link = (from: string, to: string): Edit => ({ kind: "addLink", link: { id: `${from}>${to}`, from, to, kind: "FS" } });
  let plan = fernhollow();
  for (const edit of [link("tidepool-braille", "tidepool-order"), link("tidepool-order", "tidepool-braille")]) {
    const outcome = applyEdit(plan, edit);
    if (!outcome.plan) throw new Error(outcome.faults[0].message);
    plan = outcome.plan;
  }
  const dated = applyEdit(plan, { kind: "changeTask", id: "tidepool-braille", set: { sizing: "duration", durationDays: 2 } });
  expect(dated.plan).toBeNull();
  expect(dated.faults[0].message).toMatch(/^This would create a cycle: /);
  expect(applyEdit(plan, { kind: "changeLink", id: "tidepool-order>tidepool-braille", set: { lagDays: 3 } }).faults).toEqual([]);
});
