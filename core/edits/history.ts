// What can be undone and redone, from the trail of what was done.

/** One step of the trail; an undo or redo names the revision it takes back or brings again. */
export interface TrailStep {
  revision: number;
  kind: "edit" | "undo" | "redo" | "replace";
  of: number | null;
}

/** Revisions that can be undone and redone, the next one last. */
export interface History {
  undo: number[];
  redo: number[];
}

/** Follows a trail, oldest step first. A new edit ends what could be redone; a replaced plan ends everything. */
export function historyOf(steps: readonly TrailStep[]): History {
  return steps.reduce(afterStep, { undo: [], redo: [] });
}

/** The history after one more step. */
export function afterStep({ undo, redo }: History, { revision, kind, of }: TrailStep): History {
  switch (kind) {
    case "edit":
      return { undo: [...undo, revision], redo: [] };
    case "undo":
      return { undo: undo.filter((done) => done !== of), redo: [...redo, of as number] };
    case "redo":
      return { undo: [...undo, of as number], redo: redo.filter((undone) => undone !== of) };
    case "replace":
      return { undo: [], redo: [] };
  }
}
