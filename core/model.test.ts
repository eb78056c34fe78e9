import { expect, test } from "vitest";
import { fernhollow } from "../demo/fernhollow.ts";
import { largePlan } from "../demo/large.ts";
import { everyEditFrom } from "../tests/everyEdit.ts";
import { expectSame } from "../tests/expectSame.ts";
import { editsFrom } from "../tests/randomEdits.ts";
import { tangledPlan } from "../tests/randomPlan.ts";
import { trackedPlan } from "../tests/trackedPlan.ts";
import { attentionOf } from "./attention/attention.ts";
import { parseDay } from "./calendar/day.ts";
import { horizonOf } from "./calendar/horizon.ts";
import type { Change } from "./edits/change.ts";
import { applyEdit, type Edit, type EditOf } from "./edits/edit.ts";
import { countAll, defaultCounting } from "./load/counting.ts";
import { buildModel, type Model } from "./model.ts";
import { checkPlan } from "./plan/check.ts";
import type { Plan } from "./plan/schema.ts";
import { loadReport } from "./reports/load.ts";
import { updateModel } from "./update/update.ts";
import { objectKeys } from "./values/objectKeys.ts";

const small = { people: 24, projects: 5, tasks: 90, assignments: 220, links: 90 };

/** All placed days of every row, so that two models can be held against each other. */
function placedDays({ placements, work }: Model) {
  return Array.from({ length: work.rows }, (_, row) => {
    const days: number[] = [];
    for (let i = 0; i < placements.length[row]; i++) {
      const minutes = placements.buffer.minutes[placements.offset[row] + i];
      if (minutes > 0) days.push(placements.start[row] + i, minutes);
    }
    return { asked: placements.asked[row], placed: placements.placed[row], unplaced: placements.unplacedAt.get(row) ?? [], days };
  });
}

/** All dates with what decides them, and all slack. */
function dated(model: Model) {
  const { schedule, plan } = model;
  return plan.tasks.map(({ id }, row) => {
    const dates = schedule.of(row);
    if (!dates) return { id };
    const { start, finish, driver, startAt, finishAt } = dates;
    const room = model.slack().of(row);
    return { id, start, finish, driver, startAt, finishAt, total: room?.total, free: room?.free };
  });
}

/** The columns that the passes read. */
function laidOut({ schedule }: Model) {
  const { plan: _, lines: __, progress: ___, ...columns } = schedule.network;
  return columns;
}

/** Everything after the placements: loads under three countings, costs of two windows, conflicts, signals. */
function stagesOf(model: Model) {
  const { plan } = model;
  const { start, stop } = horizonOf(plan);
  const loads = countings.map((counting) => {
    const book = model.load(counting);
    return plan.people.map((_, person) => {
      const { minutes, at } = book.of(person, start, stop);
      return minutes.subarray(at, at + stop - start);
    });
  });
  const { byProject: _, ...whole } = model.costsOfHorizon();
  const { projects, lines } = model.costs({ range: { start: start + 40, stop: stop - 90 }, grain: "month" });
  const attention = attentionOf(model, start + 60);
  return { loads, whole, projects, lines, conflicts: model.conflicts(), signals: model.signals(), attention };
}

const countings = [defaultCounting, { pencilled: false, pipeline: "weighted" }, countAll] as const;

/** Makes random edits one after the other and compares every step with working everything out again. */
function holdsAgainstFullRun(first: Plan, next: (plan: Plan) => Edit): number {
  let plan = first;
  let model = buildModel(plan);
  let applied = 0;
  for (let step = 0; step < 70; step++) {
    const edit = next(plan);
    const outcome = applyEdit(plan, edit);
    if (!outcome.plan) continue;
    applied++;
    model = updateModel(model, outcome.plan, outcome.changes);
    plan = outcome.plan;
    const rebuilt = buildModel(plan);
    const alike = (of: (model: Model) => unknown) => expectSame(of(model), of(rebuilt), JSON.stringify(edit));
    alike(laidOut);
    alike(dated);
    alike(({ schedule }) => schedule.projects);
    alike(placedDays);
    // The stages computed now are carried over the next edit.
    alike(stagesOf);
    alike((own) => loadReport(own, { range: horizonOf(plan), grain: "month" }, defaultCounting));
  }
  return applied;
}

test.each([1, 2, 3, 4])("dating and placing again only what an edit touched is the same as a full run (plain plan, seed %i)", (seed) => {
  expect(holdsAgainstFullRun(largePlan(small, seed), editsFrom(seed))).toBeGreaterThan(30);
});

test.each([11, 12, 13, 14, 15, 16, 17, 18])("and so it is where outlines, effort, constraints and calendars decide (seed %i)", (seed) => {
  expect(holdsAgainstFullRun(tangledPlan(seed), editsFrom(seed))).toBeGreaterThan(25);
});

test.each([1, 2])("and after edits of every kind on the demo plan (seed %i)", (seed) => {
  expect(holdsAgainstFullRun(fernhollow(), everyEditFrom(seed))).toBeGreaterThan(40);
});

test.each([21, 22, 23])("and where the past is recorded (seed %i)", (seed) => {
  expect(holdsAgainstFullRun(trackedPlan(seed), editsFrom(seed))).toBeGreaterThan(20);
});

test.each([31, 32, 33, 34, 35, 36])("several edits carried at once are the same as a full run too (seed %i)", (seed) => {
  const next = seed % 2 === 0 ? everyEditFrom(seed) : editsFrom(seed);
  let model = buildModel(seed % 2 === 0 ? fernhollow() : tangledPlan(seed));
  for (let step = 0; step < 8; step++) {
    stagesOf(model);
    let { plan } = model;
    const changes: Change[] = [];
    for (let made = 0; made < 12; made++) {
      const outcome = applyEdit(plan, next(plan));
      if (!outcome.plan) continue;
      plan = outcome.plan;
      changes.push(...outcome.changes);
    }
    expect(changes.length).toBeGreaterThan(0);
    model = updateModel(model, plan, changes);
    const rebuilt = buildModel(plan);
    for (const of of [laidOut, dated, placedDays, stagesOf]) expectSame(of(model), of(rebuilt), `step ${step}`);
  }
});

test("signals are carried over edits that do not change them, and made again for another day", () => {
  const model = buildModel(fernhollow());
  const day = parseDay("2027-02-01");
  attentionOf(model, day);
  const [task, assignment] = [model.plan.tasks[3], model.plan.assignments[3]];
  const carriedOver = (edit: Edit) => {
    const outcome = applyEdit(model.plan, edit);
    const next = outcome.plan && updateModel(model, outcome.plan, outcome.changes);
    return [...(next?.stages.signals.keys() ?? [])];
  };
  const comment = { id: "c-new", taskId: task.id, author: "Ines", at: "2027-02-01T09:00:00Z", text: "Ready" };
  expect(carriedOver({ kind: "addComment", comment })).toEqual(["people", "work", "dates", "money"]);
  expect(carriedOver({ kind: "changeAssignment", id: assignment.id, set: { firmness: "pencilled" } })).toEqual(["dates"]);
  expect(carriedOver({ kind: "changeTask", id: task.id, set: { name: "Another name" } })).toEqual([]);
  attentionOf(model, day + 7);
  expect(new Set([...model.stages.signals.values()].map(({ today }) => today))).toEqual(new Set([day + 7]));
});

test("a change of any single setting is the same as a full run, and only settings of dates and costs build the model again", () => {
  const settings: NonNullable<EditOf<"changeSettings">["set"]> = {
    name: "Another name",
    currency: "CHF",
    weekStartsOn: 7,
    planStart: "2026-06-01",
    planEnd: "2029-01-31",
    today: "2027-03-01",
    fiscalYearStartMonth: 7,
    hoursPerFteWeek: 30,
    levelBand: { low: 0.4, high: 0.8 },
    marginTarget: 60,
    taxInCost: true,
    enquiryForm: null,
    attention: [{ kind: "over", least: 90 }],
  };
  const kept: string[] = [];
  for (const key of objectKeys(settings)) {
    const model = buildModel(fernhollow());
    stagesOf(model);
    const outcome = applyEdit(model.plan, { kind: "changeSettings", set: { [key]: settings[key] } });
    if (!outcome.plan) throw new Error(`${key} fits the plan: ${outcome.faults[0].message}`);
    const next = updateModel(model, outcome.plan, outcome.changes);
    const rebuilt = buildModel(outcome.plan);
    for (const of of [laidOut, dated, placedDays, stagesOf]) expectSame(of(next), of(rebuilt), key);
    if (next.work === model.work) kept.push(key);
  }
  expect(kept).toEqual(["name", "hoursPerFteWeek", "levelBand", "marginTarget", "enquiryForm", "attention"]);
});

test("an edit dates nothing but what depends on it", () => {
  const plan = largePlan({ ...small, tasks: 400, links: 300 }, 3);
  const model = buildModel(plan);
  const outcome = applyEdit(plan, { kind: "changeTask", id: plan.links[0].from, set: { priority: 3, deadline: "2027-09-01" } });
  if (!outcome.plan) throw new Error("the edit fits the plan");
  const next = updateModel(model, outcome.plan, outcome.changes);
  expect(next.placements.buffer).toBe(model.placements.buffer);
  const rows = plan.tasks.map((_, row) => row);
  expect(rows.every((row) => next.schedule.of(row)?.startAt === model.schedule.of(row)?.startAt)).toBe(true);
  const placedAnew = plan.assignments.filter((_, row) => next.placements.offset[row] !== model.placements.offset[row]);
  expect(new Set(placedAnew.map(({ taskId }) => taskId))).toEqual(new Set([plan.links[0].from]));
});

test("an edit leaves the loads of all others, and the costs of all other projects, as they are", () => {
  const plan = largePlan(small, 7);
  const model = buildModel(plan);
  const range = horizonOf(plan);
  const loadOf = (own: Model, person: number) => own.load(defaultCounting).of(person, range.start, range.stop).minutes;
  const row = plan.assignments.findIndex(({ personId }) => personId === "p3");
  const { byProject } = model.costsOfHorizon();
  for (let person = 0; person < plan.people.length; person++) loadOf(model, person);
  const outcome = applyEdit(plan, { kind: "reassign", id: plan.assignments[row].id, personId: "p5" });
  if (!outcome.plan) throw new Error("the edit fits the plan");
  const next = updateModel(model, outcome.plan, outcome.changes);
  const changed = plan.people.filter((_, person) => loadOf(next, person) !== loadOf(model, person)).map(({ id }) => id);
  expect(changed.sort()).toEqual(["p3", "p5"]);
  const costed = next.costsOfHorizon().byProject.flatMap((own, project) => (own === byProject[project] ? [] : [project]));
  expect(costed).toEqual([model.work.project[row]]);
});

test("days that no row has any more are left behind when the buffer is full", () => {
  const plan = largePlan(small, 8);
  let model = buildModel(plan);
  const live = (own: Model) => own.placements.length.reduce((sum, days) => sum + days, 0);
  for (let step = 0; step < 600; step++) {
    const outcome = applyEdit(model.plan, { kind: "reassign", id: plan.assignments[step % 20].id, personId: `p${step % 9}` });
    if (outcome.plan) model = updateModel(model, outcome.plan, outcome.changes);
  }
  expect(model.placements.buffer.minutes.length).toBeLessThan(4 * live(model) + 8_192);
  expect(placedDays(model)).toEqual(placedDays(buildModel(model.plan)));
});

test("two changes made from the same state do not disturb each other, nor the state", () => {
  const plan = largePlan(small, 9);
  const model = buildModel(plan);
  const before = placedDays(model);
  const [a, b] = plan.assignments.slice(1, 3).map(({ id }) => applyEdit(plan, { kind: "reassign", id, personId: "p5" }));
  if (!a.plan || !b.plan) throw new Error("both edits fit the plan");
  const [first, second] = [updateModel(model, a.plan, a.changes), updateModel(model, b.plan, b.changes)];
  expect(placedDays(first)).toEqual(placedDays(buildModel(a.plan)));
  expect(placedDays(second)).toEqual(placedDays(buildModel(b.plan)));
  expect(placedDays(model)).toEqual(before);
});

test("nothing is dropped: what is asked for is placed or unplaced, and the days hold just what is placed", () => {
  for (const plan of [fernhollow(), largePlan(small, 5), largePlan(small, 6)]) {
    const { placements, work } = buildModel(plan);
    for (let row = 0; row < work.rows; row++) {
      const sum = placements.buffer.minutes
        .subarray(placements.offset[row], placements.offset[row] + placements.length[row])
        .reduce((all, minutes) => all + minutes, 0);
      expect(sum).toBe(placements.placed[row]);
      const isPercent = plan.assignments[row]?.percent !== undefined && plan.assignments[row]?.hours === undefined;
      if (isPercent) expect(placements.unplaced[row]).toBe(Math.max(0, placements.asked[row] - sum));
      else expect(placements.placed[row] + placements.unplaced[row]).toBe(placements.asked[row]);
      expect((placements.unplacedAt.get(row) ?? []).reduce((all, { minutes }) => all + minutes, 0)).toBe(placements.unplaced[row]);
    }
  }
});

test("made-up plans are sound", () => {
  expect(checkPlan(fernhollow())).toEqual([]);
  expect(checkPlan(largePlan(small, 3))).toEqual([]);
});
