"use client";
// Dragging, by the pointer or by keys: Enter or Space takes hold, arrows move, Enter lets go, Esc puts back. What scrolls
// goes along while something is held at its edge.
import { type KeyboardEvent, type MouseEvent, type PointerEvent, type RefObject, useCallback, useEffect, useRef, useState } from "react";
import { scrollAtEdge } from "./scrollAtEdge.ts";

/** The drag so far, in pixels of the scrolled content, and the position of the pointer. */
export interface Dragged {
  dx: number;
  dy: number;
  x: number;
  y: number;
}

export interface DragOptions<T> {
  /** False for what cannot be taken hold of. */
  canDrag?: boolean;
  /** Pixels that an arrow key moves; without it, keys do nothing. */
  keyStep?: () => number;
  /** Pixels before a press counts as dragging. */
  threshold?: number;
  /** The element that scrolls while something is held at its edge. */
  scroller?: () => HTMLElement | null;
  onDrag?: (data: T, dragged: Dragged) => void;
  onDrop: (data: T, dragged: Dragged) => void;
  onCancel?: () => void;
}

interface Held<T> {
  data: T;
  /** The start of the drag, and the scroll position then. */
  x: number;
  y: number;
  left: number;
  top: number;
  dragged: Dragged;
  byKeys: boolean;
  hasMoved: boolean;
  release: () => void;
}

/** The current drag and its distance, null while there is none; and the properties of draggable elements, by value. A press
 * without a move is a click. */
export function usePointerDrag<T = void>(options: DragOptions<T>) {
  const latest = useRef(options);
  latest.current = options;
  const hold = useHold(latest);
  const { dragged } = hold;
  const known = useRef(hold);
  known.current = hold;
  // The same function for as long as it is used: what can be dragged is not drawn again while something is.
  const handlers = useCallback((data: T) => handlersOf(data, latest, () => known.current), []);
  return { dragged, handlers };
}

type Hold<T> = ReturnType<typeof useHold<T>>;

/** Properties of what can be dragged. */
function handlersOf<T>(data: T, latest: RefObject<DragOptions<T>>, hold: () => Hold<T>) {
  const press = (event: KeyboardEvent<HTMLElement>) => {
    const step = latest.current.keyStep?.();
    if (step === undefined) return;
    const { held, leave, take, moveTo } = hold();
    const own = held.current;
    const way = event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : 0;
    if (event.key === "Enter" || event.key === " ") {
      const box = event.currentTarget.getBoundingClientRect();
      if (own) leave(true);
      else take(data, box.left, box.top, true);
    } else if (own && event.key === "Escape") leave(false);
    else if (own && way !== 0) moveTo(own.dragged.x + way * step * (event.shiftKey ? 7 : 1), own.dragged.y);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return {
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      if (latest.current.canDrag === false || event.button !== 0) return;
      event.stopPropagation();
      hold().take(data, event.clientX, event.clientY, false);
    },
    onBlur: () => hold().held.current?.byKeys && hold().leave(false),
    onKeyDown: press,
    onClick: (event: MouseEvent) => {
      if (!hold().wasDragged.current) return;
      event.preventDefault();
      event.stopPropagation();
    },
  };
}

/** The held element and its distance; functions to hold, move and drop it. */
function useHold<T>(latest: RefObject<DragOptions<T>>) {
  const held = useRef<Held<T> | null>(null);
  const wasDragged = useRef(false);
  const [dragged, setDragged] = useState<(Dragged & { data: T }) | null>(null);

  const moveTo = (x: number, y: number) => {
    const own = held.current;
    if (!own) return;
    const { threshold = 1, scroller } = latest.current;
    const view = scroller?.();
    const [dx, dy] = [x - own.x + (view?.scrollLeft ?? 0) - own.left, y - own.y + (view?.scrollTop ?? 0) - own.top];
    own.dragged = { dx, dy, x, y };
    if (!own.hasMoved && Math.hypot(dx, dy) < threshold) return;
    own.hasMoved = true;
    setDragged({ ...own.dragged, data: own.data });
    latest.current.onDrag?.(own.data, own.dragged);
  };
  const leave = (isDropped: boolean) => {
    const own = held.current;
    if (!own) return;
    held.current = null;
    own.release();
    wasDragged.current = own.hasMoved;
    setDragged(null);
    if (isDropped && own.hasMoved) latest.current.onDrop(own.data, own.dragged);
    else latest.current.onCancel?.();
  };
  const take = (data: T, x: number, y: number, byKeys: boolean) => {
    const view = latest.current.scroller?.();
    const [left, top] = [view?.scrollLeft ?? 0, view?.scrollTop ?? 0];
    wasDragged.current = false;
    // The window is listened to: a row may scroll out of sight, and its element go, while it is dragged.
    const release = byKeys ? () => undefined : followPointer(moveTo, leave, () => latest.current.scroller?.() ?? null);
    held.current = { data, x, y, left, top, dragged: { dx: 0, dy: 0, x, y }, byKeys, hasMoved: false, release };
  };
  useEffect(() => () => held.current?.release(), []);
  return { held, wasDragged, dragged, moveTo, leave, take };
}

/** Listens to the pointer until it is let go. @returns Stops that. */
function followPointer(
  moveTo: (x: number, y: number) => void,
  leave: (isDropped: boolean) => void,
  scroller: () => HTMLElement | null,
): () => void {
  let at: { x: number; y: number } | null = null;
  const move = ({ clientX: x, clientY: y }: globalThis.PointerEvent) => {
    at = { x, y };
    moveTo(x, y);
  };
  const drop = () => leave(true);
  const cancel = () => leave(false);
  const putBack = (event: globalThis.KeyboardEvent) => {
    if (event.key !== "Escape") return;
    event.preventDefault();
    event.stopPropagation();
    leave(false);
  };
  const frame = () => {
    const view = scroller();
    if (at && view && scrollAtEdge(view, at.x, at.y)) moveTo(at.x, at.y);
    turn = requestAnimationFrame(frame);
  };
  let turn = requestAnimationFrame(frame);
  window.addEventListener("pointermove", move);
  window.addEventListener("pointerup", drop);
  window.addEventListener("pointercancel", cancel);
  window.addEventListener("keydown", putBack, { capture: true });
  return () => {
    cancelAnimationFrame(turn);
    window.removeEventListener("pointermove", move);
    window.removeEventListener("pointerup", drop);
    window.removeEventListener("pointercancel", cancel);
    window.removeEventListener("keydown", putBack, { capture: true });
  };
}
