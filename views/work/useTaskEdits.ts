"use client";
// The edits made on a project's tasks, their work and their links.
import { toast } from "sonner";
import { newKey } from "../../client/keptEdit.ts";
import type { Redacted } from "../../client/seen.ts";
import { usePlan } from "../../client/session.tsx";
import type { OutlineTask } from "../../core/answers/outline.ts";
import type { Edit } from "../../core/edits/edit.ts";
import type { Assignment, Link, Task } from "../../core/plan/schema.ts";
import { type PlacedLine, tasksFromLines } from "../../core/typing/newTasks.ts";
import type { OutlineRow } from "../../core/typing/typeLinks.ts";
import { closed } from "../../ui/closed.ts";
import { newId } from "../../ui/newId.ts";
import { afterAll, placeAfter, type Step } from "./outlinePlace.ts";
import { texts } from "./words.ts";

export type Setting<T> = { [K in keyof T]?: T[K] | null };

export function useTaskEdits(
  projectId: string,
  tasks: readonly Redacted<OutlineTask>[],
  selected: Redacted<OutlineTask> | null,
  select: (next: string | null | ((now: string | null) => string | null)) => void,
) {
  const session = usePlan();
  const edit = async (made: Edit, key?: string) => (await session.edit(made, key)).length === 0;
  const addTask = async (fields: Omit<Task, "id" | "projectId">) => {
    const id = newId("task");
    const after = tasks.filter(({ task }) => task.parentId === fields.parentId).at(-1)?.task.id;
    const next = after === undefined ? null : afterAll(tasks, after);
    const faults = await session.edit({ kind: "addTask", task: { id, projectId, ...fields }, next });
    if (faults.length === 0) select(id);
    return faults;
  };
  /** Adds written lines after the selected task, or at the end; inside it where it is a summary. */
  const addLines = (lines: readonly PlacedLine[]) =>
    session.edit(tasksFromLines(lines, { projectId, ...placeOfLines(tasks, selected) }, newId));
  const remove = async (id: string, joins = false) => {
    const name = tasks.find(({ task }) => task.id === id)?.task.name ?? id;
    const key = newKey();
    if (!(await edit({ kind: "deleteTask", id, ...(joins && { joins }) }, key))) return;
    select(closed(id));
    toast(`Deleted “${name}” with its subtasks and work.`, {
      action: { label: texts.undo, onClick: () => void session.step({ kind: "undo", ofKey: key }) },
    });
  };
  const move = (id: string, step: Step) => {
    const place = placeAfter(tasks, id, step);
    return place ? edit({ kind: "moveTask", id, ...place }) : Promise.resolve(false);
  };
  const changeTask = (id: string, set: Setting<Task>) => session.edit({ kind: "changeTask", id, set });
  return { edit, addTask, addLines, changeTask, remove, move, ...useWorkEdits(), ...useLinkEdits() };
}

function placeOfLines(tasks: readonly Redacted<OutlineTask>[], selected: Redacted<OutlineTask> | null) {
  if (!selected) return { parentId: null, next: null };
  const { task, isSummary } = selected;
  return { parentId: isSummary ? task.id : (task.parentId ?? null), next: afterAll(tasks, task.id) };
}

function useWorkEdits() {
  const session = usePlan();
  return {
    addWork: (fields: Omit<Assignment, "id">) => session.edit({ kind: "addAssignment", assignment: { id: newId("work"), ...fields } }),
    changeWork: (id: string, set: Setting<Assignment>) => session.edit({ kind: "changeAssignment", id, set }),
    removeWork: (id: string) => session.edit({ kind: "deleteAssignment", id }),
  };
}

function useLinkEdits() {
  const session = usePlan();
  const typeLinks = async (taskId: string, rows: readonly OutlineRow[], text: string) => {
    const typed = await session.ask("typeLinks", { taskId, rows, text, idStem: newId("link") });
    if ("notUnderstood" in typed) toast(`There is no row “${typed.notUnderstood}”.`);
    else if (typed.edit) await session.edit(typed.edit);
  };
  return {
    addLink: (fields: Omit<Link, "id">) => session.edit({ kind: "addLink", link: { id: newId("link"), ...fields } }),
    typeLinks,
    changeLink: (id: string, set: Setting<Link>) => session.edit({ kind: "changeLink", id, set }),
    removeLink: (id: string) => session.edit({ kind: "deleteLink", id }),
  };
}
