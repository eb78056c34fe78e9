"use client";
// Binds a project's screen to the plan: selected, ticked and folded tasks, and the edits made there.
import { parseAsArrayOf, parseAsString, parseAsStringLiteral, useQueryState } from "nuqs";
import { useCallback, useState } from "react";
import { toast } from "sonner";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { useAnswer } from "../../client/session.tsx";
import { type Mark, markEdit, needsDay } from "../../core/typing/markTasks.ts";
import { toggledList } from "../../ui/toggled.ts";
import { type OutlineColumn, outlineColumns, usualColumns } from "./outlineColumns.tsx";
import { useLastSeen } from "./useLastSeen.ts";
import { useTaskEdits } from "./useTaskEdits.ts";
import { texts } from "./words.ts";

/** Is in the URL for a task that is about to be added. */
const NEW = "new";
/** The value of `open` for the details of the project. */
export const DETAILS = "project";
/** The value of `open` for the remaining work of everyone. */
export const TIME_LEFT = "time-left";

/** The value of `open` for the page for the client. */
export const PAGE = "page";

const parts: ReadonlySet<string> = new Set([NEW, TIME_LEFT, PAGE, DETAILS]);

export function useProject(projectId: string, initial: Initial<AnswerOf<"outline">>, initialWhy: Initial<AnswerOf<"why">> | null) {
  const outline = useAnswer("outline", { projectId }, initial);
  const [taskId, setTaskId] = useQueryState("task", parseAsString.withOptions({ shallow: true }));
  const [folded, setFolded] = useQueryState("folded", parseAsArrayOf(parseAsString).withDefault([]).withOptions({ shallow: true }));
  const [columns, setColumns] = useQueryState(
    "columns",
    parseAsArrayOf(parseAsStringLiteral(outlineColumns)).withDefault(usualColumns).withOptions({ shallow: true }),
  );
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const seenFinish = useLastSeen(projectId, outline?.finish);
  const select = useCallback((next: Parameters<typeof setTaskId>[0]) => void setTaskId(next), [setTaskId]);
  const tasks = outline?.tasks ?? [];
  const selected = tasks.find(({ task }) => task.id === taskId) ?? null;
  const edits = useTaskEdits(projectId, tasks, selected, select);
  const [marking, setMarking] = useState<{ ids: readonly string[]; mark: Mark } | null>(null);
  /** Marks tasks as started or done; asks for the day first where nothing says it. Summaries among them are left out. */
  const mark = (ids: readonly string[], how: Mark) => {
    const leaves = tasks.filter(({ task, isSummary }) => ids.includes(task.id) && !isSummary);
    const edit = markEdit(leaves, how, {});
    if (edit === null) toast(leaves.length === 0 ? texts.marksAreForTasks : texts.markedAlready);
    else if (leaves.some((leaf) => needsDay(leaf, how))) setMarking({ ids: leaves.map(({ task }) => task.id), mark: how });
    else void edits.edit(edit).then(() => setTicked(new Set()));
  };
  return {
    outline,
    initialWhy,
    tasks,
    selected,
    /** Something is in the side sheet. */
    hasSheet: marking !== null || selected !== null || ticked.size > 0 || (taskId !== null && parts.has(taskId)),
    isAdding: taskId === NEW,
    isShowingTimeLeft: taskId === TIME_LEFT,
    isShowingPage: taskId === PAGE,
    isShowingDetails: taskId === DETAILS,
    /** Days by which the finish has moved since it was last looked at. */
    finishMoved: outline && seenFinish !== undefined ? outline.finish - seenFinish : 0,
    columns,
    setColumns: (next: OutlineColumn[]) => void setColumns(next),
    folded,
    fold: (id: string) => void setFolded(toggledList(folded, id)),
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
    marking,
    mark,
    closeMark: () => setMarking(null),
    ...edits,
  };
}

export type ProjectHook = ReturnType<typeof useProject>;
