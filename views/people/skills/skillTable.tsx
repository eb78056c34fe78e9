"use client";
// People down, skills across: a level is typed as a digit; a press only takes one there.
import { useMemo } from "react";
import type { SkillColumn, SkillMatrix } from "../../../core/answers/skillMatrix.ts";
import { countText, hoursText } from "../../../ui/format.ts";
import type { TableColumn } from "../../../ui/table/column.ts";
import { DataTable } from "../../../ui/table/dataTable.tsx";
import type { Section } from "../../../ui/table/lines.ts";
import { texts } from "../words.ts";

export type SkillRow = SkillMatrix["rows"][number];
type SetLevel = (row: SkillRow, skillId: string, level: number) => void;

interface SkillTableProps {
  columns: readonly SkillColumn[];
  rows: readonly SkillRow[];
  onSet: SetLevel;
}

/** True where open work asks for more than those who can do it have room for. */
export const hasGap = ({ need, room }: SkillColumn): boolean => need > room;

export function SkillTable({ columns, rows, onSet }: SkillTableProps) {
  const all = useMemo(() => [personColumn, ...columns.map((column) => levelColumn(column, onSet))], [columns, onSet]);
  const sections = useMemo((): Section<SkillRow>[] => [{ id: "all", title: null, rows }], [rows]);
  return (
    <DataTable
      name="level"
      label={texts.levelsOfSkills}
      columns={all}
      sections={sections}
      idOf={({ personId }) => personId}
      nameOf={({ name }) => name}
      rowHeight={30}
      headHeight={164}
      empty={texts.noResults}
    />
  );
}

const personColumn: TableColumn<SkillRow> = {
  id: "person",
  head: texts.person,
  headNode: (
    <span className="flex h-full flex-col justify-end pb-1 whitespace-normal">
      <span className="pb-1 font-semibold text-ink">{texts.person}</span>
      <span className="text-side">{texts.levels1To5Type}</span>
      <span className="flex h-[40px] items-center text-side">{texts.neededByUnassignedWorkH}</span>
    </span>
  ),
  width: 250,
  grow: 1,
  isRowHead: true,
  isSticky: true,
  value: ({ name }) => name,
  cell: ({ name, roleName }) => (
    <span className="truncate">
      {name} <span className="text-side">{roleName}</span>
    </span>
  ),
};

function levelColumn(column: SkillColumn, onSet: SetLevel): TableColumn<SkillRow> {
  const { skill, need, level } = column;
  const levelOf = ({ levels }: SkillRow) => levels[skill.id] ?? 0;
  return {
    id: skill.id,
    head: skill.name,
    headNode: <SkillHead column={column} />,
    says: skill.group,
    width: 52,
    isBare: true,
    isFigure: true,
    value: (row) => levelOf(row) || null,
    cellSays: (row) => `${row.name}, ${skill.name}: ${levelOf(row) === 0 ? "none" : `level ${levelOf(row)}`}`,
    look: (row) => need > 0 && levelOf(row) >= level && "bg-pine-wash",
    cell: (row) => <Level level={levelOf(row)} />,
    onKey: (row, key) => {
      const isDigit = /^[0-5]$/.test(key);
      if (isDigit || key === "Delete" || key === "Backspace") onSet(row, skill.id, isDigit ? Number(key) : 0);
      return isDigit || key === "Delete" || key === "Backspace";
    },
  };
}

function SkillHead({ column }: { column: SkillColumn }) {
  const { skill, need, room, level } = column;
  const says = needText(column);
  return (
    <span className="flex h-full flex-col">
      <span className="head-upright">{skill.name}</span>
      <span role="note" aria-label={says} title={says} className={`head-need ${hasGap(column) ? "cell-over" : "text-ink-2"}`}>
        {need === 0 ? "–" : hoursText(need)}
        {need > 0 && (
          <span className="block font-normal text-[11.5px]">{hasGap(column) ? `short ${hoursText(need - room)}` : `level ${level}`}</span>
        )}
      </span>
    </span>
  );
}

function needText({ skill, need, able, room, level, holders }: SkillColumn): string {
  if (need === 0) return `${skill.name}: not needed; ${countText(holders, "person has it", "people have it")}`;
  return `${skill.name}: ${hoursText(need)} h at level ${level} or more; ${countText(able, "person", "people")} with ${hoursText(room)} h of room`;
}

function Level({ level }: { level: number }) {
  if (level === 0) return null;
  return (
    <span className="mx-auto flex items-center gap-1">
      <span aria-hidden className="flex items-end gap-px">
        {[1, 2, 3, 4, 5].map((step) => (
          <span key={step} className={`w-[3px] ${step <= level ? "bg-pine" : "bg-line"}`} style={{ height: 3 + step * 2 }} />
        ))}
      </span>
      <span>{level}</span>
    </span>
  );
}
