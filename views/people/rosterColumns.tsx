// The columns of the roster: what is in them, and what they are sorted and copied by.

import type { RosterRow } from "../../core/answers/roster.ts";
import { parseDay } from "../../core/calendar/day.ts";
import { shareOf } from "../../core/values/units.ts";
import { hoursOf, hoursText, longDay, shareText } from "../../ui/format.ts";
import type { TableColumn } from "../../ui/table/column.ts";
import { TwoLines } from "../../ui/twoLines.tsx";
import { Vessel } from "../../ui/vessel.tsx";
import { SignalSign } from "../today/signalSign.tsx";
import type { OptionalColumn } from "./rosterView.ts";
import { WeekSign } from "./weekSign.tsx";
import { texts } from "./words.ts";

type Column = TableColumn<RosterRow>;

/** Name, role, the chosen ones, and how full everyone is. */
export function rosterColumns(chosen: readonly OptionalColumn[], horizonStart: number): Column[] {
  const name: Column = {
    id: "name",
    head: texts.person,
    // The first columns have fixed widths, so that they do not move when a sheet opens.
    width: 166,
    isRowHead: true,
    value: ({ person }) => person.name,
    cell: (row) => (
      <TwoLines
        main={
          <>
            {row.person.name}
            <SignalSign personId={row.person.id} />
          </>
        }
        isStrong
        side={employmentNote(row, horizonStart)}
        tone="warn"
      />
    ),
  };
  return [name, role, ...chosen.map((column) => optional[column]), used];
}

const role: Column = {
  id: "role",
  head: texts.role,
  width: 132,
  value: ({ roleNames }) => roleNames[0] ?? null,
  cell: ({ roleNames }) => (
    <TwoLines
      main={roleNames[0] ?? "No role yet"}
      side={roleNames.length > 1 ? `also ${roleNames.slice(1).join(", ").toLowerCase()}` : ""}
    />
  ),
};

const used: Column = {
  id: "used",
  head: texts.usedInTheWindow,
  width: 186,
  isFigure: true,
  value: ({ capacity, load }) => shareOf(load, capacity),
  cell: (row) => <Used row={row} />,
};

const optional: Record<OptionalColumn, Column> = {
  skills: {
    id: "skills",
    head: texts.skillsLevel,
    width: 150,
    yields: true,
    value: ({ skills }) => skillsText(skills),
    cell: ({ skills }) => (
      <span className="truncate text-[13px]" title={skillsText(skills)}>
        {skills.map(({ name, level }, at) => (
          <span key={name}>
            {at > 0 && ", "}
            {name} <span className="text-ink-2">{level}</span>
          </span>
        ))}
      </span>
    ),
  },
  week: {
    id: "week",
    head: texts.weekHours,
    width: 126,
    yields: true,
    value: ({ weeks }) => hoursOf(weeks[0].reduce((sum, own) => sum + own, 0)),
    cell: ({ weeks }) => <WeekSign weeks={weeks} />,
  },
  place: {
    id: "place",
    head: texts.place,
    width: 110,
    grow: 1,
    yields: true,
    value: ({ person }) => person.location ?? null,
    cell: ({ person, calendarName }) => <TwoLines main={person.location ?? "–"} side={calendarName} />,
  },
  teams: {
    id: "teams",
    head: texts.teams,
    width: 110,
    grow: 1,
    yields: true,
    value: ({ teamNames }) => teamNames.join(", ") || null,
    cell: ({ teamNames }) => (
      <span className="truncate text-[13px]" title={teamNames.join(", ")}>
        {teamNames.join(", ") || "–"}
      </span>
    ),
  },
  unplaced: {
    id: "unplaced",
    head: texts.cannotBeWorkedH,
    width: 96,
    isFigure: true,
    yields: true,
    value: ({ unplaced }) => hoursOf(unplaced),
    look: ({ unplaced }) => unplaced > 0 && "figure-bad",
    cell: ({ unplaced }) => (unplaced > 0 ? hoursText(unplaced) : "–"),
  },
};

const skillsText = (skills: RosterRow["skills"]) => skills.map(({ name, level }) => `${name} ${level}`).join(", ");

function Used({ row: { capacity, load, state } }: { row: RosterRow }) {
  const share = shareOf(load, capacity);
  return (
    <span className="w-full">
      <span className={`block leading-[18px] ${state === "over" ? "figure-bad" : ""}`}>
        {capacity === 0 && load === 0
          ? texts.noCapacity
          : `${hoursText(load)} of ${hoursText(capacity)} h${share === null ? "" : ` · ${shareText(share)}`}`}
      </span>
      <Vessel capacity={capacity} load={load} isLevel={state !== "open"} />
    </span>
  );
}

/** The notes on a person's employment: a contract, a first or last day, hours that cannot be worked. */
function employmentNote({ person, unplaced }: RosterRow, horizonStart: number): string {
  const parts: string[] = [];
  if (person.kind === "contractor") parts.push("contractor");
  if (person.employedFrom !== undefined && parseDay(person.employedFrom) > horizonStart)
    parts.push(`from ${longDay(parseDay(person.employedFrom))}`);
  if (person.employedTo !== undefined) parts.push(`until ${longDay(parseDay(person.employedTo))}`);
  if (unplaced > 0) parts.push(`${hoursText(unplaced)} h cannot be worked`);
  return parts.join(" · ");
}
