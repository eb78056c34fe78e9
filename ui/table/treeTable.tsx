"use client";
// Rows that are below others, folded and unfolded: a data table whose sorting keeps children with their parent.
import { useMemo } from "react";
import { TableFrame } from "./tableFrame.tsx";
import type { TableProps } from "./tableProps.ts";

type TreeTableProps<R> = Omit<TableProps<R>, "sections" | "parentOf"> & { rows: readonly R[]; parentOf: (row: R) => string | undefined };

export function TreeTable<R>({ rows, ...props }: TreeTableProps<R>) {
  const sections = useMemo(() => [{ id: "all", title: null, rows }], [rows]);
  return <TableFrame {...props} sections={sections} />;
}
