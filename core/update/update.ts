// From one revision of a plan to the next: only what an edit touches is dated and placed again.
import type { Change } from "../edits/change.ts";
import { buildModel, Model } from "../model.ts";
import { type PlaceInput, placeAssignment, placeImplicitOpening } from "../placing/place.ts";
import { carryPlacements, type Placements } from "../placing/placements.ts";
import { columnOf, formerRows, rowById } from "../plan/rows.ts";
import type { ChangedList, Plan, Settings, Task } from "../plan/schema.ts";
import { forFollowers, forLeaves, graphOf, isSummary, type TaskGraph } from "../plan/taskGraph.ts";
import { progressOf, UNTRACKED } from "../progress/progress.ts";
import { isTracked } from "../recorded/actuals.ts";
import { recordedOf } from "../recorded/recorded.ts";
import { carryDates, type Schedule } from "../schedule/dates.ts";
import { DATED_AGAIN, reschedule, STALE } from "../schedule/forward.ts";
import { EFFORT, type Network, networkChanged, networkOf } from "../schedule/network.ts";
import { lookUp } from "../values/lookUp.ts";
import { objectKeys } from "../values/objectKeys.ts";
import { isOneOf } from "../values/oneOf.ts";
import { formerWorkRows, type Work, workChanged, workOf, workWithRows } from "../work/work.ts";
import { carriedStages } from "./stages.ts";

/** The model of the plan after `changes`; the same as a new one. Calendars, and settings that dates or costs depend on, change
 * every line: then the model is built again. */
export function updateModel(model: Model, plan: Plan, changes: readonly Change[]): Model {
  const isNew = changes.some((change) => (change.list === "settings" ? changesModel(change) : changesLines[change.list]));
  const isRecorded = model.progress.isTracked || plan.projects.some(isTracked);
  if (isNew || (isRecorded && !changes.every(leavesRecorded))) return buildModel(plan, recordedAfter(model, plan, changes));
  const former = formerOf(model.plan, plan);
  const work = updatedWork(model, plan, changes, former.assignments);
  const capacity = updatedCapacity(model, plan, changes, former.people);
  // In the order that they were laid out in.
  const progress = progressOf(plan, work, model.recorded, [...model.progress.lines.values()]);
  const network = updatedNetwork({ ...model.schedule.network, progress }, plan, changes);
  const touched = touchedTasks(plan, network, work, changes);
  const schedule = updatedSchedule(model.schedule, { network, work, capacity, touched, former });
  const input: PlaceInput = { plan, work, schedule, capacity, progress };
  const placements = updatedPlacements(model, input, changes, touched, former);
  const parts = { plan, lines: model.lines, capacity, work, recorded: recordedAfter(model, plan, changes), progress, schedule, placements };
  return new Model(parts, (next) => carriedStages(model, next, { changes, former, dated: touched.stale }));
}

/** True of a change that leaves every recorded hour with the work it belongs to, in the row it has: rows that it touches are
 * dated and placed again, all others stay. Any other change lays out the work of a plan with recorded hours from the start. */
function leavesRecorded(change: Change): boolean {
  const { list, before, after } = change;
  switch (list) {
    case "timeEntries":
      return leavesBook(change);
    case "teams":
    case "roles":
      return false;
    case "projects":
      return before !== null && after !== null && before.tracking === after.tracking && before.stage === after.stage;
    case "people":
      return isInPlace(change);
    case "tasks":
      return isInPlace(change) && !changesWork(change);
    case "assignments":
      return (
        before !== null &&
        after !== null &&
        (["taskId", "personId", "teamId", "materialId", "roleId", "firmness"] as const).every((key) => before[key] === after[key])
      );
    default:
      return true;
  }
}

/** The approved hours of a plan; the same book where no approved hour comes or goes. */
const recordedAfter = ({ recorded }: Model, plan: Plan, changes: readonly Change[]) =>
  changes.every(leavesBook) ? recorded : recordedOf(plan, recorded.clock);

function leavesBook({ list, before, after }: Change): boolean {
  if (list !== "timeEntries") return true;
  return ![before, after].some((entry) => entry?.state === "approved" && entry.taskId !== undefined);
}

/** The effect of a change of each list on the working-time lines under all dates. A new list must be considered here, and in
 * `changesCost`. */
const changesLines: Record<Exclude<ChangedList, "settings">, boolean> = {
  exchange: false,
  calendars: true,
  roles: false,
  skills: false,
  people: false,
  teams: false,
  materials: false,
  rateTables: false,
  clients: false,
  projects: false,
  tasks: false,
  links: false,
  assignments: false,
  expenses: false,
  templates: false,
  comments: false,
  views: false,
  acceptances: false,
  requests: false,
  snoozes: false,
  notes: false,
  enquiries: false,
  sketches: false,
  timeEntries: false,
  actualCosts: false,
  baselines: false,
};

/** True for the settings that dates, periods or costs depend on. A new setting must be considered here. */
const inModel: Record<keyof Settings, boolean> = {
  name: false,
  currency: true,
  weekStartsOn: true,
  planStart: true,
  planEnd: true,
  today: true,
  fiscalYearStartMonth: true,
  hoursPerFteWeek: false,
  levelBand: false,
  marginTarget: false,
  taxInCost: true,
  closedUntil: false,
  enquiryForm: false,
  attention: false,
};

function changesModel({ before, after }: Change<"settings">): boolean {
  return objectKeys(inModel).some((key) => inModel[key] && before?.[key] !== after?.[key]);
}

/** Former rows of the lists that columns run over. */
interface Former {
  tasks: Int32Array | null;
  links: Int32Array | null;
  assignments: Int32Array | null;
  people: Int32Array | null;
}

function formerOf(before: Plan, after: Plan): Former {
  const of = (list: keyof Former) => formerRows(before[list], after[list]);
  return { tasks: of("tasks"), links: of("links"), assignments: of("assignments"), people: of("people") };
}

const isInPlace = ({ before, after }: Change): boolean => before !== null && after !== null;

function updatedWork(model: Model, plan: Plan, changes: readonly Change[], former: Int32Array | null): Work {
  const rows = rowById(plan.assignments);
  const assignments = new Set<number>();
  for (const change of changes) {
    if (change.list !== "assignments" && changesWork(change)) return workOf(plan);
    const row = change.list === "assignments" ? rows.get(change.id) : undefined;
    if (row !== undefined) assignments.add(row);
  }
  // A row that was added and changed at once is written again in either way.
  if (former) return workWithRows(plan, model.work, former, [...assignments]);
  return assignments.size > 0 ? workChanged(plan, model.work, [...assignments]) : model.work;
}

function changesWork(change: Change): boolean {
  const { list } = change;
  if (list === "tasks" && change.before && change.after) {
    const { before, after } = change;
    return (["roleId", "projectId", "parentId", "effortHours"] as const).some((key) => before[key] !== after[key]);
  }
  return isOneOf(["tasks", "projects", "people", "teams", "roles"], list) && !isInPlace(change);
}

function updatedCapacity(model: Model, plan: Plan, changes: readonly Change[], formerPeople: Int32Array | null): Model["capacity"] {
  const changed = new Set(changes.filter(({ list }) => list === "people").map(({ id }) => id));
  if (changed.size === 0) return model.capacity;
  const former = columnOf(plan.people, ({ id }, row) => (changed.has(id) ? -1 : formerPeople ? formerPeople[row] : row));
  return model.capacity.withPeople(plan, model.lines, former);
}

function updatedNetwork(former: Network, plan: Plan, changes: readonly Change[]): Network {
  const read = changes.filter((change) => isOneOf(["tasks", "links", "projects"], change.list) || changesRemaining(former, plan, change));
  if (read.length === 0) return { ...former, plan };
  if (read.some((change) => !isInPlace(change))) return networkOf(plan, former.lines, graphOf(plan), former.progress);
  const graph = read.some(changesGraph) ? graphOf(plan) : former.graph;
  const tasks = new Set<number>();
  const links: number[] = [];
  for (const change of read) {
    const { list, id } = change;
    if (list === "links") links.push(lookUp(rowById(plan.links), id));
    else if (list === "assignments") tasks.add(lookUp(rowById(plan.tasks), change.after?.taskId ?? ""));
    else if (list === "projects") for (const row of tasksOfProject(former, plan, id)) tasks.add(row);
    else if (list === "tasks") {
      tasks.add(lookUp(rowById(plan.tasks), id));
      // A task may have become a summary, or have stopped being one.
      for (const parent of parentRows(plan, change.before, change.after)) tasks.add(parent);
    }
  }
  return networkChanged(former, plan, graph, tasks, links);
}

/** True of a change of work whose remaining hours decide how long its task still lasts. */
function changesRemaining({ progress }: Network, plan: Plan, { list, after }: Change): boolean {
  if (list !== "assignments" || !after) return false;
  return progress.stage[rowById(plan.tasks).get(after.taskId) ?? -1] !== UNTRACKED && progress.isTracked;
}

function changesGraph({ list, before, after }: Change): boolean {
  if (!before || !after) return true;
  if (list === "tasks") return before.parentId !== after.parentId || (before.sizing === undefined) !== (after.sizing === undefined);
  return list === "links" && (before.from !== after.from || before.to !== after.to);
}

function tasksOfProject({ project }: Network, plan: Plan, id: string): number[] {
  const own = rowById(plan.projects).get(id);
  const rows: number[] = [];
  for (let row = 0; row < project.length; row++) if (project[row] === own) rows.push(row);
  return rows;
}

function parentRows(plan: Plan, ...tasks: readonly (Task | null)[]): number[] {
  return tasks.flatMap((task) => {
    const row = task?.parentId === undefined ? undefined : rowById(plan.tasks).get(task.parentId);
    return row === undefined ? [] : [row];
  });
}

/** The tasks that an edit touches, by row: those to be dated again, and those to be placed again even if their dates stay. */
interface Touched {
  stale: Uint8Array;
  placed: Set<number>;
}

function touchedTasks(plan: Plan, network: Network, work: Work, changes: readonly Change[]): Touched {
  const { graph } = network;
  const touched: Touched = { stale: new Uint8Array(plan.tasks.length), placed: new Set() };
  const rows = rowById(plan.tasks);
  for (const { list, id, before, after } of changes) {
    if (list === "tasks") {
      const row = rows.get(id);
      if (row !== undefined) touchBelow(touched, graph, row);
      for (const parent of parentRows(plan, before, after)) markWithFollowers(touched, graph, parent);
    } else if (list === "links")
      for (const link of [before, after]) {
        const row = rows.get(link?.to ?? "");
        if (row !== undefined) forLeaves(graph, row, (leaf) => markStale(touched, leaf));
      }
    else if (list === "projects") for (const row of tasksOfProject(network, plan, id)) touchBelow(touched, graph, row);
    else if (list === "assignments")
      for (const assignment of [before, after]) markSized(touched, network, rows.get(assignment?.taskId ?? "") ?? -1);
    else if (list === "people") touchPerson(touched, network, work, rowById(plan.people).get(id) ?? -1);
  }
  return touched;
}

/** A task that has lost its dates is read before those that followed it: nothing leads from it to them any more. */
function markWithFollowers(touched: Touched, graph: TaskGraph, row: number): void {
  markStale(touched, row);
  forFollowers(graph, row, (follower) => markStale(touched, follower));
}

function touchBelow(touched: Touched, graph: TaskGraph, row: number): void {
  markWithFollowers(touched, graph, row);
  touched.placed.add(row);
  if (isSummary(graph, row))
    forLeaves(graph, row, (leaf) => {
      markStale(touched, leaf);
      touched.placed.add(leaf);
    });
}

function markStale({ stale }: Touched, row: number): void {
  stale[row] = STALE;
}

/** Only of effort-sized tasks do the people on them decide the dates. */
function markEffort(touched: Touched, { sizing }: Network, row: number): void {
  if (row >= 0 && sizing[row] === EFFORT) markStale(touched, row);
}

/** Of work under way the remaining hours decide how long it lasts, too. */
function markSized(touched: Touched, network: Network, row: number): void {
  if (row >= 0 && network.progress.stage[row] !== UNTRACKED) markStale(touched, row);
  else markEffort(touched, network, row);
}

function touchPerson(touched: Touched, network: Network, { byPerson, task }: Work, person: number): void {
  if (person < 0) return;
  for (let at = byPerson.first[person]; at < byPerson.first[person + 1]; at++) markEffort(touched, network, task[byPerson.members[at]]);
}

interface Rescheduling {
  network: Network;
  work: Work;
  capacity: Model["capacity"];
  touched: Touched;
  former: Former;
}

function updatedSchedule(before: Schedule, { network, work, capacity, touched, former }: Rescheduling): Schedule {
  if (network.sizing === before.network.sizing && !touched.stale.includes(STALE)) return before;
  const newLinkOf = linkMover(former.links);
  const dates = carryDates(before.columns, network.sizing.length, former.tasks, newLinkOf);
  return reschedule(network, work, capacity, dates, touched.stale);
}

/** Gives the row that a former link row has now; −1 for none, and for one that is gone. */
function linkMover(former: Int32Array | null): (link: number) => number {
  if (!former) return (link) => link;
  const now = new Map<number, number>();
  former.forEach((old, row) => {
    if (old >= 0) now.set(old, row);
  });
  return (link) => now.get(link) ?? -1;
}

function updatedPlacements(
  model: Model,
  input: PlaceInput,
  changes: readonly Change[],
  { stale, placed }: Touched,
  former: Former,
): Placements {
  const { work, plan } = input;
  const placements = carryPlacements(model.placements, formerWorkRows(model.work, work, former));
  const [rows, tasks] = [new Set<number>(), new Set(placed)];
  for (let task = 0; task < stale.length; task++) if (stale[task] >= DATED_AGAIN) tasks.add(task);
  for (const task of tasks)
    for (let at = work.byTask.first[task]; at < work.byTask.first[task + 1]; at++) rows.add(work.byTask.members[at]);
  for (const { list, id, before } of changes) {
    if (list === "people") addRowsOf(work.byPerson, rowById(plan.people).get(id), rows);
    if (list !== "assignments") continue;
    const row = rowById(plan.assignments).get(id);
    if (row !== undefined) rows.add(row);
    // The remaining implicit opening of its former task changes, too.
    const left = rowById(plan.tasks).get(before?.taskId ?? "");
    if (left !== undefined) tasks.add(left);
  }
  for (const row of rows) {
    tasks.add(work.task[row]);
    if (row < work.assignments) placeAssignment(input, placements, row);
  }
  for (const task of tasks) if (work.implicitRow[task] >= 0) placeImplicitOpening(input, placements, task);
  return placements;
}

function addRowsOf({ first, members }: Work["byPerson"], person: number | undefined, rows: Set<number>): void {
  if (person !== undefined) for (let at = first[person]; at < first[person + 1]; at++) rows.add(members[at]);
}
