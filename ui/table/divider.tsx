"use client";
// The edge between the columns of a table and the one that is set apart from them: dragged, or moved by the arrow keys, it
// shares the width out between the two.
import { type KeyboardEvent, useRef } from "react";
import { type Dragged, usePointerDrag } from "../usePointerDrag.ts";
import type { TableColumn } from "./column.ts";

interface DividerProps {
  columns: readonly TableColumn<never>[];
  height: number;
  hasTicks: boolean;
  setWidth: (column: string, width: number | null) => void;
}

const STEP = 20;

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
  const press = (event: KeyboardEvent) => {
    if (event.key !== "ArrowLeft" && event.key !== "ArrowRight") return;
    event.preventDefault();
    event.stopPropagation();
    measure();
    setWidth(column.id, width.current + (event.key === "ArrowLeft" ? STEP : -STEP));
  };
  return (
    <div className="rows-line rows-overlay" style={{ top: 0, height }}>
      <span ref={part} className="relative" style={{ gridColumnStart: at + (hasTicks ? 2 : 1) }}>
        <button
          type="button"
          aria-label={`Width of ${column.head.toLowerCase()}`}
          title="Drag, or press the arrow keys, to share out the width; press twice for the usual one."
          className="rows-divider"
          onPointerDown={(event) => {
            measure();
            onPointerDown(event);
          }}
          onDoubleClick={() => setWidth(column.id, null)}
          onKeyDown={press}
        />
      </span>
    </div>
  );
}
