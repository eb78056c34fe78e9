import { expect, test } from "vitest";
import { goldenCases } from "../../tests/golden.ts";
import { faultLine } from "./faults.ts";
import { parsePlan, parsePlanValue } from "./parse.ts";

type Loose = Record<string, never> & { [list: string]: never };

/** The first golden plan with something changed in it. */
function changed(
  change: (plan: { [list: string]: { [key: string]: unknown }[] } & { settings: { [key: string]: unknown } }) => void,
): string[] {
  const plan = JSON.parse(goldenCases()[0].plan);
  change(plan);
  return parsePlanValue(plan as Loose).faults.map(faultLine);
}

test("text that is not JSON is refused", () => {
  const { plan, faults } = parsePlan("{ not json");
  expect(plan).toBeNull();
  expect(faults[0].message).toMatch(/^This file is not JSON/);
});

test("JSON that is not a plan is refused", () => {
  for (const text of ["[]", "null", "3", '{"format":"something"}']) expect(parsePlan(text).faults[0].message).toMatch(/not a plan/);
});

test("another version is named", () => {
  expect(parsePlan('{"format":"mindful-roster-plan","version":2}').faults.map(faultLine)).toEqual([
    "version: This file has version 2; version 1 can be read here.",
  ]);
});

test("a dangling reference names its place and the id that was most likely meant", () => {
  expect(changed((plan) => Object.assign(plan.tasks[0], { roleId: "weldr" }))).toEqual(['tasks[0].roleId: there is no role "weldr".']);
  expect(changed((plan) => Object.assign(plan.assignments[0], { personId: "wrenn" }))).toEqual([
    'assignments[0].personId: there is no person "wrenn". Did you mean "wren"?',
  ]);
});

test("hours of −3, a date of 2027-02-30, an unknown key and a dangling reference are all reported at once, each with its place", () => {
  const lines = changed((plan) => {
    Object.assign(plan.assignments[0], { hours: -3 });
    Object.assign(plan.tasks[0], { start: "2027-02-30", colour: "red" });
    plan.tasks.push({ id: "other", projectId: "nowhere", name: "Other" });
  });
  expect(lines).toContain("assignments[0].hours: -3 is too small; the least is 0.");
  expect(lines).toContain('tasks[0].start: "2027-02-30" is not a date; write a real day as YYYY-MM-DD.');
  expect(lines).toContain('tasks[0]: there is no key "colour" here; remove it or correct its name.');
  expect(lines).toContain('tasks[1].projectId: there is no project "nowhere".');
  expect(lines).toHaveLength(4);
});

test("a missing list is asked for", () => {
  expect(changed((plan) => void Reflect.deleteProperty(plan, "teams"))).toEqual(["teams: is missing; add it."]);
});

test("an id that is twice is reported with its place", () => {
  expect(changed((plan) => plan.people.push({ ...plan.people[0] }))).toEqual([
    'people[1].id: the id "wren" is used twice; ids are unique within a list.',
  ]);
});

test("a calendar without a working day is a fault", () => {
  const lines = changed((plan) => Object.assign(plan.calendars[0], { week: [0, 0, 0, 0, 0, 0, 0] }));
  expect(lines[0]).toMatch(/^calendars\[0\]\.week: .*no working day/);
});

test("work says how much in one way only, and a pinned task has both its dates", () => {
  expect(changed((plan) => Object.assign(plan.assignments[0], { percent: 50 }))[0]).toMatch(/assignments\[0\]: states hours and percent/);
  expect(changed((plan) => void Reflect.deleteProperty(plan.tasks[0], "finish"))[0]).toMatch(/tasks\[0\]\.finish: needs a date/);
});

test("an end before its start is a fault", () => {
  expect(changed((plan) => Object.assign(plan.tasks[0], { finish: "2027-01-01" }))[0]).toMatch(/tasks\[0\]\.finish: 2027-01-01 is before/);
});

test("tasks on a cycle of links are named", () => {
  const lines = changed((plan) => {
    plan.tasks.push(
      { ...plan.tasks[0], id: "b", sizing: "duration", durationDays: 1 },
      { ...plan.tasks[0], id: "c", sizing: "duration", durationDays: 1 },
    );
    plan.links.push({ id: "l1", from: "b", to: "c", kind: "FS" }, { id: "l2", from: "c", to: "b", kind: "SS" });
  });
  expect(lines).toHaveLength(1);
  expect(lines[0]).toMatch(/^links: links form a cycle through "[bc]" → "[bc]" → "[bc]"/);
});

test("a link from a task to the summary above it is a cycle", () => {
  const lines = changed((plan) => {
    plan.tasks.push({ id: "s", projectId: plan.tasks[0].projectId, name: "Phase" });
    plan.tasks.push({ id: "leaf", projectId: plan.tasks[0].projectId, parentId: "s", name: "Part", sizing: "duration", durationDays: 1 });
    plan.links.push({ id: "l1", from: "s", to: "leaf", kind: "FS" });
  });
  expect(lines[0]).toMatch(/cycle/);
});

test("a task that is its own ancestor is a fault, not an endless loop", () => {
  const lines = changed((plan) => {
    plan.tasks.push(
      { id: "x", projectId: plan.tasks[0].projectId, parentId: "y", name: "X" },
      { id: "y", projectId: plan.tasks[0].projectId, parentId: "x", name: "Y" },
    );
  });
  expect(lines.some((line) => line.includes("its own ancestor"))).toBe(true);
});

test("with any content of the lists, faults are reported and nothing throws", () => {
  for (const junk of [null, 3, "text", [], {}, { id: 7 }, { id: "x", skills: 3, patterns: null, custom: [null] }]) {
    for (const list of ["people", "tasks", "links", "assignments", "rateTables", "calendars", "expenses", "teams"]) {
      const lines = changed((plan) => (plan[list] as unknown[]).push(junk));
      expect(lines.length, `${list} ${JSON.stringify(junk)}`).toBeGreaterThan(0);
    }
  }
  for (const list of ["people", "settings", "calendars"])
    expect(changed((plan) => Object.assign(plan, { [list]: 5 })).length).toBeGreaterThan(0);
});
