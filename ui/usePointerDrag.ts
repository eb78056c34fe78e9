"use client";
// Dragging, by the pointer or by keys: Enter or Space takes hold, arrows move, Enter lets go, Esc puts back.
import { type KeyboardEvent, type MouseEvent, type PointerEvent, useRef, useState } from "react";

/** How far something has been dragged, in pixels, and where the pointer is. */
export interface Dragged {
  dx: number;
  dy: number;
  x: number;
  y: number;
}

interface DragOptions {
  /** False where it cannot be taken hold of. */
  canDrag?: boolean;
  /** Pixels that an arrow key moves; without it, keys do nothing. */
  keyStep?: () => number;
  onDrag?: (dragged: Dragged) => void;
  onDrop: (dragged: Dragged) => void;
}

/** Properties of what is dragged, and how far it is; null while it is not held. A press that moved nothing is a click. */
export function usePointerDrag({ canDrag = true, keyStep, onDrag, onDrop }: DragOptions) {
  const [dragged, setDragged] = useState<Dragged | null>(null);
  const from = useRef<{ x: number; y: number } | null>(null);
  const hasMoved = useRef(false);
  const take = (x: number, y: number) => {
    from.current = { x, y };
    hasMoved.current = false;
    setDragged({ dx: 0, dy: 0, x, y });
  };
  const moveTo = (x: number, y: number) => {
    if (!from.current) return;
    const next = { dx: x - from.current.x, dy: y - from.current.y, x, y };
    hasMoved.current ||= next.dx !== 0 || next.dy !== 0;
    setDragged(next);
    onDrag?.(next);
  };
  const leave = (isDropped: boolean) => {
    if (isDropped && dragged && hasMoved.current) onDrop(dragged);
    from.current = null;
    setDragged(null);
  };
  const press = (event: KeyboardEvent<HTMLElement>) => {
    const step = keyStep?.();
    if (step === undefined) return;
    const way = event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : 0;
    if (event.key === "Enter" || event.key === " ") {
      const box = event.currentTarget.getBoundingClientRect();
      if (dragged) leave(true);
      else take(box.left, box.top);
    } else if (dragged && event.key === "Escape") leave(false);
    else if (dragged && way !== 0) moveTo(dragged.x + way * step * (event.shiftKey ? 7 : 1), dragged.y);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const props = {
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      if (!canDrag || event.button !== 0) return;
      event.stopPropagation();
      event.currentTarget.setPointerCapture(event.pointerId);
      take(event.clientX, event.clientY);
    },
    onPointerMove: (event: PointerEvent) => moveTo(event.clientX, event.clientY),
    onPointerUp: () => leave(true),
    onPointerCancel: () => leave(false),
    onBlur: () => leave(false),
    onKeyDown: press,
    onClick: (event: MouseEvent) => {
      if (hasMoved.current) event.stopPropagation();
    },
  };
  return { dragged, props };
}
