"use client";
// Two baselines side by side: how dates, work and cost changed from one promise to the other.
import { useMemo } from "react";
import type { Redacted } from "../../../client/seen.ts";
import { useMaybeAnswer } from "../../../client/session.tsx";
import type { BaselineChangeQuery, ChangedFigures, ChangedRow } from "../../../core/answers/baselineChange.ts";
import { type Figure, isNegative, lessFigure, majorOf } from "../../../core/plan/moneySides.ts";
import { hoursOf, moneyText, shortDay } from "../../../ui/format.ts";
import type { TableColumn } from "../../../ui/table/column.ts";
import { DataTable } from "../../../ui/table/dataTable.tsx";
import { TwoLines } from "../../../ui/twoLines.tsx";
import { deviationName } from "./deviationName.tsx";
import { daysText, moreHours, moreMoney } from "./earnedWords.ts";
import { byWords, texts } from "./words.ts";

type Row = Redacted<ChangedRow>;

export function ChangeTable({ query }: { query: BaselineChangeQuery }) {
  const change = useMaybeAnswer("baselineChange", query, null);
  const columns = useMemo(() => (change ? columnsOf(query.by, change.totals) : []), [change, query.by]);
  if (!change) return null;
  return (
    <DataTable
      name="changed"
      label={byWords[query.by]}
      columns={columns}
      rows={change.rows}
      idOf={({ id }) => id}
      nameOf={({ name }) => name}
      rowHeight={44}
      empty={texts.noneOfItsProjectsIsLeft}
    />
  );
}

const isInWords = { both: "", earlier: texts.leftOut, later: texts.added } as const;

function columnsOf(by: BaselineChangeQuery["by"], totals: Redacted<ChangedFigures>): TableColumn<Row>[] {
  return [
    deviationName(by, ({ isIn }) => isInWords[isIn]),
    dates(
      "start",
      texts.start,
      ({ start }) => start,
      ({ startDays }) => startDays,
    ),
    dates(
      "finish",
      texts.finish,
      ({ finish }) => finish,
      ({ finishDays }) => finishDays,
    ),
    {
      id: "work",
      head: texts.workHours,
      width: 104,
      isFigure: true,
      value: ({ workMinutes }) => hoursOf(workMinutes),
      cell: ({ workMinutes }) => moreHours(workMinutes) || "–",
      foot: moreHours(totals.workMinutes) || "–",
    },
    money("before", texts.before, ({ before }) => before, totals),
    money("after", texts.after, ({ after }) => after, totals),
    { ...money("difference", texts.difference, ({ difference }) => difference, totals), cell: more, foot: more(totals) },
  ];
}

const more = ({ difference }: Redacted<ChangedFigures>) => (
  <span className={isNegative(lessFigure(0, difference)) ? "figure-bad" : ""}>{moreMoney(difference)}</span>
);

const money = (
  id: string,
  head: string,
  of: (figures: Redacted<ChangedFigures>) => Figure,
  totals: Redacted<ChangedFigures>,
): TableColumn<Row> => ({
  id,
  head,
  width: 112,
  isFigure: true,
  value: (row) => majorOf(of(row)),
  cell: (row) => moneyText(of(row), 0),
  foot: moneyText(of(totals), 0),
});

const dates = (id: string, head: string, of: (row: Row) => number | null, days: (row: Row) => number | null): TableColumn<Row> => ({
  id,
  head,
  width: 92,
  value: days,
  cell: (row) => {
    const day = of(row);
    const text = day === null ? "–" : shortDay(day);
    return (
      <TwoLines main={<span className={(days(row) ?? 0) > 0 ? "figure-bad" : ""}>{text}</span>} side={daysText(days(row)) || texts.same} />
    );
  },
});
