// Taking a baseline: the plan as it is promised today, kept as dates, minutes and cost by day.
import { formatDay } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import { type Costs, moneyLinesIn } from "../cost/costs.ts";
import { moneySpan } from "../cost/moneySpan.ts";
import type { Placed } from "../placing/placed.ts";
import type { Baseline } from "../plan/schema.ts";
import { SUMMARY } from "../schedule/network.ts";
import { isCost, leafOf } from "./taskCosts.ts";

/** Minutes and minor units by day. */
type DaySums = Map<number, [minutes: number, minor: number]>;

/** The baseline of some projects as they are: pencilled work and pipeline projects count in full.
 * @param projects Rows of the projects that it holds. */
export function takeBaseline(
  model: Placed & { costsOfHorizon(): Costs },
  { id, name, note }: Pick<Baseline, "id" | "name" | "note">,
  projects: ReadonlySet<number>,
): Baseline {
  const { plan, schedule, progress } = model;
  const { network } = schedule;
  const ofTasks = new Map<number, DaySums>();
  const ofProjects = new Map<number, DaySums>();
  const held = (task: number) => projects.has(network.project[task]);
  addMinutes(model, held, ofTasks);
  addCosts(model, projects, ofTasks, ofProjects);
  const unplaced = unplacedByTask(model);
  const tasks = plan.tasks.flatMap((task, row): Baseline["tasks"] => {
    if (network.sizing[row] === SUMMARY || !held(row)) return [];
    const dates = schedule.of(row);
    return [
      {
        taskId: task.id,
        projectId: task.projectId,
        name: task.name,
        ...(dates && { start: formatDay(dates.start.day), finish: formatDay(dates.finish.day) }),
        unplaced: unplaced[row],
        days: daysOf(ofTasks.get(row)).map(([day, minutes, minor]) => [formatDay(day), minutes, minor]),
      },
    ];
  });
  return {
    id,
    name,
    takenOn: formatDay(progress.status),
    ...(note !== undefined && { note }),
    tasks,
    projects: plan.projects.flatMap((project, row): Baseline["projects"] => {
      if (!projects.has(row)) return [];
      const { start, finish } = schedule.projects[row];
      const days = daysOf(ofProjects.get(row)).map(([day, , minor]): [string, number] => [formatDay(day), minor]);
      return [{ projectId: project.id, start: formatDay(start.day), finish: formatDay(finish.day), days }];
    }),
  };
}

/** The days that have something, in order. */
const daysOf = (sums: DaySums = new Map()): [day: number, minutes: number, minor: number][] =>
  [...sums]
    .flatMap(([day, [minutes, minor]]): [number, number, number][] => (minutes === 0 && minor === 0 ? [] : [[day, minutes, minor]]))
    .sort((a, b) => a[0] - b[0]);

function put(sums: Map<number, DaySums>, row: number, day: number, minutes: number, minor: number): void {
  const own = sums.get(row) ?? new Map();
  sums.set(row, own);
  const [knownMinutes, knownMinor] = own.get(day) ?? [0, 0];
  own.set(day, [knownMinutes + minutes, knownMinor + minor]);
}

function addMinutes({ work, placements }: Placed, held: (task: number) => boolean, sums: Map<number, DaySums>): void {
  const { start, length, offset, buffer } = placements;
  for (let row = 0; row < work.rows; row++) {
    if (work.isMaterial[row] === 1 || !held(work.task[row])) continue;
    for (let i = 0; i < length[row]; i++) {
      const minutes = buffer.minutes[offset[row] + i];
      if (minutes > 0) put(sums, work.task[row], start[row] + i, minutes, 0);
    }
  }
}

function addCosts(
  model: Placed & { costsOfHorizon(): Costs },
  projects: ReadonlySet<number>,
  ofTasks: Map<number, DaySums>,
  ofProjects: Map<number, DaySums>,
): void {
  const span = moneySpan(model);
  const days = Array.from({ length: span.stop - span.start }, (_, at): Range => ({ start: span.start + at, stop: span.start + at + 1 }));
  for (const line of moneyLinesIn(model, span, days)) {
    if (!projects.has(line.project) || !isCost(model, line)) continue;
    const leaf = leafOf(model, line);
    line.amounts.forEach((minor, at) => {
      if (minor === 0) return;
      if (leaf >= 0) put(ofTasks, leaf, span.start + at, 0, minor);
      else put(ofProjects, line.project, span.start + at, 0, minor);
    });
  }
}

function unplacedByTask({ plan, work, placements }: Placed): Float64Array {
  const unplaced = new Float64Array(plan.tasks.length);
  for (let row = 0; row < work.rows; row++) if (work.isMaterial[row] === 0) unplaced[work.task[row]] += placements.unplaced[row];
  return unplaced;
}
