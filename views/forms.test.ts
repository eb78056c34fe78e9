import { expect, test } from "vitest";
import type { Person } from "../core/plan/schema.ts";
import { fernhollow } from "../demo/fernhollow.ts";
import { barsHeight, columnOf, lanesOf } from "./balance/columns.ts";
import { fieldsOfPerson, personFields, setOfPerson } from "./people/personForm.ts";
import { fieldsOf, newTaskOf, setOf, taskFields } from "./work/taskForm.ts";

const week = [8, 8, 8, 8, 8, 0, 0];

test("a task comes out of its form as it went in", () => {
  const task = {
    name: "Cases",
    roleId: "fabricator",
    sizing: "dates" as const,
    start: "2027-02-08",
    finish: "2027-02-12",
    effortHours: 37.5,
  };
  expect(newTaskOf(fieldsOf(task))).toEqual(task);
});

test("always: a task of the plan that is opened and saved as it is now stays as it is", () => {
  for (const { id: _, projectId: __, fixedCost: ___, fixedCostAccrual: ____, review: _____, ...task } of fernhollow().tasks) {
    const { effortHours, durationDays, ...others } = newTaskOf(fieldsOf(task));
    const { effortHours: effort, durationDays: days, percentComplete: done, ...own } = task;
    const { percentComplete, ...rest } = others;
    expect(rest).toEqual(JSON.parse(JSON.stringify({ ...own, ...(own.priority === 3 && { priority: undefined }) })));
    expect(effortHours).toBe(effort);
    if (task.sizing === "duration") expect(durationDays).toBe(days);
    if (task.state !== "done") expect(percentComplete).toBe(done);
  }
});

test("fields that do not belong to a sizing are removed", () => {
  const fields = {
    ...fieldsOf({ name: "Cases", start: "2027-02-08", finish: "2027-02-12" }),
    sizing: "duration" as const,
    durationDays: "2,5",
  };
  expect(setOf(fields)).toMatchObject({ start: null, finish: null, durationDays: 2.5 });
});

test("a form says which field is wrong", () => {
  const paths = (fields: object) =>
    taskFields.safeParse({ ...fieldsOf({ name: "Cases" }), ...fields }).error?.issues.map(({ path }) => path.join(".")) ?? [];
  expect(paths({ name: " " })).toEqual(["name"]);
  expect(paths({ sizing: "dates", start: "12 Feb 2027", finish: "8 Feb 2027" })).toEqual(["finish"]);
  expect(paths({ sizing: "duration" })).toEqual(["durationDays"]);
  expect(paths({ effortHours: "-3" })).toEqual(["effortHours"]);
  expect(paths({ deadline: "30 Feb 2027" })).toEqual(["deadline"]);
});

test("a week from a later day is added behind the one there is; the same day changes it", () => {
  const person: Person = { id: "p", name: "P", roleIds: ["lead"], calendarId: "c", patterns: [{ from: "2027-01-01", week }] };
  const fields = fieldsOfPerson(person, "c", week, "2027-02-01");
  const three = ["8", "8", "8", "0", "0", "0", "0"];
  expect(setOfPerson({ ...fields, week: three, patternFrom: "1 Mar 2027" }, person).patterns).toEqual([
    { from: "2027-01-01", week },
    { from: "2027-03-01", week: [8, 8, 8, 0, 0, 0, 0] },
  ]);
  expect(setOfPerson({ ...fields, week: three }, person).patterns).toEqual([{ from: "2027-01-01", week: [8, 8, 8, 0, 0, 0, 0] }]);
  expect(setOfPerson({ ...fields, hasPattern: false }, person).patterns).toBeNull();
});

test("the main role comes first and no role twice; a skill named twice is a fault", () => {
  const fields = fieldsOfPerson({ name: "P" }, "c", week, "2027-02-01");
  expect(setOfPerson({ ...fields, roleId: "b", otherRoleIds: ["a", "b"] }, {}).roleIds).toEqual(["b", "a"]);
  expect(
    personFields.safeParse({
      ...fields,
      skills: [
        { skillId: "x", level: "1" },
        { skillId: "x", level: "2" },
      ],
    }).success,
  ).toBe(false);
});

test("bars that overlap lie in lanes of their own; a bar that begins when another ends shares its lane", () => {
  const bar = (start: number, stop: number) => ({ start, stop }) as Parameters<typeof lanesOf>[0][number];
  expect(lanesOf([bar(0, 5), bar(2, 6), bar(5, 9)])).toEqual({ lanes: [0, 1, 0], count: 2 });
  expect(barsHeight([])).toBeGreaterThan(0);
});

test("a day is in its column by its share of the period", () => {
  const periods = [
    { start: 0, stop: 7 },
    { start: 7, stop: 14 },
  ];
  expect(columnOf(7, periods)).toBe(1);
  expect(columnOf(10.5, periods)).toBe(1.5);
  expect(columnOf(99, periods)).toBe(2);
});
