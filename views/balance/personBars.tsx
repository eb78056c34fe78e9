"use client";
// A person's assignments as bars over the board's columns; a bar is dragged onto another person.
import type { KeyboardEvent } from "react";
import type { Range } from "../../core/calendar/periods.ts";
import type { Bar } from "../../core/load/bars.ts";
import { hoursText, hueOf, shortDay } from "../../ui/format.ts";
import { useBarHandles } from "./barHandles.ts";
import { columnOf, LANE_HEIGHT, lanesOf, NAME_WIDTH, PERSON_HEIGHT } from "./columns.ts";
import { texts } from "./words.ts";

interface BarsProps {
  bars: Bar[];
  /** The bars that a preview has elsewhere. */
  former: Bar[];
  periods: Range[];
  column: number;
  onGive: (assignmentId: string) => void;
  onSelect: () => void;
  onRemedy: (bar: Bar) => void;
  picked: ReadonlySet<string>;
  onPick: (assignmentId: string) => void;
  onShift: (assignmentId: string, startDays: number, stopDays: number) => void;
}

export function PersonBars({ bars, former, periods, column, picked, onPick, onGive, onSelect, onRemedy, onShift }: BarsProps) {
  const { lanes } = lanesOf([...bars, ...former]);
  return (
    <td
      aria-label={texts.assignments}
      className="absolute right-0 bottom-0 bg-paper/60"
      style={{ top: PERSON_HEIGHT - 1, left: NAME_WIDTH }}
    >
      {bars.length === 0 && <p className="px-3 py-2 text-[13px] text-ink-2">{texts.noWorkInThisWindow}</p>}
      {bars.map((bar, at) => (
        <BarButton
          key={bar.assignmentId}
          bar={bar}
          left={columnOf(bar.start, periods) * column}
          right={columnOf(bar.stop, periods) * column}
          top={6 + lanes[at] * LANE_HEIGHT}
          onGive={() => {
            onSelect();
            onGive(bar.assignmentId);
          }}
          onRemedy={() => onRemedy(bar)}
          isPicked={picked.has(bar.assignmentId)}
          onPick={() => onPick(bar.assignmentId)}
          onShift={(startDays, stopDays) => onShift(bar.assignmentId, startDays, stopDays)}
        />
      ))}
      {former.map((bar, at) => (
        <span
          key={`former ${bar.assignmentId}`}
          title={`${bar.taskName} as it is now`}
          className="board-bar-former"
          style={{
            left: columnOf(bar.start, periods) * column + 2,
            width: Math.max(14, (columnOf(bar.stop, periods) - columnOf(bar.start, periods)) * column - 4),
            top: 6 + lanes[bars.length + at] * LANE_HEIGHT,
          }}
        />
      ))}
    </td>
  );
}

interface BarProps {
  bar: Bar;
  left: number;
  right: number;
  top: number;
  isPicked: boolean;
  onPick: () => void;
  onGive: () => void;
  onRemedy: () => void;
  onShift: (startDays: number, stopDays: number) => void;
}

function BarButton({ bar, left, right, top, isPicked, ...acts }: BarProps) {
  const { onPointerDown, onClick } = useBarHandles()({ bar });
  const width = Math.max(14, right - left - 4);
  const says = barWords(bar);
  return (
    <button
      type="button"
      onPointerDown={onPointerDown}
      onClick={(event) => {
        onClick(event);
        if (event.defaultPrevented) return;
        if (event.ctrlKey || event.metaKey || event.shiftKey) acts.onPick();
        else acts.onGive();
      }}
      aria-pressed={isPicked}
      onKeyDown={(event) => pressed(event, acts)}
      aria-label={says}
      title={says}
      className={`board-bar ${bar.isAsked ? "sign-asked text-ink" : bar.isPencilled ? "sign-pencilled text-ink" : "sign-work"} ${isPicked ? "outline-2 outline-ink outline-offset-1" : ""}`}
      style={{ left: left + 2, width, top, "--bar-hue": hueOf(bar.projectRow) }}
    >
      {width >= CODED && (
        <span className={`truncate ${bar.isPencilled ? "rounded-[3px] bg-sheet/85 px-1" : ""}`}>
          {width >= NAMED ? `${bar.projectName} · ${bar.taskName}` : bar.projectCode}
        </span>
      )}
      <BarEdge bar={bar} edge="start" />
      <BarEdge bar={bar} edge="finish" />
      {width >= COUNTED && (
        <span className={`ml-auto shrink-0 ${bar.isPencilled ? "rounded-[3px] bg-sheet/85 px-1" : ""}`}>{hoursText(bar.minutes)} h</span>
      )}
    </button>
  );
}

/** The description of a bar, and its actions. */
function barWords({ projectName, taskName, start, stop, minutes, isPencilled, isAsked }: Bar): string {
  const state = isPencilled ? ", pencilled" : isAsked ? ", requested" : "";
  return (
    `${projectName} · ${taskName}, ${shortDay(start)} – ${shortDay(stop - 1)}, ${hoursText(minutes)} hours${state}. ` +
    "Drag to a person or another date; M reassigns it, R shows options for its days, " +
    "Alt ← and Alt → move it by a day; with Shift, its end."
  );
}

function pressed(
  event: KeyboardEvent,
  { onPick, onGive, onRemedy, onShift }: Pick<BarProps, "onPick" | "onGive" | "onRemedy" | "onShift">,
) {
  const day = event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : 0;
  const key = event.key.toLowerCase();
  if (event.altKey && day !== 0) onShift(event.shiftKey ? 0 : day, day);
  else if (key === "m") onGive();
  else if (key === "r") onRemedy();
  else if (key === "x") onPick();
  else return;
  event.preventDefault();
  event.stopPropagation();
}

/** From which width on, in pixels, a bar has room for its project's code, for its hours too, and for names. */
const [CODED, COUNTED, NAMED] = [28, 76, 116];

/** An end of a bar, to stretch it by. */
function BarEdge({ bar, edge }: { bar: Bar; edge: "start" | "finish" }) {
  const { onPointerDown } = useBarHandles()({ bar, edge });
  return (
    <span
      onPointerDown={onPointerDown}
      aria-hidden
      data-edge={edge}
      className={`absolute inset-y-0 w-[7px] cursor-ew-resize ${edge === "start" ? "left-0" : "right-0"}`}
    />
  );
}
