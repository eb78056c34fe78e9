// Work evened out, as the command line prints it.
import { type EvenOutOptions, evenOut } from "../balancing/evenOut.ts";
import { parseDay } from "../calendar/day.ts";
import type { Model } from "../model.ts";
import { planAfter, printedEffect, printedMeasures } from "./remedies.ts";

/** The lines of the result, each measured after those before it, and the plan that they lead to. */
export function evenOutReport(model: Model, options: Omit<EvenOutOptions, "today" | "idStem">) {
  const { today } = model.plan.settings;
  const { before, after, lines, steps } = evenOut(model, {
    ...options,
    today: today === undefined ? null : parseDay(today),
    idStem: "even",
  });
  return {
    report: {
      before: { ...printedMeasures(before), window: before.window },
      after: { ...printedMeasures(after), window: after.window },
      edits: lines.map(({ kind, edits, effect }) => ({ kind, edits, effect: printedEffect(effect) })),
      steps,
    },
    after: lines.reduce(planAfter, model.plan),
  };
}
