// Pages are made a few at a time, in the order in which they were asked for: while five hundred wait, an edit waits for the
// few that are being made.

/** Takes turns of work, at most so many at once. */
export class Turns {
  #underWay = 0;
  readonly #waiting: (() => void)[] = [];

  constructor(private readonly atOnce: number) {}

  /** Waits for a turn. @returns Ends it; to be called once. */
  async take(): Promise<() => void> {
    if (this.#underWay >= this.atOnce) await new Promise<void>((resolve) => this.#waiting.push(resolve));
    else this.#underWay++;
    let isOver = false;
    return () => {
      if (isOver) return;
      isOver = true;
      const next = this.#waiting.shift();
      // Others get their word in between two pages.
      if (next) setImmediate(next);
      else this.#underWay--;
    };
  }
}
