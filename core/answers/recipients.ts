// The people who could take an assignment: everyone, with their room on its days.

import { defaultCounting } from "../load/counting.ts";
import { fitting, roomDays } from "../load/room.ts";
import type { Model } from "../model.ts";
import { firstRoleName, firstRoleOf } from "../plan/names.ts";
import { rowById } from "../plan/rows.ts";
import { needOf } from "../staffing/need.ts";

export interface Recipient {
  personId: string;
  name: string;
  roleName: string;
  /** True where one of the person's roles is the one the work is made in. */
  hasRole: boolean;
  /** Minutes of the work that fit into the person's room, day by day; of `need`. */
  cover: number;
}

export interface Recipients {
  taskName: string;
  projectName: string;
  need: number;
  holderId: string | null;
  people: Recipient[];
}

/** People for an assignment, those with the role first, then those who can cover most of it, then by name; without
 * the one who has it. Null where the assignment is not in the plan. */
export function recipientsOf(model: Model, assignmentId: string): Recipients | null {
  const { plan, work } = model;
  const row = rowById(plan.assignments).get(assignmentId);
  if (row === undefined) return null;
  const { range, minutes: needs } = needOf(model, row);
  const holder = work.person[row];
  const wanted = work.role[row] >= 0 ? plan.roles[work.role[row]].id : firstRoleOf(plan.people[holder]);
  const load = model.load(defaultCounting);
  const people = plan.people.flatMap(({ id, name, roleIds }, person): Recipient[] => {
    if (person === holder) return [];
    const room = roomDays(model, load, person, range);
    const cover = fitting(needs, room);
    const roleName = firstRoleName(plan, { roleIds }) ?? "";
    return [{ personId: id, name, roleName, hasRole: wanted !== undefined && roleIds.includes(wanted), cover }];
  });
  people.sort((a, b) => Number(b.hasRole) - Number(a.hasRole) || b.cover - a.cover || a.name.localeCompare(b.name));
  return {
    taskName: plan.tasks[work.task[row]].name,
    projectName: plan.projects[work.project[row]].name,
    need: needs.reduce((sum, minutes) => sum + minutes, 0),
    holderId: plan.people[holder]?.id ?? null,
    people,
  };
}
