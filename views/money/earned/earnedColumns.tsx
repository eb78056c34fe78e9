// The columns of projects against a baseline.
import type { Redacted } from "../../../client/seen.ts";
import type { EarnedFigures, EarnedRow } from "../../../core/answers/earned.ts";
import { type Figure, isNegative, lessFigure, majorOf } from "../../../core/plan/moneySides.ts";
import type { DeviationBy } from "../../../core/status/deviationBy.ts";
import { marginText, moneyText, shortDay } from "../../../ui/format.ts";
import type { TableColumn } from "../../../ui/table/column.ts";
import { TwoLines } from "../../../ui/twoLines.tsx";
import { deviationName } from "./deviationName.tsx";
import { daysText, indexText, moreHours, moreMoney } from "./earnedWords.ts";
import { texts } from "./words.ts";

type Row = Redacted<EarnedRow>;
type Column = TableColumn<Row>;

/** An amount, and under it what it is compared with. */
const money = (id: string, head: string, of: (row: Row) => Figure, side: (row: Row) => string, isBad?: (row: Row) => boolean): Column => ({
  id,
  head,
  width: 104,
  grow: 1,
  isFigure: true,
  value: (row) => majorOf(of(row)),
  cell: (row) => <TwoLines main={<span className={isBad?.(row) ? "figure-bad" : ""}>{moneyText(of(row), 0)}</span>} side={side(row)} />,
});

const promisedOf = (key: { [K in keyof EarnedFigures]: EarnedFigures[K] extends number ? K : never }[keyof EarnedFigures]) => (row: Row) =>
  row.promised?.[key] ?? 0;

export const earnedColumns = (by: DeviationBy): Column[] => [
  deviationName(by),
  {
    id: "done",
    head: texts.done,
    width: 64,
    isFigure: true,
    value: ({ percent }) => percent,
    cell: ({ percent }) => marginText(percent),
  },
  {
    id: "finish",
    head: texts.finish,
    width: 92,
    value: ({ promised }) => promised?.finishDays ?? null,
    cell: ({ finish, promised }) => (
      <TwoLines
        main={<span className={(promised?.finishDays ?? 0) > 0 ? "figure-bad" : ""}>{finish === null ? "–" : shortDay(finish)}</span>}
        side={daysText(promised?.finishDays ?? null) || texts.asPromised.toLowerCase()}
      />
    ),
  },
  {
    id: "work",
    head: texts.work,
    width: 124,
    isFigure: true,
    yields: true,
    value: ({ promised }) => promised?.workMinutes ?? null,
    cell: ({ promised }) => moreHours(promised?.workMinutes ?? 0) || "–",
  },
  money("planned", texts.plannedValue, promisedOf("plannedValue"), ({ promised }) => `of ${moneyText(promised?.cost ?? 0, 0)}`),
  money(
    "earned",
    texts.earnedValue,
    promisedOf("earnedValue"),
    ({ promised }) => (promised?.spi === null ? "" : `index ${indexText(promised?.spi ?? 0)}`),
    ({ promised }) => isNegative(promised?.scheduleVariance ?? 0),
  ),
  money(
    "actual",
    texts.actualCost,
    ({ actualCost }) => actualCost,
    ({ promised }) => (promised?.cpi === null ? "" : `index ${indexText(promised?.cpi ?? 0)}`),
    ({ promised }) => isNegative(promised?.costVariance ?? 0),
  ),
  money(
    "completion",
    texts.atCompletion,
    promisedOf("atCompletion"),
    ({ promised }) => moreMoney(lessFigure(0, promised?.varianceAtCompletion ?? 0)),
    ({ promised }) => isNegative(promised?.varianceAtCompletion ?? 0),
  ),
];
