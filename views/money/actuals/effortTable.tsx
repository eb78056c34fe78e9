"use client";
// Planned against spent effort, as a table with a bar in each row.
import { useMemo } from "react";
import type { Redacted } from "../../../client/seen.ts";
import { useMaybeAnswer } from "../../../client/session.tsx";
import type { EffortBy, EffortFigures, EffortRow } from "../../../core/answers/efforts.ts";
import { hoursOf, hoursText } from "../../../ui/format.ts";
import { ProjectName } from "../../../ui/projectName.tsx";
import type { TableColumn } from "../../../ui/table/column.ts";
import { DataTable } from "../../../ui/table/dataTable.tsx";
import { Empty } from "../../frame/screen.tsx";
import { effortByWords, texts } from "./words.ts";

type Row = Redacted<EffortRow>;

export function EffortTable({ by, projectId }: { by: EffortBy; projectId: string | null }) {
  const efforts = useMaybeAnswer("efforts", { by, projectId }, null);
  const columns = useMemo(() => (efforts ? effortColumns(by, efforts.totals, mostOf(efforts.rows)) : []), [by, efforts]);
  if (!efforts) return null;
  if (efforts.rows.length === 0) return <Empty title={texts.noEffortYet}>{texts.firmProjectsAppearHere}</Empty>;
  return (
    <DataTable
      name="effort"
      label={`${texts.effort}, ${effortByWords[by].toLowerCase()}, h`}
      columns={columns}
      rows={efforts.rows}
      idOf={({ id }) => id}
      nameOf={({ name }) => name}
    />
  );
}

/** The longest bar. */
const mostOf = (rows: readonly Row[]): number => Math.max(1, ...rows.map(({ planned, atCompletion }) => Math.max(planned, atCompletion)));

function effortColumns(by: EffortBy, totals: Redacted<EffortFigures>, most: number): TableColumn<Row>[] {
  return [
    {
      id: "name",
      head: texts[by],
      width: 170,
      grow: 1,
      isRowHead: true,
      isSticky: true,
      value: ({ name }) => name,
      cell: ({ name, projectRow }) => <ProjectName row={projectRow} name={name} />,
    },
    hours("planned", texts.planned, ({ planned }) => planned, totals),
    hours("spent", texts.spentHours, ({ spent }) => spent, totals),
    hours("remaining", texts.remaining, ({ remaining }) => remaining, totals),
    hours("atCompletion", texts.forecast, ({ atCompletion }) => atCompletion, totals),
    hours("more", texts.more, ({ more }) => more, totals),
    {
      id: "bar",
      head: texts.plannedAndSpent,
      width: 240,
      grow: 2,
      cell: (row) => <EffortBar row={row} most={most} />,
    },
  ];
}

function hours(id: string, head: string, of: (row: EffortFigures) => number, totals: EffortFigures): TableColumn<Row> {
  const isDifference = id === "more";
  const text = (minutes: number) => (minutes === 0 ? "–" : `${isDifference && minutes > 0 ? "+" : ""}${hoursText(minutes)}`);
  return {
    id,
    head: `${head}, h`,
    ...(isDifference && { says: texts.moreIs }),
    width: id === "atCompletion" ? 116 : 96,
    isFigure: true,
    value: (row) => hoursOf(of(row)),
    look: (row) => isDifference && of(row) > 0 && "figure-bad",
    cell: (row) => text(of(row)),
    foot: text(of(totals)),
  };
}

/** Spent and remaining on top of each other's end, over what was planned. */
function EffortBar({ row: { planned, spent, remaining }, most }: { row: Row; most: number }) {
  const width = (minutes: number) => `${(100 * minutes) / most}%`;
  return (
    <span
      className="block w-full"
      title={`${hoursText(spent)} h spent, ${hoursText(remaining)} h remaining, ${hoursText(planned)} h planned`}
    >
      <span className="flex h-[9px]">
        <span className="bg-pine" style={{ width: width(spent) }} />
        <span className="bg-pine opacity-40" style={{ width: width(remaining) }} />
      </span>
      <span className="mt-[2px] block h-[4px] bg-ink-3" style={{ width: width(planned) }} />
    </span>
  );
}
