"use client";
// The heading of a table: sorts both ways, and its edges set the width of a column.
import { type KeyboardEvent, useRef } from "react";
import { Checkbox } from "../checkbox.tsx";
import { type Dragged, usePointerDrag } from "../usePointerDrag.ts";
import type { TableColumn } from "./column.ts";
import type { TableModel } from "./lines.ts";

interface HeadProps<R> {
  columns: readonly TableColumn<R>[];
  table: TableModel<R>;
  height: number;
  ticks: { isAll: boolean; label: string | null; onAll: (isOn: boolean) => void } | null;
  setWidth: (column: string, width: number | null) => void;
}

export function HeadRow<R>({ columns, table, height, ticks, setWidth }: HeadProps<R>) {
  return (
    <thead className="sticky top-0 z-[3] block bg-sheet">
      <tr aria-rowindex={1} className="rows-line text-[13px] text-ink-2" style={{ height }}>
        {ticks && (
          <th scope="col" className="rows-tick">
            {ticks.label !== null && <Checkbox label={ticks.label} checked={ticks.isAll} onChange={ticks.onAll} />}
          </th>
        )}
        {columns.map((column, at) => (
          <Head key={column.id} column={column} table={table} isResizable={at < columns.length - 1} setWidth={setWidth} />
        ))}
      </tr>
    </thead>
  );
}

interface HeadCellProps<R> extends Pick<HeadProps<R>, "table" | "setWidth"> {
  column: TableColumn<R>;
  /** The last column takes what is left over. */
  isResizable: boolean;
}

function Head<R>({ column, table, isResizable, setWidth }: HeadCellProps<R>) {
  const cell = useRef<HTMLTableCellElement>(null);
  const model = table.getColumn(column.id);
  const sorted = model?.getIsSorted() ?? false;
  const widen = (by: number) => cell.current && setWidth(column.id, cell.current.offsetWidth + by);
  const press = (event: KeyboardEvent) => {
    if (!isResizable || !event.shiftKey || !["ArrowLeft", "ArrowRight"].includes(event.key)) return;
    event.preventDefault();
    event.stopPropagation();
    widen(event.key === "ArrowLeft" ? -10 : 10);
  };
  const text = column.headNode ?? <span className="truncate">{column.head}</span>;
  return (
    <th
      ref={cell}
      scope="col"
      aria-sort={sorted === "asc" ? "ascending" : sorted === "desc" ? "descending" : undefined}
      data-figure={column.isFigure}
      data-sticky={column.isSticky}
      data-bare={column.isBare}
      className={`rows-head ${column.isRowHead || sorted ? "font-semibold text-ink" : "font-normal"}`}
    >
      {model?.getCanSort() ? (
        <button
          type="button"
          title={column.says ?? `Sort by ${column.head.toLowerCase()}`}
          onClick={() => model.toggleSorting()}
          onKeyDown={press}
          className="rows-sort"
        >
          {text}
          <span aria-hidden>{sorted === "asc" ? " ↑" : sorted === "desc" ? " ↓" : ""}</span>
        </button>
      ) : (
        <span title={column.says} className="rows-sort">
          {text}
        </span>
      )}
      {isResizable && <Edge onStart={() => cell.current?.offsetWidth ?? 0} onDrag={(width) => setWidth(column.id, width)} />}
    </th>
  );
}

/** The edge of a heading: dragged it sets the width, pressed twice it gives the usual one back. */
function Edge({ onStart, onDrag }: { onStart: () => number; onDrag: (width: number | null) => void }) {
  const width = useRef(0);
  const follow = (_: unknown, { dx }: Dragged) => onDrag(width.current + dx);
  const { onPointerDown } = usePointerDrag<void>({ onDrag: follow, onDrop: follow }).handlers();
  return (
    <span
      aria-hidden
      title="Drag to change the width; double-click for the default. By keyboard: Shift and the arrow keys on the heading."
      className="rows-edge"
      onPointerDown={(event) => {
        width.current = onStart();
        onPointerDown(event);
      }}
      onDoubleClick={() => onDrag(null)}
    />
  );
}
