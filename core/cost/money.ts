// What projects cost month by month, in a table whose rows and columns add up to the minor unit.
import { formatDay } from "../calendar/day.ts";
import { type Grain, nextPeriodStart, periodStart, type Range } from "../calendar/periods.ts";
import { type Model, periodSettingsOf } from "../model.ts";
import type { ReportRange } from "../reports/range.ts";
import { type CostKind, type Costs, costsOf } from "./costs.ts";
import { MissingExchangeRate } from "./rateBook.ts";

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
  /** Assignments and tasks whose work costs nothing because no rate is in force. */
  missingRates: number;
  /** Why nothing can be shown. */
  problem: string | null;
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
  const empty = { currency: model.plan.settings.currency, kind, rows: [], totals: [], total: 0, missingRates: 0, periods: [] };
  try {
    return table(model, kind, costsOf(model, { range: { start, stop }, grain: whole }));
  } catch (error) {
    if (!(error instanceof MissingExchangeRate)) throw error;
    return {
      ...empty,
      problem: `No exchange rate for ${error.currency} is in force on ${formatDay(error.day)}. Add one to the plan from that day or earlier.`,
    };
  }
}

function table({ plan }: Model, kind: MoneyQuery["kind"], costs: Costs): Money {
  const kinds: CostKind[] = kind === "all" ? ["labour", "material", "fixed", "expense"] : [kind];
  const rows = costs.projects.flatMap((cost, row): MoneyRow[] => {
    if (!cost) return [];
    const { id, name, code, stage } = plan.projects[row];
    const periods = cost.byKind.labour.map((_, p) => kinds.reduce((sum, part) => sum + cost.byKind[part][p], 0));
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
    problem: null,
  };
}
