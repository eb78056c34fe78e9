// Further columns of a list of tasks: the people of a task, and its predecessors. Both are read after all rows, because a task can
// follow a later row, and a task with others below it cannot have people.

import type { Assignment, Link, Task } from "../plan/schema.ts";
import { readLinkText } from "../typing/linkText.ts";
import { personOf } from "./findPerson.ts";
import { taskOf } from "./findTask.ts";
import type { Draft, FileRow, Finished, ReadOptions, TableRecord } from "./table.ts";

const partsOf = (cell: string | undefined, ends: RegExp): string[] =>
  (cell ?? "")
    .split(ends)
    .map((part) => part.trim())
    .filter((part) => part !== "");

/** The people that a row assigns; every unknown name is a reason to refuse it. */
export function peopleOf(record: TableRecord, draft: Draft, options: ReadOptions, reasons: string[]): string[] {
  return partsOf(record.person, /[;,|/]/).flatMap((person) => {
    const read = personOf({ person }, draft, options);
    if ("value" in read) return [read.value.id];
    reasons.push(read.reason);
    return [];
  });
}

/** Adds the people and links of a row whose task is in the draft. */
export function finishTask(row: FileRow, task: Task, draft: Draft): Finished {
  const reasons: string[] = [];
  const says = [...assign(row, task, draft, reasons), ...follow(row, task, draft, reasons)];
  return { says, reasons };
}

/** The people of a row share its effort; where it states none, each works the whole day. Who is on the task already stays as they
 * are. */
function assign({ record, options, line }: FileRow, task: Task, draft: Draft, reasons: string[]): string[] {
  const people = new Set(peopleOf(record, draft, options, reasons));
  if (people.size === 0) return [];
  if (draft.all("tasks").some(({ parentId }) => parentId === task.id)) return ["no person is assigned, because it has subtasks"];
  const there = new Set(draft.all("assignments").flatMap(({ taskId, personId }) => (taskId === task.id && personId ? [personId] : [])));
  const added = [...people].filter((id) => !there.has(id));
  if (added.length > 0 && task.sizing === "effort" && task.effortHours === undefined) {
    reasons.push("Sized by effort, the task needs effort hours for its people.");
    return [];
  }
  const minutes = Math.round((task.effortHours ?? 0) * 60);
  added.forEach((personId, at) => {
    // Whole minutes, the first person taking what does not divide.
    const each = Math.floor(minutes / added.length) + (at === 0 ? minutes % added.length : 0);
    const amount = task.effortHours === undefined ? { percent: 100 } : { hours: Math.round((each / 60) * 10_000) / 10_000 };
    const assignment: Assignment = { id: `${options.idStem}-${line}-work-${at}`, taskId: task.id, personId, ...amount };
    draft.put("assignments", assignment);
  });
  return added.map((id) => `assigned: ${draft.find("people", id)?.name ?? id}`);
}

function follow(row: FileRow, task: Task, draft: Draft, reasons: string[]): string[] {
  return partsOf(row.record.predecessors, /[;,|]/).flatMap((part, at): string[] => {
    const read = readLinkText(part, (text) => taskCalled(text, row, task, draft) !== null);
    const from = read && taskCalled(read.from, row, task, draft);
    if (!read || !from) {
      reasons.push(`There is no task "${part}" for this one to follow.`);
      return [];
    }
    if (from.id === task.id) {
      reasons.push("A task cannot follow itself.");
      return [];
    }
    const { from: _, ...how } = read;
    const before = draft.all("links").find((link) => link.from === from.id && link.to === task.id);
    const after: Link = { id: before?.id ?? `${row.options.idStem}-${row.line}-link-${at}`, from: from.id, to: task.id, ...how };
    if (before && JSON.stringify(before) === JSON.stringify(after)) return [];
    draft.put("links", after);
    return [`follows: ${from.name}`];
  });
}

/** The task of an id, of a row number counted below the header, or of a name in the same project. */
function taskCalled(text: string, { options, header }: FileRow, { projectId }: Task, draft: Draft): Task | null {
  const byId = draft.find("tasks", text);
  if (byId) return byId;
  const byRow = /^\d+$/.test(text) ? draft.find("tasks", `${options.idStem}-${header + 1 + Number(text)}`) : undefined;
  if (byRow) return byRow;
  const read = taskOf(text, draft, projectId);
  return "value" in read ? read.value : null;
}
