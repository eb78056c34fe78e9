// The horizon as it is looked at: a case is the plan written that way, and the work behind a figure adds up to it.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { horizonOf, wholePeriods } from "../calendar/horizon.ts";
import { applyChanges } from "../edits/change.ts";
import { forecastOf } from "../forecast/forecast.ts";
import { movedProject } from "../forecast/movedProject.ts";
import { buildModel } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { horizonAnswer, horizonHelps, horizonWork, type PipelineCase } from "./horizon.ts";

const plan = fernhollow();
const model = buildModel(plan);
const asked = { range: horizonOf(plan), grain: "month", by: "role", level: 1 } as const;
const role = { by: "role", level: 1 } as const;
const sum = (amounts: readonly number[]) => amounts.reduce((all, own) => all + own, 0);
const withChance = (probability: number): Plan => ({
  ...plan,
  projects: plan.projects.map((own) => (own.id === "seedvault" ? { ...own, probability } : own)),
});
const rolesWith = (cases: readonly PipelineCase[]) =>
  new Map(horizonAnswer(model, { ...asked, cases }).groups.map((own) => [own.key, own]));

test("won, lost and moved are the plan written so: each role has the figures of its forecast", () => {
  const moved = applyChanges(
    plan,
    movedProject(
      plan,
      plan.projects.findIndex(({ id }) => id === "seedvault"),
      28,
    ),
  );
  const same: [PipelineCase, Plan][] = [
    [{ projectId: "seedvault", outcome: "won", days: 0 }, withChance(100)],
    [{ projectId: "seedvault", outcome: "lost", days: 0 }, withChance(0)],
    [{ projectId: "seedvault", outcome: null, days: 28 }, moved],
  ];
  const written = rolesWith([]);
  for (const [own, plain] of same) {
    const roles = rolesWith([own]);
    const forecast = forecastOf(buildModel(plain), wholePeriods(plain, asked));
    plain.roles.forEach(({ id }, role) => {
      const shown = roles.get(id);
      if (shown) expect(shown, `${own.outcome} ${id}`).toMatchObject(forecast.groups[role]);
    });
    expect([...roles.values()].map(({ expected }) => expected)).not.toEqual([...roles.keys()].map((id) => written.get(id)?.expected));
  }
  expect(model.plan).toEqual(plan);
  expect(rolesWith([{ projectId: "nobody", outcome: "lost", days: 3 }])).toEqual(written);
});

test("the roles that are shortest come first, and the pipeline has its chance, its hours and what it is worth", () => {
  const { groups: roles, pipeline } = horizonAnswer(model, { ...asked, cases: [] });
  const short = roles.map(({ expectedShortage }) => sum(expectedShortage));
  expect(short).toEqual([...short].sort((a, b) => b - a));
  expect(pipeline.length).toBe(plan.projects.filter(({ stage }) => stage === "pipeline" || stage === "idea").length);
  for (const { projectId, probability, minutes, start, finish } of pipeline) {
    expect(probability).toBe((plan.projects.find(({ id }) => id === projectId)?.probability ?? 100) * 100);
    expect(minutes).toBeGreaterThan(0);
    expect(finish).toBeGreaterThanOrEqual(start);
  }
});

test("the work behind a figure adds up to what is firm and open, and its people to the capacity, in every period", () => {
  const { groups: roles, periods } = horizonAnswer(model, { ...asked, cases: [] });
  for (const { key, firm, open, capacity } of roles)
    for (const p of [0, 3, periods.length - 1]) {
      const behind = horizonWork(model, { ...role, key, range: periods[p], cases: [] });
      const of = (kind: string) => sum(behind?.lines.flatMap((line) => (line.kind === kind ? [line.minutes] : [])) ?? []);
      expect([of("firm"), of("open")], `${key} ${p}`).toEqual([firm[p], open[p]]);
      expect(sum(behind?.people.map((own) => own.capacity) ?? [])).toBe(capacity[p]);
    }
  expect(horizonWork(model, { ...role, key: "nobody", range: periods[0], cases: [] })).toBeNull();
});

test("what would help is named, helps, and with it the people of other roles who could", () => {
  const { groups: roles } = horizonAnswer(model, { ...asked, cases: [] });
  const [{ key, name }] = roles;
  const { helps, others } = horizonHelps(model, { ...asked, cases: [], key });
  expect(helps.length).toBeGreaterThan(0);
  for (const own of helps) expect(own.help.kind === "hire" ? own.name === name : own.name !== "").toBe(true);
  for (const { personId, free } of others) {
    expect(plan.people.find(({ id }) => id === personId)?.roleIds.indexOf(key)).toBeGreaterThan(0);
    expect(free).toBeGreaterThanOrEqual(0);
  }
  expect(horizonHelps(model, { ...asked, cases: [], key: "nobody" })).toEqual({ helps: [], others: [] });
});
