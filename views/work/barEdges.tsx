"use client";
// The two ends of a task's bar, to draw it out or in by: what that results in is said while an end is held.
import { createPortal } from "react-dom";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { TaskStretch } from "../../core/bars/stretchTask.ts";
import { countText, shortDay } from "../../ui/format.ts";
import { type Dragged, usePointerDrag } from "../../ui/usePointerDrag.ts";
import { barFaults } from "../effect/barFaults.ts";
import { ChipImpact } from "./chipImpact.tsx";

type Edge = "start" | "finish";

interface BarEdgesProps {
  taskId: string;
  /** Where the bar's ends are, in percent of the chart. */
  left: number;
  right: number;
  daysOf: (dragged: Dragged) => number;
  onStretch: (stretch: TaskStretch) => void;
}

export function BarEdges({ taskId, left, right, daysOf, onStretch }: BarEdgesProps) {
  const stretchOf = (edge: Edge, dragged: Dragged): TaskStretch => {
    const days = daysOf(dragged);
    return { taskId, startDays: edge === "start" ? days : 0, stopDays: edge === "finish" ? days : 0 };
  };
  const { dragged, handlers } = usePointerDrag<Edge>({
    onDrop: (edge, at) => daysOf(at) !== 0 && onStretch(stretchOf(edge, at)),
  });
  const edge = (own: Edge) => (
    <span
      {...handlers(own)}
      aria-hidden
      data-edge={own}
      className="bar-edge"
      style={own === "start" ? { left: `${left}%` } : { left: `calc(${right}% - 6px)` }}
    />
  );
  return (
    <>
      {edge("start")}
      {edge("finish")}
      {dragged &&
        daysOf(dragged) !== 0 &&
        createPortal(<StretchChip stretch={stretchOf(dragged.data, dragged)} x={dragged.x} y={dragged.y} />, document.body)}
    </>
  );
}

function StretchChip({ stretch, x, y }: { stretch: TaskStretch; x: number; y: number }) {
  const found = useMaybeAnswer("stretchTask", stretch, null);
  if (!found) return null;
  return (
    <div role="status" className="drag-says text-[13px]" style={{ left: Math.min(x + 14, globalThis.innerWidth - 310), top: y + 16 }}>
      {"fault" in found ? (
        <p>{barFaults[found.fault]}</p>
      ) : (
        <>
          <p className="font-semibold">
            {shortDay(found.range.start)} – {shortDay(found.range.stop - 1)}
          </p>
          {found.options.length > 1 && <p>{countText(found.options.length, "option")}: choose one after the drop.</p>}
          <ChipImpact edit={found.options[0].edit} taskId={stretch.taskId} />
        </>
      )}
    </div>
  );
}
