"use client";
// One row of the board: a heading with its sums, a part, or a person with cells and, opened, their bars.
import { ChevronDown, ChevronRight } from "lucide-react";
import { memo } from "react";
import type { Board, BoardRow as Row } from "../../core/load/board.ts";
import { type PeriodState, periodState } from "../../core/load/periodSums.ts";
import { hoursText, hueOf } from "../../ui/format.ts";
import { Vessel } from "../../ui/vessel.tsx";
import type { Measure } from "./balanceParams.ts";
import { cellId } from "./board.tsx";
import { NAME_WIDTH, PERSON_HEIGHT, SUM_WIDTH } from "./columns.ts";
import { type CellFigures, figuresAt, figureText, rowSum } from "./figures.ts";
import { PersonBars } from "./personBars.tsx";
import type { useBalance } from "./useBalance.ts";

interface RowProps {
  at: number;
  top: number;
  height: number;
  column: number;
  firstColumn: number;
  columnCount: number;
  /** Each period in words. */
  phrases: string[];
  /** Period whose cell has the keyboard's focus. */
  active: number | null;
  isDropTarget: boolean;
  /** What the person would have to do in each period if what is dragged were dropped on them. */
  previewLoad: Int32Array | null;
  balance: ReturnType<typeof useBalance>;
}

/** Drawn again only when something it shows has changed: scrolling draws just the rows that come into sight. */
export const BoardRow = memo(function BoardRow(props: RowProps) {
  return props.balance.board.rows[props.at].kind === "person" ? <PersonRow {...props} /> : <SumRow {...props} />;
});

/** The row that Tab leads to first: the first person where a heading stands above them. */
function firstStop({ rows }: Board): number {
  return rows[0]?.kind === "group" && rows[1]?.kind === "person" ? 1 : 0;
}

function columnsShown({ firstColumn, columnCount }: RowProps): number[] {
  return Array.from({ length: columnCount }, (_, at) => firstColumn + at);
}

/** A heading with the sums of what is under it, or one person's part of a project. */
function SumRow(props: RowProps) {
  const { at, top, height, column, phrases, balance } = props;
  const { board, measure } = balance;
  const row = board.rows[at];
  const isGroup = row.kind === "group";
  const hasFigures = at < board.filled;
  return (
    <div
      role="row"
      aria-rowindex={at + 2}
      data-row={row.key}
      className={`absolute left-0 flex w-full justify-between border-line border-b ${isGroup ? "bg-well/50" : ""}`}
      style={{ top, height }}
    >
      <div
        role="rowheader"
        className={`sticky left-0 z-[2] flex h-full items-center gap-1.5 border-line border-r ${isGroup ? "bg-paper px-3 font-title text-[15px] italic" : "bg-sheet pr-3 pl-7 text-[13px]"}`}
        style={{ width: NAME_WIDTH }}
      >
        {row.projectRow !== undefined && (
          <span className="size-[9px] shrink-0 rounded-[2px]" style={{ background: hueOf(row.projectRow) }} />
        )}
        <span className="truncate">{row.name}</span>
      </div>
      {columnsShown(props).map((period) => (
        <Cell
          key={period}
          id={cellId(at, period)}
          left={NAME_WIDTH + period * column}
          width={column}
          label={`${row.name}, ${phrases[period]}: ${sumWords(board, at, period)}`}
          isTabStop={props.active === period || (props.active === null && at === firstStop(board) && period === props.firstColumn)}
        >
          {hasFigures && <SumCell board={board} at={at} period={period} measure={measure} />}
        </Cell>
      ))}
      <RowSum board={board} at={at} measure={measure} />
    </div>
  );
}

function SumCell({ board, at, period, measure }: { board: Board; at: number; period: number; measure: Measure }) {
  const row = board.rows[at];
  const figures = figuresAt(board, at, period);
  const slot = at * board.periods.length + period;
  const hasCapacity = row.kind === "group" && row.projectRow === undefined;
  const [over, open] = [board.overCount[slot], board.open[slot]];
  const isOver = hasCapacity && figures.load > figures.capacity;
  const shown = hasCapacity
    ? figureText(measure === "room" ? "share" : measure, figures)
    : figures.load > 0
      ? figureText(partMeasure(measure), figures)
      : "";
  return (
    <span
      className={`flex h-full items-center justify-between gap-1 px-2 text-[12.5px] ${isOver ? "font-semibold text-over" : "text-ink-2"}`}
    >
      <span className="truncate text-[11.5px]">
        {over > 0 ? (
          <span className="flex items-center gap-1 text-over">
            <span aria-hidden className="sign-over size-[8px]" />
            {over}
          </span>
        ) : open > 0 ? (
          `+${hoursText(open)}`
        ) : (
          ""
        )}
      </span>
      <span>{shown}</span>
    </span>
  );
}

/** A part has no capacity of its own: of it only the load can be told. */
const partMeasure = (measure: Measure): Measure => (measure === "fte" ? "fte" : "load");

function sumWords(board: Board, at: number, period: number): string {
  const { capacity, load } = figuresAt(board, at, period);
  const slot = at * board.periods.length + period;
  const open = board.open[slot] > 0 ? `; ${hoursText(board.open[slot])} hours more have nobody, or are the team’s` : "";
  const over = board.overCount[slot] > 0 ? `; ${board.overCount[slot]} of them over` : "";
  const isPart = board.rows[at].kind === "part" || board.rows[at].projectRow !== undefined;
  return isPart ? `${hoursText(load)} hours${open}` : `${hoursText(load)} of ${hoursText(capacity)} hours${over}${open}`;
}

function RowSum({ board, at, measure }: { board: Board; at: number; measure: Measure }) {
  const row = board.rows[at];
  const sum = rowSum(board, at);
  const isPart = row.kind === "part" || row.projectRow !== undefined;
  const isOver = !isPart && sum.load > sum.capacity;
  return (
    <div
      role="gridcell"
      aria-label={`${row.name}, in all: ${hoursText(sum.load)}${isPart ? "" : ` of ${hoursText(sum.capacity)}`} hours`}
      title={`In all: ${hoursText(sum.load)}${isPart ? "" : ` of ${hoursText(sum.capacity)}`} hours`}
      className={`sticky right-0 z-[2] shrink-0 border-line border-l px-2 text-right text-[13px] ${row.kind === "group" ? "bg-paper" : "bg-sheet"} ${isOver ? "font-semibold text-over" : "text-ink-2"}`}
      style={{ width: SUM_WIDTH, paddingTop: row.kind === "person" ? 6 : 5 }}
    >
      {at < board.filled ? figureText(isPart ? partMeasure(measure) : measure, sum) : ""}
    </div>
  );
}

function PersonRow(props: RowProps) {
  const { at, top, height, column, firstColumn, phrases, active, isDropTarget, previewLoad, balance } = props;
  const { board, measure, open, toggle, selected, select } = balance;
  const row = board.rows[at];
  const count = board.periods.length;
  const isOpen = open.includes(row.id);
  return (
    <div
      role="row"
      aria-rowindex={at + 2}
      data-person={row.id}
      className={`absolute left-0 flex w-full justify-between border-line border-b ${isDropTarget ? "bg-pine-wash" : ""}`}
      style={{ top, height }}
    >
      <div
        role="rowheader"
        className={`sticky left-0 z-[2] h-full border-line border-r ${isDropTarget ? "bg-pine-wash" : "bg-sheet"}`}
        style={{ width: NAME_WIDTH }}
      >
        <button
          type="button"
          aria-expanded={isOpen}
          title={isOpen ? "Close the assignments" : "Show the assignments"}
          onClick={() => toggle(row.id)}
          className="flex w-full items-start gap-1 py-[5px] pr-2 pl-1.5 text-left hover:bg-well"
          style={{ height: PERSON_HEIGHT - 1 }}
        >
          <span className="pt-[3px] text-ink-2">{isOpen ? <ChevronDown size={13} /> : <ChevronRight size={13} />}</span>
          <span className="min-w-0">
            <span className="block truncate font-semibold leading-tight">{row.name}</span>
            <span className="block truncate text-[12.5px] text-ink-2 leading-tight">{subtitle(row)}</span>
          </span>
        </button>
      </div>
      {at < board.filled &&
        columnsShown(props).map((period) => {
          const slot = at * count + period;
          const isSelected =
            selected?.personId === row.id &&
            selected.range.start === board.periods[period].start &&
            selected.range.stop === board.periods[period].stop;
          return (
            <PersonCell
              key={period}
              id={cellId(at, period)}
              left={NAME_WIDTH + period * column}
              width={column}
              name={row.name}
              phrase={phrases[period]}
              {...figuresAt(board, at, period)}
              {...(previewLoad && { load: previewLoad[period], isChanged: previewLoad[period] !== board.load[slot] })}
              isAccepted={board.accepted[slot] === 1}
              band={board.band}
              measure={measure}
              isSelected={isSelected}
              isTabStop={active === period || (active === null && at === firstStop(board) && period === firstColumn)}
              onSelect={() => select({ personId: row.id, range: board.periods[period] })}
            />
          );
        })}
      <RowSum board={board} at={at} measure={measure} />
      {isOpen && (
        <PersonBars
          bars={board.bars[row.id] ?? []}
          periods={board.periods}
          column={column}
          picked={balance.picked}
          onPick={balance.pick}
          onGive={balance.setMoving}
          onShift={(id, startDays, stopDays) => void balance.shift(id, startDays, stopDays)}
          onSelect={() => select({ personId: row.id, range: { start: board.periods[0].start, stop: board.periods[count - 1].stop } })}
        />
      )}
    </div>
  );
}

function subtitle({ roleName, weekDays, isContractor }: Row): string {
  const days = weekDays !== undefined && weekDays < 5 ? `, ${weekDays} days` : "";
  return `${roleName}${days}${isContractor ? " · contractor" : ""}`;
}

interface PersonCellProps extends CellFigures {
  /** It shows what would be. */
  isChanged?: boolean;
  isAccepted: boolean;
  id: string;
  left: number;
  width: number;
  name: string;
  phrase: string;
  band: Board["band"];
  measure: Measure;
  isSelected: boolean;
  isTabStop: boolean;
  onSelect: () => void;
}

const PersonCell = memo(
  function PersonCell({
    id,
    left,
    width,
    name,
    phrase,
    isAccepted,
    isChanged,
    band,
    measure,
    isSelected,
    isTabStop,
    onSelect,
    ...figures
  }: PersonCellProps) {
    const { capacity, load, peakOver } = figures;
    const state = periodState(capacity, load, band);
    const isLeft = isAccepted && state === "over";
    const isAway = capacity === 0 && load === 0;
    const label = `${name}, ${phrase}: ${saysOf(capacity, load, peakOver, state)}${isLeft ? ", accepted" : ""}`;
    return (
      <Cell id={id} left={left} width={width} label={label} isTabStop={isTabStop} onSelect={onSelect} isSelected={isSelected} isPressable>
        {isAway ? (
          <span className="sign-away absolute inset-0" />
        ) : (
          <span className={`absolute inset-0 block px-2 pt-[5px] ${state === "over" && !isLeft ? "bg-over-wash" : ""}`}>
            {peakOver > 0 && state !== "over" && <span className="sign-peak absolute top-[8px] left-[8px]" />}
            {isLeft && (
              <span aria-hidden className="absolute top-[6px] left-[7px] text-[11.5px] text-ink-2">
                accepted
              </span>
            )}
            <span className={`block text-right leading-[18px] ${isLeft ? "text-ink-2" : tone(state)}`}>{figureText(measure, figures)}</span>
            <Vessel capacity={capacity} load={load} isLevel={state !== "open"} />
          </span>
        )}
        {isSelected && <span className="pointer-events-none absolute inset-0 border-2 border-ink" />}
        {isChanged && <span className="pointer-events-none absolute inset-0 border-2 border-plum" />}
      </Cell>
    );
  },
  (a, b) => (Object.keys(a) as (keyof PersonCellProps)[]).every((key) => key === "onSelect" || a[key] === b[key]),
);

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

function Cell({
  id,
  left,
  width,
  label,
  isTabStop = false,
  isPressable = false,
  isSelected = false,
  onSelect,
  children,
}: {
  id: string;
  left: number;
  width: number;
  label: string;
  isTabStop?: boolean;
  isPressable?: boolean;
  isSelected?: boolean;
  onSelect?: () => void;
  children: React.ReactNode;
}) {
  return (
    <div
      id={id}
      role="gridcell"
      tabIndex={isTabStop ? 0 : -1}
      aria-label={label}
      aria-selected={isSelected}
      title={label}
      onClick={onSelect}
      className={`absolute top-0 border-line border-r ${isPressable ? "cursor-pointer hover:bg-well/60" : ""} focus-visible:z-[1] focus-visible:outline-offset-[-2px]`}
      style={{ left, width, height: isPressable ? PERSON_HEIGHT - 1 : "100%" }}
    >
      {children}
    </div>
  );
}
