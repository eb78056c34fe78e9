import { expect, test } from "vitest";
import { trackedPlan } from "../../tests/trackedPlan.ts";
import { outlineOf } from "../answers/outline.ts";
import { attentionOf } from "../attention/attention.ts";
import { formatDay, parseDay } from "../calendar/day.ts";
import { applyEdit } from "../edits/edit.ts";
import { buildModel } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { isTracked } from "../recorded/actuals.ts";
import { recordedOf } from "../recorded/recorded.ts";
import { progressReport } from "../reports/progress.ts";
import type { AttentionKind } from "../signals/kinds.ts";
import { type Markable, markEdit, needsDay } from "./markTasks.ts";

const leaf = (task: Partial<Markable["task"]>, isTrackedLeaf = true, actual = 0): Markable => ({
  task: { id: "t", ...task },
  isTracked: isTrackedLeaf,
  actual,
});

test("a mark asks for a day where no hours say when, and the project records its progress", () => {
  expect(needsDay(leaf({}), "started")).toBe(true);
  expect(needsDay(leaf({}), "done")).toBe(true);
  expect(needsDay(leaf({}, false), "done")).toBe(false);
  expect(needsDay(leaf({}, true, 60), "done")).toBe(false);
  expect(needsDay(leaf({ actualStart: "2027-02-01" }), "started")).toBe(false);
  expect(needsDay(leaf({ actualStart: "2027-02-01" }), "done")).toBe(true);
});

test("marked as done, a task has its days; one with hours has the state alone; one edit marks all", () => {
  const days = { start: "2027-02-01", finish: "2027-02-03" };
  expect(markEdit([leaf({})], "done", days)).toEqual({
    kind: "changeTasks",
    ids: ["t"],
    set: { state: "done", actualStart: "2027-02-01", actualFinish: "2027-02-03" },
  });
  expect(markEdit([leaf({ id: "a" }), leaf({ id: "b" }, true, 60), leaf({ id: "c", state: "done" })], "done", days)).toEqual({
    kind: "together",
    words: "mark 2 tasks as done",
    edits: [
      { kind: "changeTasks", ids: ["a"], set: { state: "done", actualStart: "2027-02-01", actualFinish: "2027-02-03" } },
      { kind: "changeTasks", ids: ["b"], set: { state: "done" } },
    ],
  });
  expect(markEdit([leaf({ state: "done" })], "done", days)).toBeNull();
});

test("marked as started, a task that was done is open again, without its finish and its 100 %", () => {
  const done = leaf({ state: "done", actualStart: "2027-02-01", actualFinish: "2027-02-03", percentComplete: 100 });
  expect(markEdit([done], "started", { start: "2027-02-09" })).toEqual({
    kind: "changeTasks",
    ids: ["t"],
    set: { state: "underWay", actualFinish: null, percentComplete: null },
  });
});

const seeds = [1, 2, 3, 4, 5, 6, 7, 8];

test.each(seeds)("always: an outline shows the work, the percentage and the days of the progress report (seed %i)", (seed) => {
  const plan = trackedPlan(seed);
  const model = buildModel(plan);
  const report = progressReport(model, null);
  for (const { id } of plan.projects) {
    for (const { task, actual, remaining, progress, began, ended } of outlineOf(model, id)?.tasks ?? []) {
      const row: { [K in "actualStart" | "actualFinish"]?: string } & Record<string, unknown> =
        report.tasks.find((own) => own.id === task.id) ?? {};
      expect({ id: task.id, actual, remaining, progress }).toEqual({
        id: task.id,
        actual: row.actual,
        remaining: row.remaining,
        progress: Math.round(Number(row.percentComplete) / 100),
      });
      expect([began, ended].map((own) => (own === null ? undefined : formatDay(own)))).toEqual([row.actualStart, row.actualFinish]);
    }
  }
});

test.each(seeds)("always: a mark leaves a sound plan, in which the task is as marked and as dated (seed %i)", (seed) => {
  const plan = trackedPlan(seed);
  const today = plan.settings.today ?? "";
  const model = buildModel(plan);
  const tracked = plan.projects.filter(isTracked).flatMap(({ id }) => outlineOf(model, id)?.tasks ?? []);
  const unmarked = tracked.filter(({ isSummary, isTracked: own }) => own && !isSummary);
  for (const mark of ["done", "started"] as const) {
    const state = mark === "done" ? "done" : "underWay";
    const leaves = unmarked.filter(({ task }) => task.state !== state).slice(0, 12);
    const edit = markEdit(leaves, mark, { start: today, finish: today });
    if (!edit) continue;
    const { plan: next } = applyEdit(plan, edit) as { plan: Plan };
    const after = next.projects.flatMap(({ id }) => outlineOf(buildModel(next), id)?.tasks ?? []);
    for (const { task } of leaves) {
      const own = after.find((other) => other.task.id === task.id);
      expect(own?.task.state).toBe(state);
      expect(own?.began).not.toBeNull();
      if (mark === "done") expect(own?.progress).toBe(100);
      if (mark === "done") expect(own?.ended).not.toBeNull();
    }
  }
});

/** One task of five days and 40 hours, by hand. */
function smallPlan(task: Partial<Plan["tasks"][number]>, hours: number): Plan {
  const base = trackedPlan(1);
  const [person] = base.people;
  return {
    ...base,
    settings: { ...base.settings, today: "2027-03-10" },
    projects: [{ id: "p", name: "Stand", calendarId: base.calendars[0].id, stage: "active", start: "2027-03-01", tracking: "recorded" }],
    tasks: [{ id: "t", projectId: "p", name: "Build", sizing: "duration", durationDays: 5, ...task }],
    assignments: [{ id: "a", taskId: "t", personId: person.id, hours: 8 }],
    timeEntries: hours > 0 ? [{ id: "e", personId: person.id, taskId: "t", date: "2027-03-02", hours, state: "approved" }] : [],
    links: [],
    expenses: [],
    actualCosts: [],
    requests: [],
    comments: [],
    acceptances: [],
  };
}

test.each<[AttentionKind | null, Partial<Plan["tasks"][number]>, number]>([
  ["startDue", {}, 0],
  ["startDue", { sizing: "dates", start: "2027-03-08", finish: "2027-03-12", durationDays: undefined }, 0],
  [null, { notBefore: "2027-03-15" }, 0],
  ["nothingLeft", {}, 8],
  [null, {}, 4],
  [null, { state: "done" }, 8],
  ["finishDue", { sizing: "dates", start: "2027-03-01", finish: "2027-03-05", durationDays: undefined }, 4],
])("signals of progress: %s of %j with %i hours", (kind, task, hours) => {
  const model = buildModel(smallPlan(task, hours));
  const found = attentionOf(model, model.progress.status).map((own) => own.kind);
  const kinds: AttentionKind[] = ["startDue", "finishDue", "finishAhead", "nothingLeft"];
  expect(found.filter((own) => kinds.includes(own))).toEqual(kind === null ? [] : [kind]);
});

test("a finish after the status date is a signal; a plan that follows the clock can have one", () => {
  const plan = smallPlan({ state: "done", actualFinish: "2027-03-12" }, 8);
  const { today: _, ...settings } = plan.settings;
  const kindsOn = (today: string) => {
    const model = buildModel({ ...plan, settings }, recordedOf({ ...plan, settings }, parseDay(today)));
    return attentionOf(model, model.progress.status).map(({ kind }) => kind);
  };
  expect(kindsOn("2027-03-11")).toContain("finishAhead");
  expect(kindsOn("2027-03-12")).not.toContain("finishAhead");
});
