// From lines to tasks with their assignments and links: what a typed line or a pasted list becomes.
import type { EditOf } from "../edits/edit.ts";
import type { Assignment, Link, Task } from "../plan/schema.ts";
import type { TaskLine } from "./taskLine.ts";

/** A line with how deep it is below where the list goes. */
export interface PlacedLine {
  line: TaskLine;
  depth: number;
}

/** The default duration of a task in working days. */
const USUAL_DAYS = 5;

/** The one edit that adds the tasks of some lines. Lines with deeper ones below them become summaries.
 * @param newId Makes ids; called once for each row. */
export function tasksFromLines(
  lines: readonly PlacedLine[],
  { projectId, parentId, next }: { projectId: string; parentId: string | null; next: string | null },
  newId: (stem: string) => string,
): EditOf<"addTasks"> {
  const tasks: Task[] = [];
  const assignments: Assignment[] = [];
  const links: Link[] = [];
  const above: string[] = [];
  const ids = lines.map(() => newId("task"));
  lines.forEach(({ line, depth }, at) => {
    const id = ids[at];
    above[depth] = id;
    const parent = depth === 0 ? parentId : (above[depth - 1] ?? parentId);
    const isSummary = (lines[at + 1]?.depth ?? 0) > depth;
    tasks.push(taskOf(line, id, projectId, parent, isSummary));
    if (!isSummary) assignments.push(...assignmentsOf(line, id, newId));
    for (const { from, ...how } of line.follows)
      links.push({ id: newId("link"), from: "id" in from ? from.id : ids[from.line], to: id, ...how });
  });
  return { kind: "addTasks", tasks, next, assignments, links };
}

function taskOf(line: TaskLine, id: string, projectId: string, parentId: string | null, isSummary: boolean): Task {
  const { name, hours, days, start, finish, deadline, roleId, parts } = line;
  // Text that is not recognized is kept in the notes.
  const notes = parts.flatMap(({ text, meaning }) => (meaning === "unknown" ? [text] : [])).join(", ");
  const base: Task = {
    id,
    projectId,
    ...(parentId !== null && { parentId }),
    name,
    ...(roleId !== undefined && { roleId }),
    ...(deadline !== undefined && { deadline }),
    ...(notes !== "" && { notes }),
  };
  if (isSummary) return base;
  if (start !== undefined) return { ...base, sizing: "dates", start, finish, ...effortOf(line) };
  // Hours and people without a duration: it lasts as long as they need.
  if (days === undefined && hours !== undefined && line.personIds.length > 0) return { ...base, sizing: "effort" };
  return { ...base, sizing: "duration", durationDays: days ?? USUAL_DAYS, ...effortOf(line) };
}

/** Unassigned hours wait on the task as its effort; what people have is on their assignments. */
function effortOf({ hours, personIds, teamId }: TaskLine): Partial<Task> {
  return hours !== undefined && personIds.length === 0 && teamId === undefined ? { effortHours: hours } : {};
}

function assignmentsOf(
  { hours, percent = 100, personIds, teamId, roleId }: TaskLine,
  taskId: string,
  newId: (stem: string) => string,
): Assignment[] {
  const role = roleId === undefined ? {} : { roleId };
  if (personIds.length === 0)
    return teamId === undefined || hours === undefined ? [] : [{ id: newId("work"), taskId, teamId, ...role, hours }];
  if (hours === undefined) return personIds.map((personId) => ({ id: newId("work"), taskId, personId, percent }));
  // Shared evenly to the hundredth of an hour, the first taking what does not divide.
  const each = Math.floor((hours * 100) / personIds.length) / 100;
  return personIds.map((personId, at) => ({
    id: newId("work"),
    taskId,
    personId,
    ...role,
    hours: at === 0 ? Math.round((hours - each * (personIds.length - 1)) * 100) / 100 : each,
  }));
}
