// Fills values of the first of many tasks into the others: one column after the other, as one edit.

import type { SingleEdit } from "../edits/edit.ts";
import type { Assignment, Task } from "../plan/schema.ts";
import { stated } from "../values/stated.ts";

/** A task as an outline has it, as far as it is of interest here. */
export interface FilledTask {
  task: Omit<Task, "fixedCost">;
  isSummary: boolean;
  /** Minutes that nobody has. */
  open: number;
  work: readonly { kind: "person" | "team" | "material" | "opening"; assignment: Assignment; asked: number }[];
}

export const fillKeys = ["role", "who", "days", "state", "priority", "tags", "deadline", "notBefore", "material"] as const;
export type FillKey = (typeof fillKeys)[number];

/** The edits that carry the first task's values of some columns to the tasks after it; summaries are left as they are.
 * @param newId Makes ids for the work that is added. */
export function fillDown(entries: readonly FilledTask[], keys: readonly FillKey[], newId: (stem: string) => string): SingleEdit[] {
  const [first, ...rest] = entries.filter(({ isSummary }) => !isSummary);
  if (!first || rest.length === 0) return [];
  const edits: SingleEdit[] = [];
  const set: Record<string, unknown> = Object.assign({}, ...keys.map((key) => valuesOf(first.task, key)));
  if (Object.keys(set).length > 0) edits.push({ kind: "changeTasks", ids: rest.map(({ task }) => task.id), set });
  if (keys.includes("who")) for (const entry of rest) edits.push(...staffLike(first, entry, newId));
  if (keys.includes("material")) for (const entry of rest) edits.push(...materialsLike(first, entry, newId));
  return edits;
}

function valuesOf(task: FilledTask["task"], key: FillKey): Record<string, unknown> {
  switch (key) {
    case "role":
      return { roleId: task.roleId ?? null };
    case "days":
      return task.sizing === "duration" ? { sizing: "duration", durationDays: task.durationDays, start: null, finish: null } : {};
    case "state":
      return { state: task.state ?? null, percentComplete: task.percentComplete ?? null };
    case "who":
    case "material":
      return {};
    default:
      return { [key]: task[key] ?? null };
  }
}

/** The people of one task on another one: what is open there goes to them in equal parts; where nothing is, they come
 * with the same amount as on the first. Who is on it already stays as they are. */
function staffLike(first: FilledTask, entry: FilledTask, newId: (stem: string) => string): SingleEdit[] {
  const isOn = (assignment: Assignment) =>
    entry.work.some(({ assignment: own }) => own.personId === assignment.personId && own.teamId === assignment.teamId);
  const joining = first.work.filter(({ kind, assignment }) => (kind === "person" || kind === "team") && !isOn(assignment));
  if (joining.length === 0) return [];
  const openings = entry.work.filter(({ kind }) => kind === "opening");
  const isEffort = entry.task.sizing === "effort";
  const share = Math.round((entry.open / 60 / joining.length) * 100) / 100;
  return [
    ...(entry.open > 0 ? openings : []).map(({ assignment }): SingleEdit => ({ kind: "deleteAssignment", id: assignment.id })),
    ...joining.map(({ assignment, asked }): SingleEdit => {
      const { id: _, taskId: __, hours, percent, hoursPerDay, hoursPerWeek, custom, customFrom, from, to, shape, ...who } = assignment;
      const statement = { hours, percent, hoursPerDay, hoursPerWeek, custom, customFrom, from, to, shape };
      const amount = entry.open > 0 ? { hours: share } : isEffort ? { hours: Math.round(asked / 0.6) / 100 } : stated(statement);
      return { kind: "addAssignment", assignment: { ...who, ...amount, id: newId("work"), taskId: entry.task.id } };
    }),
  ];
}

/** The materials of one task on another one in the same quantities; what is on it already takes the first's quantity. */
function materialsLike(first: FilledTask, entry: FilledTask, newId: (stem: string) => string): SingleEdit[] {
  return first.work.flatMap(({ kind, assignment }): SingleEdit[] => {
    if (kind !== "material") return [];
    const { id: _, taskId: __, ...line } = assignment;
    const own = entry.work.find((work) => work.assignment.materialId === assignment.materialId)?.assignment;
    if (!own) return [{ kind: "addAssignment", assignment: { ...line, id: newId("work"), taskId: entry.task.id } }];
    const { quantity = null, quantityPerDay = null, wastePercent = null, accrual = null } = line;
    return [{ kind: "changeAssignment", id: own.id, set: { quantity, quantityPerDay, wastePercent, accrual } }];
  });
}
