import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { largePlan } from "../../demo/large.ts";
import { plainEffect, plainMeasures } from "../../tests/plainMeasures.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { type Day, parseDay } from "../calendar/day.ts";
import { horizonOf } from "../calendar/horizon.ts";
import { applyEdit } from "../edits/edit.ts";
import { togetherOf } from "../edits/together.ts";
import { buildModel, type Model } from "../model.ts";
import { checkPlan } from "../plan/check.ts";
import type { Plan } from "../plan/schema.ts";
import { printedEffect } from "../reports/remedies.ts";
import { searchForIdle } from "./idle.ts";
import { overDays } from "./measures.ts";
import { compareRemedies, type Overload, remediesOf, searchRemedies } from "./remedies.ts";

const demo = buildModel(fernhollow());
const today = parseDay("2027-02-01");
const february = { start: today, stop: today + 28 };

/** The three weeks around the day on which most is too much for anyone. */
function worstOf(model: Model): Overload {
  const range = horizonOf(model.plan);
  let worst: { personId: string; day: Day; minutes: number } = { personId: "", day: 0, minutes: 0 };
  model.plan.people.forEach(({ id }, person) => {
    overDays(model, person, range).forEach((minutes, i) => {
      if (minutes > worst.minutes) worst = { personId: id, day: range.start + i, minutes };
    });
  });
  return { personId: worst.personId, range: { start: worst.day - 7, stop: worst.day + 14 } };
}

function expectMeasured(plan: Plan, overload: Overload, from: Day | null, seed: string): number {
  const remedies = remediesOf(buildModel(plan), overload, { today: from, idStem: "new", mostRecipients: 2 });
  const before = plainMeasures(plan);
  // A few of each kind: every one is calculated again from nothing.
  const few = remedies.filter(({ kind }, at) => remedies.slice(0, at).filter((own) => own.kind === kind).length < 1);
  for (const { edits, effect, steps } of few) {
    const kinds = steps.map(({ kind }) => kind).join();
    const outcome = applyEdit(plan, togetherOf(edits, "remedy"));
    expect(outcome.faults, `${seed} ${kinds}`).toEqual([]);
    if (!outcome.plan) continue;
    expect(checkPlan(outcome.plan), `${seed} ${kinds}`).toEqual([]);
    const printed = { ...printedEffect(effect), grows: printedEffect(effect).grows.map(({ to: _, ...grown }) => grown) };
    expect(printed, `${seed} ${kinds}`).toEqual(plainEffect(before, plainMeasures(outcome.plan), plan));
  }
  expect([...remedies].sort(compareRemedies)).toEqual(remedies);
  return few.length;
}

test("always: the effect of a remedy is the difference of two full computations, on made-up plans", () => {
  let checked = 0;
  for (let seed = 1; seed <= 5; seed++) {
    const plan = seed % 2 === 0 ? tangledPlan(seed) : largePlan({ people: 8, projects: 4, tasks: 60, assignments: 160, links: 30 }, seed);
    const worst = worstOf(buildModel(plan));
    if (worst.personId !== "") checked += expectMeasured(plan, worst, null, `seed ${seed}`);
  }
  expect(checked).toBeGreaterThan(20);
});

test("the same on the demo plan, where the work of a fabricator is too much in February", () => {
  expect(expectMeasured(demo.plan, { personId: "mara", range: february }, today, "demo")).toBeGreaterThan(7);
});

test("every kind that applies is found, each with its figures: most is removed first", () => {
  const remedies = remediesOf(demo, { personId: "mara", range: february }, { today, idStem: "new" });
  const kinds = new Set(remedies.map(({ kind }) => kind));
  for (const kind of ["give", "handOver", "share", "delay", "postpone", "spread", "contractor", "overtime", "accept"])
    expect(kinds, kind).toContain(kind);
  expect(remedies[0].effect.peakOver).toBe(Math.min(...remedies.map(({ effect }) => effect.peakOver)));
  const accepted = remedies.find(({ kind }) => kind === "accept");
  expect(accepted?.effect).toMatchObject({ peakOver: 0, overWeeks: 0, unplaced: 0, cost: 0, finishes: [], grows: [] });
});

test("work that had begun is never written again before the status date", () => {
  for (const { edits, kind } of remediesOf(demo, { personId: "mara", range: february }, { today, idStem: "new" })) {
    const outcome = applyEdit(demo.plan, togetherOf(edits, "remedy"));
    const after = buildModel(outcome.plan as Plan);
    const sum = (model: Model) =>
      model.plan.people.map((_, person) => {
        const { minutes, at } = model.load({ pencilled: true, pipeline: "none" }).of(person, today - 100, today);
        return minutes.slice(at, at + 100).reduce((all, own) => all + own, 0);
      });
    expect(sum(after), kind).toEqual(sum(demo));
  }
});

test("where no single one is enough, two or three are found that are", () => {
  const ines = { personId: "ines", range: february };
  const remedies = remediesOf(demo, ines, { today, idStem: "new" });
  const together = remedies.filter(({ steps }) => steps.length > 1);
  const singles = remedies.filter(({ steps, kind }) => steps.length === 1 && kind !== "accept");
  expect(singles.every(({ left }) => left > 0)).toBe(true);
  expect(together.length).toBeGreaterThan(0);
  for (const { left, steps } of together) expect([left, steps.length <= 3]).toEqual([0, true]);
});

test("nothing comes for a person who is not over, for a plan without tasks, or for days outside the horizon", () => {
  const of = (model: Model, overload: Overload) => [...searchRemedies(model, overload, { today: null, idStem: "new" })];
  expect(of(demo, { personId: "rui", range: { start: parseDay("2027-12-24"), stop: parseDay("2027-12-26") } })).toEqual([]);
  expect(of(demo, { personId: "nobody", range: february })).toEqual([]);
  expect(of(demo, { personId: "mara", range: { start: parseDay("2031-01-01"), stop: parseDay("2031-02-01") } })).toEqual([]);
  const empty = buildModel({ ...demo.plan, tasks: [], links: [], assignments: [], comments: [], requests: [], expenses: [] });
  expect(of(empty, { personId: "mara", range: february })).toEqual([]);
});

test("what is locked or done is left alone", () => {
  const locked = { ...demo.plan, tasks: demo.plan.tasks.map((task) => ({ ...task, locked: true as const })) };
  const kinds = remediesOf(buildModel(locked), { personId: "mara", range: february }, { today, idStem: "new" }).map(({ kind }) => kind);
  expect(new Set(kinds)).toEqual(new Set(["overtime", "accept"]));
});

test("a person with room is offered openings that fit them and work of those who are over, each with what it makes over", () => {
  const found = [...searchForIdle(demo, { personId: "rui", range: february }, { today, idStem: "new" })].filter((own) => own !== null);
  expect(found.length).toBeGreaterThan(2);
  // Of the opening someone else fits: there is not room for all of it.
  const forKaspar = [...searchForIdle(demo, { personId: "kaspar", range: february }, { today, idStem: "new" })];
  expect(forKaspar.some((own) => own?.steps[0].assignmentId === "tank-open")).toBe(true);
  expect(found.some(({ steps: [{ assignmentId }] }) => assignmentId === "rockpools-mara")).toBe(true);
  const before = plainMeasures(demo.plan);
  for (const { edits, effect } of found.slice(0, 6)) {
    const { plan } = applyEdit(demo.plan, togetherOf(edits, "take"));
    expect(plainMeasures(plan as Plan).peakOver - before.peakOver).toBe(effect.peakOver);
    const gained = (plan as Plan).assignments.filter((row) => row.personId === "rui").length;
    expect(gained).toBeGreaterThan(demo.plan.assignments.filter((row) => row.personId === "rui").length);
  }
});

test("sick leave is neither moved nor declined, regardless of its state", () => {
  const plan = fernhollow();
  const person = plan.people.findIndex(({ id }) => id === "mara");
  for (const state of ["approved", "requested"] as const) {
    for (const kind of ["sick", "holiday"] as const) {
      const entry = { id: "days", from: "2027-02-17", to: "2027-02-18", kind, state };
      const people = plan.people.map((own, row) => (row === person ? { ...own, timeOff: [entry] } : own));
      const range = { start: parseDay("2027-02-15"), stop: parseDay("2027-02-22") };
      const remedies = remediesOf(
        buildModel({ ...plan, people }),
        { personId: "mara", range },
        { today, idStem: "new", mostRecipients: 2 },
      );
      expect(remedies.length).toBeGreaterThan(0);
      const touched = remedies.some(({ edits }) => JSON.stringify(edits).includes('"days"'));
      if (kind === "sick" || state === "requested") expect(touched, `${kind} ${state}`).toBe(kind === "holiday");
    }
  }
});
