// Sketches: trying changes nothing, adopting is making by hand, and what the plan has left behind is reported.
import fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { everyEditFrom } from "../../tests/everyEdit.ts";
import { horizonAnswer } from "../answers/horizon.ts";
import { compareSketches, sketchCopy, sketchEntries, sketchesOf, sketchMarks } from "../answers/sketches.ts";
import { parseDay } from "../calendar/day.ts";
import { horizonOf, wholePeriods } from "../calendar/horizon.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { movedDatesEdit } from "../edits/movedDates.ts";
import { movedProject } from "../forecast/movedProject.ts";
import { buildModel } from "../model.ts";
import { checkPlan } from "../plan/check.ts";
import { parsePlan } from "../plan/parse.ts";
import { planText } from "../plan/planText.ts";
import type { Plan, Sketch } from "../plan/schema.ts";
import { costReport } from "../reports/cost.ts";
import { adoptEdit, isOfPlanItself, recordedEdit, sketched, sketchedModel } from "./sketch.ts";

const demo: Plan = { ...fernhollow(), sketches: [] };
const begun: Sketch = { id: "try", name: "Try", by: "Nora Okafor", at: "2027-02-01T09:00:00.000Z", edits: [] };

const made = (plan: Plan, edit: Edit): Plan => {
  const outcome = applyEdit(plan, edit);
  if (!outcome.plan) throw new Error(outcome.faults.map(({ message }) => message).join(" "));
  return outcome.plan;
};

/** A sketch of made-up edits that can be made one after the other, and the plan that they lead to by hand. */
function drawn(seed: number, count: number): { plan: Plan; byHand: Plan; edits: Edit[] } {
  const next = everyEditFrom(seed);
  let byHand = made(demo, { kind: "addSketch", sketch: begun });
  let plan = byHand;
  const edits: Edit[] = [];
  for (let tries = 0; edits.length < count && tries < count * 20; tries++) {
    const edit = next(byHand);
    const outcome = isOfPlanItself(edit) ? null : applyEdit(byHand, edit);
    if (!outcome?.plan) continue;
    byHand = outcome.plan;
    edits.push(edit);
    const entry = { id: `drawn-${edits.length}`, words: outcome.words.slice(0, 300), edit: JSON.parse(JSON.stringify(edit)) };
    plan = made(plan, { kind: "drawInSketch", id: "try", entry });
  }
  return { plan, byHand, edits };
}

const today = parseDay("2027-02-01");

const withoutSketches = (plan: Plan): Plan => ({ ...plan, sketches: [] });

test("always: a sketch leaves the plan byte for byte, shows what making its changes by hand would, and adopted whole is that", () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 10_000 }), (seed) => {
      const { plan, byHand, edits } = drawn(seed, 12);
      expect(planText(withoutSketches(plan))).toBe(planText(withoutSketches(demo)));
      const [sketch] = plan.sketches;
      expect(sketch.edits).toHaveLength(edits.length);
      const shown = sketched(plan, sketch);
      expect(shown.faults).toEqual(edits.map(() => null));
      expect(withoutSketches(shown.plan)).toEqual(withoutSketches(byHand));
      const adopt = adoptEdit(plan, "try", new Set(sketch.edits.map(({ id }) => id)));
      const adopted = made(plan, adopt?.edit as Edit);
      expect(withoutSketches(adopted)).toEqual(withoutSketches(byHand));
      expect(adopted.sketches[0].edits).toEqual([]);
      expect(checkPlan(adopted)).toEqual([]);
      // A plan file keeps it.
      expect(parsePlan(planText(plan)).plan).toEqual(plan);
    }),
    { numRuns: 12 },
  );
});

test("the figures of a sketch are those of its plan calculated again, also after edits of every kind", () => {
  for (const seed of [3, 4]) {
    const { plan, byHand } = drawn(seed, 10);
    const own = sketchedModel(buildModel(plan), plan.sketches[0]);
    const rebuilt = buildModel(byHand);
    const asked = { range: horizonOf(byHand), grain: "month" as const };
    expect(costReport(own, asked)).toEqual(costReport(rebuilt, asked));
    const [, beside] = compareSketches(buildModel(plan), { ids: ["try", "gone"], today });
    const [expected] = compareSketches(rebuilt, { ids: [], today });
    const figuresIn = ({ id: _, name: __, finishes: ___, margin: ____, cost, addedPeople, ...figures }: typeof expected) => ({
      ...figures,
      cost: cost - addedPeople,
    });
    expect(figuresIn(beside)).toEqual(figuresIn(expected));
  }
});

const give = (id: string, personId: string): Edit => ({ kind: "reassign", id, personId });
const entryOf = (id: string, edit: Edit) => ({ id, words: `change ${id}`, edit: JSON.parse(JSON.stringify(edit)) });

test("changes that the plan has overtaken are reported, and the rest can be adopted, in part, too", () => {
  const [first, second] = demo.assignments.filter(({ personId, materialId }) => personId !== undefined && materialId === undefined);
  const recipientId = demo.people.find(({ id }) => id !== first.personId && id !== second.personId)?.id as string;
  const sketch = {
    ...begun,
    edits: [
      entryOf("a", give(first.id, recipientId)),
      entryOf("b", give(second.id, recipientId)),
      { id: "c", words: "odd", edit: { kind: "flyAway" } },
    ],
  };
  const plan: Plan = { ...demo, sketches: [sketch] };
  expect(sketchEntries({ plan }, "try")?.map(({ fault }) => fault === null)).toEqual([true, true, false]);
  expect(sketchesOf({ plan })[0]).toMatchObject({ changes: 3, lost: 1 });
  // Someone else removes the work from the plan.
  const later = made(plan, { kind: "deleteAssignment", id: first.id });
  expect(sketchEntries({ plan: later }, "try")?.map(({ fault }) => fault === null)).toEqual([false, true, false]);
  const adopt = adoptEdit(later, "try", new Set(["a", "b", "c"]));
  expect(adopt?.count).toBe(1);
  const adopted = made(later, adopt?.edit as Edit);
  expect(adopted.assignments.find(({ id }) => id === second.id)?.personId).toBe(recipientId);
  expect(adopted.sketches[0].edits.map(({ id }) => id)).toEqual(["a", "c"]);
  expect(adoptEdit(later, "try", new Set(["a"]))).toBeNull();
  expect(adoptEdit(later, "nothing", new Set(["a"]))).toBeNull();
  // Half of it: the other half stays.
  const half = made(plan, adoptEdit(plan, "try", new Set(["b"]))?.edit as Edit);
  expect(half.sketches[0].edits.map(({ id }) => id)).toEqual(["a", "c"]);
});

test("rows that it changes are marked with the work's task and people; a copy has ids of its own", () => {
  const own = demo.assignments.find(({ id }) => id === "rockpools-mara");
  const plan: Plan = { ...demo, sketches: [{ ...begun, edits: [entryOf("a", give("rockpools-mara", "rui"))] }] };
  expect(sketchMarks({ plan }, "try")).toEqual(
    expect.arrayContaining([
      { list: "assignments", id: "rockpools-mara" },
      { list: "tasks", id: own?.taskId },
      { list: "people", id: "mara" },
      { list: "people", id: "rui" },
    ]),
  );
  const copy = sketchCopy({ plan }, { sketchId: "try", id: "other", by: "Someone Else", at: begun.at });
  expect(copy).toMatchObject({ id: "other", name: "Try, copy", edits: [{ id: "other-1" }] });
});

test("each change is listed from what to what, and says where the plan has changed since: yours, then, now", () => {
  const own = demo.tasks.find(({ sizing, durationDays }) => sizing === "duration" && durationDays !== undefined) as Plan["tasks"][number];
  const sketch = { ...begun, edits: [] };
  const plan = made(demo, { kind: "addSketch", sketch });
  const drawn = recordedEdit(plan, sketch, { kind: "changeTask", id: own.id, set: { durationDays: 9, deadline: "2027-12-24" } }, "e1");
  if (!("edit" in drawn)) throw new Error("the change can be recorded");
  const recorded = made(plan, drawn.edit);
  const cellsIn = (given: Plan) =>
    sketchEntries({ plan: given }, "try")?.[0].rows[0].cells.toSorted((a, b) => a.field.localeCompare(b.field));
  expect(cellsIn(recorded)).toEqual([
    { field: "deadline", saw: own.deadline, now: own.deadline, yours: "2027-12-24", isChangedSince: false },
    { field: "durationDays", saw: own.durationDays, now: own.durationDays, yours: 9, isChangedSince: false },
  ]);
  const later = made(recorded, { kind: "changeTask", id: own.id, set: { durationDays: 4 } });
  expect(cellsIn(later)?.[1]).toEqual({ field: "durationDays", saw: own.durationDays, now: 4, yours: 9, isChangedSince: true });
  expect(sketchesOf({ plan: later })[0]).toMatchObject({ editConflicts: 1, lost: 0 });
  // A plan file keeps what was seen.
  expect(parsePlan(planText(later)).plan).toEqual(later);
});

test("people who are added cost their unassigned time at their rate, and a project begun later moves its shortage", () => {
  const person = { id: "new", name: "New", roleIds: ["lighting"], calendarId: demo.calendars[0].id, employedFrom: "2028-03-27" };
  const table = demo.rateTables.find(({ kind, currency }) => kind === "cost" && currency === undefined) as Plan["rateTables"][number];
  const edits = [
    entryOf("hire", { kind: "addPerson", person }),
    entryOf("rate", { kind: "changeRates", tableId: table.id, added: [{ personId: "new", rate: 50 }] }),
  ];
  const pipeline = demo.projects.findIndex(({ id }) => id === "seedvault");
  const moved = movedProject(demo, pipeline, 56).flatMap(movedDatesEdit);
  const plan: Plan = {
    ...demo,
    sketches: [
      { ...begun, edits },
      { ...begun, id: "later", edits: [entryOf("move", { kind: "together", words: "later", edits: moved })] },
    ],
  };
  const [now, hired, later] = compareSketches(buildModel(plan), { ids: ["try", "later"], today });
  // Five days of eight hours, 27 to 31 March.
  expect(hired.addedPeople).toBe(5 * 8 * 5_000);
  expect(hired.cost).toBe(now.cost + hired.addedPeople);
  expect(hired.margin).toBeLessThan(now.margin ?? 0);
  expect(later.shortage).not.toEqual(now.shortage);
  const model = buildModel(plan);
  const asked = wholePeriods(plan, { range: { start: today, stop: horizonOf(plan).stop }, grain: "month" });
  const shown = horizonAnswer(model, { ...asked, cases: [], by: "role", level: 1 }).groups;
  for (const { roleName, expected, at80 } of now.shortage) {
    const group = shown.find(({ name }) => name === roleName);
    expect(expected).toBe(group?.expectedShortage.reduce((sum, one) => sum + one, 0));
    expect(at80).toBe(group?.p80.reduce((sum, one, p) => sum + Math.max(0, one - group.capacity[p]), 0));
  }
});
