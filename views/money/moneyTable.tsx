"use client";
// Cost of projects by period: rows and columns add up to the cent.
import { useCallback, useMemo } from "react";
import type { Money } from "../../core/answers/money.ts";
import type { Range } from "../../core/calendar/periods.ts";
import { DataTable } from "../../ui/dataTable.tsx";
import { countText, moneyText } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { ProjectDot } from "../../ui/projectDot.tsx";
import type { TableColumn } from "../../ui/table/column.ts";
import { usePeriodColumns } from "../frame/periodColumns.tsx";
import { useLinkTo, usePlanWindow } from "../frame/windowed.ts";

type Row = Money["rows"][number];

export function MoneyTable({ money: { periods, rows, totals, total, currency } }: { money: Money }) {
  const { grain } = usePlanWindow();
  const linkTo = useLinkTo();
  const amounts = useCallback((_: Range, p: number) => amountColumn(p, totals[p]), [totals]);
  const byPeriod = usePeriodColumns(periods, amounts, grain === "day" || grain === "week" ? "month" : grain);
  const columns = useMemo(
    () => [projectColumn(currency, rows.length, linkTo), ...byPeriod, sumColumn(total)],
    [currency, rows.length, linkTo, byPeriod, total],
  );
  return (
    <DataTable
      name="money"
      label={`Cost of projects by period, in ${currency}`}
      columns={columns}
      rows={rows}
      idOf={({ projectId }) => projectId}
      nameOf={({ name }) => name}
      headHeight={44}
    />
  );
}

function projectColumn(currency: string, count: number, linkTo: (path: string) => string): TableColumn<Row> {
  return {
    id: "project",
    head: "Project",
    headNode: (
      <span>
        Project <span className="text-side">{currency}</span>
      </span>
    ),
    width: 300,
    isRowHead: true,
    isSticky: true,
    value: ({ name }) => name,
    cell: ({ projectId, name, code, projectRow, stage }) => (
      <span className="flex items-center gap-2">
        <ProjectDot row={projectRow} />
        <Link href={linkTo(`/work/${encodeURIComponent(projectId)}`)} className="truncate hover:underline">
          {name}
        </Link>
        <span className="text-side">{code}</span>
        {(stage === "pipeline" || stage === "idea") && <span className="text-small text-plum">pipeline</span>}
      </span>
    ),
    foot: <span className="heading-soft">{countText(count, "project")}</span>,
  };
}

/** Minor units as the number that stands on screen. */
const major = (minor: number) => minor / 100;

function amountColumn(p: number, sum: number): Omit<TableColumn<Row>, "id" | "head"> {
  return {
    width: 104,
    grow: 1,
    isFigure: true,
    value: ({ periods }) => major(periods[p]),
    look: ({ periods }) => periods[p] === 0 && "text-ink-3",
    cell: ({ periods }) => (periods[p] === 0 ? "–" : moneyText(periods[p])),
    foot: moneyText(sum),
  };
}

function sumColumn(total: number): TableColumn<Row> {
  return {
    id: "sum",
    head: "Sum",
    width: 120,
    grow: 1,
    isFigure: true,
    value: (row) => major(row.total),
    look: () => "font-semibold!",
    cell: (row) => moneyText(row.total),
    foot: moneyText(total),
  };
}
