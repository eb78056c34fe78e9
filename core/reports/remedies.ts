// The remedies of a person's overload, as the command line prints them.
import { type Effect, type Measures, measuredOf } from "../balancing/measures.ts";
import { type Overload, remediesOf } from "../balancing/remedies.ts";
import { formatDay, parseDay } from "../calendar/day.ts";
import { applyEdit, type SingleEdit } from "../edits/edit.ts";
import { togetherOf } from "../edits/together.ts";
import type { Model } from "../model.ts";
import type { Plan } from "../plan/schema.ts";

/** Remedies in their order, each with its effect on the whole plan.
 * @param take Number of one of them, from 1 on.
 * @returns The report, and the plan after the one taken; null where there is none of that number. */
export function remediesReport(model: Model, overload: Overload, take?: number) {
  const { today } = model.plan.settings;
  const found = remediesOf(model, overload, { today: today === undefined ? null : parseDay(today), idStem: "remedy" });
  const taken = take === undefined ? undefined : found[take - 1];
  return {
    report: {
      before: printedMeasures(measuredOf(model).totals),
      remedies: found.map(({ kind, edits, effect }) => ({ kind, edits, effect: printedEffect(effect) })),
    },
    after: taken ? planAfter(model.plan, taken) : null,
  };
}

/** The figures that every proposal is judged by. */
export const printedMeasures = ({ peakOver, overWeeks, unplaced, cost }: Measures) => ({ peakOver, overWeeks, unplaced, cost });

/** The change of the measures, of finishes and of weeks that get worse. */
export function printedEffect(effect: Effect) {
  return {
    ...printedMeasures(effect),
    finishes: effect.finishes.map(({ projectId, days }) => ({ projectId, days })),
    grows: effect.grows.map(({ personId, week, minutes }) => ({
      personId,
      from: formatDay(week.start),
      to: formatDay(week.stop - 1),
      minutes,
    })),
  };
}

/** The plan after edits that have been tried on it. */
export function planAfter(plan: Plan, { edits }: { edits: readonly SingleEdit[] }): Plan {
  const outcome = applyEdit(plan, togetherOf(edits, "a remedy"));
  if (!outcome.plan) throw new Error("edits that were tried can be applied");
  return outcome.plan;
}
