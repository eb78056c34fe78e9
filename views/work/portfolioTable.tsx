"use client";
// The projects as a table under their headings, each with its bar on the time chart.
import { useRouter } from "next/navigation";
import { useCallback, useMemo } from "react";
import type { Redacted } from "../../client/seen.ts";
import type { PortfolioRow } from "../../core/answers/portfolio.ts";
import { countText, hueOf, rangeText } from "../../ui/format.ts";
import { DataTable } from "../../ui/table/dataTable.tsx";
import type { Section } from "../../ui/table/lines.ts";
import { ChartBar } from "../../ui/timeChart.tsx";
import { useChartColumn } from "../periods/chartColumn.tsx";
import { useChartPeriods } from "../periods/useChartPeriods.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { portfolioColumns } from "./portfolioColumns.tsx";
import { texts } from "./words.ts";

export function PortfolioTable({ groups, find }: { groups: readonly Section<Redacted<PortfolioRow>>[]; find: string }) {
  const linkTo = useLinkTo();
  const router = useRouter();
  const bar = useCallback((row: Redacted<PortfolioRow>) => <ProjectBar row={row} />, []);
  const chart = useChartColumn(200, bar);
  const columns = useMemo(() => [...portfolioColumns(linkTo), chart], [linkTo, chart]);
  return (
    <DataTable
      name="project"
      label={texts.projects}
      columns={columns}
      sections={groups}
      idOf={({ project }) => project.id}
      nameOf={({ project }) => project.name}
      rowHeight={44}
      onOpen={({ project }) => router.push(linkTo(`/work/${encodeURIComponent(project.id)}`))}
      empty={find === "" ? texts.noProjectsMatchTheseFilters : `No results for “${find}”.`}
    />
  );
}

function ProjectBar({ row: { project, projectRow, isPipeline, start, finish, tasks } }: { row: Redacted<PortfolioRow> }) {
  const { range } = useChartPeriods();
  return (
    <ChartBar
      window={range}
      start={start}
      finish={finish}
      hue={hueOf(projectRow)}
      look={isPipeline ? "pencilled" : "task"}
      title={`${project.name}: ${rangeText({ start, stop: finish + 1 })}, ${countText(tasks, "task")}`}
    />
  );
}
