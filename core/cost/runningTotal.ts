// Amounts by period as the sum so far.

import { type Figure, sumOfFigures } from "../plan/moneySides.ts";

/** The sum so far at the end of each period; hidden from the first hidden amount on. */
export function runningTotal<Amount extends Figure>(amounts: readonly Amount[], before: Amount): Amount[] {
  let running: Figure = before;
  return amounts.map((amount) => {
    running = sumOfFigures([running, amount]);
    return running as Amount;
  });
}
