// The parts of a model's load, cost, slack and conflicts that stay valid after an edit.
import type { ProjectCosts } from "../cost/costs.ts";
import type { Change } from "../edits/change.ts";
import type { Model, Stages } from "../model.ts";
import { columnOf, findRow, flagsOf, membersOf, rowById } from "../plan/rows.ts";
import type { ChangedList, Plan } from "../plan/schema.ts";
import { DATED_AGAIN } from "../schedule/forward.ts";
import type { AttentionGroup } from "../signals/kinds.ts";
import { formerWorkRows } from "../work/work.ts";

/** The details of a step from one model to the next. */
export interface Step {
  changes: readonly Change[];
  /** By new row the former one, −1 for a new one; null where rows stayed as they were. */
  former: { tasks: Int32Array | null; assignments: Int32Array | null; people: Int32Array | null };
  /** By task row: `DATED_AGAIN` where it has been. */
  dated: Uint8Array;
}

/** The stages of `model` that hold for `next` too. */
export function carriedStages(model: Model, next: Model, step: Step): Stages {
  const sameDates = next.schedule === model.schedule;
  const { loads, costs } = model.stages;
  const stages: Stages = {
    loads: new Map(),
    costs: new Map(),
    slack: sameDates ? model.stages.slack : null,
    conflicts: sameDates ? model.stages.conflicts : null,
    signals: sameDates ? carriedSignals(model, step) : new Map(),
  };
  if (loads.size === 0 && costs.size === 0) return stages;
  const touched = touchedRows(model, next, step);
  const people = columnOf(next.plan.people, (_, row) => (touched.people.has(row) ? -1 : (step.former.people?.[row] ?? row)));
  for (const [key, book] of loads) stages.loads.set(key, book.carried(next, people));
  if (costs.size === 0 || step.changes.some(({ list }) => changesCost[list] === "all")) return stages;
  const former = rowById(model.plan.projects);
  const projects = projectsTouched(model.plan, next, step, touched);
  for (const [key, known] of costs)
    stages.costs.set(
      key,
      next.plan.projects.map(({ id }, row): ProjectCosts | undefined => (projects.has(row) ? undefined : known[former.get(id) ?? -1])),
    );
  return stages;
}

/** Rows of people and of projects whose work is not as it was. */
interface Touched {
  people: Set<number>;
  projects: Set<number>;
}

function touchedRows(model: Model, next: Model, { former }: Step): Touched {
  const touched: Touched = { people: new Set(), projects: new Set() };
  const [before, after] = [model.work, next.work];
  const same = sameness(model, next, former.people);
  const formerRow = formerWorkRows(before, after, former);
  const isUnchanged = new Uint8Array(before.rows);
  for (let row = 0; row < after.rows; row++) {
    const old = formerRow === null ? row : formerRow[row];
    if (old >= 0 && same(old, row)) isUnchanged[old] = 1;
    else touch(touched, after.person[row], after.project[row]);
  }
  const [people, projects] = [rowById(next.plan.people), rowById(next.plan.projects)];
  for (let old = 0; old < before.rows; old++)
    if (isUnchanged[old] === 0)
      touch(
        touched,
        people.get(model.plan.people[before.person[old]]?.id) ?? -1,
        projects.get(model.plan.projects[before.project[old]].id) ?? -1,
      );
  return touched;
}

/** Says of a former row of work and a new one whether they count alike on the same days for the same person. */
function sameness(model: Model, next: Model, formerPeople: Int32Array | null): (old: number, row: number) => boolean {
  const { offset: wasOffset, start: wasStart, length: wasLength, asked: wasAsked } = model.placements;
  const { offset, start, length, asked } = next.placements;
  const { person: wasPerson, isPencilled: wasPencilled, isAsked: wasAskedFor } = model.work;
  const { person, isPencilled, isAsked, project } = next.work;
  const known = rowById(model.plan.projects);
  const countsAlike = flagsOf(next.plan.projects, ({ id, stage, probability }) => {
    const old = model.plan.projects[known.get(id) ?? -1];
    return old !== undefined && old.stage === stage && old.probability === probability;
  });
  return (old, row) => {
    const own = person[row];
    return (
      wasOffset[old] === offset[row] &&
      wasStart[old] === start[row] &&
      wasLength[old] === length[row] &&
      wasAsked[old] === asked[row] &&
      wasPencilled[old] === isPencilled[row] &&
      wasAskedFor[old] === isAsked[row] &&
      wasPerson[old] === (own < 0 || formerPeople === null ? own : formerPeople[own]) &&
      countsAlike[project[row]] === 1
    );
  };
}

function touch({ people, projects }: Touched, person: number, project: number): void {
  if (person >= 0) people.add(person);
  if (project >= 0) projects.add(project);
}

/** The projects whose cost a changed row of a list affects: its own, those of the person's work, all, or none. */
const changesCost: Record<ChangedList, "own" | "person" | "all" | "none"> = {
  // A setting that costs depend on builds the model again.
  settings: "none",
  exchange: "all",
  calendars: "all",
  roles: "all",
  skills: "none",
  people: "person",
  teams: "none",
  materials: "none",
  rateTables: "all",
  clients: "none",
  projects: "own",
  tasks: "own",
  links: "none",
  assignments: "own",
  expenses: "own",
  templates: "none",
  comments: "none",
  views: "none",
  acceptances: "none",
  requests: "none",
  snoozes: "none",
  notes: "none",
  enquiries: "none",
  sketches: "none",
  timeEntries: "own",
  actualCosts: "own",
  baselines: "none",
};

/** The signals whose figures and names the changes leave as they are. Dates that moved can change any of them. */
function carriedSignals({ stages }: Model, { changes }: Step): Stages["signals"] {
  const changed = new Set(changes.flatMap(({ list }) => changesSignals[list]));
  return new Map([...stages.signals].filter(([group]) => !changed.has(group)));
}

const everyGroup: readonly AttentionGroup[] = ["people", "work", "dates", "money"];

/** The groups of signals that a changed row of a list can change while all dates stay. */
const changesSignals: Record<ChangedList, readonly AttentionGroup[]> = {
  // The load band and the goal of margins; the rules of signals apply after they are made.
  settings: ["people", "money"],
  exchange: ["money"],
  calendars: everyGroup,
  roles: everyGroup,
  skills: [],
  people: ["people", "work", "money"],
  teams: ["people", "work", "money"],
  materials: ["money"],
  rateTables: ["money"],
  clients: [],
  projects: everyGroup,
  tasks: everyGroup,
  links: [],
  assignments: ["people", "work", "money"],
  expenses: ["money"],
  templates: [],
  comments: [],
  views: [],
  acceptances: ["people"],
  requests: ["work"],
  snoozes: [],
  notes: [],
  enquiries: [],
  sketches: [],
  timeEntries: everyGroup,
  actualCosts: ["money"],
  baselines: ["dates"],
};

function projectsTouched(before: Plan, next: Model, { changes, dated }: Step, touched: Touched): Set<number> {
  const { plan, work } = next;
  const projects = new Set(touched.projects);
  const ofPerson = (person: number) => {
    for (const row of membersOf(work.byPerson, person)) projects.add(work.project[row]);
  };
  // Work of a person with overtime costs more on all of it.
  for (const person of touched.people) if ((plan.people[person].overtime ?? []).length > 0) ofPerson(person);
  dated.forEach((state, task) => {
    if (state === DATED_AGAIN) projects.add(next.schedule.network.project[task]);
  });
  for (const change of changes) {
    if (changesCost[change.list] === "person") ofPerson(rowById(plan.people).get(change.id) ?? -1);
    for (const project of projectsOf(before, plan, change)) projects.add(project);
  }
  return projects;
}

/** Rows of the projects that a changed row belonged and belongs to. */
function projectsOf(before: Plan, plan: Plan, { list, id, before: was, after: is }: Change): number[] {
  const projects = rowById(plan.projects);
  const rowOf = (projectId: string | undefined) => projects.get(projectId ?? "") ?? -1;
  switch (list) {
    case "projects":
      return [rowOf(id)];
    case "tasks":
    case "expenses":
    case "actualCosts":
      return [rowOf(was?.projectId), rowOf(is?.projectId)];
    case "assignments":
      return [rowOf(findRow(before.tasks, was?.taskId)?.projectId), rowOf(findRow(plan.tasks, is?.taskId)?.projectId)];
    default:
      return [];
  }
}
