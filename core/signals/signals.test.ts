import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { buildModel } from "../model.ts";

test("the demo plan's gaps are signalled, each once", () => {
  const signals = buildModel(fernhollow()).signals();
  const said = signals.map(({ kind, subject }) => `${kind} ${subject}`);
  expect(said).toEqual(
    expect.arrayContaining(["noDates tidepool-braille", "noDates slowlight-guide", "missingRate seedvault-media-media"]),
  );
  expect(new Set(said).size).toBe(said.length);
  expect(signals.find(({ subject }) => subject === "seedvault-media-media")?.message).toMatch(
    /without a rate: none is in force for Media engineer/,
  );
});

test("an effort without a role is signalled", () => {
  const plan = fernhollow();
  const task = plan.tasks.find(({ id }) => id === "ravenholt-survey");
  const { roleId: _, ...bare } = task as NonNullable<typeof task>;
  const signals = buildModel({ ...plan, tasks: plan.tasks.map((row) => (row.id === bare.id ? bare : row)) }).signals();
  expect(signals.some(({ kind, subject }) => kind === "noRole" && subject === "ravenholt-survey")).toBe(true);
});

test("a task and an assignment of one id are one subject, with one signal of a kind", () => {
  const plan = fernhollow();
  const task = plan.tasks.find(({ id }) => id === "ravenholt-survey") as (typeof plan.tasks)[number];
  // The assignment and the task's own opening both lack a rate.
  const twin = { id: task.id, taskId: task.id, personId: plan.people[0].id, hours: 1 };
  const { costTableId: _, ...bare } = plan.projects.find(({ id }) => id === task.projectId) as (typeof plan.projects)[number];
  const signals = buildModel({
    ...plan,
    projects: plan.projects.map((own) => (own.id === bare.id ? bare : own)),
    tasks: plan.tasks.map((own) => (own.id === task.id ? { ...own, effortHours: 900 } : own)),
    assignments: [...plan.assignments, twin],
  }).signals();
  expect(signals.filter(({ kind, subject }) => kind === "missingRate" && subject === task.id).length).toBe(1);
});
