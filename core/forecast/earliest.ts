// When a project could start: for each week it is moved there as a whole, and what its roles lack is summed.
import { type Day, parseDay } from "../calendar/day.ts";
import { horizonOf, periodSettingsOf } from "../calendar/horizon.ts";
import { periodStart, periodsIn, type Range } from "../calendar/periods.ts";
import { applyChanges } from "../edits/change.ts";
import { countedShares, defaultCounting } from "../load/counting.ts";
import { buildModel, type Model } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { updateModel } from "../update.ts";
import { capacityOf, demandOf } from "./demand.ts";
import { type DemandGroups, roleGroups } from "./groups.ts";
import { movedProject } from "./movedProject.ts";

/** A week in which the project could start. */
export interface StartWeek {
  start: Day;
  finish: Day;
  /** Minutes that the roles lack, and those that nobody can work. */
  shortage: number;
  /** The role and week that lack most; null where none does. */
  binds: { role: number; week: Range; minutes: number } | null;
}

/** The curve of shortage over the weeks of the horizon.
 * @param projectRow The project, wherever it stands now. */
export function* earliestStarts(model: Model, projectRow: number): Generator<StartWeek> {
  const { plan } = model;
  const settings = periodSettingsOf(plan);
  const { start, stop } = horizonOf(plan);
  const room = new RoleRoom(model, projectRow);
  const first = periodStart(start, "week", settings);
  const alone = aloneWith(model, projectRow);
  const [base, row] = alone ? [buildModel(alone), 0] : [model, projectRow];
  for (let week = first < start ? first + 7 : first; week < stop; week += 7) {
    const changes = movedProject(base.plan, row, week - parseDay(plan.projects[projectRow].start));
    const moved = changes.length === 0 ? base : updateModel(base, applyChanges(base.plan, changes), changes);
    yield { start: week, finish: moved.schedule.projects[row].finish.day, ...room.lacking(moved, row) };
  }
}

/** The plan with this project and no other: what it asks for hangs on nothing else, and moving it there takes a fraction of
 * the time. Null where links tie it to other projects. */
function aloneWith({ plan }: Model, projectRow: number): Plan | null {
  const project = plan.projects[projectRow];
  const tasks = plan.tasks.filter(({ projectId }) => projectId === project.id);
  const own = new Set(tasks.map(({ id }) => id));
  const links = plan.links.filter(({ from, to }) => own.has(from) || own.has(to));
  if (links.some(({ from, to }) => own.has(from) !== own.has(to))) return null;
  const assignments = plan.assignments.filter(({ taskId }) => own.has(taskId));
  const named = new Set(assignments.map(({ personId }) => personId));
  const people = plan.people.filter(({ id }) => named.has(id));
  const teams = plan.teams.map((team) => ({ ...team, memberIds: [] }));
  return { ...plan, projects: [project], tasks, links, assignments, people, teams, expenses: [], comments: [], requests: [] };
}

/** How much further the room is worked out where a project reaches past it: week by week it would be summed each time. */
const A_YEAR = 52 * 7;

/** What the roles have free by week without the project's own work. Weeks are worked out when they are first asked for. */
class RoleRoom {
  readonly #roles: DemandGroups;
  #weeks: Range[] = [];
  #room = new Float64Array(0);

  constructor(
    private readonly model: Model,
    private readonly project: number,
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
    const shares = countedShares(model, defaultCounting);
    const isOther = (row: number) => shares[row] > 0 && model.work.project[row] !== this.project;
    const load = demandOf(model, this.#roles, this.#weeks, isOther);
    this.#room = capacityOf(model, this.#roles, this.#weeks).map((capacity, slot) => Math.max(0, capacity - load[slot]));
  }

  /** What the project asks for beyond the room, where it stands in a plan. */
  lacking(moved: Model, project: number): Pick<StartWeek, "shortage" | "binds"> {
    const { unplaced, roles } = this.byRole(moved, project);
    let shortage = unplaced;
    let binds: StartWeek["binds"] = null;
    for (const { role, lacking, worst } of roles) {
      shortage += lacking;
      if (worst && (!binds || worst.minutes > binds.minutes)) binds = { role, ...worst };
    }
    return { shortage, binds };
  }

  /** What it asks for and lacks by role, where it stands in a plan; and what of it nobody can work at all. */
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
    const demand = demandOf(moved, roleGroups(moved), this.#weeks, (row) => work.project[row] === project);
    return { unplaced, roles: moved.plan.roles.flatMap((_, role) => this.#needOf(role, demand)) };
  }

  #needOf(role: number, demand: Float64Array): RoleNeed[] {
    const need: RoleNeed = { role, asked: 0, lacking: 0, worst: null };
    this.#weeks.forEach((week, at) => {
      const slot = role * this.#weeks.length + at;
      need.asked += demand[slot];
      const minutes = Math.max(0, demand[slot] - this.#room[slot]);
      need.lacking += minutes;
      if (minutes > (need.worst?.minutes ?? 0)) need.worst = { week, minutes };
    });
    return need.asked > 0 ? [need] : [];
  }
}

/** What a project asks of one role: minutes in all, those beyond the role's room, and the week that lacks most. */
export interface RoleNeed {
  role: number;
  asked: number;
  lacking: number;
  worst: { week: Range; minutes: number } | null;
}

/** What a project asks of each role where it stands, and what the role has no room for beside all other work. */
export const roleNeeds = (model: Model, projectRow: number): RoleNeed[] => new RoleRoom(model, projectRow).byRole(model, projectRow).roles;
