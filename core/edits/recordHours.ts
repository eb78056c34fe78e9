// Records hours that a person has worked: one cell for each day and task or activity. Submitted and approved hours stay as they are.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import { type Plan, rowSchemas, type TimeEntry } from "../plan/schema.ts";
import { type Change, changeOf } from "./change.ts";
import { deletedRows, type EditKind } from "./kind.ts";

const { id, personId, date, hours, taskId, activity, note } = rowSchemas.timeEntries.shape;
const cell = z.strictObject({
  /** The id of the entry where the cell has none yet. */
  newId: id,
  date,
  taskId,
  activity,
  /** Null takes the hours away. */
  hours: hours.nullable(),
  /** Left out, the note stays; null takes it away. */
  note: note.nullable(),
});
const schema = z.strictObject({ kind: z.literal("recordHours"), personId, cells: z.array(cell).min(1).max(2_000) });

type Cell = z.infer<typeof cell>;

export const recordHours: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { personId: person, cells }) => {
    const changes: Change[] = [];
    for (const own of cells) {
      const known = entriesOf(plan, person, own);
      if (known.some(({ state }) => state === "submitted" || state === "approved")) return { fault: faultText.hoursFixed(own.date) };
      changes.push(...changesOf(plan, person, own, known));
    }
    return { changes };
  },
  words: (plan, { personId: person, cells }) =>
    `record hours of ${findRow(plan.people, person)?.name ?? person}, ${cells.length === 1 ? cells[0].date : `${cells.length} cells`}`,
};

/** The entries of a cell, in plan order. */
function entriesOf({ timeEntries }: Plan, person: string, { date: day, taskId: task, activity: what }: Cell): TimeEntry[] {
  return timeEntries.filter((own) => own.personId === person && own.date === day && own.taskId === task && own.activity === what);
}

function changesOf(plan: Plan, person: string, own: Cell, [first, ...others]: readonly TimeEntry[]): Change[] {
  const gone = new Set([...(own.hours === null && first ? [first] : []), ...others].map((entry) => entry.id));
  const changes = gone.size > 0 ? deletedRows(plan, "timeEntries", (row) => gone.has(row.id)) : [];
  if (own.hours === null) return changes;
  const noteOf = own.note === undefined ? first?.note : (own.note ?? undefined);
  const after: TimeEntry = {
    id: first?.id ?? own.newId,
    personId: person,
    date: own.date,
    hours: own.hours,
    ...(own.taskId !== undefined && { taskId: own.taskId }),
    ...(own.activity !== undefined && { activity: own.activity }),
    state: "draft",
    ...(noteOf !== undefined && { note: noteOf }),
  };
  const change = first ? { id: after.id, before: first, after } : { id: after.id, before: null, after, next: null };
  return [...changes, changeOf("timeEntries", change)];
}
