import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { largePlan } from "../../demo/large.ts";
import { plainEffect, plainMeasures } from "../../tests/plainMeasures.ts";
import { brokenRules } from "../../tests/plainRules.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { formatDay, parseDay } from "../calendar/day.ts";
import { horizonOf } from "../calendar/horizon.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { togetherOf } from "../edits/together.ts";
import { buildModel } from "../model.ts";
import { checkPlan } from "../plan/check.ts";
import type { Plan } from "../plan/schema.ts";
import { newPlan } from "../projects/newPlan.ts";
import { printedEffect } from "../reports/remedies.ts";
import { type EvenOutOptions, type EvenOutResult, evenOut } from "./evenOut.ts";
import { evenOutKinds } from "./kinds.ts";

const demo = fernhollow();

function run(plan: Plan, options: Partial<EvenOutOptions> = {}): EvenOutResult {
  const { today } = plan.settings;
  return evenOut(buildModel(plan), {
    window: horizonOf(plan),
    today: today === undefined ? null : parseDay(today),
    idStem: "even",
    mostSteps: 4_000,
    ...options,
  });
}

/** Every plan on the way, the first one first. */
function plansOf(plan: Plan, { lines }: Pick<EvenOutResult, "lines">): Plan[] {
  const plans = [plan];
  for (const { edits } of lines) {
    const outcome = applyEdit(plans[plans.length - 1], togetherOf(edits, "line"));
    if (!outcome.plan) throw new Error(outcome.faults.map(({ message }) => message).join());
    plans.push(outcome.plan);
  }
  return plans;
}

function madeUp(seed: number): Plan {
  const plan = seed % 2 === 0 ? tangledPlan(seed) : largePlan({ people: 14, projects: 5, tasks: 80, assignments: 260, links: 50 }, seed);
  const [first] = plan.tasks.filter(({ sizing }) => sizing === "duration");
  return {
    ...plan,
    settings: { ...plan.settings, today: formatDay(parseDay(plan.settings.planStart) + 60) },
    tasks: plan.tasks.map((task) => (task === first ? { ...task, locked: true as const } : task)),
    people: plan.people.map((person, at) =>
      at === 3 ? { ...person, employedTo: formatDay(parseDay(plan.settings.planStart) + 200) } : person,
    ),
  };
}

test.each([1, 2, 3, 4, 5, 6])("always: every rule holds after every line, checked from the reports alone (seed %i)", (seed) => {
  const plan = madeUp(seed);
  const result = run(plan);
  const plans = plansOf(plan, result);
  expect(checkPlan(plans[plans.length - 1])).toEqual([]);
  const first = plainMeasures(plan);
  const last = plainMeasures(plans[plans.length - 1]);
  expect(last.peakOver).toBeLessThanOrEqual(first.peakOver);
  expect(last.unplaced).toBeLessThanOrEqual(first.unplaced);
  expect(brokenRules(plan, plans[plans.length - 1]), `seed ${seed}`).toEqual([]);
  // Some of the lines one by one: each lowers what is too much, and says by how much.
  result.lines.slice(0, 4).forEach(({ effect }, at) => {
    const [was, is] = [plainMeasures(plans[at]), plainMeasures(plans[at + 1])];
    const printed = { ...printedEffect(effect), grows: printedEffect(effect).grows.map(({ to: _, ...grown }) => grown) };
    expect(printed, `seed ${seed} line ${at}`).toEqual(plainEffect(was, is, plan));
    expect(effect.peakOver, `seed ${seed} line ${at}`).toBeLessThan(0);
    expect(brokenRules(plans[at], plans[at + 1]), `seed ${seed} line ${at}`).toEqual([]);
  });
  const { before, after } = result;
  expect([before.peakOver, after.peakOver, before.unplaced, after.unplaced]).toEqual([
    first.peakOver,
    last.peakOver,
    first.unplaced,
    last.unplaced,
  ]);
});

test("the checker of these rules finds what breaks them", () => {
  const broken = (edit: Edit) => brokenRules(demo, applyEdit(demo, edit).plan as Plan);
  expect(broken({ kind: "reassign", id: "rockpools-mara", personId: "amadou" })).toEqual(["amadou takes rockpools-mara without role"]);
  expect(broken({ kind: "changeAssignment", id: "rockpools-mara", set: { hours: 1 } }).join()).toMatch(
    /^tidepool-rockpools requested \d+, now \d+/,
  );
  expect(broken({ kind: "changeTask", id: "rivers-opening", set: { staggerDays: 9 } }).join()).toMatch(/conflict deadline rivers-opening/);
});

test("on the demo plan most of what is too much goes, by every kind of move", () => {
  const result = run(demo, { mostSteps: 20_000 });
  expect(result.after.peakOver).toBeLessThan(result.before.peakOver / 4);
  expect(result.after.unplaced).toBeLessThanOrEqual(result.before.unplaced);
  expect(new Set(result.lines.map(({ kind }) => kind))).toEqual(new Set(["give", "share", "handOver", "delay"]));
  expect(brokenRules(demo, plansOf(demo, result).at(-1) as Plan)).toEqual([]);
});

test("the same plan, options and steps give the same list, byte for byte; fewer steps give its beginning", () => {
  const text = ({ lines }: EvenOutResult) => JSON.stringify(lines);
  const [one, two, fewer] = [run(demo), run(demo), run(demo, { mostSteps: 700 })];
  expect(text(one)).toBe(text(two));
  expect(fewer.steps).toBeLessThanOrEqual(700);
  // The last of them is the best of what had been tried by then.
  expect(fewer.lines.length).toBeGreaterThan(1);
  expect(one.lines.slice(0, fewer.lines.length - 1)).toEqual(fewer.lines.slice(0, -1));
  expect(brokenRules(demo, plansOf(demo, fewer).at(-1) as Plan)).toEqual([]);
});

test("stopped at any moment, what is there is a valid result", () => {
  for (const most of [0, 1, 40, 333]) {
    let asked = 0;
    const result = run(demo, { isOver: () => asked++ >= most });
    expect(brokenRules(demo, plansOf(demo, result).at(-1) as Plan)).toEqual([]);
    expect(result.after.peakOver).toBe(plainMeasures(plansOf(demo, result).at(-1) as Plan).peakOver);
  }
});

test("only what may be touched is touched: kinds, people, projects, pencilled work, how far", () => {
  const people = new Set([demo.people.findIndex(({ id }) => id === "mara")]);
  expect(run(demo, { people, kinds: ["give"] }).lines.map(({ edits }) => edits)).toEqual([
    [{ kind: "reassign", id: "rockpools-mara", personId: "rui" }],
  ]);
  const rivers = new Set([demo.projects.findIndex(({ id }) => id === "rivers")]);
  const touched = plansOf(demo, run(demo, { projects: rivers })).at(-1) as Plan;
  const other = touched.assignments.filter((row) => !demo.assignments.includes(row)).map(({ taskId }) => taskId);
  expect(other.length).toBeGreaterThan(0);
  for (const id of other) expect(demo.tasks.find((task) => task.id === id)?.projectId).toBe("rivers");
  for (const { edits } of run(demo, { kinds: ["delay"], mostDelayDays: 3 }).lines)
    for (const edit of edits) if (edit.kind === "changeTask" && edit.set.staggerDays) expect(edit.set.staggerDays).toBeLessThanOrEqual(3);
  const pencilled = plansOf(demo, run(demo, { isPencilledOnly: true })).at(-1) as Plan;
  for (const row of pencilled.assignments) if (!demo.assignments.includes(row)) expect(row.firmness).toBe("pencilled");
  for (const task of pencilled.tasks)
    if (!demo.tasks.includes(task)) for (const own of demo.assignments) if (own.taskId === task.id) expect(own.firmness).toBe("pencilled");
  const lockedPeople = { ...demo, people: demo.people.map((person) => ({ ...person, locked: true as const })) };
  expect(run(lockedPeople).lines).toEqual([]);
});

test.each([1, 2, 3])("always: longer tasks and overtime hold to every rule, and come after what moves work (seed %i)", (seed) => {
  const plan = madeUp(seed);
  const result = run(plan, { kinds: evenOutKinds });
  const plans = plansOf(plan, result);
  expect(checkPlan(plans[plans.length - 1])).toEqual([]);
  expect(brokenRules(plan, plans[plans.length - 1]), `seed ${seed}`).toEqual([]);
  const usual = run(plan);
  expect(result.after.peakOver).toBeLessThanOrEqual(usual.after.peakOver);
  expect(new Set(usual.lines.flatMap(({ steps }) => steps.map(({ kind }) => kind)))).not.toContain("overtime");
  // Each person's overtime is one line, so that any of them can be left out.
  const overtime = result.lines.flatMap(({ edits }) => edits.flatMap((edit) => (edit.kind === "changePerson" ? [edit.id] : [])));
  expect(new Set(overtime).size).toBe(overtime.length);
});

/** Ten working days: one person has 20 h a week too much, another has 3 h a day left. */
function twoWelders(task: Partial<Plan["tasks"][number]>): Plan {
  const start = "2027-02-01";
  const shop = newPlan({
    settings: { name: "Shop", currency: "EUR", planStart: start, planEnd: "2027-03-26" },
    week: [8, 8, 8, 8, 8, 0, 0],
    holidays: [],
    calendarName: "Shop",
  });
  const calendarId = shop.calendars[0].id;
  return {
    ...shop,
    settings: { ...shop.settings, today: start },
    roles: [{ id: "welder", name: "Welder" }],
    people: ["ada", "ben"].map((id) => ({ id, name: id, roleIds: ["welder"], calendarId })),
    projects: [{ id: "arch", name: "Arch", calendarId, stage: "active", start, deadline: "2027-03-26" }],
    tasks: [
      { id: "frame", projectId: "arch", name: "Frame", sizing: "duration", durationDays: 10, roleId: "welder", ...task },
      { id: "other", projectId: "arch", name: "Other", sizing: "duration", durationDays: 10 },
      { id: "rest", projectId: "arch", name: "Rest", sizing: "duration", durationDays: 40 },
    ],
    assignments: [
      { id: "frame-ada", taskId: "frame", personId: "ada", hours: 120 },
      { id: "other-ben", taskId: "other", personId: "ben", hours: 50 },
    ],
  };
}

test("a share fills exactly the room that there is", () => {
  const { lines, after } = run(twoWelders({}), { kinds: ["share"] });
  // Of 12 h a day for Ada, Ben takes the 3 h that are free; 1 h a day is left over.
  expect(lines.map(({ edits }) => edits[1])).toMatchObject([{ assignment: { personId: "ben", hours: 30 } }]);
  expect(after.peakOver).toBe(10 * 60);
});

test("a task may take longer within its slack, and overtime covers what is left", () => {
  const longer = run(twoWelders({}), { kinds: ["spread"], mostDelayDays: 4 });
  expect(longer.lines.map(({ edits }) => edits)).toEqual([[{ kind: "changeTask", id: "frame", set: { durationDays: 14 } }]]);
  expect(longer.after.peakOver).toBe(120 * 60 - 14 * 8 * 60);
  const pinned = run(twoWelders({ sizing: "dates", durationDays: undefined, start: "2027-02-01", finish: "2027-02-12" }), {
    kinds: ["spread"],
  });
  expect(pinned.lines.map(({ edits }) => edits)).toEqual([[{ kind: "changeTask", id: "frame", set: { finish: "2027-02-19" } }]]);
  expect(pinned.after.peakOver).toBe(0);
  const overtime = run(twoWelders({}), { kinds: ["overtime"] });
  expect(overtime.lines.map(({ edits }) => edits)).toMatchObject([
    [
      {
        kind: "changePerson",
        id: "ada",
        set: {
          overtime: [
            { from: "2027-02-01", to: "2027-02-05", hoursPerDay: 4 },
            { from: "2027-02-08", to: "2027-02-12", hoursPerDay: 4 },
          ],
        },
      },
    ],
  ]);
  expect(overtime.after.peakOver).toBe(0);
  const both = run(twoWelders({}), { kinds: ["share", "overtime"] });
  expect(both.lines.map(({ kind }) => kind)).toEqual(["share", "overtime"]);
  expect(both.after.peakOver).toBe(0);
});

test("nothing over, one person, no tasks, a window outside the horizon: nothing to do, and nothing breaks", () => {
  const one = { ...demo, people: demo.people.slice(0, 1), teams: [], comments: [], requests: [], acceptances: [] };
  const alone: Plan = {
    ...one,
    assignments: demo.assignments.filter(({ personId, teamId }) => personId === demo.people[0].id && teamId === undefined),
    projects: demo.projects.map(({ leadId: _, ...project }) => project),
    rateTables: [],
  };
  const empty: Plan = { ...demo, tasks: [], links: [], assignments: [], comments: [], requests: [], expenses: [] };
  for (const plan of [alone, empty]) {
    const { lines, before, after } = run({ ...plan, projects: plan.projects.map(({ costTableId: _, billTableId: __, ...own }) => own) });
    expect(lines.filter(({ kind }) => kind !== "delay")).toEqual([]);
    expect(after.peakOver).toBeLessThanOrEqual(before.peakOver);
  }
  const far = { start: parseDay("2031-01-01"), stop: parseDay("2031-02-01") };
  expect(run(demo, { window: far })).toMatchObject({ lines: [], before: { window: 0 }, after: { window: 0 } });
});
