// Budgets by kind against the cost report, over ranges that end on the day a budget is passed and the day before.
import fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { horizonOf } from "../calendar/horizon.ts";
import { applyEdit } from "../edits/edit.ts";
import { buildModel, type Model } from "../model.ts";
import { checkPlan } from "../plan/check.ts";
import type { Plan, Project } from "../plan/schema.ts";
import { costReport } from "../reports/cost.ts";
import { type Budget, budgetsOf } from "./budget.ts";
import { costKinds } from "./moneyKeys.ts";

const plan = fernhollow();
const horizon = horizonOf(plan);

const withBudgets = (set: Partial<Project>, settings: Partial<Plan["settings"]> = {}): Model =>
  buildModel({
    ...plan,
    settings: { ...plan.settings, ...settings },
    projects: plan.projects.map((row) => (row.id === "tidepool" ? { ...row, budget: undefined, ...set } : row)),
  });

/** The spending of a project of one kind before a day, from the start of the plan, as reported. */
function spentUntil(model: Model, kind: Budget["kind"], stop: number): number {
  if (stop <= horizon.start) return 0;
  const own = costReport(model, { range: { start: horizon.start, stop }, grain: "year" }).projects.find(({ id }) => id === "tidepool");
  if (!own) return Number.NaN;
  // Tax on expenses is theirs, where it is part of the cost.
  if (kind === "expense") return own.total - own.labour - own.material - own.fixed;
  return own[kind === "all" ? "total" : kind];
}

test("always: what is spent of a budget is the report's, and it is passed on the first day on which that is more", () => {
  const amount = fc.option(fc.integer({ min: 0, max: 12_000_000 }), { nil: undefined });
  fc.assert(
    fc.property(amount, amount, amount, fc.boolean(), (whole, labour, expense, taxInCost) => {
      const money = (cents: number | undefined) => (cents === undefined ? undefined : cents / 100);
      const model = withBudgets({ budget: money(whole), budgetByKind: { labour: money(labour), expense: money(expense) } }, { taxInCost });
      const budgets = budgetsOf(model, "tidepool");
      expect(budgets.map(({ kind, budget }) => [kind, budget])).toEqual(
        [
          ["all", whole],
          ["labour", labour],
          ["expense", expense],
        ].filter(([, cents]) => cents !== undefined),
      );
      for (const { kind, budget, spent, left, passes } of budgets) {
        expect([spent, left]).toEqual([spentUntil(model, kind, horizon.stop), budget - spent]);
        expect(passes === null).toBe(spent <= budget);
        if (passes === null) continue;
        expect(spentUntil(model, kind, passes)).toBeLessThanOrEqual(budget);
        expect(spentUntil(model, kind, passes + 1)).toBeGreaterThan(budget);
      }
    }),
    { numRuns: 12 },
  );
});

test("budgets by kind are set by an edit, add up to no more than the total, and a project without a budget has none", () => {
  const set = { budgetByKind: Object.fromEntries(costKinds.map((kind) => [kind, 10_000])) };
  const outcome = applyEdit(plan, { kind: "changeProject", id: "tidepool", set });
  expect(outcome.plan && checkPlan(outcome.plan)).toEqual([]);
  expect(budgetsOf(buildModel(outcome.plan as Plan), "tidepool").map(({ kind }) => kind)).toEqual(["all", ...costKinds]);
  const tooMuch = applyEdit(plan, { kind: "changeProject", id: "tidepool", set: { budget: 39_999.99, ...set } });
  expect(tooMuch.faults.map(({ message }) => message)).toEqual([
    "The budgets by kind add up to more than the total budget. Raise the total, or lower one of them.",
  ]);
  expect(budgetsOf(buildModel(plan), "standing")).toEqual([]);
  expect(budgetsOf(buildModel(plan), "nothing")).toEqual([]);
});
