// Evening out in several attempts. One attempt ends where no single move is better, which can be far from the best result. Further
// attempts leave out some of the moves at first and so end elsewhere. The best attempt is the result (iterated local search:
// Lourenço, Martin and Stützle, "Iterated Local Search", Handbook of Metaheuristics, 2003).
import type { Model } from "../model.ts";
import { type EvenOutOptions, type EvenOutProgress, EvenOutSearch } from "./evenOut.ts";

/** The reason why the search ended: no overload is left, its time was up, or many attempts in a row were no better. */
export type EvenOutEnd = "level" | "time" | "noBetter";

/** After so many attempts in a row without a better result the search ends before its time is up. */
const MOST_IN_VAIN = 120;

export class EvenOutRestarts {
  #best: EvenOutSearch;
  #attempt: EvenOutSearch;
  #attempts = 0;
  #stepsBefore = 0;
  #ended: EvenOutEnd | null = null;

  constructor(
    private readonly model: Model,
    private readonly options: EvenOutOptions,
  ) {
    this.#best = new EvenOutSearch(model, options);
    this.#attempt = this.#best;
  }

  /** The search that has come furthest; valid at any moment. */
  get best(): EvenOutSearch {
    return this.#best;
  }

  /** Number of attempts that have ended. */
  get attempts(): number {
    return this.#attempts;
  }

  /** Null while it is under way. */
  get ended(): EvenOutEnd | null {
    return this.#ended;
  }

  /** Each pause says how far it is. */
  *run(): Generator<EvenOutProgress> {
    const { options, model } = this;
    for (let inVain = 0; ; ) {
      for (const _ of this.#attempt.run()) yield this.progress();
      this.#attempts++;
      if (isBetter(this.#attempt, this.#best)) {
        this.#best = this.#attempt;
        inVain = 0;
      } else inVain++;
      this.#ended = this.#endAfter(inVain);
      if (this.#ended) return;
      this.#stepsBefore += this.#attempt.progress().steps;
      this.#attempt = new EvenOutSearch(model, { ...options, passesOver: this.#attempts });
      yield this.progress();
    }
  }

  #endAfter(inVain: number): EvenOutEnd | null {
    const { isOver, mostSteps } = this.options;
    if (this.#best.progress().now === 0) return "level";
    if (isOver?.() || this.#stepsBefore + this.#attempt.progress().steps >= mostSteps) return "time";
    return inVain >= MOST_IN_VAIN ? "noBetter" : null;
  }

  progress(): EvenOutProgress {
    return { ...this.#best.progress(), steps: this.#stepsBefore + this.#attempt.progress().steps };
  }
}

/** True where one search leaves less over in the window, or as much in fewer lines. */
function isBetter(one: EvenOutSearch, other: EvenOutSearch): boolean {
  const [a, b] = [one.progress(), other.progress()];
  return a.now !== b.now ? a.now < b.now : a.lines < b.lines;
}
