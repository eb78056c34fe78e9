// A project moved in time as a whole: its start and every date that is stated in it, by the same number of days.
import { formatDay, parseDay } from "../calendar/day.ts";
import { type Change, changeOf } from "../edits/change.ts";
import type { Plan } from "../plan/schema.ts";
import { movedTaskDates, movedWorkDates } from "../plan/statedDates.ts";

/** The changes that move a project by some days; its own deadline stays. */
export function movedProject({ projects, tasks, assignments }: Plan, projectRow: number, days: number): Change[] {
  const project = projects[projectRow];
  if (days === 0) return [];
  const moved = (text: string) => formatDay(parseDay(text) + days);
  const own = new Set<string>();
  const changes: Change[] = [changeOf("projects", { id: project.id, before: project, after: { ...project, start: moved(project.start) } })];
  for (const task of tasks) {
    if (task.projectId !== project.id) continue;
    own.add(task.id);
    const set = movedTaskDates(task, moved);
    if (Object.keys(set).length > 0) changes.push(changeOf("tasks", { id: task.id, before: task, after: { ...task, ...set } }));
  }
  for (const assignment of assignments) {
    if (!own.has(assignment.taskId)) continue;
    const set = movedWorkDates(assignment, moved);
    if (Object.keys(set).length > 0)
      changes.push(changeOf("assignments", { id: assignment.id, before: assignment, after: { ...assignment, ...set } }));
  }
  return changes;
}
