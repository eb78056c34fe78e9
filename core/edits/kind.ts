// The parts of a kind of edit, and the ways in which most of them change a row.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import type { ListName } from "../plan/lists.ts";
import { listWords } from "../plan/listWords.ts";
import { findRow, rowById, rowsOf } from "../plan/rows.ts";
import type { ChangedList, Plan, Row } from "../plan/schema.ts";
import { isOneOf } from "../values/oneOf.ts";
import { withSet } from "../values/stated.ts";
import { type Change, changeOf } from "./change.ts";

export type Made = { changes: Change[] } | { fault: string };

/** One kind of edit. */
export interface EditKind<E> {
  schema: z.ZodType<E>;
  /** Its changes to a plan, row by row, or why it cannot be made. */
  changes(plan: Plan, edit: E): Made;
  /** Its description, as a short phrase that fits after "Undo: ". */
  words(plan: Plan, edit: E): string;
}

/** The keys of a row that can be set: every key except its id, null to remove it. */
export type Settable<L extends ChangedList> = { [K in Exclude<keyof Row<L>, "id">]?: Row<L>[K] | null };

/** Adds a row before the row with the id `next`, or at the end. */
export function addedRow<L extends ListName>(plan: Plan, list: L, row: Row<L>, next: string | null): Made {
  if (rowById(plan[list]).has(row.id)) return { fault: faultText.exists(listWords[list], row.id) };
  return { changes: [changeOf(list, { id: row.id, before: null, after: row, next })] };
}

/** Sets keys of a row; a key set to null is removed. */
export function changedRow<L extends ChangedList>(plan: Plan, list: L, id: string, set: Settable<L>): Made {
  const before = findRow(rowsOf(plan, list), id);
  if (!before) return { fault: faultText.gone(listWords[list]) };
  return { changes: [changeOf(list, { id, before, after: withSet(before, set) })] };
}

/** The deletion of rows of a list, so ordered that undoing it puts each back in its place. */
export function deletedRows<L extends ListName>(plan: Plan, list: L, isDeleted: (row: Row<L>) => boolean): Change[] {
  const rows = rowsOf(plan, list);
  return rows.flatMap((row, at): Change[] =>
    isDeleted(row) ? [changeOf(list, { id: row.id, before: row, after: null, next: rows[at + 1]?.id ?? null })] : [],
  );
}

/** The deletion of one row that nothing else depends on. */
export function deletedRow(plan: Plan, list: ListName, id: string): Made {
  if (!findRow(rowsOf(plan, list), id)) return { fault: faultText.gone(listWords[list]) };
  return { changes: deletedRows(plan, list, (row) => row.id === id) };
}

/** A schema in which every key is optional and may be null, to remove a key; those in `fixed` cannot be set. */
export function settable<S extends z.ZodRawShape, F extends keyof S & string>(schema: z.ZodObject<S>, fixed: readonly F[]) {
  const keys = Object.keys(schema.shape).filter((key) => !isOneOf(fixed, key));
  const shape = Object.fromEntries(keys.map((key) => [key, z.nullish(schema.shape[key])]));
  return shape as { [K in Exclude<keyof S & string, F>]: z.ZodOptional<z.ZodNullable<S[K]>> };
}
