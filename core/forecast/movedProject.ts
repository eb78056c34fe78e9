// A project moved in time as a whole: its start and every date that is stated in it, by the same number of days.
import { type Day, formatDay, parseDay } from "../calendar/day.ts";
import { type Change, changeOf } from "../edits/change.ts";
import type { Assignment, Plan, Task } from "../plan/schema.ts";

const taskDates = ["start", "finish", "notBefore", "notAfter", "finishNotBefore", "finishNotAfter", "deadline"] as const;

/** The changes that move a project by some days; its own deadline stays. */
export function movedProject({ projects, tasks, assignments }: Plan, projectRow: number, days: number): Change[] {
  const project = projects[projectRow];
  if (days === 0) return [];
  const moved = (text: string) => formatDay((parseDay(text) + days) as Day);
  const own = new Set<string>();
  const changes: Change[] = [changeOf("projects", { id: project.id, before: project, after: { ...project, start: moved(project.start) } })];
  for (const task of tasks) {
    if (task.projectId !== project.id) continue;
    own.add(task.id);
    const set: Partial<Task> = {};
    for (const key of taskDates) if (task[key] !== undefined) set[key] = moved(task[key]);
    if (Object.keys(set).length > 0) changes.push(changeOf("tasks", { id: task.id, before: task, after: { ...task, ...set } }));
  }
  for (const assignment of assignments) {
    if (!own.has(assignment.taskId)) continue;
    const set = movedWork(assignment, moved);
    if (Object.keys(set).length > 0)
      changes.push(changeOf("assignments", { id: assignment.id, before: assignment, after: { ...assignment, ...set } }));
  }
  return changes;
}

function movedWork({ from, to, custom, customFrom }: Assignment, moved: (text: string) => string): Partial<Assignment> {
  return {
    ...(from !== undefined && { from: moved(from) }),
    ...(to !== undefined && { to: moved(to) }),
    ...(customFrom !== undefined && { customFrom: moved(customFrom) }),
    ...(custom && { custom: custom.map((bucket) => ({ ...bucket, from: moved(bucket.from), to: moved(bucket.to) })) }),
  };
}
