// The people who may receive work: they have its role and skills, except those that the present holder does not have, either, and
// are employed on all of its days.
import { type Day, parseDay } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import { defaultCounting } from "../load/counting.ts";
import { fitting, roomDays } from "../load/room.ts";
import type { Model } from "../model.ts";
import { firstRoleOf } from "../plan/names.ts";
import { rowById } from "../plan/rows.ts";
import type { Person, Plan } from "../plan/schema.ts";
import { missingOf } from "../staffing/match.ts";
import { needOf } from "../staffing/need.ts";

/** True where a person may take a row of work over from its holder. Work in no role goes to the first role of who has it.
 * @param range Days of the work: they are employed on every one. */
export function mayTake({ plan, work }: Model, row: number, recipient: number, range: Range): boolean {
  const person = plan.people[recipient];
  const donor = plan.people[work.person[row]];
  if (recipient === work.person[row] || person.archived || person.locked || !isEmployed(plan, person, range)) return false;
  const task = plan.tasks[work.task[row]];
  const role = work.role[row] >= 0 ? work.role[row] : (rowById(plan.roles).get(firstRoleOf(donor) ?? "") ?? -1);
  const missing = missingOf(plan, person, task, role);
  if (missing.length === 0) return true;
  const giverLacks = donor ? missingOf(plan, donor, task, role) : [];
  return missing.every((own) => giverLacks.includes(own));
}

function isEmployed({ settings }: Plan, { employedFrom, employedTo }: Person, { start, stop }: Range): boolean {
  const [from, to]: [Day, Day | null] = [
    parseDay(employedFrom ?? settings.planStart),
    employedTo === undefined ? null : parseDay(employedTo),
  ];
  return from <= start && (to === null || to >= stop - 1);
}

/** The few who may take a row of work and have most room for it on its very days; of equal ones in plan order.
 * @param range Days of it that they would take. */
export function bestRecipients(model: Model, row: number, range: Range, most: number): number[] {
  const { plan } = model;
  const need = needOf(model, row);
  const load = model.load(defaultCounting);
  const needs = new Int32Array(Math.max(0, range.stop - range.start));
  for (let i = 0; i < needs.length; i++) needs[i] = need.minutes[range.start + i - need.range.start] ?? 0;
  return plan.people
    .flatMap((_, recipient) => {
      if (!mayTake(model, row, recipient, range)) return [];
      const room = roomDays(model, load, recipient, range);
      return [{ recipient, fits: fitting(needs, room) }];
    })
    .filter(({ fits }) => fits > 0)
    .sort((a, b) => b.fits - a.fits || a.recipient - b.recipient)
    .slice(0, most)
    .map(({ recipient }) => recipient);
}
