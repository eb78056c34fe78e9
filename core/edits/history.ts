// The steps that each maker can undo and redo: their own alone, from the trail.

/** One step of the trail; an undo or redo names the revision it undoes or brings again. */
export interface TrailStep {
  revision: number;
  kind: "edit" | "undo" | "redo" | "replace";
  of: number | null;
  /** The description of the step. */
  words: string;
  /** The maker of the step: an id that a browser keeps. Steps without one belong together. */
  maker: string | null;
}

/** A step that can be undone or redone: the revision at which it was first made, and what it did. */
export interface HistoryStep {
  revision: number;
  words: string;
}

/** The next steps that one maker can undo and redo; null if there is none. */
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
