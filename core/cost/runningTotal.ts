// Amounts by period as the sum so far.

/** The sum so far at the end of each period. */
export function runningTotal(amounts: readonly number[], before: number): number[] {
  let running = before;
  return amounts.map((amount) => {
    running += amount;
    return running;
  });
}
