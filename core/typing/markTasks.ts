// The edit that marks tasks as started or as done.
import type { Edit, SingleEdit } from "../edits/edit.ts";
import type { Task } from "../plan/schema.ts";

export type Mark = "started" | "done";

/** A leaf that can be marked. */
export interface Markable {
  task: Pick<Task, "id" | "state" | "actualStart" | "actualFinish" | "percentComplete">;
  /** Its project takes its past from what people record. */
  isTracked: boolean;
  /** Minutes recorded and approved before the status date. */
  actual: number;
}

/** The days that a mark states where no hours do; ISO dates. Of tasks marked as done, `start` may be left out: then each of them
 * is done in a day. */
export interface MarkDays {
  start?: string;
  finish?: string;
}

/** True where a mark has to say on which day: the project records its progress, and nothing says when the task began or ended. */
export function needsDay({ task, isTracked, actual }: Markable, mark: Mark): boolean {
  if (!isTracked || actual > 0) return false;
  return mark === "started" ? task.actualStart === undefined : task.actualFinish === undefined;
}

/** The edit that marks leaves; a task marked as started that was done is open again. Null where all are marked so already. */
export function markEdit(leaves: readonly Markable[], mark: Mark, days: MarkDays): Edit | null {
  const groups = new Map<string, { ids: string[]; set: ReturnType<typeof setOf> }>();
  for (const leaf of leaves) {
    if (leaf.task.state === stateOf[mark]) continue;
    const set = setOf(leaf, mark, needsDay(leaf, mark) ? days : {});
    const key = JSON.stringify(set);
    const group = groups.get(key) ?? { ids: [], set };
    groups.set(key, group);
    group.ids.push(leaf.task.id);
  }
  const edits = [...groups.values()].map(({ ids, set }): SingleEdit => ({ kind: "changeTasks", ids, set }));
  if (edits.length < 2) return edits[0] ?? null;
  const count = edits.reduce((sum, edit) => sum + (edit.kind === "changeTasks" ? edit.ids.length : 0), 0);
  return { kind: "together", words: `mark ${count} tasks as ${mark}`, edits };
}

const stateOf = { started: "underWay", done: "done" } as const;

function setOf({ task }: Markable, mark: Mark, { start, finish }: MarkDays) {
  const begun = start !== undefined && task.actualStart === undefined && { actualStart: start };
  if (mark === "done") return { state: stateOf.done, ...begun, ...(finish !== undefined && { actualFinish: finish }) };
  return {
    state: stateOf.started,
    ...begun,
    ...(task.actualFinish !== undefined && { actualFinish: null }),
    ...(task.percentComplete === 100 && { percentComplete: null }),
  };
}
