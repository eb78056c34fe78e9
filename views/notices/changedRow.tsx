// A row of the plan that was changed, added or deleted: which one it is, and below it each of its cells.
import { Fragment, type ReactNode } from "react";
import type { StepRow } from "../../core/edits/stepRows.ts";
import { listWords } from "../../core/plan/listWords.ts";

interface ChangedRowProps<C> {
  row: Pick<StepRow, "list" | "name" | "sort"> & { cells: readonly C[] };
  cell: (cell: C) => ReactNode;
}

export function ChangedRow<C extends { field: string }>({ row: { list, name, sort, cells }, cell }: ChangedRowProps<C>) {
  return (
    <>
      <span className="text-ink-2">
        {listWords[list]} {sort === "changed" ? "" : `${sort} `}
      </span>
      {name}
      {cells.map((own) => (
        <Fragment key={own.field}>{cell(own)}</Fragment>
      ))}
    </>
  );
}
