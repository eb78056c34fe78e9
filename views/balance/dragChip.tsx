import type { FinishMove } from "../../core/answers/impact.ts";
import type { Bar } from "../../core/load/bars.ts";
import { countText, hoursText, hueOf, shortDay } from "../../ui/format.ts";
import type { DropOutcome } from "../frame/dropOutcome.ts";

/** What hangs on the pointer while a bar is dragged: the work, and what dropping it here would do. */
interface ChipProps {
  bar: Bar;
  /** How many more go along. */
  more: number;
  outcome: DropOutcome | null;
  days: number;
  moves: readonly FinishMove[];
}

const MOST_MOVES = 3;

export function DragChip({ bar, more, outcome, days, moves }: ChipProps) {
  return (
    <div className="w-max max-w-[340px] box-strong shadow-float">
      <div className="chip-bar sign-work" style={{ "--bar-hue": hueOf(bar.projectRow) } as React.CSSProperties}>
        <span className="truncate">
          {bar.projectName} · {bar.taskName}
        </span>
        <span>{more > 0 ? `and ${more} more` : `${hoursText(bar.minutes)} h`}</span>
      </div>
      <div className={`px-2 py-1.5 text-[13px] ${outcome?.isOver ? "text-over" : "text-ink-2"}`} role="status">
        {outcome ? (
          <>
            <span className="font-semibold">{outcome.name}</span> {outcome.says}
          </>
        ) : days !== 0 ? (
          `${countText(Math.abs(days), "day")} ${days > 0 ? "later" : "earlier"}`
        ) : (
          "Drop onto a person, or along time"
        )}
        {moves.slice(0, MOST_MOVES).map(({ id, name, before, after }) => (
          <span key={id} className={`block ${after > before ? "text-over" : "text-ink-2"}`}>
            {name} finishes {shortDay(after)}, not {shortDay(before)}
          </span>
        ))}
      </div>
    </div>
  );
}
