"use client";
// The widths of columns that a person has set, kept in this browser by table.
import { useCallback, useEffect, useState } from "react";
import { type Widths, widthWithin } from "./column.ts";

/** Always this one, so that a table is not drawn again for having looked. */
const NONE: Widths = {};

const keyOf = (table: string) => `columns of ${table}`;

export function useWidths(table: string): { widths: Widths; setWidth: (column: string, width: number | null) => void } {
  const [widths, setWidths] = useState(NONE);
  useEffect(() => setWidths(read(table)), [table]);
  const setWidth = useCallback(
    (column: string, width: number | null) =>
      setWidths((known) => {
        const { [column]: _, ...others } = known;
        const next = width === null ? others : { ...others, [column]: widthWithin(width) };
        write(table, next);
        return next;
      }),
    [table],
  );
  return { widths, setWidth };
}

/** A browser that keeps nothing has the usual widths. */
function read(table: string): Widths {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(keyOf(table)) ?? "{}");
    const widths = Object.entries(Object(kept)).flatMap(([id, width]) => (typeof width === "number" ? [[id, widthWithin(width)]] : []));
    return widths.length > 0 ? Object.fromEntries(widths) : NONE;
  } catch {
    return NONE;
  }
}

function write(table: string, widths: Widths): void {
  try {
    if (Object.keys(widths).length === 0) localStorage.removeItem(keyOf(table));
    else localStorage.setItem(keyOf(table), JSON.stringify(widths));
  } catch {
    // Nothing is lost but the width.
  }
}
