// The columns of a week: the work, a column a day to type in, the sum, what is left, and done.
import type { Week, WeekRow } from "../../core/answers/week.ts";
import { exactHours } from "../../core/values/units.ts";
import { readAmount } from "../../ui/amount.ts";
import { Checkbox } from "../../ui/checkbox.tsx";
import { dayName, hoursOf, hoursText, shortDay } from "../../ui/format.ts";
import { ProjectDot } from "../../ui/projectDot.tsx";
import type { TableColumn } from "../../ui/table/column.ts";
import { TwoLines } from "../../ui/twoLines.tsx";
import { cellOf, isClosedDay, isFixedCell, plannedCells, type WeekHook } from "./useWeek.ts";
import { cellWords, readCell } from "./weekWords.ts";
import { texts } from "./words.ts";

type Column = TableColumn<WeekRow>;

export const weekColumns = (week: Week, hook: WeekHook): Column[] => [
  workColumn(week, hook),
  ...week.days.map((_, at) => dayColumn(week, hook, at)),
  totalColumn(week),
  leftColumn(hook),
  doneColumn(hook),
];

const workColumn = (week: Week, { record }: WeekHook): Column => ({
  id: "work",
  head: texts.work,
  width: 230,
  grow: 1.6,
  isRowHead: true,
  isSticky: true,
  value: ({ name, projectName }) => `${name}, ${projectName}`,
  cell: ({ name, projectName, projectRow, reason }) => (
    <TwoLines
      main={name}
      side={
        reason === null ? (
          <span className="flex items-center gap-1.5">
            {projectRow >= 0 && <ProjectDot row={projectRow} isSmall />}
            <span className="truncate">{projectName}</span>
          </span>
        ) : (
          <span className="text-over">Returned: {reason}</span>
        )
      }
    />
  ),
  onKey: (row, key) => key === "p" && takes(() => record(plannedCells({ ...week, rows: [row] }))),
  foot: <TwoLines main={texts.total} side="of capacity" />,
});

/** Does something, and says that the key was meant for it. */
const takes = (act: () => void): true => {
  act();
  return true;
};

function dayColumn(week: Week, { record, setNoted }: WeekHook, at: number): Column {
  const { days, recorded, capacity, today } = week;
  const day = days[at];
  const isClosed = isClosedDay(week, day);
  return {
    id: `d${at}`,
    head: shortDay(day),
    headNode: <TwoLines main={dayName(day)} side={shortDay(day)} />,
    width: 64,
    grow: 1,
    isFigure: true,
    value: (row) => (row.entries[at].length > 0 ? hoursOf(row.recorded[at]) : null),
    cellSays: (row) => cellWords(row, at),
    look: () => (capacity[at] === 0 ? "sign-away" : isClosed ? "cell-recorded" : day === today && "bg-pine-wash"),
    cell: (row) => <DayCell row={row} at={at} />,
    edit: (row) =>
      isFixedCell(week, row, at)
        ? null
        : {
            write: () => (row.recorded[at] === 0 ? "" : String(exactHours(row.recorded[at]))),
            read: (text) => readCell(text),
            says: "Hours from 0 to 24",
            onSave: (own, text) => record([cellOf(own, day, readCell(text)?.value ?? null)]),
          },
    onKey: (row, key) => {
      if (key === "n" && row.entries[at].length > 0) return takes(() => setNoted({ key: row.key, at }));
      return key === "p" && !isClosed && row.entries[at].length === 0 && row.planned[at] > 0
        ? takes(() => record([cellOf(row, day, exactHours(row.planned[at]))]))
        : false;
    },
    foot: <TwoLines main={hoursText(recorded[at])} side={hoursText(capacity[at])} />,
  };
}

/** Recorded hours by their state; planned ones in grey where nothing is recorded. */
function DayCell({ row: { entries, recorded, planned, states }, at }: { row: WeekRow; at: number }) {
  if (entries[at].length === 0) return planned[at] > 0 ? <span className="text-ink-3 italic">{hoursText(planned[at])}</span> : null;
  const [state] = states[at];
  const look =
    state === "approved" ? "text-pine" : state === "submitted" ? "text-ink-2" : state === "returned" ? "text-over" : "font-medium";
  const minutes = state === "returned" ? entries[at].reduce((sum, { hours }) => sum + hours * 60, 0) : recorded[at];
  const hasNote = entries[at].some(({ note }) => note !== undefined);
  return (
    <span className={look}>
      {hasNote && <span aria-hidden className="mr-1 inline-block size-[5px] rounded-full bg-plum align-middle" />}
      {hoursText(minutes)}
    </span>
  );
}

const totalColumn = ({ recorded, capacity }: Week): Column => ({
  id: "total",
  head: texts.total,
  width: 72,
  isFigure: true,
  value: (row) => hoursOf(sum(row.recorded)),
  cell: (row) => <span className="font-semibold">{sum(row.recorded) === 0 ? "" : hoursText(sum(row.recorded))}</span>,
  foot: <TwoLines main={hoursText(sum(recorded))} side={hoursText(sum(capacity))} />,
});

const leftColumn = ({ setLeft }: WeekHook): Column => ({
  id: "left",
  head: texts.remaining,
  says: texts.hoursLeft,
  width: 72,
  isFigure: true,
  value: ({ remaining }) => (remaining === null ? null : hoursOf(remaining)),
  cell: ({ remaining }) => (remaining === null ? "" : hoursText(remaining)),
  edit: ({ remaining }) =>
    remaining === null
      ? null
      : {
          write: () => String(exactHours(remaining)),
          read: (text) => readAmount(text, 0, 10_000),
          says: "Hours from 0 to 10,000",
          onSave: (row, text) => setLeft(row, readAmount(text, 0, 10_000)?.value ?? 0),
        },
});

const doneColumn = ({ setDone }: WeekHook): Column => ({
  id: "done",
  head: texts.done,
  width: 62,
  cell: (row) =>
    row.taskId !== undefined && <Checkbox label={`${row.name} is done`} checked={row.isDone} onChange={(isDone) => setDone(row, isDone)} />,
});

const sum = (minutes: readonly number[]): number => minutes.reduce((all, own) => all + own, 0);
