"use client";
// The rows of the roster, virtualised, under their groups.
import { useVirtualizer } from "@tanstack/react-virtual";
import { type KeyboardEvent, memo, useRef } from "react";
import type { RosterRow } from "../../core/answers/roster.ts";
import { parseDay } from "../../core/calendar/day.ts";
import { shareOf } from "../../core/plan/units.ts";
import { focusSoon } from "../../ui/focusSoon.ts";
import { countText, hoursText, longDay, shareText } from "../../ui/format.ts";
import { useWidth } from "../../ui/useWidth.ts";
import { Vessel } from "../../ui/vessel.tsx";
import { usePlanFacts } from "../frame/facts.ts";
import type { OptionalColumn, RosterGroup, SortKey } from "./rosterView.ts";
import type { PeopleHook } from "./usePeople.ts";
import { WeekSign } from "./weekSign.tsx";

const ROW_HEIGHT = 42;
const GROUP_HEIGHT = 29;

const widths: Record<OptionalColumn, string> = {
  skills: "minmax(110px,1.3fr)",
  week: "126px",
  place: "minmax(110px,0.8fr)",
  teams: "minmax(110px,1fr)",
  unplaced: "84px",
};

/** What the fixed columns and an optional one need at least, in pixels. */
const FIXED_WIDTH = 500;
const OPTIONAL_WIDTH = 110;

/** The chosen columns from the first on, as many as there is room for. */
function columnsThatFit(columns: readonly OptionalColumn[], width: number): readonly OptionalColumn[] {
  return columns.slice(0, Math.max(1, Math.floor((width - FIXED_WIDTH) / OPTIONAL_WIDTH)));
}

type Line = { kind: "group"; title: string; count: number; key: string } | { kind: "person"; row: RosterRow; key: string };

export function Roster({ people }: { people: PeopleHook }) {
  const { groups, view, setSort, select, selected, ticked, tick } = people;
  const { horizon } = usePlanFacts();
  const frame = useRef<HTMLDivElement>(null);
  const columns = columnsThatFit(view.columns, useWidth(frame, 1130));
  const lines = linesOf(groups);
  const shown = new Set(groups.flatMap(({ rows }) => rows.map(({ person }) => person.id)));
  const virtual = useVirtualizer({
    count: lines.length,
    getScrollElement: () => frame.current,
    estimateSize: (at) => (lines[at].kind === "group" ? GROUP_HEIGHT : ROW_HEIGHT),
    getItemKey: (at) => lines[at].key,
    overscan: 10,
    initialRect: { width: 1000, height: 640 },
  });
  const grid = `38px minmax(150px,1.2fr) minmax(126px,1fr) ${columns.map((column) => widths[column]).join(" ")} 186px`;
  const press = (event: KeyboardEvent) => {
    const way = event.key === "ArrowDown" ? 1 : event.key === "ArrowUp" ? -1 : 0;
    const at = lines.findIndex(({ key }) => `person-${key}` === (event.target as HTMLElement).id);
    if (way === 0 || at < 0) return;
    event.preventDefault();
    let next = at + way;
    if (lines[next]?.kind === "group") next += way;
    if (!lines[next]) return;
    virtual.scrollToIndex(next);
    focusSoon(`person-${lines[next].key}`);
  };
  const head = (key: SortKey, text: string, align = "text-left") => (
    <button
      key={key}
      type="button"
      onClick={() => setSort(key)}
      aria-pressed={view.sort === key}
      className={`px-2 pt-0.5 hover:text-ink ${align} ${view.sort === key ? "font-semibold text-ink" : "text-ink-2"}`}
    >
      {text}
      {view.sort === key ? " ↓" : ""}
    </button>
  );
  const heads: Record<OptionalColumn, React.ReactNode> = {
    skills: (
      <span key="skills" className="px-2 text-ink-2">
        Skills, level
      </span>
    ),
    week: head("hours", "Week, hours"),
    place: head("place", "Place"),
    teams: (
      <span key="teams" className="px-2 text-ink-2">
        Teams
      </span>
    ),
    unplaced: (
      <span key="unplaced" className="px-2 text-right text-ink-2">
        Not placed
      </span>
    ),
  };
  const isAll = shown.size > 0 && [...shown].every((id) => ticked.has(id));
  return (
    <div ref={frame} onKeyDown={press} className="min-h-0 flex-1 overflow-auto rounded-t-card border border-line border-b-0 bg-sheet">
      <div
        className="sticky top-0 z-[2] grid h-[34px] min-w-[720px] items-center border-line border-b bg-sheet text-[13px]"
        style={{ gridTemplateColumns: grid }}
      >
        <input
          type="checkbox"
          aria-label={isAll ? "Untick everybody shown" : "Tick everybody shown"}
          className="justify-self-center accent-pine"
          checked={isAll}
          onChange={(event) => tick([...shown], event.target.checked)}
        />
        {head("name", "Person")}
        {head("role", "Role")}
        {columns.map((column) => heads[column])}
        {head("used", "Used in the window", "text-right")}
      </div>
      {lines.length === 0 && (
        <p className="p-6 text-ink-2">{view.find === "" ? "Nobody fits these filters." : `Nobody matches “${view.find}”.`}</p>
      )}
      <div className="relative min-w-[720px]" style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map(({ index, start, key }) => {
          const line = lines[index];
          if (line.kind === "group")
            return (
              <div
                key={key}
                className="absolute inset-x-0 flex items-center border-line border-b bg-paper px-3 font-title text-[15px] italic"
                style={{ top: start, height: GROUP_HEIGHT }}
              >
                {line.title}{" "}
                <span className="ml-2 font-sans text-[12.5px] text-ink-2 not-italic">{countText(line.count, "person", "people")}</span>
              </div>
            );
          return (
            <PersonLine
              key={key}
              id={line.key}
              row={line.row}
              top={start}
              grid={grid}
              columns={columns}
              horizonStart={horizon.start}
              isSelected={line.row.person.id === selected?.person.id}
              isTicked={ticked.has(line.row.person.id)}
              onSelect={select}
              onTick={tick}
            />
          );
        })}
      </div>
    </div>
  );
}

function linesOf(groups: readonly RosterGroup[]): Line[] {
  return groups.flatMap(({ title, rows }): Line[] => [
    ...(title === null ? [] : [{ kind: "group" as const, title, count: rows.length, key: `group ${title}` }]),
    ...rows.map((row) => ({ kind: "person" as const, row, key: title === null ? row.person.id : `${title} ${row.person.id}` })),
  ]);
}

const PersonLine = memo(function PersonLine({
  id,
  row,
  top,
  grid,
  columns,
  horizonStart,
  isSelected,
  isTicked,
  onSelect,
  onTick,
}: {
  id: string;
  row: RosterRow;
  top: number;
  grid: string;
  columns: readonly OptionalColumn[];
  horizonStart: number;
  isSelected: boolean;
  isTicked: boolean;
  onSelect: (id: string) => void;
  onTick: (ids: readonly string[], isOn: boolean) => void;
}) {
  const { person, roleNames, capacity, load } = row;
  const used = shareOf(load, capacity);
  const isOver = row.state === "over";
  const note = employmentNote(row, horizonStart);
  return (
    <div
      data-person={person.id}
      onClick={() => onSelect(person.id)}
      className={`absolute inset-x-0 grid cursor-pointer items-center border-line border-b ${isSelected || isTicked ? "bg-pine-wash" : "hover:bg-well/60"}`}
      style={{ top, height: ROW_HEIGHT, gridTemplateColumns: grid }}
    >
      <input
        type="checkbox"
        aria-label={`Tick ${person.name}`}
        className="justify-self-center accent-pine"
        checked={isTicked}
        onClick={(event) => event.stopPropagation()}
        onChange={(event) => onTick([person.id], event.target.checked)}
      />
      <span className="min-w-0 px-2">
        <button id={`person-${id}`} type="button" className="block max-w-full truncate font-semibold leading-tight">
          {person.name}
        </button>
        {note && <span className="block truncate text-[12.5px] text-ochre-ink leading-tight">{note}</span>}
      </span>
      <span className="min-w-0 px-2 leading-tight">
        <span className="block truncate">{roleNames[0] ?? "No role yet"}</span>
        {roleNames.length > 1 && (
          <span className="block truncate text-[12.5px] text-ink-2">also {roleNames.slice(1).join(", ").toLowerCase()}</span>
        )}
      </span>
      {columns.map((column) => (
        <OptionalCell key={column} column={column} row={row} />
      ))}
      <span className="px-2 pt-0.5">
        <span className={`block text-right leading-[18px] ${isOver ? "font-bold text-over" : ""}`}>
          {capacity === 0 && load === 0
            ? "no capacity"
            : `${hoursText(load)} of ${hoursText(capacity)} h${used === null ? "" : ` · ${shareText(used)}`}`}
        </span>
        <Vessel capacity={capacity} load={load} isLevel={used !== null && used >= 8500} />
      </span>
    </div>
  );
});

function OptionalCell({
  column,
  row: { person, skills, weeks, calendarName, teamNames, unplaced },
}: {
  column: OptionalColumn;
  row: RosterRow;
}) {
  switch (column) {
    case "skills":
      return (
        <span className="truncate px-2 text-[13px]" title={skills.map(({ name, level }) => `${name} ${level}`).join(", ")}>
          {skills.map(({ name, level }, at) => (
            <span key={name}>
              {at > 0 && ", "}
              {name} <span className="text-ink-2">{level}</span>
            </span>
          ))}
        </span>
      );
    case "week":
      return (
        <span className="px-2">
          <WeekSign weeks={weeks} />
        </span>
      );
    case "place":
      return (
        <span className="min-w-0 px-2 leading-tight">
          <span className="block truncate">{person.location ?? "–"}</span>
          <span className="block truncate text-[12.5px] text-ink-2">{calendarName}</span>
        </span>
      );
    case "teams":
      return (
        <span className="truncate px-2 text-[13px]" title={teamNames.join(", ")}>
          {teamNames.join(", ") || "–"}
        </span>
      );
    case "unplaced":
      return (
        <span className={`px-2 text-right ${unplaced > 0 ? "font-semibold text-over" : "text-ink-2"}`}>
          {unplaced > 0 ? `${hoursText(unplaced)} h` : "–"}
        </span>
      );
  }
}

/** What is worth knowing before planning somebody: a contract, a first or last day, hours without a place. */
function employmentNote({ person, unplaced }: RosterRow, horizonStart: number): string {
  const parts: string[] = [];
  if (person.kind === "contractor") parts.push("contractor");
  if (person.employedFrom !== undefined && parseDay(person.employedFrom) > horizonStart)
    parts.push(`from ${longDay(parseDay(person.employedFrom))}`);
  if (person.employedTo !== undefined) parts.push(`until ${longDay(parseDay(person.employedTo))}`);
  if (unplaced > 0) parts.push(`${hoursText(unplaced)} h not placed`);
  return parts.join(" · ");
}
