// Choosing among moves: by what they result in, and where that is equal by their cost.
import type { Move } from "./moves.ts";

/** The comparison of moves, least first: the overload left in the window, unplaced minutes, and the number of tasks touched; then
 * the cost; and last a tie-break that keeps the order the same each time. */
export interface Rank {
  first: readonly number[];
  last: readonly number[];
}

/** The best of many choices. Their cost is calculated where all else is equal, which it seldom is. */
export class Best {
  moves: Move[] | null = null;
  #rank: Rank = { first: [], last: [] };
  #cost: number | null = null;

  constructor(private readonly costOf: (moves: readonly Move[]) => number) {}

  offer(moves: Move[], rank: Rank | null): void {
    if (!rank) return;
    let cost: number | null = null;
    if (this.moves) {
      const order = compare(rank.first, this.#rank.first);
      if (order > 0) return;
      if (order === 0) {
        this.#cost ??= this.costOf(this.moves);
        cost = this.costOf(moves);
        if (cost > this.#cost || (cost === this.#cost && compare(rank.last, this.#rank.last) >= 0)) return;
      }
    }
    [this.moves, this.#rank, this.#cost] = [moves, rank, cost];
  }
}

/** Below 0 where the first of two lists comes first. */
function compare(a: readonly number[], b: readonly number[]): number {
  for (let at = 0; at < a.length; at++) if (a[at] !== b[at]) return a[at] - b[at];
  return 0;
}
