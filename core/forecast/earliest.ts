// When a project could start: for each week it is moved there as a whole, and what its roles lack is summed.
import { type Day, parseDay } from "../calendar/day.ts";
import { horizonOf, periodSettingsOf } from "../calendar/horizon.ts";
import { periodStart, periodsIn, type Range } from "../calendar/periods.ts";
import { applyChanges } from "../edits/change.ts";
import { type Counting, defaultCounting } from "../load/counting.ts";
import { buildModel, type Model } from "../model.ts";
import { flagsOf, rowById } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import { updateModel } from "../update/update.ts";
import { lookUp } from "../values/lookUp.ts";
import { capacityOf, countedDemandOf, demandOf } from "./demand.ts";
import { type DemandGroups, roleGroups } from "./groups.ts";
import { movedProject } from "./movedProject.ts";

/** A week in which the project could start. */
export interface StartWeek {
  start: Day;
  finish: Day;
  /** Minutes that the roles lack, and those that nobody can work. */
  shortage: number;
  /** The role and week with the largest shortage; null if there is none. */
  binds: { role: number; week: Range; minutes: number } | null;
}

/** The curve of shortage over the weeks of the horizon: the project is moved to each week with everything that follows it through
 * links, and its demand is compared with the room of the plan after the move.
 * @param projectRow The project, wherever it is now.
 * @param counting The other work that takes room; approved work and pencilled assignments by default. */
export function* earliestStarts(model: Model, projectRow: number, counting: Counting = defaultCounting): Generator<StartWeek> {
  const { plan } = model;
  const settings = periodSettingsOf(plan);
  const { start, stop } = horizonOf(plan);
  const linked = linkedProjects(plan, plan.projects[projectRow].id);
  const room = new RoleRoom(model, linked, counting);
  const first = periodStart(start, "week", settings);
  const base = buildModel(onlyProjects(plan, linked), model.recorded);
  const row = lookUp(rowById(base.plan.projects), plan.projects[projectRow].id);
  for (let week = first < start ? first + 7 : first; week < stop; week += 7) {
    const changes = movedProject(base.plan, row, week - parseDay(plan.projects[projectRow].start));
    const moved = changes.length === 0 ? base : updateModel(base, applyChanges(base.plan, changes), changes);
    yield { start: week, finish: moved.schedule.projects[row].finish.day, ...room.short(moved, row) };
  }
}

/** Ids of a project and of all that links tie to it, directly or through others. */
function linkedProjects({ tasks, links }: Plan, projectId: string): Set<string> {
  const projectOf = new Map(tasks.map((task) => [task.id, task.projectId]));
  const neighbours = new Map<string, Set<string>>();
  const join = (one: string, other: string) => neighbours.set(one, (neighbours.get(one) ?? new Set()).add(other));
  for (const { from, to } of links) {
    const [one, other] = [lookUp(projectOf, from), lookUp(projectOf, to)];
    if (one === other) continue;
    join(one, other);
    join(other, one);
  }
  const linked = new Set([projectId]);
  for (const own of linked) for (const other of neighbours.get(own) ?? []) linked.add(other);
  return linked;
}

/** The plan with some projects and no other: the dates and the work of these depend on nothing else, and moving one takes a
 * fraction of the time. */
function onlyProjects(plan: Plan, wanted: ReadonlySet<string>): Plan {
  const projects = plan.projects.filter(({ id }) => wanted.has(id));
  const tasks = plan.tasks.filter(({ projectId }) => wanted.has(projectId));
  const own = new Set(tasks.map(({ id }) => id));
  const links = plan.links.filter(({ from, to }) => own.has(from) && own.has(to));
  const assignments = plan.assignments.filter(({ taskId }) => own.has(taskId));
  const named = new Set(assignments.map(({ personId }) => personId));
  const people = plan.people.filter(({ id }) => named.has(id));
  const teams = plan.teams.map((team) => ({ ...team, memberIds: [] }));
  return { ...plan, projects, tasks, links, assignments, people, teams, expenses: [], comments: [], requests: [] };
}

/** How much further the room is worked out where a project reaches past it: week by week it would be summed each time. */
const A_YEAR = 52 * 7;

/** The free hours of the roles by week. The work of some projects is left out of the kept sums, and added when these projects are
 * moved. Weeks are summed on demand. */
class RoleRoom {
  readonly #roles: DemandGroups;
  #weeks: Range[] = [];
  /** free[role × weeks + week]: capacity less the work that stays; may be negative. */
  #free = new Float64Array(0);

  /** @param moving Ids of the projects whose work is left out. */
  constructor(
    private readonly model: Model,
    private readonly moving: ReadonlySet<string>,
    private readonly counting: Counting,
  ) {
    this.#roles = roleGroups(model);
    this.#reach(horizonOf(model.plan));
  }

  /** Whole weeks around a range. */
  #reach(range: Range): void {
    const { model } = this;
    const settings = periodSettingsOf(model.plan);
    const whole = { start: periodStart(range.start, "week", settings), stop: periodStart(range.stop - 1, "week", settings) + 7 };
    const [first, last] = [this.#weeks.at(0)?.start ?? whole.start, this.#weeks.at(-1)?.stop ?? whole.stop];
    if (this.#weeks.length > 0 && first <= whole.start && last >= whole.stop) return;
    const reach = {
      start: whole.start < first ? whole.start - A_YEAR : first,
      stop: whole.stop > last ? whole.stop + A_YEAR : last,
    };
    this.#weeks = periodsIn(reach, "week", settings);
    const stays = flagsOf(model.plan.projects, ({ id }) => !this.moving.has(id));
    const load = countedDemandOf(model, this.#roles, this.#weeks, (row) => stays[model.work.project[row]] === 1, this.counting);
    this.#free = capacityOf(model, this.#roles, this.#weeks).map((capacity, slot) => capacity - load[slot]);
  }

  /** The project's demand beyond the room, in a plan that has it. */
  short(moved: Model, project: number): Pick<StartWeek, "shortage" | "binds"> {
    const { unplaced, roles } = this.byRole(moved, project);
    let shortage = unplaced;
    let binds: StartWeek["binds"] = null;
    for (const { role, short, worst } of roles) {
      shortage += short;
      if (worst && (!binds || worst.minutes > binds.minutes)) binds = { role, ...worst };
    }
    return { shortage, binds };
  }

  /** Its demand and shortage by role, in a plan that has it; and the hours that cannot be worked at all. */
  byRole(moved: Model, project: number): { unplaced: number; roles: RoleNeed[] } {
    const { work, placements } = moved;
    let [start, stop, unplaced] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY, 0];
    for (let row = 0; row < work.rows; row++) {
      if (work.project[row] !== project || work.isMaterial[row] === 1) continue;
      unplaced += placements.unplaced[row];
      if (placements.length[row] === 0) continue;
      start = Math.min(start, placements.start[row]);
      stop = Math.max(stop, placements.start[row] + placements.length[row]);
    }
    if (stop <= start) return { unplaced, roles: [] };
    this.#reach({ start, stop });
    const roles = roleGroups(moved);
    const demand = demandOf(moved, roles, this.#weeks, (row) => work.project[row] === project);
    const follows = flagsOf(moved.plan.projects, ({ id }, own) => own !== project && this.moving.has(id));
    const following = countedDemandOf(moved, roles, this.#weeks, (row) => follows[work.project[row]] === 1, this.counting);
    const room = this.#free.map((free, slot) => Math.max(0, free - following[slot]));
    return { unplaced, roles: moved.plan.roles.flatMap((_, role) => this.#needOf(role, demand, room)) };
  }

  #needOf(role: number, demand: Float64Array, room: Float64Array): RoleNeed[] {
    const need: RoleNeed = { role, asked: 0, short: 0, worst: null };
    this.#weeks.forEach((week, at) => {
      const slot = role * this.#weeks.length + at;
      need.asked += demand[slot];
      const minutes = Math.max(0, demand[slot] - room[slot]);
      need.short += minutes;
      if (minutes > (need.worst?.minutes ?? 0)) need.worst = { week, minutes };
    });
    return need.asked > 0 ? [need] : [];
  }
}

/** A project's demand on one role: total minutes, those beyond the role's room, and the week with the largest shortage. */
export interface RoleNeed {
  role: number;
  asked: number;
  short: number;
  worst: { week: Range; minutes: number } | null;
}

/** A project's demand on each role on its present dates, and the part for which the role has no room next to the other work that
 * counts. */
export function roleNeeds(model: Model, projectRow: number, counting: Counting = defaultCounting): RoleNeed[] {
  const room = new RoleRoom(model, new Set([model.plan.projects[projectRow].id]), counting);
  return room.byRole(model, projectRow).roles;
}
