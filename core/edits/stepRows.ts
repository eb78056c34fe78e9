// The changes of a step of the trail, row by row: which row, whether it was added, deleted or changed, and in which fields.
import { isSame } from "../values/same.ts";
import type { Change } from "./change.ts";
import { cellsOf, rowName } from "./editConflicts.ts";

export interface StepCell {
  field: string;
  before: unknown;
  after: unknown;
}

export interface StepRow {
  list: Change["list"];
  id: string;
  name: string;
  sort: "added" | "changed" | "deleted";
  /** Of a changed row. */
  cells: StepCell[];
}

/** The rows that changes touch, in their order; one that only moved in its list is listed without changed fields. */
export function stepRows(changes: readonly Change[]): StepRow[] {
  return changes.map(({ list, id, before, after }) => ({
    list,
    id,
    name: rowName(after ?? before, id),
    sort: before === null ? "added" : after === null ? "deleted" : "changed",
    cells: before && after ? changedCells(cellsOf(list, before), cellsOf(list, after)) : [],
  }));
}

function changedCells(before: Readonly<Record<string, unknown>>, after: Readonly<Record<string, unknown>>): StepCell[] {
  const fields = new Set([...Object.keys(before), ...Object.keys(after)]);
  return [...fields].flatMap((field) =>
    isSame(before[field], after[field]) ? [] : [{ field, before: before[field], after: after[field] }],
  );
}
