// What giving work to somebody would do to them, in words.
import type { AnswerOf } from "../../client/questions.ts";
import { hoursText, periodPhrase } from "../../ui/format.ts";

export interface DropOutcome {
  name: string;
  says: string;
  isOver: boolean;
}

/** @param loads The figures of that one person over the window, after the drop. */
export function dropOutcome({ people, periods, capacity, load }: AnswerOf<"loads">): DropOutcome {
  const over = periods.map((_, p) => Math.max(0, load[p] - capacity[p]));
  const worst = over.indexOf(Math.max(...over));
  const sum = over.reduce((total, minutes) => total + minutes, 0);
  const name = people[0].name;
  return sum === 0
    ? { name, says: "has room for it", isOver: false }
    : { name, says: `would be over by ${hoursText(sum)} h, most in the ${periodPhrase(periods[worst])}`, isOver: true };
}
