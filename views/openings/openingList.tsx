"use client";
// The list of openings, walked through with the arrow keys.
import type { KeyboardEvent } from "react";
import type { OpeningRow } from "../../core/answers/openings.ts";
import { OpenSign } from "../../ui/avatar.tsx";
import { hoursText, hueOf, shortDay } from "../../ui/format.ts";
import type { OpeningsHook } from "./useOpenings.ts";

export function OpeningList({ hook: { shown, selectedId, setView } }: { hook: OpeningsHook }) {
  const press = (event: KeyboardEvent) => {
    const step = event.key === "ArrowDown" ? 1 : event.key === "ArrowUp" ? -1 : 0;
    if (step === 0) return;
    event.preventDefault();
    const next = shown[Math.max(0, Math.min(shown.length - 1, shown.findIndex(({ id }) => id === selectedId) + step))];
    if (!next) return;
    setView({ opening: next.id, beside: null, sheet: null });
    document.getElementById(`opening-${next.id}`)?.focus();
  };
  return (
    <nav aria-label="Openings" onKeyDown={press} className="min-h-0 overflow-y-auto rounded-t-card border border-line border-b-0 bg-sheet">
      {shown.map((row) => (
        <Line
          key={row.id}
          row={row}
          isSelected={row.id === selectedId}
          onSelect={() => setView({ opening: row.id, beside: null, sheet: null })}
        />
      ))}
    </nav>
  );
}

function Line({ row, isSelected, onSelect }: { row: OpeningRow; isSelected: boolean; onSelect: () => void }) {
  const { id, taskName, projectName, projectRow, roleName, skills, minutes, dates, priority, isPipeline, isAsked } = row;
  return (
    <button
      id={`opening-${id}`}
      type="button"
      aria-current={isSelected}
      onClick={onSelect}
      className={`block w-full border-line border-b px-3 py-2 text-left ${isSelected ? "bg-pine-wash" : "hover:bg-well/60"}`}
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
