"use client";
// The list of openings, walked through with the arrow keys: what is walked to is looked at.
import type { OpeningRow } from "../../core/answers/openings.ts";
import { OpenSign } from "../../ui/avatar.tsx";
import { hoursText, shortDay } from "../../ui/format.ts";
import { ProjectDot } from "../../ui/projectDot.tsx";
import type { TableColumn } from "../../ui/table/column.ts";
import { DataTable } from "../../ui/table/dataTable.tsx";
import type { OpeningsHook } from "./useOpenings.ts";
import { texts } from "./words.ts";

export function OpeningList({ hook: { shown, selectedId, setView } }: { hook: OpeningsHook }) {
  return (
    <DataTable
      name="opening"
      label={texts.openings}
      columns={columns}
      rows={shown}
      idOf={({ id }) => id}
      nameOf={({ taskName }) => taskName}
      rowHeight={72}
      selectedId={selectedId}
      onOpen={({ id }) => setView({ opening: id, beside: null, sheet: null })}
      followsKeys
      sortIn="here"
      isHeadless
    />
  );
}

const columns: TableColumn<OpeningRow>[] = [
  {
    id: "opening",
    head: texts.opening,
    width: 240,
    grow: 1,
    isRowHead: true,
    value: ({ taskName }) => taskName,
    copied: ({ taskName, projectName, roleName, minutes }) => `${taskName}, ${projectName}, ${roleName}, ${hoursText(minutes)} h`,
    cell: (row) => <Opening row={row} />,
  },
];

function Opening({ row }: { row: OpeningRow }) {
  const { taskName, projectName, projectRow, roleName, skills, minutes, dates, priority, isPipeline, isAsked } = row;
  return (
    <span className="grid w-full grid-cols-[20px_minmax(0,1fr)_auto] items-center gap-x-2">
      <OpenSign label={texts.unassigned} />
      <span className="truncate font-semibold">{taskName}</span>
      <span className="figure-bad justify-self-end">{hoursText(minutes)} h</span>
      <span className="col-span-2 col-start-2 flex items-center gap-1.5 text-side">
        <ProjectDot row={projectRow} isSmall />
        <span className="truncate">{projectName}</span>
        {isPipeline && <span className="text-plum">pipeline</span>}
        {isAsked && <span className="text-ochre-ink">requested</span>}
      </span>
      <span className="col-start-2 truncate text-side">
        {roleName}
        {skills.length > 0 && ` · ${skills.map(({ name, level }) => `${name} ${level}`).join(", ")}`}
      </span>
      <span className="justify-self-end text-side">
        {dates ? `from ${shortDay(dates.start)}` : texts.noDates}
        {priority < 3 && ` · priority ${priority}`}
      </span>
    </span>
  );
}
