// What projects cost month by month, in a table whose rows and columns add up to the minor unit.

import { periodSettingsOf } from "../calendar/horizon.ts";
import type { ReportRange } from "../calendar/periods.ts";
import { type Grain, nextPeriodStart, periodStart, type Range } from "../calendar/periods.ts";
import { type CostKind, type Costs, totalOf } from "../cost/costs.ts";
import type { Model } from "../model.ts";

export interface MoneyRow {
  projectId: string;
  name: string;
  code: string;
  projectRow: number;
  stage: string;
  /** Minor units by period. */
  periods: number[];
  total: number;
}

export interface Money {
  currency: string;
  kind: CostKind | "all";
  /** Whole months, quarters or years that the window touches. */
  periods: Range[];
  rows: MoneyRow[];
  /** Sums of the columns, and of everything. */
  totals: number[];
  total: number;
  /** Assignments and tasks with work that has no rate, or no exchange rate for it, on some day. */
  missingRates: number;
  missingExchangeRates: number;
}

export interface MoneyQuery extends ReportRange {
  kind: CostKind | "all";
}

/** Cost of every project that is not cancelled, in whole months or longer periods around a window. */
export function moneyOf(model: Model, { range, grain, kind }: MoneyQuery): Money {
  const settings = periodSettingsOf(model.plan);
  const whole: Grain = grain === "day" || grain === "week" ? "month" : grain;
  const start = periodStart(range.start, whole, settings);
  const stop = nextPeriodStart(range.stop - 1, whole, settings);
  return table(model, kind, model.costs({ range: { start, stop }, grain: whole }));
}

function table({ plan }: Model, kind: MoneyQuery["kind"], costs: Costs): Money {
  const rows = costs.projects.flatMap((cost, row): MoneyRow[] => {
    if (!cost) return [];
    const { id, name, code, stage, archived } = plan.projects[row];
    const periods = cost.byKind.labour.map((_, p) => (kind === "all" ? totalOf(plan, cost, p) : cost.byKind[kind][p]));
    if (archived && periods.every((amount) => amount === 0)) return [];
    return [
      { projectId: id, name, code: code ?? "", projectRow: row, stage, periods, total: periods.reduce((sum, amount) => sum + amount, 0) },
    ];
  });
  const totals = costs.periods.periods.map((_, p) => rows.reduce((sum, { periods }) => sum + periods[p], 0));
  return {
    currency: plan.settings.currency,
    kind,
    periods: [...costs.periods.periods],
    rows,
    totals,
    total: totals.reduce((sum, amount) => sum + amount, 0),
    missingRates: costs.missingRates.length,
    missingExchangeRates: costs.missingExchangeRates.length,
  };
}
