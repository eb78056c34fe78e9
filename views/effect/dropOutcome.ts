// The effect of assigning work to a person, in words.
import type { AnswerOf } from "../../client/questions.ts";
import { periodStates } from "../../core/load/periodSums.ts";
import { hoursText, periodPhrase } from "../../ui/format.ts";

export interface DropOutcome {
  name: string;
  says: string;
  isOver: boolean;
}

/** @param loads The figures of that one person over the window, after the drop. */
export function dropOutcome({ people, periods, capacity, load, peakOver, state, missing }: AnswerOf<"loads">): DropOutcome {
  const over = periods.map((_, p) => (periodStates[state[p]] === "over" ? load[p] - capacity[p] : 0));
  const worst = over.indexOf(Math.max(...over));
  const sum = over.reduce((total, minutes) => total + minutes, 0);
  const name = people[0].name;
  const missingText = missing.length === 0 ? "" : `; missing: ${missing.join(" and ")}`;
  if (sum > 0)
    return { name, says: `would be over by ${hoursText(sum)} h, most in the ${periodPhrase(periods[worst])}${missingText}`, isOver: true };
  // A week with room may hold a day without.
  const days = periods.reduce((total, _, p) => total + peakOver[p], 0);
  return { name, says: `has room for it${days > 0 ? `; single days over by ${hoursText(days)} h` : ""}${missingText}`, isOver: false };
}
