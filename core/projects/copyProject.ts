// The work of a project for another one: tasks, links and who does it, moved to a new start by working days.
import { type Day, formatDay, parseDay } from "../calendar/day.ts";
import { lineFinder } from "../calendar/lines.ts";
import type { WorkingLine } from "../calendar/workingLine.ts";
import type { EditOf } from "../edits/edit.ts";
import type { Model } from "../model.ts";
import { firstRoleOf } from "../plan/names.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { Assignment, Link, Plan, Project, Task, Template } from "../plan/schema.ts";
import { movedTaskDates, movedWorkDates } from "../plan/statedDates.ts";
import { taskWithoutProgress, workWithoutProgress } from "../plan/withoutProgress.ts";
import { lookUp } from "../values/lookUp.ts";

export interface CopyOptions {
  /** The project that is made. */
  project: Project;
  /** The source of the tasks, a project or a template; null for none. */
  source: { projectId: string } | { templateId: string } | null;
  /** True if people stay on the work; otherwise it becomes openings for their roles. */
  keepsPeople: boolean;
  /** Begins the ids of what is made; unique to one copy. */
  idStem: string;
}

/** The edit that makes the project. Stated dates keep their distance from the start in working days of the source's
 * calendar; progress, states and what was said of it stay behind. Links to other projects do too. */
export function projectFrom({ plan, lines }: Model, { project, source, keepsPeople, idStem }: CopyOptions): EditOf<"addProject"> {
  const content = contentOf(plan, source);
  if (!content) return { kind: "addProject", project, tasks: [], assignments: [], links: [] };
  const line = lineFinder(plan, lines)(content.calendarId);
  const shift = shifter(line, parseDay(content.start), parseDay(project.start));
  const ids = new Map(content.tasks.map(({ id }, at) => [id, `${idStem}-t${at + 1}`]));
  const idOf = (id: string) => lookUp(ids, id);
  return {
    kind: "addProject",
    project,
    tasks: content.tasks.map((task) => copiedTask(task, idOf, project.id, shift)),
    assignments: content.assignments.flatMap((assignment, at) =>
      copiedAssignment(
        workWithoutProgress(assignment),
        `${idStem}-a${at + 1}`,
        idOf,
        shift,
        keepsPeople,
        roleFor(plan, content, assignment),
      ),
    ),
    links: content.links.map((link, at): Link => ({ ...link, id: `${idStem}-l${at + 1}`, from: idOf(link.from), to: idOf(link.to) })),
  };
}

type Content = Pick<Template, "start" | "calendarId" | "tasks" | "links" | "assignments">;

function contentOf(plan: Plan, source: CopyOptions["source"]): Content | null {
  if (source && "templateId" in source) {
    const template = findRow(plan.templates, source.templateId);
    return template ? stillThere(plan, template) : null;
  }
  const project = findRow(plan.projects, source?.projectId);
  if (!project) return null;
  const tasks = plan.tasks.filter(({ projectId }) => projectId === project.id);
  const ids = new Set(tasks.map(({ id }) => id));
  return {
    start: project.start,
    calendarId: project.calendarId,
    tasks,
    links: plan.links.filter(({ from, to }) => ids.has(from) && ids.has(to)),
    assignments: plan.assignments.filter(({ taskId }) => ids.has(taskId)),
  };
}

/** A template without what the plan no longer has: roles, skills, calendars, people, teams and materials. */
function stillThere(plan: Plan, template: Template): Content {
  const has = (list: "roles" | "calendars" | "people" | "teams" | "materials" | "skills", id: string) => rowById(plan[list]).has(id);
  const tasks = template.tasks.map(({ roleId, calendarId, skills, ...task }) => ({
    ...task,
    ...(roleId !== undefined && has("roles", roleId) && { roleId }),
    ...(calendarId !== undefined && has("calendars", calendarId) && { calendarId }),
    ...(skills && { skills: skills.filter(({ skillId }) => has("skills", skillId)) }),
  }));
  const assignments = template.assignments.flatMap(({ roleId, personId, teamId, materialId, ...rest }): Assignment[] => {
    const kept = {
      ...(roleId !== undefined && has("roles", roleId) && { roleId }),
      ...(personId !== undefined && has("people", personId) && { personId }),
      ...(teamId !== undefined && has("teams", teamId) && { teamId }),
      ...(materialId !== undefined && has("materials", materialId) && { materialId }),
    };
    const role = kept.roleId ?? tasks.find(({ id }) => id === rest.taskId)?.roleId;
    if (Object.keys(kept).length > 0) return [{ ...rest, ...kept }];
    return materialId === undefined && role !== undefined ? [{ ...rest, roleId: role }] : [];
  });
  return { ...template, tasks, assignments };
}

type Shift = (date: string) => string;

/** Moves a date so that as many working days lie between it and the new start as lay between it and the old. */
function shifter(line: WorkingLine, from: Day, to: Day): Shift {
  const [old, next] = [line.indexOf(from), line.indexOf(to)];
  return (date) => formatDay(line.dayAt(next + line.indexOf(parseDay(date)) - old));
}

function copiedTask(task: Content["tasks"][number], idOf: (id: string) => string, projectId: string, shift: Shift): Task {
  const kept = taskWithoutProgress(task);
  const copy: Task = { ...kept, ...movedTaskDates(task, shift), id: idOf(task.id), projectId };
  if (task.parentId !== undefined) copy.parentId = idOf(task.parentId);
  return copy;
}

function roleFor(plan: Plan, { tasks }: Content, { roleId, taskId, personId }: Assignment): string | undefined {
  return roleId ?? tasks.find(({ id }) => id === taskId)?.roleId ?? firstRoleOf(findRow(plan.people, personId));
}

function copiedAssignment(
  assignment: Assignment,
  id: string,
  idOf: (id: string) => string,
  shift: Shift,
  keepsPeople: boolean,
  role: string | undefined,
): Assignment[] {
  const { personId, ...rest } = assignment;
  const copy: Assignment = { ...rest, ...movedWorkDates(assignment, shift), id, taskId: idOf(assignment.taskId) };
  if (personId === undefined) return [copy];
  if (keepsPeople) return [{ ...copy, personId }];
  // A person without a role leaves nothing that could be asked for.
  return role === undefined ? [] : [{ ...copy, roleId: role }];
}
