"use client";
// A year as a strip: a row a month, its days under their weekdays, each with its vessel and its signs.
import { type KeyboardEvent, type MouseEvent, type ReactNode, useState } from "react";
import { type Day, dateOf, weekdayOf } from "../core/calendar/day.ts";
import type { DayMark, MarkKind } from "../core/calendar/dayMarks.ts";
import type { Range } from "../core/calendar/periods.ts";
import { fullMonthText } from "./format.ts";

export interface StripDay {
  day: Day;
  /** Minutes; `load` is left out where only capacity is shown. */
  capacity: number;
  load?: number;
  marks: readonly DayMark[];
  /** The day in words. */
  says: string;
}

const WEEKDAYS = ["M", "T", "W", "T", "F", "S", "S"];
/** Six weeks hold every month, no matter which weekday it begins on. */
const COLUMNS = 37;
/** Minutes that fill a cell: ten hours leave head room over a usual day. */
const FULL = 600;

interface YearStripProps {
  label: string;
  days: readonly StripDay[];
  months: readonly Range[];
  sumHead: ReactNode;
  monthSum: (month: number) => ReactNode;
  onPick?: (day: Day) => void;
}

export function YearStrip({ label, days, months, sumHead, monthSum, onPick }: YearStripProps) {
  const first = days[0]?.day ?? 0;
  const { active, setActive, press } = useWalk(first, days.length, onPick);
  const [hovered, setHovered] = useState<Day | null>(null);
  const said = days[(hovered ?? active ?? -1) - first];
  return (
    <div className="box px-3 pt-2 pb-2.5">
      <table
        // biome-ignore lint/a11y/noNoninteractiveElementToInteractiveRole: a table whose cells are walked by keys is a grid
        role="grid"
        aria-label={label}
        tabIndex={-1}
        onKeyDown={press}
        onClick={(event) => pick(event, onPick)}
        onMouseLeave={() => setHovered(null)}
        className="block"
      >
        <Weekdays sumHead={sumHead} />
        <tbody className="block">
          {months.map((month, at) => (
            <MonthRow key={month.start} month={month} sum={monthSum(at)}>
              <MonthCells
                days={days.slice(month.start - first, month.stop - first)}
                stop={active ?? first}
                canPick={onPick !== undefined}
                onHover={setHovered}
                onFocus={setActive}
              />
            </MonthRow>
          ))}
        </tbody>
      </table>
      <div className="mt-1.5 flex flex-wrap items-center gap-x-4 gap-y-1 line-above pt-1.5 text-small text-ink-2">
        <Said day={said} />
        <Legend days={days} />
      </div>
    </div>
  );
}

/** The day one points at or is on, in words. */
function Said({ day }: { day: StripDay | undefined }) {
  return (
    <span aria-live="polite" className="min-h-[18px] min-w-[260px] flex-1 text-ink">
      {day?.says ?? "Point at a day, or use the arrow keys."}
    </span>
  );
}

function MonthRow({ month, sum, children }: { month: Range; sum: ReactNode; children: ReactNode }) {
  return (
    <tr className={rowClass}>
      <th scope="row" className="self-center text-left text-side">
        {fullMonthText(month.start).slice(0, 3)}
      </th>
      {children}
      <td style={{ gridColumn: COLUMNS + 2 }} className="self-center pl-3 text-right text-[13px] whitespace-nowrap">
        {sum}
      </td>
    </tr>
  );
}

/** Walking over the days by keys. */
function useWalk(first: Day, count: number, onPick: ((day: Day) => void) | undefined) {
  const [active, setActive] = useState<Day | null>(null);
  const press = (event: KeyboardEvent) => {
    const day = active ?? first;
    const next = dayAfter(event.key, day);
    if (next !== null) {
      const inside = Math.max(first, Math.min(first + count - 1, next));
      setActive(inside);
      document.getElementById(`day-${inside}`)?.focus();
    } else if (event.key === "Enter" && onPick) onPick(day);
    else return;
    event.preventDefault();
  };
  return { active, setActive, press };
}

interface MonthProps {
  days: readonly StripDay[];
  /** The day that Tab leads to. */
  stop: Day;
  canPick: boolean;
  onHover: (day: Day) => void;
  onFocus: (day: Day) => void;
}

function MonthCells({ days, stop, ...acts }: MonthProps) {
  return days.map((day, at) => <Cell key={day.day} day={day} isFirst={at === 0} isTabStop={day.day === stop} {...acts} />);
}

function Weekdays({ sumHead }: { sumHead: ReactNode }) {
  return (
    <thead aria-hidden className="block">
      <tr className={`${rowClass} pb-0.5 text-[11.5px] text-ink-2`}>
        <td />
        {Array.from({ length: COLUMNS }, (_, at) => (
          <td key={`weekday ${String(at)}`} className="text-center">
            {WEEKDAYS[at % 7]}
          </td>
        ))}
        <td className="pl-3 text-right">{sumHead}</td>
      </tr>
    </thead>
  );
}

function pick(event: MouseEvent, onPick: ((day: Day) => void) | undefined): void {
  const day = event.target instanceof HTMLElement ? event.target.closest<HTMLElement>("[data-day]")?.dataset.day : undefined;
  if (day !== undefined) onPick?.(Number(day));
}

const rowClass = "grid grid-cols-[34px_repeat(37,minmax(0,1fr))_minmax(120px,auto)]";

function dayAfter(key: string, day: Day): Day | null {
  if (key === "ArrowRight") return day + 1;
  if (key === "ArrowLeft") return day - 1;
  if (key === "ArrowDown") return day + (weekdayOf(day + 28) === weekdayOf(day) && dateOf(day + 28).month !== dateOf(day).month ? 28 : 35);
  if (key === "ArrowUp") return day - (dateOf(day - 28).month !== dateOf(day).month ? 28 : 35);
  return null;
}

interface CellProps {
  day: StripDay;
  /** The first of its month is under its weekday. */
  isFirst: boolean;
  isTabStop: boolean;
  canPick: boolean;
  onHover: (day: Day) => void;
  onFocus: (day: Day) => void;
}

function Cell({ day: { day, capacity, load = 0, marks, says }, isFirst, isTabStop, canPick, onHover, onFocus }: CellProps) {
  const has = (kind: MarkKind) => marks.some((mark) => mark.kind === kind);
  const isEmpty = capacity === 0 && load === 0;
  const over = Math.max(0, load - capacity);
  const height = (minutes: number) => `${Math.min(100, (minutes / FULL) * 100)}%`;
  const isPart = marks.some(({ kind, hours }) => kind === "approved" && hours !== undefined);
  return (
    <td
      id={`day-${day}`}
      data-day={day}
      tabIndex={isTabStop ? 0 : -1}
      aria-label={says}
      onMouseEnter={() => onHover(day)}
      onFocus={() => onFocus(day)}
      style={isFirst ? { gridColumnStart: weekdayOf(day) + 2 } : undefined}
      className={`relative h-[24px] line-below line-right hover:bg-well ${canPick ? "cursor-pointer" : ""} ${has("notEmployed") ? "sign-not-employed" : isEmpty ? "sign-away" : ""}`}
    >
      {load > 0 && <span className="absolute inset-x-[3px] bottom-0 bg-room" style={{ height: height(Math.min(load, capacity)) }} />}
      {over > 0 && (
        <span
          className="sign-over absolute inset-x-[3px]"
          style={{ bottom: height(capacity), height: `max(3px, ${height(Math.min(over, FULL - capacity))})` }}
        />
      )}
      {capacity > 0 && <span className="absolute inset-x-[2px] h-[1.5px] bg-ink" style={{ bottom: `calc(${height(capacity)} - 1px)` }} />}
      {has("holiday") && <span className="sign-holiday absolute top-[8px] left-1/2 -ml-[3.5px]" />}
      {has("shortDay") && <span className="sign-short-day absolute top-[2px] left-1/2 -ml-[3.5px]" />}
      {has("extraDay") && <span className="sign-extra-day absolute top-[2px] left-1/2 -ml-[3.5px]" />}
      {has("approved") && <span className={`sign-leave absolute inset-x-0 h-[5px] ${isPart ? "bottom-0 right-1/2" : "top-[9px]"}`} />}
      {has("requested") && <span className="sign-leave-asked absolute inset-0" />}
      {has("declined") && <span className="sign-leave-declined absolute inset-x-[1px] top-[3px] h-[7px]" />}
      {has("overtime") && <span className="sign-overtime absolute -top-[2px] left-1/2 -ml-[3.5px]" />}
    </td>
  );
}

const legend: { kind: MarkKind; text: string; sign: string }[] = [
  { kind: "holiday", text: "public holiday", sign: "sign-holiday" },
  { kind: "shortDay", text: "short day", sign: "sign-short-day" },
  { kind: "extraDay", text: "extra day", sign: "sign-extra-day" },
  { kind: "approved", text: "time off", sign: "sign-leave h-[5px] w-[14px]" },
  { kind: "requested", text: "requested", sign: "sign-leave-asked h-[14px] w-[14px]" },
  { kind: "declined", text: "declined", sign: "sign-leave-declined h-[7px] w-[14px]" },
  { kind: "overtime", text: "overtime", sign: "sign-overtime" },
  { kind: "notEmployed", text: "not employed", sign: "sign-not-employed h-[14px] w-[14px] border border-line-2" },
];

/** Names the signs that are in the strip. */
function Legend({ days }: { days: readonly StripDay[] }) {
  const kinds = new Set(days.flatMap(({ marks }) => marks.map(({ kind }) => kind)));
  return (
    <span className="flex flex-wrap items-center gap-x-3.5">
      {legend
        .filter(({ kind }) => kinds.has(kind))
        .map(({ kind, text, sign }) => (
          <span key={kind} className="inline-flex items-center gap-1.5">
            <span aria-hidden className={`inline-block ${sign}`} /> {text}
          </span>
        ))}
    </span>
  );
}
