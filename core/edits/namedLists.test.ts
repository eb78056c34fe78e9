import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { usesOf } from "../plan/namedLists.ts";
import { findRow } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import { applyEdit, type Edit } from "./edit.ts";

function made(plan: Plan, edit: Edit): Plan {
  const outcome = applyEdit(plan, edit);
  if (!outcome.plan) throw new Error(outcome.faults[0].message);
  return outcome.plan;
}

const refusal = (plan: Plan, edit: Edit) => applyEdit(plan, edit).faults[0]?.message;
const count = (plan: Plan, list: Parameters<typeof usesOf>[1], id: string) =>
  (usesOf(plan, list).get(id) ?? []).reduce((sum, use) => sum + use.count, 0);

test("a rate table merged into another hands over its projects, and the rates for subjects that the other has none for", () => {
  const plan = fernhollow();
  const stays = plan.rateTables.find(({ kind }) => kind === "cost") ?? plan.rateTables[0];
  const goes = {
    id: "goes",
    name: "Goes",
    kind: stays.kind,
    entries: [
      { ...stays.entries[0], rate: 1 },
      { personId: "nobody-yet", rate: 2 },
    ],
  };
  goes.entries[1].personId = plan.people.find(({ id }) => stays.entries.every((own) => own.personId !== id))?.id as string;
  const projects = plan.projects.map((own, at) => (at === 0 ? { ...own, costTableId: "goes" } : own));
  const before: Plan = { ...plan, projects, rateTables: [...plan.rateTables, goes] };
  const after = made(before, { kind: "mergeNamed", list: "rateTables", id: "goes", into: stays.id });
  expect(after.projects[0].costTableId).toBe(stays.id);
  expect(findRow(after.rateTables, "goes")).toBeUndefined();
  expect(findRow(after.rateTables, stays.id)?.entries).toEqual([...stays.entries, goes.entries[1]]);
  const bill = plan.rateTables.find(({ kind }) => kind !== stays.kind)?.id as string;
  expect(refusal(before, { kind: "mergeNamed", list: "rateTables", id: "goes", into: bill })).toMatch(/^Rate tables can be merged if/);
});

test("a name that is there already cannot be added or taken again, capitals aside", () => {
  const plan = fernhollow();
  const [first, second] = plan.roles;
  expect(refusal(plan, { kind: "addNamed", list: "roles", row: { id: "new", name: ` ${first.name.toUpperCase()} ` } })).toMatch(
    /^There is already a role called/,
  );
  expect(refusal(plan, { kind: "changeNamed", list: "roles", id: second.id, set: { name: first.name } })).toMatch(/or merge the two\.$/);
  expect(made(plan, { kind: "changeNamed", list: "roles", id: first.id, set: { name: first.name.toUpperCase() } }).roles[0].name).toBe(
    first.name.toUpperCase(),
  );
});

test("every role of the demo plan merged into another is referred to nowhere, and the other one wherever either was", () => {
  for (const { id } of fernhollow().roles) {
    const plan = fernhollow();
    const into = plan.roles.find((role) => role.id !== id)?.id ?? "";
    const holders = plan.people.filter(({ roleIds }) => roleIds.includes(id) || roleIds.includes(into)).length;
    const after = made(plan, { kind: "mergeNamed", list: "roles", id, into });
    expect(findRow(after.roles, id)).toBeUndefined();
    expect(JSON.stringify({ ...after, roles: [] })).not.toContain(`"roleId":"${id}"`);
    expect(after.people.filter(({ roleIds }) => roleIds.includes(into)).length).toBe(holders);
    const rates = after.rateTables.flatMap(({ id: table, entries }) => entries.map((own) => `${table} ${own.roleId} ${own.from}`));
    const ofInto = rates.filter((key) => key.includes(` ${into} `));
    expect(new Set(ofInto).size).toBe(ofInto.length);
  }
});

test("two skills made one leave the higher level with the person who had both", () => {
  const plan = fernhollow();
  const [one, other] = plan.skills;
  plan.people[0] = {
    ...plan.people[0],
    skills: [
      { skillId: one.id, level: 2 },
      { skillId: other.id, level: 4 },
    ],
  };
  const after = made(plan, { kind: "mergeNamed", list: "skills", id: other.id, into: one.id });
  expect(after.people[0].skills).toEqual([{ skillId: one.id, level: 4 }]);
});

test("a role that is used is not deleted; a skill is removed from everyone who has it if the edit says so", () => {
  const plan = fernhollow();
  const role = plan.people[0].roleIds[0];
  expect(refusal(plan, { kind: "deleteNamed", list: "roles", id: role, detaches: true })).toMatch(/is used in \d+ places/);
  const skill = plan.people.find(({ skills = [] }) => skills.length > 0)?.skills?.[0].skillId ?? "";
  const used = count(plan, "skills", skill);
  expect(used).toBeGreaterThan(0);
  expect(refusal(plan, { kind: "deleteNamed", list: "skills", id: skill, detaches: false })).toContain("is used in");
  const after = made(plan, { kind: "deleteNamed", list: "skills", id: skill, detaches: true });
  expect(count(after, "skills", skill)).toBe(0);
  expect(JSON.stringify(after)).not.toContain(`"skillId":"${skill}"`);
});

test("a category is renamed on every project that has it, and removed", () => {
  const plan = fernhollow();
  const from = plan.projects.find(({ category }) => category !== undefined)?.category ?? "";
  const many = plan.projects.filter(({ category }) => category === from).length;
  const renamed = made(plan, { kind: "renameMark", of: "category", from, to: "Halls" });
  expect(renamed.projects.filter(({ category }) => category === "Halls").length).toBe(many);
  const off = made(renamed, { kind: "renameMark", of: "category", from: "Halls", to: null });
  expect(off.projects.some(({ category }) => category === "Halls" || category === from)).toBe(false);
  expect(refusal(off, { kind: "renameMark", of: "category", from: "Halls", to: "Rooms" })).toMatch(/no longer in the plan/);
});

test("settings are set one by one and removed; an end before the start is refused", () => {
  const plan = fernhollow();
  const after = made(plan, { kind: "changeSettings", set: { name: "Another house", weekStartsOn: 7, marginTarget: null } });
  expect(after.settings).toMatchObject({ name: "Another house", weekStartsOn: 7, currency: plan.settings.currency });
  expect("marginTarget" in after.settings).toBe(false);
  expect("id" in after.settings).toBe(false);
  expect(refusal(plan, { kind: "changeSettings", set: { planEnd: "2020-01-01" } })).toMatch(/is before/);
  expect(refusal(plan, { kind: "changeSettings", set: { levelBand: { low: 2, high: 1 } } })).toMatch(/low that is not above/);
});
