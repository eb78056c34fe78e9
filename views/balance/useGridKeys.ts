"use client";
// Walking the cells of the board by keys.
import { type KeyboardEvent, useCallback, useEffect, useState } from "react";
import { focusSoon } from "../../ui/focusSoon.ts";
import { cellId } from "./cells.tsx";
import type { useBalance } from "./useBalance.ts";

/** Arrow keys, Home, End, Page up and Page down move between cells, Ctrl Home and Ctrl End to the corners, Space opens a person, M gives work away, R leads to the remedies; a cell itself takes Enter. */
export function useGridKeys(
  { board, toggle, reassignIn, remedyIn }: ReturnType<typeof useBalance>,
  reveal: (row: number, period: number) => void,
) {
  const [active, setActive] = useState<{ row: number; period: number } | null>(null);
  useEffect(() => {
    if (active) focusSoon(cellId(active.row, active.period));
  }, [active]);
  const press = useCallback(
    (event: KeyboardEvent) => {
      const place = placeOf(event.target);
      if (!place || event.altKey) return;
      const step = event.ctrlKey || event.metaKey ? cornerSteps[event.key] : steps[event.key];
      if (!step && (event.ctrlKey || event.metaKey)) return;
      const row = board.rows[place.row];
      if (step) {
        const next = { row: clamp(place.row + step[0], board.rows.length), period: clamp(place.period + step[1], board.periods.length) };
        reveal(next.row, next.period);
        setActive(next);
      } else if (event.key === " " && row.kind === "person") toggle(row.id);
      else if (event.key.toLowerCase() === "m" && row.kind === "person")
        reassignIn({ personId: row.id, range: board.periods[place.period] });
      else if (event.key.toLowerCase() === "r" && row.kind === "person") remedyIn({ personId: row.id, range: board.periods[place.period] });
      else return;
      event.preventDefault();
    },
    [board, reveal, toggle, reassignIn, remedyIn],
  );
  return { active, press };
}

const PAGE_ROWS = 10;

const steps: Record<string, [number, number]> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  PageUp: [-PAGE_ROWS, 0],
  PageDown: [PAGE_ROWS, 0],
  Home: [0, Number.NEGATIVE_INFINITY],
  End: [0, Number.POSITIVE_INFINITY],
};

/** With Ctrl: to the first and the last cell of the board. */
const cornerSteps: Record<string, [number, number]> = {
  Home: [Number.NEGATIVE_INFINITY, Number.NEGATIVE_INFINITY],
  End: [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY],
};

function placeOf(target: EventTarget): { row: number; period: number } | null {
  const parts = target instanceof HTMLElement ? /^cell-(\d+)-(\d+)$/.exec(target.id) : null;
  return parts && { row: Number(parts[1]), period: Number(parts[2]) };
}

function clamp(at: number, count: number): number {
  return Math.max(0, Math.min(count - 1, at));
}
