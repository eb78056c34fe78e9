// The columns of the hours grid: whose work it is, a column a period to type in, and the sum.
import type { ReactNode } from "react";
import type { HoursGrid, HoursPerson, HoursRow } from "../../core/answers/hoursGrid.ts";
import type { Range } from "../../core/calendar/periods.ts";
import { periodStates } from "../../core/load/periodSums.ts";
import { hoursOf, hoursText, periodPhrase, rangeText } from "../../ui/format.ts";
import { ProjectDot } from "../../ui/projectDot.tsx";
import type { TableColumn } from "../../ui/table/column.ts";
import { TwoLines } from "../../ui/twoLines.tsx";
import { Vessel } from "../../ui/vessel.tsx";
import { barFaults } from "../effect/barFaults.ts";
import { readHours } from "./pasted.ts";

/** The data that a period's column needs next to its row. */
export interface HourContext {
  grid: HoursGrid;
  /** The person whose room is shown below the columns. */
  below: HoursPerson | null;
  onType: (row: HoursRow, period: Range, hours: number) => void;
}

export function rowColumn(isOfPerson: boolean, below: HoursPerson | null): TableColumn<HoursRow> {
  return {
    id: "row",
    head: isOfPerson ? "Work" : "Who",
    headNode: <TwoLines main={isOfPerson ? "Work" : "Who"} side={isOfPerson ? "project" : "task"} />,
    width: 220,
    isRowHead: true,
    isSticky: true,
    value: ({ who, taskName, projectName }) => (isOfPerson ? `${taskName}, ${projectName}` : `${who}, ${taskName}`),
    cell: ({ who, taskName, projectName, projectRow, personId }) =>
      isOfPerson ? (
        <TwoLines
          main={taskName}
          side={
            <>
              <ProjectDot row={projectRow} isSmall /> {projectName}
            </>
          }
        />
      ) : (
        <TwoLines main={personId === null ? <span className="text-over">{who}, unassigned</span> : who} side={taskName} />
      ),
    foot: <TwoLines main="Total" side={below ? `room of ${below.name}` : "select a row to see its room"} />,
  };
}

export function hourColumn(
  { grid, below, onType }: HourContext,
  period: Range,
  at: number,
): Omit<TableColumn<HoursRow>, "id" | "head" | "headNode"> & { headMark?: ReactNode } {
  const holidays = holidayTexts(Object.values(grid.people), period);
  const person = ({ personId }: HoursRow): HoursPerson | null => (personId === null ? null : (grid.people[personId] ?? null));
  const isOver = (row: HoursRow) => row.minutes[at] > 0 && periodStates[person(row)?.state[at] ?? 0] === "over";
  const isAway = (row: HoursRow) => person(row)?.capacity[at] === 0;
  return {
    ...(holidays.length > 0 && { says: holidays.join(", "), headMark: <HolidayMark key="holidays" says={holidays.join(", ")} /> }),
    width: 62,
    grow: 1,
    isFigure: true,
    value: (row) => hoursOf(row.minutes[at]),
    copied: (row) => (row.minutes[at] === 0 ? "" : String(hoursOf(row.minutes[at]))),
    cellSays: (row) => cellWords(row, period, at, person(row)),
    look: (row) => (isOver(row) ? "cell-over" : isAway(row) ? "sign-away" : row.recorded[at] === 1 && "cell-recorded"),
    cell: ({ minutes, typed }) =>
      minutes[at] === 0 ? null : <span className={typed[at] === 1 ? "font-medium" : "text-ink-2"}>{hoursText(minutes[at])}</span>,
    edit: ({ fault, recorded }) =>
      fault === null && recorded[at] === 0
        ? {
            write: (row) => (row.minutes[at] === 0 ? "" : String(hoursOf(row.minutes[at]))),
            read: readHours,
            says: "Hours from 0 to 10,000",
            onSave: (row, text) => onType(row, period, readHours(text)?.value ?? 0),
          }
        : null,
    foot: <Foot minutes={grid.rows.reduce((sum, row) => sum + row.minutes[at], 0)} below={below} at={at} />,
  };
}

/** Exceptions of people's calendars in a period, such as public holidays, each once. */
function holidayTexts(people: readonly HoursPerson[], { start, stop }: Range): string[] {
  const texts = people.flatMap(({ exceptions }) =>
    exceptions.flatMap(({ from, to, name }) =>
      from < stop && to >= start ? [`${name}, ${rangeText({ start: Math.max(from, start), stop: Math.min(to + 1, stop) })}`] : [],
    ),
  );
  return [...new Set(texts)];
}

function HolidayMark({ says }: { says: string }) {
  return <span role="img" aria-label={says} title={says} className="sign-holiday mr-1 inline-block size-[7px]" />;
}

function cellWords(row: HoursRow, period: Range, at: number, person: HoursPerson | null): string {
  const { taskName, who, minutes, typed, recorded, fault } = row;
  const how = recorded[at] === 1 ? ", recorded" : minutes[at] === 0 ? "" : typed[at] === 1 ? ", typed" : ", calculated";
  const of = person ? `; ${person.name} has ${hoursText(person.load[at])} of ${hoursText(person.capacity[at])} h` : "";
  const reason = fault ?? (recorded[at] === 1 ? "recorded" : null);
  const why = reason === null ? "" : `. ${barFaults[reason]}`;
  const holidays = person ? holidayTexts([person], period).map((text) => `; ${text}`) : [];
  return `${taskName}, ${who}, ${periodPhrase(period)}: ${hoursText(minutes[at])} h${how}${of}${holidays.join("")}${why}`;
}

function Foot({ minutes, below, at }: { minutes: number; below: HoursPerson | null; at: number }) {
  const room = below && below.capacity[at] - below.load[at];
  return (
    <span className="w-full pt-1 pb-2.5 leading-tight">
      <span className="block">{hoursText(minutes)}</span>
      {below && room !== null && (
        <>
          <span className={`block text-small ${room < 0 ? "text-over" : "font-normal text-ink-2"}`}>{hoursText(room)}</span>
          <Vessel capacity={below.capacity[at]} load={below.load[at]} isLevel={periodStates[below.state[at]] !== "open"} />
        </>
      )}
    </span>
  );
}

/** The hours of a row in the window, and in total. */
export const sumColumn: TableColumn<HoursRow> = {
  id: "sum",
  head: "Total",
  headNode: <TwoLines main="Total" side="overall" />,
  says: "Hours in the window, and of the whole assignment",
  width: 84,
  isFigure: true,
  value: ({ minutes }) => hoursOf(minutes.reduce((sum, own) => sum + own, 0)),
  cell: ({ minutes, total }) => <TwoLines main={hoursText(minutes.reduce((sum, own) => sum + own, 0))} side={hoursText(total)} isStrong />,
};
