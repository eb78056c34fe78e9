// Several edits as one, and one as the several that it is.
import type { Edit, SingleEdit } from "./edit.ts";

/** The single edits that an edit consists of: itself, or those that are made together. */
export const singleEdits = (edit: Edit): SingleEdit[] => (edit.kind === "together" ? edit.edits : [edit]);

/** Several edits as one; one stays what it is. */
export function togetherOf(edits: readonly SingleEdit[], words: string): Edit {
  return edits.length === 1 ? edits[0] : { kind: "together", words, edits: [...edits] };
}
