// The columns of the list of projects.

import type { Redacted } from "../../client/seen.ts";
import type { PortfolioRow } from "../../core/answers/portfolio.ts";
import { countText, hoursOf, hoursText, longDay, shortDay } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { ProjectDot } from "../../ui/projectDot.tsx";
import type { TableColumn } from "../../ui/table/column.ts";
import { TwoLines } from "../../ui/twoLines.tsx";
import { SignalSign } from "../today/signalSign.tsx";
import { texts } from "./words.ts";

export const portfolioColumns = (linkTo: (path: string) => string): TableColumn<Redacted<PortfolioRow>>[] => [
  {
    id: "project",
    head: texts.project,
    width: 240,
    grow: 1.3,
    isRowHead: true,
    value: ({ project }) => project.name,
    cell: (row) => <Name row={row} to={linkTo(`/work/${encodeURIComponent(row.project.id)}`)} />,
  },
  ...factColumns,
];

const factColumns: readonly TableColumn<Redacted<PortfolioRow>>[] = [
  {
    id: "lead",
    head: texts.lead,
    width: 118,
    value: ({ leadName }) => leadName,
    cell: ({ leadName }) => <span className="truncate">{leadName ?? "–"}</span>,
  },
  {
    id: "hours",
    head: texts.hours,
    width: 78,
    isFigure: true,
    value: ({ asked }) => hoursOf(asked),
    cell: ({ asked }) => hoursText(asked),
  },
  {
    id: "open",
    head: texts.open,
    says: texts.unassignedHours,
    width: 72,
    isFigure: true,
    value: ({ open }) => hoursOf(open),
    look: ({ open }) => (open > 0 ? "figure-bad" : "text-ink-2"),
    cell: ({ open }) => hoursText(open),
  },
  {
    id: "done",
    head: texts.done,
    width: 62,
    isFigure: true,
    value: ({ progress }) => progress,
    look: () => "text-ink-2",
    cell: ({ progress }) => (progress === null ? "–" : `${progress}%`),
  },
  {
    id: "dates",
    head: texts.dates,
    width: 176,
    value: ({ finish }) => finish,
    copied: ({ start, finish }) => `${longDay(start)} – ${longDay(finish)}`,
    says: texts.sortByFinish,
    cell: (row) => <Dates row={row} />,
  },
];

function Name({ row: { project, projectRow, clientName }, to }: { row: Redacted<PortfolioRow>; to: string }) {
  return (
    <span className="flex items-center gap-2">
      <ProjectDot row={projectRow} />
      <TwoLines
        main={
          <Link href={to} className="font-semibold hover:underline">
            {project.name} <span className="text-side">{project.code}</span>
            <SignalSign projectId={project.id} />
          </Link>
        }
        side={clientName ?? "Own work"}
      />
    </span>
  );
}

function Dates({ row: { project, isPipeline, start, finish, lateDays, unplaced } }: { row: Redacted<PortfolioRow> }) {
  return (
    <span className="leading-tight">
      <span className="block whitespace-nowrap">
        {shortDay(start)} – {longDay(finish)}
      </span>
      {isPipeline && <span className="block text-small text-plum">{project.probability ?? 100}% probability</span>}
      {lateDays > 0 && <span className="figure-bad block text-small">deadline missed by {countText(lateDays, "day")}</span>}
      {lateDays === 0 && unplaced > 0 && !isPipeline && (
        <span className="figure-bad block text-small">{hoursText(unplaced)} h cannot be worked</span>
      )}
    </span>
  );
}
