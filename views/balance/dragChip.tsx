import type { BarShift } from "../../core/bars/shiftBar.ts";
import type { Bar } from "../../core/load/bars.ts";
import { hoursText, hueOf, shortDay } from "../../ui/format.ts";
import { barFaults } from "../effect/barFaults.ts";
import type { DropOutcome } from "../effect/dropOutcome.ts";
import { moneyPhrases } from "../effect/moneyChange.ts";
import { usePlanFacts } from "../scope/facts.ts";
import { PERSON_HEIGHT } from "./columns.ts";
import type { DragEffect } from "./dragEffect.ts";
import { texts } from "./words.ts";

/** The chip at the pointer while a bar is dragged: the work, and the effect of dropping it here. */
interface ChipProps {
  at: { x: number; y: number };
  bar: Bar;
  /** Number of further bars that move, too. */
  more: number;
  outcome: DropOutcome | null;
  along: BarShift | null;
  effect: DragEffect | null;
}

const MOST_MOVES = 3;
/** The chip leaves the cells under the pointer visible: they show the effect of a drop. */
const BELOW = PERSON_HEIGHT - 8;
/** As tall as the chip gets with all that a drop may do. */
const TALLEST = 230;

export function DragChip({ at: { x, y }, bar, more, outcome, along, effect }: ChipProps) {
  const { currency } = usePlanFacts();
  return (
    <div className="drag-bar" style={placeOf(x, y)}>
      <div className="chip-bar sign-work" style={{ "--bar-hue": hueOf(bar.projectRow) }}>
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
        ) : along ? (
          shiftText(along)
        ) : (
          "Drop on a person, or on another date"
        )}
        {effect && <Peaks effect={effect} />}
        {effect?.finishes.slice(0, MOST_MOVES).map(({ id, name, before, after }) => (
          <span key={id} className={`block ${after > before ? "text-over" : "text-ink-2"}`}>
            {name} finishes {shortDay(after)}, not {shortDay(before)}
          </span>
        ))}
        {(effect ? moneyPhrases(effect.money, currency) : []).map(({ text, isBad }) => (
          <span key={text} className={`block ${isBad ? "text-over" : "text-ink-2"}`}>
            {text}
          </span>
        ))}
      </div>
    </div>
  );
}

/** Overloads that appear, and those that disappear. */
function Peaks({ effect: { over, eased } }: { effect: DragEffect }) {
  return (
    <>
      {over.slice(0, MOST_MOVES).map(({ personId, name, week, before, after }) => (
        <span key={`over ${personId} ${week.start}`} className="block text-over">
          {before > 0 ? texts.larger : texts.newText} overload: {name}, week of {shortDay(week.start)}, {hoursText(after - before)} h
        </span>
      ))}
      {eased.slice(0, MOST_MOVES).map(({ personId, name, week, before, after }) => (
        <span key={`eased ${personId} ${week.start}`} className="block text-level-ink">
          {after > 0 ? texts.reduces : texts.removes} the overload of {name}, week of {shortDay(week.start)}, by {hoursText(before - after)}{" "}
          h
        </span>
      ))}
    </>
  );
}

/** The position of the chip: below the pointer, and above it near the lower edge, so that all of it stays on the screen. */
function placeOf(x: number, y: number) {
  const left = Math.max(8, Math.min(x + 10, globalThis.innerWidth - 350));
  return y + BELOW + TALLEST > globalThis.innerHeight ? { left, bottom: globalThis.innerHeight - y + 12 } : { left, top: y + BELOW };
}

/** The effect of a drop along time. */
function shiftText(shift: BarShift): string {
  if ("fault" in shift) return barFaults[shift.fault];
  const dates = `${shortDay(shift.range.start)} – ${shortDay(shift.range.stop - 1)}`;
  if (shift.as === "own") return `Own dates within the task: ${dates}`;
  const { options, others, taskName } = shift;
  const company = others.length === 0 ? "" : `, with ${others.slice(0, 3).join(", ")}${others.length > 3 ? " and more" : ""}`;
  if (options.length > 1) return `Moves the task${company}; choose how it should start on ${shortDay(shift.start)}`;
  return options[0].way === "longer" ? `${taskName} lasts longer: ${dates}${company}` : `Moves the task: ${dates}${company}`;
}
