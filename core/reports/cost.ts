// The cost report: projects and clients by kind and period, every line, and what is missing or too thin.

import type { ReportRange } from "../calendar/periods.ts";
import { type Costs, marginOf, type ProjectCost, totalOf } from "../cost/costs.ts";
import { isBelowGoal, marginGoal } from "../cost/margin.ts";
import type { Model } from "../model.ts";
import { rowById } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import type { Signal } from "../signals/signals.ts";
import { marginBelowTarget, rateSignals } from "../signals/signals.ts";
import { lookUp } from "../values/lookUp.ts";
import { printedPeriods } from "./range.ts";

/** Cost and revenue in whole minor units by period. */
export function costReport(model: Model, asked: ReportRange) {
  const { plan } = model;
  const costs = model.costs(asked);
  const counted = costs.projects.flatMap((cost, row) => (cost ? [{ ...plan.projects[row], cost }] : []));
  const projects = counted.map(({ id, cost }) => ({ id, ...printedCost(plan, [cost]) }));
  const clients = plan.clients.map(({ id }) => ({
    id,
    ...printedCost(
      plan,
      counted.filter(({ clientId }) => clientId === id).map(({ cost }) => cost),
      costs.periods.periods.length,
    ),
  }));
  return {
    currency: plan.settings.currency,
    periods: printedPeriods(costs.periods.periods),
    projects,
    lines: costs.lines.map(({ project: _, ...line }) => line),
    clients,
    signals: signalsOf(plan, costs, projects),
  };
}

function printedCost(plan: Plan, costs: readonly ProjectCost[], count = costs[0].byKind.labour.length) {
  const of = (kind: keyof ProjectCost["byKind"], period: number) => costs.reduce((all, cost) => all + cost.byKind[kind][period], 0);
  let running = 0;
  const periods = Array.from({ length: count }, (_, p) => {
    const [labour, material, fixed, expense, tax, revenue] = (["labour", "material", "fixed", "expense", "tax", "revenue"] as const).map(
      (kind) => of(kind, p),
    );
    const total = costs.reduce((all, cost) => all + totalOf(plan, cost, p), 0);
    running += total;
    return { labour, material, fixed, expense, tax, revenue, total, running };
  });
  const over = (kind: keyof (typeof periods)[number]) => sum(periods.map((period) => period[kind]));
  const [revenue, total] = [over("revenue"), over("total")];
  return {
    labour: over("labour"),
    material: over("material"),
    fixed: over("fixed"),
    expense: over("expense"),
    tax: over("tax"),
    total,
    revenue,
    margin: marginOf(revenue, total),
    periods: periods.map(({ tax: _, ...period }) => period),
  };
}

function signalsOf(plan: Plan, costs: Costs, projects: readonly { id: string; margin: number | null }[]): Signal[] {
  const rows = rowById(plan.projects);
  const thin = projects.flatMap(({ id, margin }) => {
    const row = lookUp(rows, id);
    const goal = marginGoal(plan, row);
    return margin !== null && goal !== null && isBelowGoal(margin, goal) ? [marginBelowTarget(plan.projects[row], margin, goal)] : [];
  });
  return [...rateSignals(plan, costs), ...thin];
}

function sum(amounts: readonly number[]): number {
  return amounts.reduce((total, amount) => total + amount, 0);
}
