"use client";
// A person's row of the board: a cell for each period and, opened, their bars.
import { ChevronDown, ChevronRight } from "lucide-react";
import { memo } from "react";
import type { BoardRow } from "../../core/board/rows.ts";
import { type PeriodState, periodStates } from "../../core/load/periodSums.ts";
import { hoursText } from "../../ui/format.ts";
import { Vessel } from "../../ui/vessel.tsx";
import { SignalSign } from "../today/signalSign.tsx";
import type { Measure } from "./balanceParams.ts";
import { Cell, cellId, columnsShown, firstStop, RowSum } from "./cells.tsx";
import { NAME_WIDTH, PERSON_HEIGHT } from "./columns.ts";
import { type CellFigures, figuresAt, figureText, isAway, stateAt } from "./figures.ts";
import { PersonBars } from "./personBars.tsx";
import type { RowProps } from "./rowProps.ts";
import { texts } from "./words.ts";

export function PersonRow(props: RowProps) {
  const { at, top, height, isDropTarget, board, measure, isOpen, acts } = props;
  const row = board.rows[at];
  return (
    <tr aria-rowindex={at + 2} data-person={row.id} className={`board-row ${isDropTarget ? "bg-pine-wash" : ""}`} style={{ top, height }}>
      <th
        scope="row"
        className={`sticky left-0 z-[2] h-full line-right font-normal ${isDropTarget ? "bg-pine-wash" : "bg-sheet"}`}
        style={{ width: NAME_WIDTH }}
      >
        <button
          type="button"
          aria-expanded={isOpen}
          title={isOpen ? texts.hideAssignments : texts.showAssignments}
          onClick={() => acts.toggle(row.id)}
          className="board-name press"
          style={{ height: PERSON_HEIGHT - 1 }}
        >
          <span className="pt-[3px] text-ink-2">{isOpen ? <ChevronDown size={13} /> : <ChevronRight size={13} />}</span>
          <RowName row={row} />
        </button>
      </th>
      {at < board.filled && columnsShown(props).map((period) => periodCell(props, period))}
      <RowSum board={board} at={at} measure={measure} />
      {isOpen && <OpenBars of={props} />}
    </tr>
  );
}

/** The cell of one period, as it is or as it would be while something hangs over the row. No component of its own: a row that
 * is scrolled past has hundreds. */
function periodCell(of: RowProps, period: number) {
  const { at, column, firstColumn, phrases, active, preview, board, measure, selected, differs, acts } = of;
  const row = board.rows[at];
  const range = board.periods[period];
  const isSelected = selected?.range.start === range.start && selected.range.stop === range.stop;
  const figures = figuresAt(board, at, period);
  const load = preview ? preview.load[period] : figures.load;
  return (
    <PersonCell
      key={period}
      id={cellId(at, period)}
      left={NAME_WIDTH + period * column}
      width={column}
      name={row.name}
      phrase={phrases[period]}
      {...figures}
      load={load}
      isChanged={preview ? load !== figures.load : (differs?.(at, period) ?? false)}
      isLeaveAsked={row.requestedLeave?.some(({ start, stop }) => start < range.stop && stop > range.start) ?? false}
      isAccepted={board.accepted[at * board.periods.length + period] === 1}
      state={preview ? periodStates[preview.state[period]] : stateAt(board, at, period)}
      measure={measure}
      isSelected={isSelected}
      isTabStop={active === period || (active === null && at === firstStop(board) && period === firstColumn)}
      onSelect={() => acts.select({ personId: row.id, range })}
    />
  );
}

function OpenBars({ of: { at, column, board, former, picked, acts } }: { of: RowProps }) {
  const { id: personId } = board.rows[at];
  const [first, last] = [board.periods[0], board.periods[board.periods.length - 1]];
  return (
    <PersonBars
      bars={board.bars[personId] ?? []}
      former={former}
      periods={board.periods}
      column={column}
      picked={picked ?? NONE_PICKED}
      onPick={acts.pick}
      onGive={acts.reassign}
      onShift={acts.shift}
      onRemedy={({ start, stop }) => acts.remedyIn({ personId, range: { start, stop } })}
      onSelect={() => acts.select({ personId, range: { start: first.start, stop: last.stop } })}
    />
  );
}

const NONE_PICKED: ReadonlySet<string> = new Set();

function RowName({ row }: { row: BoardRow }) {
  return (
    <span className="min-w-0">
      <span className="block truncate font-semibold leading-tight">
        {row.name}
        <SignalSign personId={row.id} />
      </span>
      <span className="block truncate text-side leading-tight">{subtitle(row)}</span>
    </span>
  );
}

function subtitle({ roleName, weekDays, isContractor }: BoardRow): string {
  const days = weekDays !== undefined && weekDays < 5 ? `, ${weekDays} days` : "";
  return `${roleName}${days}${isContractor ? " · contractor" : ""}`;
}

interface PersonCellProps extends CellFigures {
  /** It shows what would be. */
  isChanged?: boolean;
  isAccepted: boolean;
  /** A person asks for leave on some of its days. */
  isLeaveAsked: boolean;
  id: string;
  left: number;
  width: number;
  name: string;
  phrase: string;
  state: PeriodState;
  measure: Measure;
  isSelected: boolean;
  isTabStop: boolean;
  onSelect: () => void;
}

const PersonCell = memo(function PersonCell({
  id,
  left,
  width,
  name,
  phrase,
  isAccepted,
  isLeaveAsked,
  isChanged,
  state,
  measure,
  isSelected,
  isTabStop,
  onSelect,
  ...figures
}: PersonCellProps) {
  const { capacity, load, peakOver, tentative } = figures;
  const isLeft = isAccepted && state === "over";
  const isGone = isAway("person", capacity, load);
  const label = `${name}, ${phrase}: ${saysOf(capacity, load, peakOver, state)}${tentativeWords(tentative)}${isLeft ? ", accepted" : ""}${isLeaveAsked ? "; leave requested" : ""}`;
  return (
    <Cell id={id} left={left} width={width} label={label} isTabStop={isTabStop} onSelect={onSelect} isSelected={isSelected} isPressable>
      {isGone ? (
        <span className="sign-away absolute inset-0" />
      ) : (
        <span className={`absolute inset-0 block px-2 pt-[5px] ${state === "over" && !isLeft ? "bg-over-wash" : ""}`}>
          {peakOver > 0 && state !== "over" && <span className="sign-peak absolute top-[8px] left-[8px]" />}
          {isLeft && (
            <span aria-hidden className="sign-accepted absolute top-[6px] left-[7px]">
              ✓
            </span>
          )}
          <span className={`block text-right leading-[18px] ${isLeft ? "text-ink-2" : tone(state)}`}>{figureText(measure, figures)}</span>
          <Vessel capacity={capacity} load={load} tentative={tentative} isLevel={state !== "open"} />
        </span>
      )}
      {isLeaveAsked && <span aria-hidden className="sign-leave-asked absolute bottom-[14px] left-[7px] size-[11px]" />}
      {isSelected && <span className="pointer-events-none absolute inset-0 border-2 border-ink" />}
      {isChanged && <span className="pointer-events-none absolute inset-0 border-2 border-plum" />}
    </Cell>
  );
}, isSameCell);

/** All but the functions, which always select the same. */
function isSameCell(a: PersonCellProps, b: PersonCellProps): boolean {
  for (const key in a) if (key !== "onSelect" && a[key as keyof PersonCellProps] !== b[key as keyof PersonCellProps]) return false;
  return true;
}

function tone(state: PeriodState): string {
  if (state === "over") return "font-bold text-over";
  return state === "level" ? "text-level-ink" : "";
}

function saysOf(capacity: number, load: number, peakOver: number, state: PeriodState): string {
  if (capacity === 0 && load === 0) return "no capacity";
  const sum = `${hoursText(load)} of ${hoursText(capacity)} hours`;
  if (state === "over") return `over by ${hoursText(load - capacity)} hours, ${sum}`;
  return `${hoursText(Math.max(0, capacity - load))} hours of room, ${sum}${peakOver > 0 ? `; single days are over by ${hoursText(peakOver)} hours` : ""}`;
}

const tentativeWords = (minutes: number): string => (minutes > 0 ? `; ${hoursText(minutes)} hours of the load are not confirmed` : "");
