"use client";
// The dot at the end of a bar from which a link is drawn to the task that follows; what the link would move is said while
// it is drawn, and the outline scrolls at its edges.
import { useRef } from "react";
import { createPortal } from "react-dom";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { Edit } from "../../core/edits/edit.ts";
import { type Dragged, usePointerDrag } from "../../ui/usePointerDrag.ts";
import { ChipImpact } from "./chipImpact.tsx";
import type { ChartEdits } from "./outlineChart.ts";
import { texts } from "./words.ts";

interface LinkGripProps {
  taskId: string;
  name: string;
  left: number;
  onLink: ChartEdits["onLink"];
}

export function LinkGrip({ taskId, name, left, onLink }: LinkGripProps) {
  const grip = useRef<HTMLButtonElement>(null);
  const { dragged, handlers } = usePointerDrag({
    scroller: () => grip.current?.closest<HTMLElement>(".rows-frame") ?? null,
    onDrop: (_, { x, y }) => {
      const target = rowUnder(x, y);
      if (target && target !== taskId) onLink(taskId, target);
    },
  });
  const target = dragged ? rowUnder(dragged.x, dragged.y) : null;
  return (
    <>
      <button
        {...handlers()}
        ref={grip}
        type="button"
        data-link-from={taskId}
        tabIndex={-1}
        aria-label={texts.linkToTheTask}
        title={texts.dragToTheTask}
        className="link-grip"
        style={{ left: `calc(${left}% + 1px)` }}
      />
      {dragged && createPortal(<LinkLine {...dragged} />, document.body)}
      {dragged &&
        target !== null &&
        target !== taskId &&
        createPortal(<LinkChip from={taskId} fromName={name} to={target} x={dragged.x} y={dragged.y} />, document.body)}
    </>
  );
}

function rowUnder(x: number, y: number): string | null {
  for (const element of document.elementsFromPoint(x, y)) {
    const row = element.closest<HTMLElement>("[data-task]");
    if (row?.dataset.task) return row.dataset.task;
  }
  return null;
}

/** The line that is being drawn. */
function LinkLine({ dx, dy, x, y }: Dragged) {
  return (
    <svg aria-hidden="true" className="pointer-events-none fixed inset-0 z-50 size-full">
      <line x1={x - dx} y1={y - dy} x2={x} y2={y} stroke="var(--pine)" strokeWidth="2" />
      <circle cx={x} cy={y} r="4" fill="var(--pine)" />
    </svg>
  );
}

/** The effect of the link. */
function LinkChip({ from, fromName, to, x, y }: { from: string; fromName: string; to: string; x: number; y: number }) {
  const target = useMaybeAnswer("taskOf", { taskId: to }, null);
  const edit: Edit = { kind: "addLink", link: { id: "drawn", from, to, kind: "FS" } };
  return (
    <div role="status" className="drag-says text-[13px]" style={{ left: Math.min(x + 14, globalThis.innerWidth - 310), top: y + 16 }}>
      <p className="font-semibold">{target?.id === to ? `${target.name} follows ${fromName}` : ""}</p>
      <ChipImpact edit={edit} taskId={to} />
    </div>
  );
}
