// The candidates for an opening: role and skills first, then the share that fits their room, skill fit, and cost.
import { costOfMinutes } from "../cost/labour.ts";
import { costRole, type RateBook, rateBookOf } from "../cost/rateBook.ts";
import { defaultCounting } from "../load/counting.ts";
import { needsSomebody } from "../load/openings.ts";
import { fitting, roomDays } from "../load/room.ts";
import type { Model } from "../model.ts";
import { compareCodePoints } from "../plan/names.ts";
import { rowById } from "../plan/rows.ts";
import type { Person, Plan, Task } from "../plan/schema.ts";
import { roundedQuotient, shareOf } from "../values/units.ts";
import { isOpening } from "../work/work.ts";
import { type Need, needOf } from "./need.ts";

/** Shares in hundredths of a percent, cost in minor units. */
export interface Candidate {
  person: number;
  /** The part of the need that fits their room, day by day. */
  cover: number;
  /** Minutes of it that do. */
  covered: number;
  /** Mean over the required skills of level / 5; all of it where none is required. */
  fit: number;
  /** Of the covered minutes. */
  cost: number;
  isOnProject: boolean;
  /** `role:ID` and then `skill:ID` for what they do not have, or not at the least level. */
  missing: string[];
  /** Minutes free on each day of the need. */
  room: Int32Array;
}

/** The row of work that an opening is: an assignment that has nobody, or the rest of a task's effort; −1 for none, also
 * where the labour of the task asks for all of its effort.
 * @param id Of the assignment, or of the task. */
export function openingRow(model: Model, id: string): number {
  const { plan, work } = model;
  const own = rowById(plan.assignments).get(id) ?? -1;
  if (own >= 0 && isOpening(work, own)) return own;
  const rest = work.implicitRow[rowById(plan.tasks).get(id) ?? -1] ?? -1;
  return rest >= 0 && needsSomebody(model, rest) ? rest : -1;
}

/** Everyone for an opening: those with the role and every skill first, by cover, fit, cost and name; then the others,
 * in the same order. Room is that of the default counting. @param row Of the opening. */
export function candidatesFor(model: Model, row: number): Candidate[] {
  const { plan, work } = model;
  const need = needOf(model, row);
  const total = need.minutes.reduce((sum, minutes) => sum + minutes, 0);
  const task = plan.tasks[work.task[row]];
  const load = model.load(defaultCounting);
  const price = pricer(model, row, need, rateBookOf(plan));
  const onProject = peopleOnProject(model, work.project[row]);
  const list = plan.people.map((person, at): Candidate => {
    const room = roomDays(model, load, at, need.range);
    const taken = need.minutes.map((minutes, i) => Math.min(minutes, room[i]));
    const covered = taken.reduce((sum, minutes) => sum + minutes, 0);
    return {
      person: at,
      cover: shareOf(covered, total) ?? 0,
      covered,
      fit: fitOf(person, task),
      cost: price(at, taken),
      isOnProject: onProject.has(at),
      missing: missingOf(plan, person, task, work.role[row]),
      room,
    };
  });
  return list.sort(
    (a, b) =>
      Math.sign(a.missing.length) - Math.sign(b.missing.length) ||
      b.cover - a.cover ||
      b.fit - a.fit ||
      a.cost - b.cost ||
      compareCodePoints(plan.people[a.person].name, plan.people[b.person].name) ||
      a.person - b.person,
  );
}

/** The best few of those with the role and every skill and some room. Of many who cover and fit alike, those are looked at
 * whose rate on the first day is the least.
 * @param book The plan's rates, laid out once for many openings. */
export function bestFitting(model: Model, row: number, book: RateBook, most: number): Candidate[] {
  const { plan, work } = model;
  const need = needOf(model, row);
  const task = plan.tasks[work.task[row]];
  const load = model.load(defaultCounting);
  const price = pricer(model, row, need, book);
  const list = plan.people.flatMap((person, at): Candidate[] => {
    if (missingOf(plan, person, task, work.role[row]).length > 0) return [];
    const room = roomDays(model, load, at, need.range);
    const covered = fitting(need.minutes, room);
    return covered === 0
      ? []
      : [{ person: at, cover: covered, covered, fit: fitOf(person, task), cost: 0, isOnProject: false, missing: [], room }];
  });
  for (const own of list) own.cost = price(own.person, Int32Array.of(own.covered));
  const best = list.sort((a, b) => b.covered - a.covered || b.fit - a.fit || a.cost - b.cost || a.person - b.person).slice(0, most);
  for (const own of best)
    own.cost = price(
      own.person,
      need.minutes.map((minutes, i) => Math.min(minutes, own.room[i])),
    );
  return best;
}

function levelOf({ skills = [] }: Person, skillId: string): number {
  return skills.find((own) => own.skillId === skillId)?.level ?? 0;
}

function fitOf(person: Person, { skills = [] }: Task): number {
  if (skills.length === 0) return 10_000;
  const levels = skills.reduce((sum, { skillId }) => sum + levelOf(person, skillId), 0);
  return roundedQuotient(levels * 10_000, 5 * skills.length);
}

/** The roles and skills that a person is missing for a task, as `role:ID` and `skill:ID`. A role in any place of the person's
 * list is enough; work without a role needs the skills alone. */
export function missingOf({ roles }: Plan, person: Person, { skills = [] }: Pick<Task, "skills">, role: number): string[] {
  const missing = skills.filter(({ skillId, level }) => levelOf(person, skillId) < level).map(({ skillId }) => `skill:${skillId}`);
  return role >= 0 && !person.roleIds.includes(roles[role].id) ? [`role:${roles[role].id}`, ...missing] : missing;
}

/** Prices the minutes a person would work, at the standard rate of each day in the opening's role. */
function pricer({ plan, work }: Model, row: number, { range }: Need, book: RateBook): (person: number, minutes: Int32Array) => number {
  const table = book.table(plan.projects[work.project[row]].costTableId);
  if (!table) return () => 0;
  const exchange = book.exchange(table);
  return (person, minutes) => {
    const stretches = book.labour(table, plan.people[person].id, costRole(plan, work.role[row], person));
    return costOfMinutes(stretches, exchange, range.start, minutes);
  };
}

function peopleOnProject({ work }: Model, project: number): Set<number> {
  const people = new Set<number>();
  for (let row = 0; row < work.assignments; row++) if (work.project[row] === project && work.person[row] >= 0) people.add(work.person[row]);
  return people;
}
