// Forecasts by skill, team and place against the same sums made plainly, person by person and piece of work by piece of work.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { horizonHelps, horizonWork } from "../answers/horizon.ts";
import { parseDay } from "../calendar/day.ts";
import { horizonOf, periodSettingsOf } from "../calendar/horizon.ts";
import { periodsIn } from "../calendar/periods.ts";
import { applyEdit } from "../edits/edit.ts";
import { isPipeline } from "../load/counting.ts";
import { buildModel, type Model } from "../model.ts";
import { placedIn } from "../placing/placements.ts";
import type { Plan } from "../plan/schema.ts";
import { forecastOf } from "./forecast.ts";
import { type ForecastBy, forecastGroups } from "./groups.ts";
import { helpEdits } from "./helps.ts";

const sum = (amounts: readonly number[]) => amounts.reduce((all, own) => all + own, 0);

/** Ids of a team and of all teams below it. */
function below(plan: Plan, id: string): string[] {
  return [id, ...plan.teams.filter(({ parentId }) => parentId === id).flatMap((team) => below(plan, team.id))];
}

/** True if a person belongs to a group, and if unassigned work is demand of it, as the rules state. */
function plainGroup(plan: Plan, by: ForecastBy, key: string, level: number) {
  const teams = by === "team" ? below(plan, key) : [];
  const enough = (skills: Plan["tasks"][number]["skills"] = []) => skills.some((own) => own.skillId === key && own.level >= level);
  return {
    has: ({ id, skills, location = "", roleIds }: Plan["people"][number]): boolean => {
      if (by === "role") return roleIds[0] === key;
      if (by === "skill") return enough(skills);
      if (by === "place") return location === key;
      return plan.teams.some((team) => teams.includes(team.id) && team.memberIds.includes(id));
    },
    asks: (task: Plan["tasks"][number], teamId: string | undefined): boolean =>
      by === "skill" ? teamId === undefined && enough(task.skills) : by === "team" && teamId !== undefined && teams.includes(teamId),
  };
}

test.each([
  ["the demo plan", fernhollow()],
  ["a tangled plan", tangledPlan(5)],
  ["another", tangledPlan(11)],
])("of %s, each group has the capacity and the work of its people, and what is asked of it that nobody has", (_, plan) => {
  const model = buildModel(plan);
  const asked = { range: horizonOf(plan), grain: "quarter" } as const;
  const periods = periodsIn(asked.range, "quarter", periodSettingsOf(plan));
  for (const [by, level] of [
    ["skill", 1],
    ["skill", 3],
    ["team", 1],
    ["place", 1],
  ] as const) {
    const groups = forecastGroups(model, by, level);
    const { groups: reported } = forecastOf(model, asked, groups);
    expect(reported.length).toBe(groups.count);
    groups.keys.forEach((key, group) => {
      const { has, asks } = plainGroup(plan, by, key, level);
      expect(groups.people[group].map((row) => plan.people[row].id).sort()).toEqual(
        plan.people
          .filter(has)
          .map(({ id }) => id)
          .sort(),
      );
      const plain = plainSums(model, periods, has, asks);
      expect([reported[group].capacity, reported[group].firm, reported[group].open], `${by} ${key}`).toEqual(plain);
    });
  }
});

function plainSums(
  model: Model,
  periods: ReturnType<typeof periodsIn>,
  has: (person: Plan["people"][number]) => boolean,
  asks: (task: Plan["tasks"][number], teamId: string | undefined) => boolean,
) {
  const { plan, work, placements, capacity } = model;
  const zeros = () => periods.map(() => 0);
  const [own, firm, open] = [zeros(), zeros(), zeros()];
  periods.forEach(({ start, stop }, p) => {
    plan.people.forEach((person, row) => {
      if (!has(person)) return;
      const { regular, overtime, at } = capacity.of(row, start, stop);
      for (let i = 0; i < stop - start; i++) own[p] += regular[at + i] + overtime[at + i];
    });
    for (let row = 0; row < work.rows; row++) {
      const project = plan.projects[work.project[row]];
      if (work.isMaterial[row] === 1 || project.stage === "cancelled" || isPipeline(project)) continue;
      const person = plan.people[work.person[row]];
      const minutes = placedIn(placements, row, 10_000, start, stop);
      if (person ? has(person) : false) firm[p] += minutes;
      else if (!person && asks(plan.tasks[work.task[row]], plan.assignments[row]?.teamId)) open[p] += minutes;
    }
  });
  return [own, firm, open];
}

test("the work and the people behind a skill's, a team's or a place's figures add up to them", () => {
  const plan = fernhollow();
  const model = buildModel(plan);
  const range = { start: parseDay("2027-03-01"), stop: parseDay("2027-04-01") };
  for (const by of ["skill", "team", "place"] as const) {
    const groups = forecastGroups(model, by, 2);
    const { groups: reported } = forecastOf(model, { range, grain: "month" }, groups);
    groups.keys.forEach((key, group) => {
      const behind = horizonWork(model, { by, level: 2, key, range, cases: [] });
      const of = (kind: string) => sum(behind?.lines.flatMap((line) => (line.kind === kind ? [line.minutes] : [])) ?? []);
      expect([of("firm"), of("open")], `${by} ${key}`).toEqual([sum(reported[group].firm), sum(reported[group].open)]);
      expect(sum(behind?.people.map(({ capacity }) => capacity) ?? [])).toBe(sum(reported[group].capacity));
    });
  }
});

/** The demo plan with more work that asks for neon than anyone has time for, and with lighting work that others could do. */
function shortPlan(): Plan {
  const plan = fernhollow();
  const task = plan.tasks.find(({ id }) => id === "tidepool-cases");
  if (!task) throw new Error("the demo plan has its cases");
  const dated = { ...task, start: "2027-03-01", finish: "2027-03-26", sizing: "dates" as const, notBefore: undefined };
  const more = [
    { ...dated, id: "glow", name: "Glow signs", skills: [{ skillId: "neon", level: 3 }], roleId: "lighting" },
    { ...dated, id: "focusing", name: "Focusing", skills: [], roleId: "lighting" },
  ];
  const openings = [
    { id: "glow-open", taskId: "glow", roleId: "lighting", hours: 2_000 },
    { id: "focusing-open", taskId: "focusing", roleId: "lighting", hours: 40 },
  ];
  const people = plan.people.map((person) => ({ ...person, roleIds: withLighting(person.roleIds) }));
  return { ...plan, people, tasks: [...plan.tasks, ...more], assignments: [...plan.assignments, ...openings] };
}

const withLighting = (roleIds: string[]): string[] => (roleIds[0] === "fabricator" ? [...new Set([...roleIds, "lighting"])] : roleIds);

test("what would help a role or a skill is measured by the plan with it: work lent to others who have the role, people trained", () => {
  const plan = shortPlan();
  const model = buildModel(plan);
  const asked = { range: { start: parseDay("2026-11-02"), stop: parseDay("2027-04-01") }, grain: "week" } as const;
  for (const [target, kind] of [
    [{ by: "role", level: 1, key: "lighting" }, "lend"],
    [{ by: "skill", level: 3, key: "neon" }, "train"],
  ] as const) {
    const { helps } = horizonHelps(model, { ...asked, ...target, cases: [] });
    const own = helps.filter(({ help }) => help.kind === kind);
    expect(own.length, kind).toBeGreaterThan(0);
    for (const { help, before, after, name, what } of own) {
      expect([name, what].every((text) => text !== "")).toBe(true);
      const outcome = applyEdit(plan, { kind: "together", words: "try", edits: helpEdits(model, target, help, "tried") });
      if (!outcome.plan) throw new Error(JSON.stringify(outcome.faults));
      const next = buildModel(outcome.plan);
      const groups = forecastGroups(next, target.by, target.level);
      const { groups: reported } = forecastOf(next, asked, groups);
      expect(sum(reported[groups.keys.indexOf(target.key)].expectedShortage)).toBe(after.own);
      expect(after.own).toBeLessThan(before.own);
    }
  }
});
