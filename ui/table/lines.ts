// The lines of a table: rows, sorted within their section or among their siblings, under the headings of sections.
import {
  type ColumnDef,
  createExpandedRowModel,
  createSortedRowModel,
  rowExpandingFeature,
  rowSortingFeature,
  type SortingState,
  tableFeatures,
  type Updater,
  useTable,
} from "@tanstack/react-table";
import { useMemo, useRef } from "react";
import type { TableColumn } from "./column.ts";

/** Rows under one heading; the heading is null where there is but one section. */
export interface Section<R> {
  id: string;
  title: string | null;
  says?: string;
  rows: readonly R[];
}

export interface RowLine<R> {
  kind: "row";
  /** One a line: the row's id, after its section where a row can be in several. */
  key: string;
  id: string;
  row: R;
  depth: number;
  isFolded: boolean | null;
}

export type Line<R> = RowLine<R> | { kind: "section"; key: string; title: string; says: string | undefined };

interface Entry<R> {
  key: string;
  id: string;
  row: R;
  section: number;
  inner: Entry<R>[];
}

const features = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  rowExpandingFeature,
  expandedRowModel: createExpandedRowModel(),
});

export interface LineOptions<R> {
  columns: readonly TableColumn<R>[];
  sections: readonly Section<R>[];
  idOf: (row: R) => string;
  /** The id of the row that a row is below; left out in a table without levels. */
  parentOf?: (row: R) => string | undefined;
  folded?: readonly string[];
  sorting: SortingState;
  onSort: (updater: Updater<SortingState>) => void;
}

export type TableModel<R> = ReturnType<typeof useTable<typeof features, Entry<R>>>;

/** The table's model and its lines in order. */
export function useLines<R>(options: LineOptions<R>): { table: TableModel<R>; lines: Line<R>[] } {
  const { columns, sections, folded, sorting, onSort } = options;
  // The names of rows are asked for again only with new rows: a view may write these functions inline.
  const naming = useRef(options);
  naming.current = options;
  const entries = useMemo(() => entriesOf(sections, naming.current.idOf, naming.current.parentOf), [sections]);
  const definitions = useMemo(() => columns.map(definitionOf<R>), [columns]);
  const hidden = useMemo(() => new Set(folded), [folded]);
  const expanded = useMemo(() => Object.fromEntries(parentsOf(entries, hidden).map((key) => [key, true])), [entries, hidden]);
  const table = useTable<typeof features, Entry<R>>({
    features,
    columns: definitions,
    data: entries,
    getRowId: ({ key }) => key,
    getSubRows: ({ inner }) => inner,
    state: { sorting, expanded },
    onSortingChange: onSort,
    autoResetExpanded: false,
  });
  const { rows } = table.getRowModel();
  const lines = useMemo(() => {
    const bySection = sections.map((): RowLine<R>[] => []);
    for (const { original, depth } of rows) {
      const { key, id, row, section, inner } = original;
      bySection[section].push({ kind: "row", key, id, row, depth, isFolded: inner.length > 0 ? hidden.has(id) : null });
    }
    return sections.flatMap(({ id, title, says }, at): Line<R>[] => [
      ...(title === null ? [] : [{ kind: "section" as const, key: `section ${id}`, title, says }]),
      ...bySection[at],
    ]);
  }, [rows, sections, hidden]);
  return { table, lines };
}

function definitionOf<R>({ id, value, isFigure }: TableColumn<R>): ColumnDef<typeof features, Entry<R>> {
  return {
    id,
    accessorFn: ({ row }) => value?.(row) ?? undefined,
    enableSorting: value !== undefined,
    sortDescFirst: isFigure ?? false,
    sortUndefined: "last",
    sortFn: (a, b, columnId) => compared(a.getValue(columnId), b.getValue(columnId)),
  };
}

/** Numbers by size, all else as words are sorted. */
function compared(a: unknown, b: unknown): number {
  return typeof a === "number" && typeof b === "number" ? a - b : String(a).localeCompare(String(b), undefined, { numeric: true });
}

function entriesOf<R>(
  sections: readonly Section<R>[],
  idOf: (row: R) => string,
  parentOf: ((row: R) => string | undefined) | undefined,
): Entry<R>[] {
  return sections.flatMap(({ id: sectionId, title, rows }, section) => {
    const own = rows.map((row): Entry<R> => {
      const id = idOf(row);
      return { key: title === null ? id : `${sectionId} ${id}`, id, row, section, inner: [] };
    });
    if (!parentOf) return own;
    const byId = new Map(own.map((entry) => [entry.id, entry]));
    return own.filter((entry) => {
      const parent = byId.get(parentOf(entry.row) ?? "");
      parent?.inner.push(entry);
      return parent === undefined;
    });
  });
}

function parentsOf<R>(entries: readonly Entry<R>[], hidden: ReadonlySet<string>): string[] {
  return entries.flatMap(({ key, id, inner }) =>
    inner.length === 0 ? [] : [...(hidden.has(id) ? [] : [key]), ...parentsOf(inner, hidden)],
  );
}
