// Places in an outline: after a task and all below it, and where a step by keyboard takes one.
import type { Task } from "../../core/plan/schema.ts";

export type Step = "up" | "down" | "in" | "out";

/** The input of places: the tasks as they are listed, each after its parent. */
export interface OutlineRow {
  task: Pick<Task, "id" | "parentId">;
  depth: number;
}

/** The task that is after another and all below it; null at the end. */
export function afterAll(tasks: readonly OutlineRow[], id: string): string | null {
  const at = tasks.findIndex(({ task }) => task.id === id);
  const depth = tasks[at]?.depth ?? 0;
  return tasks.slice(at + 1).find((own) => own.depth <= depth)?.task.id ?? null;
}

/** The place of a task after a step: past a sibling, below the task before it, or out of its summary. Null if it cannot move. */
export function placeAfter(tasks: readonly OutlineRow[], id: string, step: Step): { parentId: string | null; next: string | null } | null {
  const own = tasks.find(({ task }) => task.id === id);
  if (!own) return null;
  const parentId = own.task.parentId ?? null;
  const siblings = tasks.filter(({ task }) => (task.parentId ?? null) === parentId).map(({ task }) => task.id);
  const at = siblings.indexOf(id);
  switch (step) {
    case "up":
      return at === 0 ? null : { parentId, next: siblings[at - 1] };
    case "down":
      return at === siblings.length - 1 ? null : { parentId, next: afterAll(tasks, siblings[at + 1]) };
    case "in":
      return at === 0 ? null : { parentId: siblings[at - 1], next: afterAll(tasks, siblings[at - 1]) };
    case "out": {
      if (parentId === null) return null;
      const parent = tasks.find(({ task }) => task.id === parentId);
      return { parentId: parent?.task.parentId ?? null, next: afterAll(tasks, parentId) };
    }
  }
}
