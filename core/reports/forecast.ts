// The forecast report: capacity and demand of every role by period, with the range that demand may take.
import type { ReportRange } from "../calendar/periods.ts";
import { forecastOf } from "../forecast/forecast.ts";
import type { Model } from "../model.ts";
import { printedPeriods } from "./range.ts";

/** Whole minutes by period; probabilities in hundredths of a percent. */
export function forecastReport(model: Model, asked: ReportRange) {
  const { periods, groups } = forecastOf(model, asked);
  return { periods: printedPeriods(periods), roles: model.plan.roles.map(({ id }, row) => ({ id, ...groups[row] })) };
}
