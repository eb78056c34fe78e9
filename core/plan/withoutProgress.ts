// Work as it was planned: what a template and a copy of a project keep.
import type { Assignment, Task } from "./schema.ts";

type Progress = "percentComplete" | "state" | "atRisk" | "review" | "actualStart" | "actualFinish";

/** A task without its progress, and without what was said of it. */
export function taskWithoutProgress<T extends Omit<Task, "projectId">>(task: T): Omit<T, Progress> {
  const { percentComplete: _, state: __, atRisk: ___, review: ____, actualStart: _____, actualFinish: ______, ...kept } = task;
  return kept;
}

/** An assignment without what remains of it. */
export function workWithoutProgress({ remaining: _, ...assignment }: Assignment): Assignment {
  return assignment;
}
