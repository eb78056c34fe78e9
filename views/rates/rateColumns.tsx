// The columns of a rate table: whose rate, and a column for each day on which rates change, typed in place.

import type { Redacted } from "../../client/seen.ts";
import type { RateUse } from "../../core/answers/rateUses.ts";
import { parseDay } from "../../core/calendar/day.ts";
import { inForce, type RateFigure } from "../../core/typing/typeRates.ts";
import { readAmount } from "../../ui/amount.ts";
import { countText, hoursText, longDay, moneyText } from "../../ui/format.ts";
import type { CellEdit, TableColumn } from "../../ui/table/column.ts";
import { TwoLines } from "../../ui/twoLines.tsx";
import type { RateRow } from "./rateGrid.ts";
import { texts } from "./words.ts";

const MOST = 1e8;

export interface RateContext {
  figure: RateFigure;
  /** The plan's today as a date: its rates stand out. */
  today: string;
  onType: (row: RateRow, date: string, amount: number | null) => void;
  /** By row id. */
  uses: ReadonlyMap<string, Redacted<RateUse>>;
  /** Another table to compare with: its row for the same, and what its amounts are in the currency of this one. */
  beside: { rowOf: (row: RateRow) => RateRow | undefined; exchanged: (amount: number, date: string) => number | null } | null;
}

/** Names the column of a day. */
export const columnOfDate = (date: string): string => (date === "" ? "start" : `d${date}`);

export function rateColumns(dates: readonly string[], context: RateContext): TableColumn<RateRow>[] {
  const now = dates.findLast((date) => date <= context.today) ?? "";
  return [
    {
      id: "subject",
      head: texts.rolePersonOrMaterial,
      width: 190,
      grow: 1.2,
      isRowHead: true,
      isSticky: true,
      value: ({ name }) => name,
      cell: ({ name }) => <span className="truncate font-medium">{name}</span>,
    },
    ...dates.map((date) => dateColumn(date, date === now, context)),
    usedColumn(context.uses),
  ];
}

/** The rate of another table for the same subject on a day, in the currency of this one: null if an exchange rate is missing,
 * undefined if there is no such rate. */
function theirsOn(row: RateRow, date: string, { beside, figure }: Pick<RateContext, "beside" | "figure">): number | null | undefined {
  const other = beside?.rowOf(row);
  const amount = other && inForce(other, date)?.[figure];
  return amount === undefined ? undefined : beside?.exchanged(amount, date);
}

/** The difference between another rate and one's own. */
function apartText(own: number | undefined, other: number): string {
  const by = own ? Math.round((other / own - 1) * 1000) / 10 : 0;
  return by === 0 ? "=" : `${by > 0 ? "+" : "−"}${Math.abs(by)}%`;
}

function usedColumn(uses: RateContext["uses"]): TableColumn<RateRow> {
  const of = ({ id }: RateRow) => uses.get(id);
  return {
    id: "used",
    head: texts.usedInThePlan,
    width: 150,
    grow: 0.6,
    isFigure: true,
    yields: true,
    value: (row) => (of(row)?.minutes ?? 0) / 60,
    cellTitle: (row) => of(row)?.projects.join(", "),
    cell: (row) => {
      const use = of(row);
      if (!use) return <span className="text-ink-3">–</span>;
      return (
        <TwoLines
          main={countText(use.projects.length, "project")}
          side={use.minutes === 0 ? "" : `${hoursText(use.minutes)} h, ${moneyText(use.amount, 0)}`}
        />
      );
    },
  };
}

function dateColumn(date: string, isNow: boolean, context: RateContext): TableColumn<RateRow> {
  const { figure, onType, beside } = context;
  const head = date === "" ? "From the start" : longDay(parseDay(date));
  return {
    id: columnOfDate(date),
    head: `From ${date === "" ? "the start" : head}`,
    headNode: (
      <TwoLines
        main={<span className="font-semibold text-ink">{head}</span>}
        side={isNow ? "current" : date === "" ? texts.untilTheNextDate : texts.fromThisDate}
      />
    ),
    width: 120,
    grow: 1,
    isFigure: true,
    value: (row) => inForce(row, date)?.[figure] ?? null,
    copied: (row) => amountText(row.entries.get(date)?.[figure]),
    cell: (row) => {
      const own = <Rate row={row} date={date} figure={figure} isNow={isNow} />;
      const other = theirsOn(row, date, context);
      if (!beside || other === undefined) return own;
      if (other === null) return <TwoLines main={own} side={texts.noExchangeRate} />;
      return <TwoLines main={own} side={`${amountText(other)} ${apartText(inForce(row, date)?.[figure], other)}`} />;
    },
    edit: (row) => amountEdit(row, date, figure, onType),
  };
}

/** The rate stated from the day on; else the one still in effect, or none. */
function Rate({ row, date, figure, isNow }: { row: RateRow; date: string; figure: RateFigure; isNow: boolean }) {
  const stated = row.entries.get(date);
  if (stated?.[figure] !== undefined) return <span className={isNow ? "font-semibold" : ""}>{amountText(stated[figure])}</span>;
  const holds = inForce(row, date);
  if (!holds)
    return (
      <span className={figure === "rate" && row.of.personId === undefined ? "text-over" : "text-ink-2"}>
        {figure === "rate" && row.of.personId === undefined ? texts.noRate : "–"}
      </span>
    );
  return (
    <span className="text-ink-2 italic" title={stated ? texts.noneStated : texts.unchangedFromTheDateBefore}>
      {amountText(stated ? undefined : holds[figure]) || "–"}
    </span>
  );
}

const decimalsOf = (value: number) => (String(value).split(".")[1] ?? "").length;

/** As it is typed: two decimals at least, four at most. */
export const amountText = (amount: number | undefined): string =>
  amount === undefined ? "" : amount.toFixed(Math.max(2, decimalsOf(amount)));

/** The typed amount, or nothing to remove it; null if it is neither. */
export function readRate(text: string): { value: number | null } | null {
  if (text.trim() === "") return { value: null };
  const typed = readAmount(text, 0, MOST);
  return typed && decimalsOf(typed.value) <= 4 ? typed : null;
}

export const RATE_HINT = "An amount of 0 or more, with up to 4 decimals";

function amountEdit(row: RateRow, date: string, figure: RateFigure, onType: RateContext["onType"]): CellEdit<RateRow> {
  return {
    write: () => amountText(row.entries.get(date)?.[figure]),
    read: readRate,
    says: RATE_HINT,
    onSave: (_, text) => onType(row, date, readRate(text)?.value ?? null),
  };
}
