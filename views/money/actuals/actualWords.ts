// The name of a row of planned against actual.
import type { Redacted } from "../../../client/seen.ts";
import type { ActualBy, ActualRow } from "../../../core/answers/actuals.ts";
import type { Grain, PeriodSettings } from "../../../core/calendar/periods.ts";
import { periodHeading } from "../../../ui/format.ts";
import { rowName } from "../moneyWords.ts";

const grainOf = (by: ActualBy): Grain | null => (by === "month" || by === "quarter" || by === "year" ? by : null);

/** The period, or what the row is about. */
export function actualName({ key, name, period }: Redacted<ActualRow>, by: ActualBy, settings: PeriodSettings): string {
  const grain = grainOf(by);
  if (!grain || !period) return by === "month" || by === "quarter" || by === "year" ? key : rowName(by, key, name);
  const { main, side } = periodHeading(period, grain, settings);
  return `${main} ${side}`.trim();
}
