"use client";
// Binds a project's screen to the plan: selected, ticked and folded tasks, and the edits made there.
import { parseAsArrayOf, parseAsString, parseAsStringLiteral, useQueryState } from "nuqs";
import { useCallback, useRef, useState } from "react";
import { toast } from "sonner";
import type { AnswerOf } from "../../client/questions.ts";
import { type Initial, useAnswer, usePlan } from "../../client/session.tsx";
import type { Edit } from "../../core/edits/edit.ts";
import { type PlacedLine, tasksFromLines } from "../../core/entry/newTasks.ts";
import type { Assignment, Link, Task } from "../../core/plan/schema.ts";
import { newId } from "../../ui/newId.ts";
import { type OutlineColumn, outlineColumns, usualColumns } from "./outlineColumns.tsx";
import { afterAll, placeAfter, type Step } from "./outlinePlace.ts";

/** Stands in the URL for a task that is about to be added. */
const NEW = "new";
/** Stands there for the facts of the project itself. */
export const DETAILS = "project";
/** Stands there for what everybody still has to do. */
export const TIME_LEFT = "time-left";

/** Stands there for the page that goes to the client. */
export const PAGE = "page";

export type Setting<T> = { [K in keyof T]?: T[K] | null };

export function useProject(projectId: string, initial: Initial<AnswerOf<"outline">>) {
  const session = usePlan();
  const outline = useAnswer("outline", { projectId }, initial);
  const [taskId, setTaskId] = useQueryState("task", parseAsString.withOptions({ shallow: true }));
  const [folded, setFolded] = useQueryState("folded", parseAsArrayOf(parseAsString).withDefault([]).withOptions({ shallow: true }));
  const [columns, setColumns] = useQueryState(
    "columns",
    parseAsArrayOf(parseAsStringLiteral(outlineColumns)).withDefault(usualColumns).withOptions({ shallow: true }),
  );
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const firstFinish = useRef(initial.data?.finish);
  const select = useCallback((id: string | null) => void setTaskId(id), [setTaskId]);
  const tasks = outline?.tasks ?? [];
  const selected = tasks.find(({ task }) => task.id === taskId) ?? null;
  const edit = async (made: Edit) => (await session.edit(made)).length === 0;

  const addTask = async (fields: Omit<Task, "id" | "projectId">) => {
    const id = newId("task");
    const siblings = tasks.filter(({ task }) => task.parentId === fields.parentId);
    const after = siblings.at(-1)?.task.id;
    const faults = await session.edit({
      kind: "addTask",
      task: { id, projectId, ...fields },
      next: after === undefined ? null : afterAll(tasks, after),
    });
    if (faults.length === 0) select(id);
    return faults;
  };
  /** Adds written lines after the selected task, or at the end; inside it where it is a summary. */
  const addLines = (lines: readonly PlacedLine[]) => {
    const at = selected;
    const place = !at
      ? { parentId: null, next: null }
      : at.isSummary
        ? { parentId: at.task.id, next: afterAll(tasks, at.task.id) }
        : { parentId: at.task.parentId ?? null, next: afterAll(tasks, at.task.id) };
    return session.edit(tasksFromLines(lines, { projectId, ...place }, newId));
  };
  const remove = async (id: string, joins = false) => {
    const name = tasks.find(({ task }) => task.id === id)?.task.name ?? id;
    if (!(await edit({ kind: "deleteTask", id, ...(joins && { joins }) }))) return;
    select(null);
    toast(`Deleted “${name}” with all below it and its work.`, { action: { label: "Undo", onClick: () => void session.step("undo") } });
  };
  const move = (id: string, step: Step) => {
    const place = placeAfter(tasks, id, step);
    return place ? edit({ kind: "moveTask", id, ...place }) : Promise.resolve(false);
  };
  return {
    outline,
    tasks,
    selected,
    isAdding: taskId === NEW,
    isShowingTimeLeft: taskId === TIME_LEFT,
    isShowingPage: taskId === PAGE,
    isShowingDetails: taskId === DETAILS,
    /** Days by which the finish has moved since the screen was opened. */
    finishMoved: outline && firstFinish.current !== undefined ? outline.finish - firstFinish.current : 0,
    columns,
    setColumns: (next: OutlineColumn[]) => void setColumns(next),
    folded,
    fold: (id: string) => void setFolded(folded.includes(id) ? folded.filter((own) => own !== id) : [...folded, id]),
    ticked,
    tick: (ids: readonly string[], isOn: boolean) =>
      setTicked((known) => {
        const next = new Set(known);
        for (const id of ids)
          if (isOn) next.add(id);
          else next.delete(id);
        return next;
      }),
    untickAll: () => setTicked(new Set()),
    select,
    add: () => select(NEW),
    edit,
    addTask,
    addLines,
    changeTask: (id: string, set: Setting<Task>) => session.edit({ kind: "changeTask", id, set }),
    remove,
    move,
    addWork: (fields: Omit<Assignment, "id">) => session.edit({ kind: "addAssignment", assignment: { id: newId("work"), ...fields } }),
    changeWork: (id: string, set: Setting<Assignment>) => session.edit({ kind: "changeAssignment", id, set }),
    removeWork: (id: string) => session.edit({ kind: "deleteAssignment", id }),
    addLink: (fields: Omit<Link, "id">) => session.edit({ kind: "addLink", link: { id: newId("link"), ...fields } }),
    changeLink: (id: string, set: Setting<Link>) => session.edit({ kind: "changeLink", id, set }),
    removeLink: (id: string) => session.edit({ kind: "deleteLink", id }),
  };
}

export type ProjectHook = ReturnType<typeof useProject>;
