"use client";
// A pipeline project as a bar along the plan: dragged, or moved by the arrow keys, to another week.
import { type KeyboardEvent, type RefObject, useRef } from "react";
import { hueOf, longDay } from "../../ui/format.ts";
import { usePointerDrag } from "../../ui/usePointerDrag.ts";
import { usePlanFacts } from "../scope/facts.ts";
import { texts } from "./words.ts";

interface PipelineBarProps {
  name: string;
  projectRow: number;
  start: number;
  finish: number;
  /** Days by which it is moved now. */
  days: number;
  onMove: (days: number) => void;
}

const WEEK = 7;

export function PipelineBar({ name, projectRow, start, finish, days, onMove }: PipelineBarProps) {
  const { horizon } = usePlanFacts();
  const strip = useRef<HTMLDivElement>(null);
  const { isDragged, handlers } = useMove({ start, days, onMove }, strip);
  const length = horizon.stop - horizon.start;
  const percent = (day: number) => ((day - horizon.start) / length) * 100;
  return (
    <div ref={strip} className="pipeline-strip" style={{ "--bar-hue": hueOf(projectRow) }}>
      <div
        {...handlers}
        role="slider"
        tabIndex={0}
        aria-label={`Start of ${name}`}
        aria-valuemin={0}
        aria-valuemax={length}
        aria-valuenow={start + days - horizon.start}
        aria-valuetext={longDay(start + days)}
        title={texts.dragItToAnotherWeek}
        className={`pipeline-bar ${isDragged ? "cursor-grabbing" : "cursor-grab"}`}
        style={{ left: `${percent(start + days)}%`, width: `max(8px, ${percent(finish + 1) - percent(start)}%)` }}
      />
    </div>
  );
}

/** Moves by whole weeks, within the plan, by pointer or by the arrow keys. */
function useMove({ start, days, onMove }: Pick<PipelineBarProps, "start" | "days" | "onMove">, strip: RefObject<HTMLDivElement | null>) {
  const { horizon } = usePlanFacts();
  const begun = useRef(0);
  const length = horizon.stop - horizon.start;
  const within = (next: number) => Math.max(horizon.start - start, Math.min(horizon.stop - 1 - start, next));
  const weeksOf = (dx: number) => Math.round((dx / (strip.current?.clientWidth || 1)) * (length / WEEK));
  const { dragged, handlers } = usePointerDrag({
    threshold: 3,
    onDrag: (_, { dx }) => {
      const next = within(begun.current + weeksOf(dx) * WEEK);
      if (next !== days) onMove(next);
    },
    onDrop: () => {},
    // Put back: it is where it was when it was taken.
    onCancel: () => onMove(begun.current),
  });
  const press = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -WEEK, ArrowRight: WEEK }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    onMove(within(days + by));
  };
  const own = handlers(undefined);
  const onPointerDown: typeof own.onPointerDown = (event) => {
    begun.current = days;
    own.onPointerDown(event);
  };
  return { isDragged: dragged !== null, handlers: { ...own, onPointerDown, onKeyDown: press } };
}
