// Questions that screens ask by themselves after an edit: those of the frame, of lists, and of the rates.
import type { QueryOf, Question } from "../client/questions.ts";
import { answer } from "../client/redacted.ts";
import { horizonOf } from "../core/calendar/horizon.ts";
import type { Model } from "../core/model.ts";
import { FULL_ACCESS } from "../core/plan/moneySides.ts";
import { line, measure } from "./measure.ts";

const RUNS = 3;

/** @param edited Makes a model of which nothing has been asked since its last edit. */
export function benchAnswers(edited: () => Model, floor: number): void {
  console.log("\nanswers after one edit");
  const { plan } = edited();
  const weeks = { range: horizonOf(plan), grain: "week" as const };
  const clock = weeks.range.start + 28;
  const ask = <Q extends Question>(question: Q, query: QueryOf<Q>) => {
    // One more, for the run that warms up.
    const models = Array.from({ length: RUNS + 1 }, edited);
    line(question, measure(() => answer(models.pop() ?? edited(), question, query, FULL_ACCESS), RUNS).milliseconds, floor);
  };
  ask("ribbon", { clock });
  ask("tray", {});
  ask("today", { clock });
  ask("portfolio", {});
  ask("roster", weeks);
  ask("openings", { pipeline: false });
  ask("candidates", { openingId: plan.assignments.find(({ personId, teamId }) => !personId && !teamId)?.id ?? "" });
  ask("rateUses", { tableId: plan.rateTables[0].id });
  ask("rateGaps", {});
}
