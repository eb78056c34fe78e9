"use client";
// A list of rows in columns, in sections or without: sorted both ways, widths set by hand, walked by keys, copied.
import { useMemo } from "react";
import type { Section } from "./lines.ts";
import { TableFrame } from "./tableFrame.tsx";
import type { TableProps } from "./tableProps.ts";

type DataTableProps<R> = Omit<TableProps<R>, "sections" | "parentOf" | "folded" | "onFold"> &
  ({ rows: readonly R[]; sections?: undefined } | { rows?: undefined; sections: readonly Section<R>[] });

export function DataTable<R>({ rows, sections, ...props }: DataTableProps<R>) {
  const all = useMemo(() => sections ?? [{ id: "all", title: null, rows: rows ?? [] }], [rows, sections]);
  return <TableFrame {...props} sections={all} />;
}
