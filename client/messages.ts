// What passes between browser and server: the boundary, with its revisions.
import * as z from "zod";
import type { Change } from "../core/edits/change.ts";
import { editSchema } from "../core/edits/edit.ts";
import type { OvertakenRow } from "../core/edits/overtaken.ts";
import type { Fault } from "../core/plan/faults.ts";
import type { Plan } from "../core/plan/schema.ts";

const key = z.string().min(8).max(80);

/** A request to settle, and the last revision its sender has seen. */
export const settleSchema = z.strictObject({
  base: z.int().min(0),
  request: z.discriminatedUnion("kind", [
    // The key tells an edit that is sent again, because its answer was lost, from a new one.
    z.strictObject({
      kind: z.literal("edit"),
      edit: editSchema,
      key: key.optional(),
      /** The revision it was made on, where that is not what its sender has seen since, and the sender's own edits that
       * were not settled then: it was made on top of them. */
      madeOn: z.int().min(0).optional(),
      after: z.array(key).max(10_000).optional(),
    }),
    z.strictObject({ kind: z.literal("undo") }),
    z.strictObject({ kind: z.literal("redo") }),
  ]),
});

export type Settle = z.infer<typeof settleSchema>;

/** What can be undone and redone next, in words. */
export interface HistoryWords {
  undo: string | null;
  redo: string | null;
}

/** The answer to a request: what the sender has not seen, or null where it has to read the plan anew. */
export interface Settled {
  revision: number;
  entries: { revision: number; words: string; changes: Change[] }[] | null;
  history: HistoryWords;
  faults: readonly Fault[];
  /** Where it was refused for what others have done meanwhile: the rows in which they meet. */
  overtaken?: readonly OvertakenRow[];
}

/** The revision in an address or a header; null where there is none that can be one. */
export function sinceOf(text: string | null): number | null {
  return text !== null && /^\d{1,9}$/.test(text) ? Number(text) : null;
}

export interface PlanMessage {
  plan: Plan;
  revision: number;
  history: HistoryWords;
}
