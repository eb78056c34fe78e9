// What a step of the trail changed, told row by row: which row, whether it came, went or changed, and in which fields.
import { isSame } from "../plan/same.ts";
import type { Change } from "./change.ts";
import { cellsOf, rowName } from "./overtaken.ts";

export interface ToldCell {
  field: string;
  before: unknown;
  after: unknown;
}

export interface ToldRow {
  list: Change["list"];
  id: string;
  name: string;
  sort: "added" | "changed" | "deleted";
  /** Of a changed row. */
  cells: ToldCell[];
}

/** The rows that changes touch, in their order; one that only moved in its list is told as changed in nothing. */
export function toldRows(changes: readonly Change[]): ToldRow[] {
  return changes.map(({ list, id, before, after }) => ({
    list,
    id,
    name: rowName(after ?? before, id),
    sort: before === null ? "added" : after === null ? "deleted" : "changed",
    cells: before && after ? changedCells(cellsOf(list, before), cellsOf(list, after)) : [],
  }));
}

function changedCells(before: Readonly<Record<string, unknown>>, after: Readonly<Record<string, unknown>>): ToldCell[] {
  const fields = new Set([...Object.keys(before), ...Object.keys(after)]);
  return [...fields].flatMap((field) =>
    isSame(before[field], after[field]) ? [] : [{ field, before: before[field], after: after[field] }],
  );
}
