// The rules of evening out, checked from plan files and printed reports alone: it shares no code with the search.
import { parseDay } from "../core/calendar/day.ts";
import { defaultCounting } from "../core/load/counting.ts";
import { buildModel } from "../core/model.ts";
import type { Assignment, Person, Plan, Task } from "../core/plan/schema.ts";
import { loadReport } from "../core/reports/load.ts";
import { scheduleReport } from "../core/reports/schedule.ts";

type Row = { id: string };
const byId = <T extends Row>(rows: readonly T[]) => new Map(rows.map((row) => [row.id, row]));

/** Every rule that the step from one plan to another breaks, in words; empty where all hold. */
export function brokenRules(before: Plan, after: Plan): string[] {
  return [
    ...otherLists(before, after),
    ...askedOtherwise(before, after),
    ...wrongTakers(before, after),
    ...newConflicts(before, after),
    ...changedPast(before, after),
    ...touchedLocked(before, after),
  ];
}

/** Only tasks, assignments and people's own entries may differ, and no task comes or goes. */
function otherLists(before: Plan, after: Plan): string[] {
  const same = ["settings", "calendars", "roles", "skills", "teams", "rateTables", "projects", "links", "expenses"] as const;
  const ids = (rows: readonly Row[]) => rows.map(({ id }) => id).join();
  return [
    ...same.filter((list) => JSON.stringify(before[list]) !== JSON.stringify(after[list])).map((list) => `${list} differ`),
    ...(ids(before.tasks) === ids(after.tasks) ? [] : ["tasks came or went"]),
  ];
}

function askedOtherwise(before: Plan, after: Plan): string[] {
  const [was, is] = [askedByTask(before), askedByTask(after)];
  return [...was]
    .filter(([task, minutes]) => is.get(task) !== minutes)
    .map(([task, minutes]) => `${task} requested ${minutes}, now ${is.get(task)}`);
}

function askedByTask(plan: Plan): Map<string, number> {
  const range = { start: parseDay(plan.settings.planStart), stop: parseDay(plan.settings.planEnd) + 1 };
  const { assignments, openings } = loadReport(buildModel(plan), { range, grain: "year" }, { ...defaultCounting, pipeline: "full" });
  const rows = byId(plan.assignments);
  const asked = new Map<string, number>();
  const known = new Set(assignments.map(({ id }) => id));
  for (const { id, asked: minutes } of assignments) {
    const { taskId } = rows.get(id) as Assignment;
    asked.set(taskId, (asked.get(taskId) ?? 0) + minutes);
  }
  for (const { assignmentId, taskId, minutes } of openings)
    if (assignmentId !== undefined && !known.has(assignmentId)) asked.set(taskId, (asked.get(taskId) ?? 0) + minutes);
  return asked;
}

/** Every person who received work is qualified for it, as far as its former holder was. */
function wrongTakers(before: Plan, after: Plan): string[] {
  const [former, tasks, people] = [byId(before.assignments), byId(after.tasks), byId(after.people)];
  return after.assignments.flatMap((row) => {
    const was = former.get(row.id);
    if (row.personId === undefined || row.personId === was?.personId) return [];
    const task = tasks.get(row.taskId) as Task;
    const recipient = people.get(row.personId) as Person;
    const donors = before.assignments.filter((own) => own.taskId === row.taskId && (was === undefined || own.id === row.id));
    const roleId = row.roleId ?? task.roleId;
    const missing = (person: Person | undefined) =>
      person === undefined
        ? []
        : [
            ...(roleId !== undefined && !person.roleIds.includes(roleId) ? ["role"] : []),
            ...(task.skills ?? [])
              .filter(({ skillId, level }) => (person.skills?.find((own) => own.skillId === skillId)?.level ?? 0) < level)
              .map(({ skillId }) => skillId),
          ];
    const excused = new Set(donors.flatMap(({ personId }) => missing(byId(before.people).get(personId ?? ""))));
    return missing(recipient)
      .filter((own) => !excused.has(own))
      .map((own) => `${row.personId} takes ${row.id} without ${own}`);
  });
}

function newConflicts(before: Plan, after: Plan): string[] {
  const key = ({ kind, taskId, projectId, linkId }: { kind: string; taskId?: string; projectId?: string; linkId?: string }) =>
    `${kind} ${taskId ?? projectId} ${linkId}`;
  const was = new Map(scheduleReport(buildModel(before)).conflicts.map((own) => [key(own), own.ticks]));
  return scheduleReport(buildModel(after))
    .conflicts.filter((own) => own.ticks > (was.get(key(own)) ?? -1))
    .map((own) => `conflict ${key(own)} by ${own.ticks}`);
}

function changedPast(before: Plan, after: Plan): string[] {
  const { today, planStart } = before.settings;
  if (today === undefined || today <= planStart) return [];
  const range = { start: parseDay(planStart), stop: parseDay(today) };
  const days = (plan: Plan) => loadReport(buildModel(plan), { range, grain: "day" }, defaultCounting).people;
  const is = days(after);
  return days(before).flatMap(({ id, load }, at) => (load.join() === is[at].load.join() ? [] : [`the past of ${id}`]));
}

function touchedLocked(before: Plan, after: Plan): string[] {
  const projects = byId(before.projects);
  const isLocked = (task: Task | undefined) =>
    task !== undefined && (task.state === "done" || task.locked || projects.get(task.projectId)?.locked);
  const [tasks, work] = [byId(before.tasks), byId(before.assignments)];
  return [
    ...after.tasks
      .filter((task) => isLocked(tasks.get(task.id)) && JSON.stringify(task) !== JSON.stringify(tasks.get(task.id)))
      .map(({ id }) => `locked task ${id}`),
    ...after.assignments
      .filter((row) => isLocked(tasks.get(row.taskId)) && JSON.stringify(row) !== JSON.stringify(work.get(row.id)))
      .map(({ id }) => `work of a locked task ${id}`),
  ];
}
