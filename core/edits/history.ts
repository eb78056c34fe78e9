// What each maker can undo and redo: one's own steps alone, from the trail of what was done.

/** One step of the trail; an undo or redo names the revision it takes back or brings again. */
export interface TrailStep {
  revision: number;
  kind: "edit" | "undo" | "redo" | "replace";
  of: number | null;
  /** What the step says it does. */
  words: string;
  /** Whose step it is: an id that a browser keeps. Steps of nobody belong together. */
  maker: string | null;
}

/** A step that can be undone or redone: the revision at which it was first made, and what it did. */
export interface HistoryStep {
  revision: number;
  words: string;
}

/** What one maker can undo and redo next; null where there is nothing. */
export interface NextSteps {
  undo: HistoryStep | null;
  redo: HistoryStep | null;
}

interface Stacks {
  undo: HistoryStep[];
  redo: HistoryStep[];
}

/** Follows a trail, oldest step first. A new edit ends what its maker could redo; a replaced plan ends everything. */
export class Histories {
  readonly #byMaker = new Map<string | null, Stacks>();

  constructor(steps: readonly TrailStep[] = []) {
    for (const step of steps) this.follow(step);
  }

  follow({ revision, kind, of, words, maker }: TrailStep): void {
    if (kind === "replace") {
      this.#byMaker.clear();
      return;
    }
    const own = this.#stacksOf(maker);
    if (kind === "edit") {
      own.undo.push({ revision, words });
      own.redo = [];
      return;
    }
    const [from, to] = kind === "undo" ? [own.undo, own.redo] : [own.redo, own.undo];
    const at = from.findLastIndex((step) => step.revision === of);
    if (at >= 0) to.push(...from.splice(at, 1));
  }

  /** The step of a maker that is undone or redone next, or the one of a revision; null where there is none. */
  find(maker: string | null, kind: "undo" | "redo", of?: number): HistoryStep | null {
    const steps = this.#byMaker.get(maker)?.[kind] ?? [];
    return (of === undefined ? steps.at(-1) : steps.findLast(({ revision }) => revision === of)) ?? null;
  }

  next(maker: string | null): NextSteps {
    return { undo: this.find(maker, "undo"), redo: this.find(maker, "redo") };
  }

  #stacksOf(maker: string | null): Stacks {
    const known = this.#byMaker.get(maker) ?? { undo: [], redo: [] };
    this.#byMaker.set(maker, known);
    return known;
  }
}
