// The uses of rate tables, and work without a rate, against the cost report.
import fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { withMoney } from "../../tests/withMoney.ts";
import { horizonOf } from "../calendar/horizon.ts";
import { applyEdit } from "../edits/edit.ts";
import { buildModel, type Model } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { costReport } from "../reports/cost.ts";
import { rateGaps } from "./rateGaps.ts";
import { rateUses } from "./rateUses.ts";

const demo = fernhollow();
const whole = (model: Model) => ({ range: horizonOf(model.plan), grain: "year" as const });
const sum = (amounts: readonly number[]) => amounts.reduce((all, own) => all + own, 0);

/** A plan in which every hour is costed by one table at one rate, and nobody works overtime. */
function plainly(plan: Plan): Plan {
  const [table] = plan.rateTables.filter(({ kind }) => kind === "cost");
  return {
    ...plan,
    people: plan.people.map(({ overtime: _, ...person }) => person),
    rateTables: plan.rateTables.map((own) => (own.id === table.id ? { ...own, entries: [{ rate: 40 }] } : own)),
    projects: plan.projects.map((project) => ({ ...project, costTableId: table.id })),
  };
}

test("a single rate prices all placed hours, and adds up to the labour cost of the report", () => {
  const model = buildModel(plainly(demo));
  const [table] = model.plan.rateTables.filter(({ kind }) => kind === "cost");
  const uses = rateUses(model, { tableId: table.id }).filter(({ minutes }) => minutes > 0);
  expect(uses.map(({ subject }) => subject)).toEqual(["default"]);
  const { projects } = costReport(model, whole(model));
  // Each line is rounded by itself.
  expect(Math.abs(uses[0].amount - sum(projects.map(({ labour }) => labour)))).toBeLessThanOrEqual(model.work.rows);
  expect(uses[0].amount).toBe(Math.round((uses[0].minutes * 4_000) / 60));
});

test("always: what a rate prices is rounded once, from whole numbers", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 4_000 }), (seed, steps) => {
      const rate = steps * 500;
      const plan = plainly(withMoney(tangledPlan(seed), seed));
      const rateTables = plan.rateTables.map((own) => ({ ...own, entries: [{ rate: rate / 10_000 }] }));
      const uses = rateUses(buildModel({ ...plan, rateTables }), { tableId: plan.projects[0].costTableId ?? "" });
      // Halves are rounded up.
      for (const { minutes, amount } of uses) expect(BigInt(amount)).toBe((BigInt(minutes) * BigInt(rate) * 2n + 6000n) / 12_000n);
    }),
    { numRuns: 60 },
  );
});

test("what each rate prices adds up to the hours of the projects that its table is for", () => {
  for (const plan of [demo, withMoney(demo, 3), withMoney(demo, 4)]) {
    const model = buildModel(plan);
    const { work, placements } = model;
    for (const table of plan.rateTables.filter(({ kind }) => kind === "cost")) {
      const uses = rateUses(model, { tableId: table.id });
      const rows = Array.from(work.project.keys()).filter((row) => {
        const { stage, costTableId } = plan.projects[work.project[row]];
        return stage !== "cancelled" && costTableId === table.id && work.isMaterial[row] === 0;
      });
      expect(sum(uses.map(({ minutes }) => minutes))).toBeLessThanOrEqual(sum(rows.map((row) => placements.placed[row])));
      for (const { projects } of uses) expect(new Set(projects).size).toBe(projects.length);
    }
    expect(rateUses(model, { tableId: "nothing" })).toEqual([]);
  }
});

test("a gap that is filled is one no longer, and what lacks a rate is what the report names", () => {
  let plan = demo;
  let gaps = rateGaps(buildModel(plan));
  expect(gaps.length).toBeGreaterThan(0);
  for (let tries = 0; gaps.length > 0 && tries < 20; tries++) {
    const [{ tableId, of }] = gaps;
    const outcome = applyEdit(plan, { kind: "changeRates", tableId, added: [{ ...of, rate: 10 }] });
    if (!outcome.plan) throw new Error("a rate can be added where there is none");
    plan = outcome.plan;
    const left = rateGaps(buildModel(plan));
    expect(left.length).toBeLessThan(gaps.length);
    gaps = left;
  }
  expect(gaps).toEqual([]);
  const costly = costReport(buildModel(plan), whole(buildModel(plan))).signals.filter(({ kind }) => kind === "missingRate");
  const before = costReport(buildModel(demo), whole(buildModel(demo))).signals.filter(({ kind }) => kind === "missingRate");
  expect(costly.length).toBeLessThan(before.length);
});
