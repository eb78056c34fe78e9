// The table of tasks: a row each, with its project, its place in the outline, size, dates and progress.

import { schemaFaults } from "../plan/parse.ts";
import { findRow } from "../plan/rows.ts";
import { rowSchemas, type Task } from "../plan/schema.ts";
import { objectKeys } from "../values/objectKeys.ts";
import { durationCell, numberCell, numberText, textCell, wordCell } from "./cells.ts";
import { projectOf, taskOf } from "./findTask.ts";
import { namedOrMade } from "./namedRow.ts";
import { RowReading, type RowSet, rowRead } from "./rowReading.ts";
import { type Draft, type ReadOptions, type RowOutcome, reasonsOf, refused, type TableKind, type TableRecord } from "./table.ts";
import { taskColumns } from "./taskColumns.ts";
import { finishTask, peopleOf } from "./taskExtras.ts";

export const tasksTable: TableKind = {
  name: "tasks",
  title: "Tasks",
  columns: taskColumns,
  rows: (plan) =>
    plan.tasks.map((task) => [
      task.id,
      findRow(plan.projects, task.projectId)?.name ?? task.projectId,
      task.name,
      task.parentId ?? "",
      task.sizing ?? "",
      task.start ?? "",
      task.finish ?? "",
      numberText(task.durationDays),
      numberText(task.effortHours),
      findRow(plan.roles, task.roleId)?.name ?? "",
      task.notBefore ?? "",
      task.deadline ?? "",
      numberText(task.percentComplete),
    ]),
  take: takeTask,
  finish: (row, draft) => {
    const task = draft.find("tasks", idOfRow(row.record, row.options, row.line));
    return task ? finishTask(row, task, draft) : { says: [], reasons: [] };
  },
};

/** A row without an id is called by its line. */
const idOfRow = (record: TableRecord, { idStem }: ReadOptions, line: number): string => record.id?.trim() || `${idStem}-${line}`;

const sizingWords = {
  dates: ["pinned", "fixed", "fest", "datum"],
  duration: ["days", "dauer", "duracao", "kestus"],
  effort: ["hours", "work", "aufwand", "esforco", "maht"],
} as const;

function takeTask(record: TableRecord, draft: Draft, options: ReadOptions, line: number): RowOutcome {
  const name = textCell(record.name ?? "");
  const about = "value" in name && name.value !== "" ? name.value : `line ${line}`;
  const reading = new RowReading(record, options);
  const { reasons } = reading;
  const project = reading.take(projectOf(record.project ?? "", draft));
  const id = idOfRow(record, options, line);
  const before = draft.find("tasks", id);
  const set: RowSet<Task> = { name: reading.take(name) };
  for (const key of ["start", "finish", "notBefore", "deadline"] as const) reading.put(set, key, reading.date);
  for (const key of ["effortHours", "percentComplete"] as const) reading.put(set, key, numberCell);
  const week = draft.find("calendars", project?.calendarId ?? draft.all("calendars")[0]?.id ?? "")?.week;
  reading.put(set, "durationDays", (cell) => durationCell(cell, week?.filter((hours) => hours > 0).length || 5));
  reading.put(set, "sizing", (cell) => wordCell(cell, sizingWords));
  const idOf = ({ id: own }: { id: string }) => own;
  reading.put(set, "roleId", (cell) => namedOrMade(cell, "roles", draft, options), "role", idOf);
  reading.put(set, "parentId", (cell) => taskOf(cell, draft, project?.id), "parent", idOf);
  peopleOf(record, draft, options, reasons);
  if (set.name === "") reasons.push("The task has no name.");
  if (reasons.length > 0 || !project) return refused(about, ...reasons);
  if (before && before.projectId !== project.id) return refused(about, "A task with this id belongs to another project.");
  const after = rowRead<Task>({ ...before, id, projectId: project.id }, set);
  return putTask(before, sized(after), draft);
}

/** The default sizing of a task: by its dates or its days. */
function sized(task: Task): Task {
  if (task.sizing !== undefined) return task;
  if (task.start !== undefined && task.finish !== undefined) return { ...task, sizing: "dates" };
  return task.durationDays === undefined ? task : { ...task, sizing: "duration" };
}

function putTask(before: Task | undefined, after: Task, draft: Draft): RowOutcome {
  const about = after.name;
  const checked = rowSchemas.tasks.safeParse(after, { reportInput: true });
  if (!checked.success) return refused(about, ...reasonsOf(schemaFaults(checked.error.issues, after)));
  const missing = faultOf(after, draft);
  if (missing) return refused(about, missing);
  if (!before) {
    draft.put("tasks", after);
    return { outcome: "adds", about, says: [draft.find("projects", after.projectId)?.name ?? ""] };
  }
  const says = objectKeys({ ...before, ...after }).flatMap((key) =>
    JSON.stringify(before[key]) === JSON.stringify(after[key]) ? [] : [`${key}: ${before[key] ?? "nothing"} → ${after[key] ?? "nothing"}`],
  );
  if (says.length === 0) return { outcome: "leaves", about, says };
  draft.put("tasks", after);
  return { outcome: "changes", about, says };
}

/** The rules between rows that an import can break. */
function faultOf(task: Task, draft: Draft): string | null {
  if (task.sizing === "dates" && (task.start === undefined || task.finish === undefined))
    return "Pinned to dates, it needs a start and a finish.";
  if (task.sizing === "duration" && task.durationDays === undefined)
    return "Sized by duration, it needs its working days; 0 is a milestone.";
  if (task.start !== undefined && task.finish !== undefined && task.finish < task.start) return "The finish must not be before the start.";
  const isSummary = draft.all("tasks").some(({ parentId }) => parentId === task.id);
  if (isSummary && task.effortHours !== undefined) return "A summary task cannot have an effort.";
  for (let parent = task.parentId; parent !== undefined; parent = draft.find("tasks", parent)?.parentId)
    if (parent === task.id) return "A task cannot be its own parent.";
  const parent = task.parentId === undefined ? undefined : draft.find("tasks", task.parentId);
  if (parent && draft.all("assignments").some(({ taskId }) => taskId === parent.id))
    return `"${parent.name}" has people assigned and cannot have subtasks.`;
  if (parent?.effortHours !== undefined) return `"${parent.name}" has an effort and cannot have subtasks.`;
  return parent && parent.projectId !== task.projectId ? `"${parent.name}" is in another project.` : null;
}
