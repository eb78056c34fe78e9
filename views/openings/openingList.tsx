"use client";
// The list of openings, walked through with the arrow keys.
import { useVirtualizer } from "@tanstack/react-virtual";
import { type KeyboardEvent, useEffect, useRef } from "react";
import type { OpeningRow } from "../../core/answers/openings.ts";
import { OpenSign } from "../../ui/avatar.tsx";
import { focusSoon } from "../../ui/focusSoon.ts";
import { hoursText, hueOf, shortDay } from "../../ui/format.ts";
import type { OpeningsHook } from "./useOpenings.ts";

const LINE_HEIGHT = 72;

export function OpeningList({ hook: { shown, selectedId, setView } }: { hook: OpeningsHook }) {
  const frame = useRef<HTMLElement>(null);
  const lines = useVirtualizer({
    count: shown.length,
    getScrollElement: () => frame.current,
    estimateSize: () => LINE_HEIGHT,
    getItemKey: (at) => shown[at].id,
    overscan: 6,
    initialRect: { width: 300, height: 640 },
  });
  const selected = shown.findIndex(({ id }) => id === selectedId);
  // A link to an opening shows it: once, when the screen opens.
  // biome-ignore lint/correctness/useExhaustiveDependencies: later ones are chosen where one already looks
  useEffect(() => {
    if (selected > 6) lines.scrollToIndex(selected, { align: "center" });
  }, []);
  const select = (id: string) => setView({ opening: id, beside: null, sheet: null });
  const press = (event: KeyboardEvent) => {
    const step = event.key === "ArrowDown" ? 1 : event.key === "ArrowUp" ? -1 : 0;
    if (step === 0) return;
    event.preventDefault();
    const next = Math.max(0, Math.min(shown.length - 1, selected + step));
    if (!shown[next]) return;
    select(shown[next].id);
    lines.scrollToIndex(next);
    focusSoon(`opening-${shown[next].id}`);
  };
  return (
    <nav
      ref={frame}
      aria-label="Openings"
      onKeyDown={press}
      className="min-h-0 overflow-y-auto rounded-t-card border border-line border-b-0 bg-sheet"
    >
      <div className="relative" style={{ height: lines.getTotalSize() }}>
        {lines.getVirtualItems().map(({ index, start }) => (
          <Line
            key={shown[index].id}
            row={shown[index]}
            top={start}
            isSelected={index === selected}
            onSelect={() => select(shown[index].id)}
          />
        ))}
      </div>
    </nav>
  );
}

interface LineProps {
  row: OpeningRow;
  top: number;
  isSelected: boolean;
  onSelect: () => void;
}

function Line({ row, top, isSelected, onSelect }: LineProps) {
  const { id, taskName, projectName, projectRow, roleName, skills, minutes, dates, priority, isPipeline, isAsked } = row;
  return (
    <button
      id={`opening-${id}`}
      type="button"
      aria-current={isSelected}
      onClick={onSelect}
      className={`absolute inset-x-0 block border-line border-b px-3 py-2 text-left ${isSelected ? "bg-pine-wash" : "hover:bg-well/60"}`}
      style={{ top, height: LINE_HEIGHT }}
    >
      <span className="flex items-center gap-2">
        <OpenSign label="Nobody yet" />
        <span className="min-w-0 flex-1 truncate font-semibold">{taskName}</span>
        <span className="whitespace-nowrap font-semibold text-over">{hoursText(minutes)} h</span>
      </span>
      <span className="flex items-center gap-1.5 pl-[28px] text-[12.5px] text-ink-2">
        <span className="size-[8px] shrink-0 rounded-[2px]" style={{ background: hueOf(projectRow) }} />
        <span className="truncate">{projectName}</span>
        {isPipeline && <span className="text-plum">pipeline</span>}
        {isAsked && <span className="text-ochre-ink">asked for</span>}
      </span>
      <span className="flex justify-between gap-2 pl-[28px] text-[12.5px] text-ink-2">
        <span className="truncate">
          {roleName}
          {skills.length > 0 && ` · ${skills.map(({ name, level }) => `${name} ${level}`).join(", ")}`}
        </span>
        <span className="whitespace-nowrap">
          {dates ? `from ${shortDay(dates.start)}` : "no dates"}
          {priority < 3 && ` · priority ${priority}`}
        </span>
      </span>
    </button>
  );
}
