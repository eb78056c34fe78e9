"use client";
// Teams with their sub-teams: free hours by period, what is assigned to the team itself named apart.
import { useMemo } from "react";
import type { TeamRow } from "../../../core/answers/teamBoard.ts";
import type { Range } from "../../../core/calendar/periods.ts";
import { countText, hoursOf, hoursText, periodPhrase } from "../../../ui/format.ts";
import type { TableColumn } from "../../../ui/table/column.ts";
import { TreeTable } from "../../../ui/table/treeTable.tsx";
import { TwoLines } from "../../../ui/twoLines.tsx";
import { Vessel } from "../../../ui/vessel.tsx";
import { usePeriodColumns } from "../../periods/periodColumns.tsx";
import { texts } from "../words.ts";

interface TeamTableProps {
  rows: readonly TeamRow[];
  periods: readonly Range[];
  openId: string | null;
  onOpen: (id: string) => void;
}

export function TeamTable({ rows, periods, openId, onOpen }: TeamTableProps) {
  const byPeriod = usePeriodColumns(periods, freeColumn);
  const columns = useMemo(() => [team, ...byPeriod], [byPeriod]);
  return (
    <TreeTable
      name="team"
      label={texts.freeHoursOfTeams}
      columns={columns}
      rows={rows}
      idOf={({ team: { id } }) => id}
      nameOf={({ team: { name } }) => name}
      parentOf={({ team: { parentId } }) => parentId}
      rowHeight={46}
      headHeight={44}
      selectedId={openId}
      onOpen={({ team: { id } }) => onOpen(id)}
    />
  );
}

const team: TableColumn<TeamRow> = {
  id: "team",
  head: texts.team,
  headNode: <TwoLines main={texts.team} side={texts.freeHours} />,
  width: 250,
  isRowHead: true,
  isSticky: true,
  value: ({ team: { name } }) => name,
  cell: ({ team: { name, handle }, reach, projectName }) => (
    <TwoLines
      main={
        <>
          <span className="font-semibold">{name}</span> <span className="text-side">@{handle}</span>
        </>
      }
      side={`${countText(reach, "person", "people")}${projectName ? ` · for ${projectName}` : ""}`}
    />
  ),
};

function freeColumn(period: Range, p: number): Omit<TableColumn<TeamRow>, "id" | "head" | "headNode"> {
  const loadOf = ({ toTeam, toMembers }: TeamRow) => toTeam[p] + toMembers[p];
  return {
    width: 66,
    grow: 1,
    isFigure: true,
    value: (row) => hoursOf(row.capacity[p] - loadOf(row)),
    cellSays: ({ team: { name }, toTeam, toMembers, capacity }) =>
      `${name}, ${periodPhrase(period)}: ${hoursText(toTeam[p])} h assigned to the team and ${hoursText(toMembers[p])} h to its people, of ${hoursText(capacity[p])} h`,
    look: ({ state }) => state[p] === "over" && "cell-over",
    cell: (row) => (
      <span className="w-full">
        <span className="block">
          {row.toTeam[p] > 0 && <span className="mr-1 text-small text-plum">+{hoursText(row.toTeam[p])}</span>}
          {hoursText(row.capacity[p] - loadOf(row))}
        </span>
        <Vessel capacity={row.capacity[p]} load={loadOf(row)} isLevel={row.state[p] !== "open"} />
      </span>
    ),
  };
}
