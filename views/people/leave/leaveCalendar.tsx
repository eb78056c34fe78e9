"use client";
// The leave of people by team: a team's row shows the days on which several members are away.
import { type PointerEvent, useCallback, useMemo, useRef, useState } from "react";
import type { LeaveEntry, LeavePerson, LeaveTeam } from "../../../core/answers/leave.ts";
import type { Day } from "../../../core/calendar/day.ts";
import type { Range } from "../../../core/calendar/periods.ts";
import { countText, rangeText, shortDay } from "../../../ui/format.ts";
import type { TableColumn } from "../../../ui/table/column.ts";
import { TreeTable } from "../../../ui/table/treeTable.tsx";
import { percentOf } from "../../../ui/timeChart.tsx";
import { toggledList } from "../../../ui/toggled.ts";
import { useChartColumn } from "../../periods/chartColumn.tsx";
import { useChartPeriods } from "../../periods/useChartPeriods.ts";
import { timeOffKinds, timeOffStates } from "../dayWords.ts";
import { texts } from "../words.ts";
import type { NewLeave } from "./newLeave.tsx";

type Row = { id: string; name: string; says: string; teamId?: string; away?: readonly number[]; person?: LeavePerson };

interface CalendarProps {
  teams: readonly LeaveTeam[];
  /** Hears of days that were dragged over in a person's row. */
  onDrag: (leave: NewLeave) => void;
}

export function LeaveCalendar({ teams, onDrag }: CalendarProps) {
  const [folded, setFolded] = useState<readonly string[]>([]);
  const rows = useMemo(() => teams.flatMap(rowsOf), [teams]);
  const latest = useRef(onDrag);
  latest.current = onDrag;
  const bars = useCallback((row: Row) => <Bars row={row} onDrag={(leave) => latest.current(leave)} />, []);
  const chart = useChartColumn(300, bars);
  const columns = useMemo(() => [nameColumn, chart], [chart]);
  return (
    <TreeTable
      name="away"
      label={texts.whoIsAway}
      columns={columns}
      rows={rows}
      idOf={({ id }) => id}
      nameOf={({ name }) => name}
      parentOf={({ teamId }) => teamId}
      folded={folded}
      onFold={(id) => setFolded((known) => toggledList(known, id))}
      rowHeight={30}
      rowLook={({ person }) => !person && "rows-row-summary"}
      empty={texts.nobodyIsAway}
    />
  );
}

function rowsOf({ teamId, name, people, away }: LeaveTeam): Row[] {
  const id = `team ${teamId ?? "none"}`;
  const most = Math.max(0, ...away);
  const says = most > 1 ? `up to ${most} away at once` : countText(people.length, "person", "people");
  return [
    { id, name, says, away },
    ...people.map((person) => ({ id: `${id} ${person.personId}`, name: person.name, says: person.roleName, teamId: id, person })),
  ];
}

const nameColumn: TableColumn<Row> = {
  id: "name",
  head: texts.team,
  width: 262,
  isRowHead: true,
  value: ({ name }) => name,
  cell: ({ name, says, person }) => (
    <span className="truncate">
      <span className={person ? "" : "heading-soft"}>{name}</span> <span className="text-side">{says}</span>
    </span>
  ),
};

function Bars({ row: { person, away }, onDrag }: { row: Row; onDrag: CalendarProps["onDrag"] }) {
  const { range } = useChartPeriods();
  if (!person) return <Together away={away ?? []} range={range} />;
  return (
    <>
      <DaysToDrag range={range} onDrag={(from, to) => onDrag({ personId: person.personId, from, to })} />
      {person.entries.map((entry) => (
        <LeaveBar key={entry.timeOff.id} person={person} entry={entry} range={range} />
      ))}
    </>
  );
}

/** The days of a row, to drag over for new leave. */
function DaysToDrag({ range, onDrag }: { range: Range; onDrag: (from: Day, to: Day) => void }) {
  const [days, setDays] = useState<{ from: Day; to: Day } | null>(null);
  const dayAt = ({ currentTarget, clientX }: PointerEvent<HTMLElement>): Day => {
    const { left, width } = currentTarget.getBoundingClientRect();
    const at = Math.floor(((clientX - left) / width) * (range.stop - range.start));
    return range.start + Math.max(0, Math.min(range.stop - range.start - 1, at));
  };
  const [first, last] = days ? [Math.min(days.from, days.to), Math.max(days.from, days.to)] : [0, 0];
  const left = percentOf(first, range);
  return (
    <span
      title={texts.dragOverDaysToAdd}
      className="absolute inset-0 cursor-crosshair touch-none"
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        setDays({ from: dayAt(event), to: dayAt(event) });
      }}
      onPointerMove={(event) => days && setDays({ ...days, to: dayAt(event) })}
      onPointerCancel={() => setDays(null)}
      onPointerUp={() => {
        if (days) onDrag(first, last);
        setDays(null);
      }}
    >
      {days && (
        <span
          className="absolute inset-y-[6px] rounded-[2px] bg-ochre-wash outline outline-ochre"
          style={{ left: `${left}%`, width: `${percentOf(last + 1, range) - left}%` }}
        >
          <span className="sr-only">{rangeText({ start: first, stop: last + 1 })}</span>
        </span>
      )}
    </span>
  );
}

/** Days on which two or more of a team are away, with how many. */
function Together({ away, range }: { away: readonly number[]; range: Range }) {
  const runs: { from: number; to: number; count: number }[] = [];
  away.forEach((count, at) => {
    const last = runs.at(-1);
    if (last && last.count === count && last.to === at) last.to = at + 1;
    else if (count > 1) runs.push({ from: at, to: at + 1, count });
  });
  return runs.map(({ from, to, count }) => {
    const left = percentOf(range.start + from, range);
    const says = `${count} away ${to - from > 1 ? `${shortDay(range.start + from)} – ${shortDay(range.start + to - 1)}` : shortDay(range.start + from)}`;
    return (
      <span
        key={from}
        title={says}
        className="away-count"
        style={{ left: `${left}%`, width: `max(14px, ${percentOf(range.start + to, range) - left}%)` }}
      >
        <span aria-hidden>{count}</span>
        <span className="sr-only">{says}</span>
      </span>
    );
  });
}

const looks = { approved: "sign-leave", requested: "sign-leave-asked bg-ochre-wash", declined: "sign-leave-declined" } as const;

function LeaveBar({ person, entry: { timeOff, start, stop }, range }: { person: LeavePerson; entry: LeaveEntry; range: Range }) {
  const left = percentOf(start, range);
  const width = percentOf(stop, range) - left;
  const says = `${person.name}: ${timeOffKinds[timeOff.kind]}, ${timeOffStates[timeOff.state]}, ${rangeText({ start, stop })}${timeOff.note ? ` · ${timeOff.note}` : ""}`;
  return (
    <span
      role="img"
      aria-label={says}
      title={says}
      className={`absolute top-[8px] h-[14px] rounded-[2px] ${looks[timeOff.state]}`}
      style={{ left: `${left}%`, width: `max(4px, ${width}%)` }}
    />
  );
}
