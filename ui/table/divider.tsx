"use client";
// The edge between the columns of a table and the one that is set apart from them: dragged, it shares the width out between
// the two. By keys the headings before it are made wider or narrower.
import { useRef } from "react";
import { type Dragged, usePointerDrag } from "../usePointerDrag.ts";
import type { TableColumn } from "./column.ts";

interface DividerProps {
  columns: readonly TableColumn<never>[];
  height: number;
  hasTicks: boolean;
  setWidth: (column: string, width: number | null) => void;
}

export function Divider({ columns, height, hasTicks, setWidth }: DividerProps) {
  const part = useRef<HTMLSpanElement>(null);
  const width = useRef(0);
  const at = columns.findIndex(({ hasDivider }) => hasDivider);
  const column = columns[at];
  const follow = (_: unknown, { dx }: Dragged) => setWidth(column.id, width.current - dx);
  const { onPointerDown } = usePointerDrag<void>({ onDrag: follow, onDrop: follow }).handlers();
  if (!column) return null;
  const measure = () => {
    width.current = part.current?.offsetWidth ?? 0;
  };
  return (
    <div className="rows-line rows-overlay" style={{ top: 0, height }}>
      <span ref={part} className="relative" style={{ gridColumnStart: at + (hasTicks ? 2 : 1) }}>
        <span
          aria-hidden
          data-divider={column.id}
          title="Drag to change the width; double-click for the default. By keyboard: Shift and the arrow keys on a heading."
          className="rows-divider"
          onPointerDown={(event) => {
            measure();
            onPointerDown(event);
          }}
          onDoubleClick={() => setWidth(column.id, null)}
        />
      </span>
    </div>
  );
}
