// Messages between browser and server: the boundary, with its revisions.
import * as z from "zod";
import type { Cause } from "../core/causes/causes.ts";
import type { Change } from "../core/edits/change.ts";
import { editSchema } from "../core/edits/edit.ts";
import type { EditConflict } from "../core/edits/editConflicts.ts";
import type { NextSteps, TrailStep } from "../core/edits/history.ts";
import type { StepRow } from "../core/edits/stepRows.ts";
import type { Fault } from "../core/plan/faults.ts";
import type { Plan } from "../core/plan/schema.ts";
import { isObject } from "../core/values/isObject.ts";
import type { Redacted } from "./seen.ts";

const key = z.string().min(8).max(80);

/** A request to settle, and the last revision its sender has seen. */
export const settleSchema = z.strictObject({
  base: z.int().min(0),
  /** The id that the sender's browser keeps: whose step it is, and whose can be undone. */
  maker: key.optional(),
  request: z.discriminatedUnion("kind", [
    // The key distinguishes an edit that is sent again, because its answer was lost, from a new one.
    z.strictObject({
      kind: z.literal("edit"),
      edit: editSchema,
      key: key.optional(),
      /** The revision it was made on, where that is not what its sender has seen since, and the sender's own edits that
       * were not settled then: it was made on top of them. */
      madeOn: z.int().min(0).optional(),
      after: z.array(key).max(10_000).optional(),
    }),
    z.strictObject({
      kind: z.enum(["undo", "redo"]),
      key: key.optional(),
      of: z.int().min(1).optional(),
      /** The key of the edit it is about, where its revision is not known. */
      ofKey: key.optional(),
      partly: z.boolean().optional(),
    }),
  ]),
});

export type Settle = z.infer<typeof settleSchema>;

/** The answer to a request: what the sender has not seen, or null where it has to read the plan again. */
export interface Settled {
  revision: number;
  entries: { revision: number; words: string; changes: Change[] }[] | null;
  history: NextSteps;
  faults: readonly Fault[];
  /** The conflicts with the edits of others for which it was refused. */
  editConflicts?: readonly EditConflict[];
  /** Of a step that was to be undone: how many rows can be, all the same. */
  undoableRows?: number;
}

/** One step of the trail as its screen reports it. */
export interface ToldStep {
  revision: number;
  /** When it was made, ISO 8601. */
  at: string;
  by: string;
  kind: TrailStep["kind"];
  /** The revision of the step that was undone or redone. */
  of: number | null;
  words: string;
  /** Made in the same browser, which can undo it. */
  isOwn: boolean;
  /** The first of the rows it changed; `count` is how many there are. */
  rows: StepRow[];
  count: number;
}

/** Steps of the trail, the newest first. */
export interface TrailPage {
  steps: ToldStep[];
  /** There is nothing before them. */
  isAll: boolean;
}

/** A step of the trail that moved what was asked about. */
export interface ToldCause extends Cause {
  at: string;
  by: string;
  kind: TrailStep["kind"];
  words: string;
}

/** Causes of a deviation, the newest first. */
export interface CausesAnswer {
  causes: Redacted<ToldCause>[];
  /** Every step since the baseline was looked through. */
  isAll: boolean;
}

/** The revision in an address or a header; null where there is none that can be one. */
export function sinceOf(text: string | null): number | null {
  return text !== null && /^\d{1,9}$/.test(text) ? Number(text) : null;
}

/** The id of the asker's browser in an address; null where there is none that can be one. */
export function makerOf(text: string | null): string | null {
  return text !== null && key.safeParse(text).success ? text : null;
}

export interface PlanMessage {
  plan: Plan;
  revision: number;
  history: NextSteps;
}

/** Something answered that is not the application's answer: a proxy, or a server that is being stopped. */
export class NotTaken extends Error {
  constructor(readonly status: number) {
    super(`answered ${status}`);
  }
}

/** True for an answer of the application's own. */
export function isSettled(value: unknown): value is Settled {
  return isObject(value) && typeof value.revision === "number" && Array.isArray(value.faults);
}
