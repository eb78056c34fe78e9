// The name of a row of planned against actual.
import type { Redacted } from "../../../client/seen.ts";
import { type ActualBy, type ActualRow, grainOf } from "../../../core/answers/actuals.ts";
import type { PeriodSettings } from "../../../core/calendar/periods.ts";
import { periodHeading } from "../../../ui/format.ts";
import { rowName } from "../moneyWords.ts";

/** The period, or what the row is about. */
export function actualName({ key, name, period }: Redacted<ActualRow>, by: ActualBy, settings: PeriodSettings): string {
  const grain = grainOf(by);
  if (grain && period) {
    const { main, side } = periodHeading(period, grain, settings);
    return `${main} ${side}`.trim();
  }
  return by === "month" || by === "quarter" || by === "year" ? key : rowName(by, key, name);
}
