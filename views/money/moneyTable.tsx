"use client";
// Money by row and period; every figure opens the lines it is made of.
import { useCallback, useMemo } from "react";
import type { Redacted } from "../../client/seen.ts";
import type { MoneyAnswer, MoneyRow } from "../../core/answers/money.ts";
import type { Range } from "../../core/calendar/periods.ts";
import type { MoneyQuery } from "../../core/cost/moneyQuery.ts";
import { type Figure, isNegative, majorOf } from "../../core/plan/moneySides.ts";
import { countText, periodPhrase } from "../../ui/format.ts";
import { ProjectDot } from "../../ui/projectDot.tsx";
import type { TableColumn } from "../../ui/table/column.ts";
import { DataTable } from "../../ui/table/dataTable.tsx";
import { usePeriodColumns } from "../periods/periodColumns.tsx";
import { AmountButton } from "./amountButton.tsx";
import { groupWords, rowName } from "./moneyWords.ts";
import type { Opened } from "./opened.ts";
import { texts } from "./words.ts";

interface Props {
  money: Redacted<MoneyAnswer>;
  query: MoneyQuery;
  opened: Opened | null;
  onOpen: (opened: Opened) => void;
}

export function MoneyTable({ money: { periods, rows, totals, total, currency }, query, opened, onOpen }: Props) {
  const { by, grain, measure } = query;
  const nameOf = useCallback(({ key, name }: Redacted<MoneyRow>) => rowName(by, key, name), [by]);
  const amounts = useCallback(
    (range: Range, p: number): Omit<TableColumn<Redacted<MoneyRow>>, "id" | "head"> => ({
      width: 104,
      grow: 1,
      isFigure: true,
      value: (row) => majorOf(row.periods[p]),
      look: (row) => (row.periods[p] === 0 ? "text-ink-3" : isNegative(row.periods[p]) && "text-over"),
      cell: (row) => (
        <AmountButton
          minor={row.periods[p]}
          says={`${nameOf(row)}, ${periodPhrase(range)}`}
          onOpen={() => onOpen({ key: row.key, period: p })}
        />
      ),
      onKey: opensOnEnter(({ key }) => onOpen({ key, period: p })),
      foot: <AmountButton minor={totals[p]} says={`All, ${periodPhrase(range)}`} onOpen={() => onOpen({ key: null, period: p })} />,
    }),
    [nameOf, totals, onOpen],
  );
  const byPeriod = usePeriodColumns(periods, amounts, grain);
  const columns = useMemo(
    (): TableColumn<Redacted<MoneyRow>>[] => [
      nameColumn(query, currency, rows.length, nameOf),
      ...byPeriod,
      sumColumn({ measure, total, nameOf, onOpen }),
    ],
    [query, currency, rows.length, nameOf, byPeriod, measure, total, onOpen],
  );
  return (
    <DataTable
      name="money"
      label={`Money by ${groupWords[by].toLowerCase()} and period, in ${currency}`}
      columns={columns}
      rows={rows}
      idOf={({ key }) => key}
      nameOf={nameOf}
      headHeight={44}
      selectedId={opened?.key ?? null}
      onOpen={({ key }) => onOpen({ key, period: null })}
    />
  );
}

/** Enter or Space on a figure opens it. */
const opensOnEnter =
  (open: (row: Redacted<MoneyRow>) => void) =>
  (row: Redacted<MoneyRow>, key: string): boolean => {
    if (key !== "Enter" && key !== " ") return false;
    open(row);
    return true;
  };

interface SumColumn extends Pick<Props, "onOpen"> {
  measure: Props["query"]["measure"];
  total: Figure;
  nameOf: (row: Redacted<MoneyRow>) => string;
}

const sumColumn = ({ measure, total, nameOf, onOpen }: SumColumn): TableColumn<Redacted<MoneyRow>> => ({
  id: "sum",
  head: measure === "left" ? texts.atTheEnd : texts.total,
  width: 120,
  grow: 1,
  isFigure: true,
  value: (row) => majorOf(row.total),
  look: ({ total: own }) => (isNegative(own) ? "font-semibold! text-over" : "font-semibold!"),
  cell: (row) => (
    <AmountButton minor={row.total} says={`${nameOf(row)}, total`} onOpen={() => onOpen({ key: row.key, period: null })} isSum />
  ),
  onKey: opensOnEnter(({ key }) => onOpen({ key, period: null })),
  foot: <AmountButton minor={total} says={texts.allTotal} onOpen={() => onOpen({ key: null, period: null })} isSum />,
});

function nameColumn(
  { by }: MoneyQuery,
  currency: string,
  count: number,
  nameOf: (row: Redacted<MoneyRow>) => string,
): TableColumn<Redacted<MoneyRow>> {
  const word = groupWords[by];
  return {
    id: "project",
    head: word,
    headNode: (
      <span>
        {word} <span className="text-side">{currency}</span>
      </span>
    ),
    width: 250,
    grow: 1,
    isRowHead: true,
    isSticky: true,
    value: nameOf,
    cell: (row) => (
      <span className="flex min-w-0 items-center gap-2">
        {row.projectRow >= 0 && <ProjectDot row={row.projectRow} />}
        <span className="truncate">{nameOf(row)}</span>
        <span className="truncate text-side">{row.side}</span>
        {(row.stage === "pipeline" || row.stage === "idea") && <span className="text-small text-plum">pipeline</span>}
      </span>
    ),
    foot: <span className="heading-soft">{countText(count, "row")}</span>,
  };
}
