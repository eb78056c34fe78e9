// The columns of planned against actual.
import type { Redacted } from "../../../client/seen.ts";
import type { ActualBy, ActualFigures, ActualRow } from "../../../core/answers/actuals.ts";
import { type Figure, isNegative, majorOf } from "../../../core/plan/moneySides.ts";
import { moneyText } from "../../../ui/format.ts";
import { ProjectName } from "../../../ui/projectName.tsx";
import type { TableColumn } from "../../../ui/table/column.ts";
import { byWords, texts } from "./words.ts";

type Row = Redacted<ActualRow>;

interface Heads {
  by: ActualBy;
  totals: Redacted<ActualFigures>;
  hasBaseline: boolean;
  nameOf: (row: Row) => string;
}

export function actualColumns({ by, totals, hasBaseline, nameOf }: Heads): TableColumn<Row>[] {
  const isPromised = totals.planned !== null;
  return [
    {
      id: "name",
      head: byWords[by].replace("By ", "").replace(/^./, (first) => first.toUpperCase()),
      width: 150,
      grow: 1.6,
      isRowHead: true,
      isSticky: true,
      value: nameOf,
      cell: (row) => <ProjectName row={row.projectRow} name={nameOf(row)} />,
    },
    ...(hasBaseline && isPromised ? [money("planned", texts.planned, texts.plannedIs, ({ planned }) => planned ?? 0, totals)] : []),
    money("committed", texts.committed, texts.committedIs, ({ committed }) => committed, totals),
    money("actual", texts.actual, texts.actualIs, ({ actual }) => actual, totals),
    money("remaining", texts.remaining, "", ({ remaining }) => remaining, totals),
    money("atCompletion", texts.forecast, texts.forecastIs, ({ atCompletion }) => atCompletion, totals),
    ...(hasBaseline && isPromised ? [money("variance", texts.variance, texts.varianceIs, ({ variance }) => variance ?? 0, totals)] : []),
  ];
}

function money(
  id: string,
  head: string,
  says: string,
  of: (row: Redacted<ActualFigures>) => Figure,
  totals: Redacted<ActualFigures>,
): TableColumn<Row> {
  const isBad = (row: Redacted<ActualFigures>) => id === "variance" && isNegative(of(row));
  return {
    id,
    head,
    ...(says !== "" && { says }),
    width: 104,
    grow: 1,
    isFigure: true,
    value: (row) => majorOf(of(row)),
    look: (row) => isBad(row) && "figure-bad",
    cell: (row) => figureText(of(row)),
    foot: <span className={isBad(totals) ? "figure-bad" : ""}>{moneyText(of(totals))}</span>,
  };
}

const figureText = (figure: Figure): string => (figure === 0 ? "–" : moneyText(figure));
