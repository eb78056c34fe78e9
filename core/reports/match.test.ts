// Candidates for openings, against cover, fit and cost calculated date by date.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { largePlan } from "../../demo/large.ts";
import { plainCapacity } from "../../tests/plainCapacity.ts";
import { irregular } from "../../tests/randomPeople.ts";
import { openingRows } from "../answers/openings.ts";
import { formatDay } from "../calendar/day.ts";
import { defaultCounting } from "../load/counting.ts";
import { buildModel, type Model } from "../model.ts";
import type { Person, Plan, RateEntry } from "../plan/schema.ts";
import { openingRow } from "../staffing/match.ts";
import { matchReport } from "./match.ts";

const rounded = (numerator: number, denominator: number): number => Math.floor((2 * numerator + denominator) / (2 * denominator));

function daysOf({ placements }: Model, row: number): [string, number][] {
  return Array.from({ length: placements.length[row] }, (_, at): [string, number] => [
    formatDay(placements.start[row] + at),
    placements.buffer.minutes[placements.offset[row] + at],
  ]);
}

/** A person's minutes on a date: pencilled work counts, the pipeline does not. */
function loadOn(model: Model): (personId: string, date: string) => number {
  const loads = new Map<string, number>();
  model.plan.assignments.forEach(({ personId }, row) => {
    const { stage } = model.plan.projects[model.work.project[row]];
    if (personId === undefined || ["idea", "pipeline", "cancelled"].includes(stage)) return;
    for (const [date, minutes] of daysOf(model, row)) loads.set(`${personId} ${date}`, (loads.get(`${personId} ${date}`) ?? 0) + minutes);
  });
  return (personId, date) => loads.get(`${personId} ${date}`) ?? 0;
}

/** The standard rate in ten-thousandths; in the plan's own currency. */
function rateOn(plan: Plan, tableId: string | undefined, person: Person, roleId: string | undefined, date: string): number {
  const entries = plan.rateTables.find(({ id }) => id === tableId)?.entries ?? [];
  const role = roleId ?? person.roleIds[0];
  const groups: ((entry: RateEntry) => boolean)[] = [
    (entry) => entry.personId === person.id,
    (entry) => role !== undefined && entry.roleId === role,
    (entry) => !entry.personId && !entry.roleId && !entry.materialId,
  ];
  for (const isOf of groups) {
    const begun = entries.filter((entry) => isOf(entry) && (entry.from ?? "") <= date);
    const latest = begun
      .map(({ from = "" }) => from)
      .sort()
      .at(-1);
    const entry = begun.findLast(({ from = "" }) => from === latest);
    if (entry) return Math.round(entry.rate * 10_000);
  }
  return 0;
}

function candidates(model: Model, openingId: string) {
  const { plan, work } = model;
  const row = openingRow(model, openingId);
  const { skills = [] } = plan.tasks[work.task[row]];
  const roleId = plan.roles[work.role[row]]?.id;
  const { costTableId } = plan.projects[work.project[row]];
  const need = daysOf(model, row);
  const total = need.reduce((sum, [, minutes]) => sum + minutes, 0);
  const load = loadOn(model);
  const list = plan.people.map((person) => {
    const level = (skillId: string) => person.skills?.find((own) => own.skillId === skillId)?.level ?? 0;
    let [covered, units] = [0, 0];
    for (const [date, minutes] of need) {
      const { regular, overtime } = plainCapacity(plan, person, date);
      const taken = Math.min(minutes, Math.max(0, regular + overtime - load(person.id, date)));
      covered += taken;
      units += taken * rateOn(plan, costTableId, person, roleId, date);
    }
    const missing = skills.filter((own) => level(own.skillId) < own.level).map((own) => `skill:${own.skillId}`);
    const levels = skills.reduce((sum, own) => sum + level(own.skillId), 0);
    return {
      name: person.name,
      personId: person.id,
      cover: total === 0 ? 0 : rounded(covered * 10_000, total),
      fit: skills.length === 0 ? 10_000 : rounded(levels * 10_000, 5 * skills.length),
      cost: rounded(units, 6_000),
      missing: roleId === undefined || person.roleIds.includes(roleId) ? missing : [`role:${roleId}`, ...missing],
    };
  });
  const group = ({ missing }: { missing: string[] }) => Math.min(1, missing.length);
  list.sort((a, b) => group(a) - group(b) || b.cover - a.cover || b.fit - a.fit || a.cost - b.cost || (a.name < b.name ? -1 : 1));
  return list.map(({ name: _, ...candidate }) => candidate);
}

/** Compares the openings whose hours are all placed. @returns How many there are. */
function compare(plan: Plan): number {
  const model = buildModel(plan);
  const counted = openingRows(model, { ...defaultCounting, pipeline: "full" });
  const placed = counted.filter(({ id }) => model.placements.unplaced[openingRow(model, id)] === 0);
  for (const { id } of placed) expect(matchReport(model, id)?.candidates, id).toEqual(candidates(model, id));
  return placed.length;
}

test("everyone is where cover, fit, cost and name put them, for every opening of the demo plan", () => {
  expect(compare(fernhollow())).toBeGreaterThan(10);
});

test.each([1, 2])("and so they do where people's days are anything but regular (seed %i)", (seed) => {
  const plan = irregular(largePlan({ people: 12, projects: 4, tasks: 60, assignments: 200, links: 20 }, seed), seed);
  expect(compare(plan)).toBeGreaterThan(3);
});

test("what is no opening has no candidates", () => {
  const model = buildModel(fernhollow());
  expect(matchReport(model, "rockpools-mara")).toBeNull();
  expect(matchReport(model, "nothing")).toBeNull();
});
