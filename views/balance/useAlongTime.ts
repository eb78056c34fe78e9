"use client";
// The effect of a bar dragged along time, asked again for each day that it reaches: nothing is promised that would be refused.
import { useRef, useState } from "react";
import type { BarShift } from "../../core/bars/shiftBar.ts";
import type { Bar } from "../../core/load/bars.ts";
import type { DragEffect } from "./dragEffect.ts";
import type { ShiftHook } from "./useShift.ts";

/** The element at the pointer: a bar, or one end of it. */
export interface DragData {
  bar: Bar;
  edge?: "start" | "finish";
}

export interface AlongTime {
  shift: BarShift;
  effect: DragEffect | null;
}

/** The days by which the two ends move, by what is dragged. */
export function daysOfEnds(edge: DragData["edge"], days: number): { startDays: number; stopDays: number } {
  return { startDays: edge === "finish" ? 0 : days, stopDays: edge === "start" ? 0 : days };
}

export function useAlongTime(shiftPreview: ShiftHook["shiftPreview"]) {
  const [along, setAlong] = useState<AlongTime | null>(null);
  const days = useRef(0);
  const ask = async ({ bar: { assignmentId }, edge }: DragData, next: number) => {
    if (next === days.current) return;
    days.current = next;
    if (next === 0) return setAlong(null);
    const would = await shiftPreview({ assignmentId, ...daysOfEnds(edge, next) });
    if (days.current === next) setAlong(would);
  };
  const clear = () => {
    days.current = 0;
    setAlong(null);
  };
  return { along, ask, clear };
}
