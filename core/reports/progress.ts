// The progress report: what has been done and spent, what remains, and how that compares with a baseline.
import { type Day, formatDay } from "../calendar/day.ts";
import type { WorkingLine } from "../calendar/workingLine.ts";
import type { Model } from "../model.ts";
import type { Baseline } from "../plan/schema.ts";
import { forLeaves } from "../plan/taskGraph.ts";
import { FINISHED, NO_DAY, UNDER_WAY, UNTRACKED } from "../progress/progress.ts";
import { SUMMARY } from "../schedule/network.ts";
import { earnedValue, finishDays, lineOfProject, type Promised, promisesOf, startDays } from "../status/earnedValue.ts";
import { taskCosts } from "../status/taskCosts.ts";
import { percentOf, recordedByTask, taskProgress } from "../status/taskProgress.ts";

/** Work in minutes and cost in minor units of a row of the report. */
interface Figures {
  actual: number;
  remaining: number;
  unplaced: number;
  recorded: number;
  percentComplete: number;
  actualCost: number;
  remainingCost: number;
  /** Placed and unplaced minutes. */
  work: number;
}

/** The dates of a row, and the line on which its deviations are counted. */
interface Dated {
  start: Day | null;
  finish: Day | null;
  line: WorkingLine;
}

/** The progress of every task and project that is not cancelled, and of all together. */
export function progressReport(model: Model, baseline: Baseline | null) {
  const { plan, schedule } = model;
  const { network } = schedule;
  const rows = new Rows(model);
  const promises = baseline && promisesOf(model, baseline, rows.percent);
  const isListed = (project: number) => plan.projects[project].stage !== "cancelled";
  const tasks = plan.tasks.flatMap(({ id }, task) => {
    const project = network.project[task];
    if (!isListed(project)) return [];
    const dates = schedule.of(task);
    const dated = { start: dates?.start.day ?? null, finish: dates?.finish.day ?? null, line: network.lines[network.line[task]] };
    const figures = rows.ofTask(task);
    const promise = promises?.projects[project] ? promises.tasks[task] : null;
    return [{ id, ...stageOf(model, task), ...printedDates(dated), ...printed(figures), ...compared(figures, promise, dated) }];
  });
  const listed = plan.projects.flatMap((_, project) => (isListed(project) ? [project] : []));
  const projects = listed.map((project) => {
    const { start, finish } = schedule.projects[project];
    const dated = { start: start.day, finish: finish.day, line: lineOfProject(model, project) };
    const figures = rows.ofProject(project);
    const promise = promises?.projects[project] ?? null;
    return { id: plan.projects[project].id, ...printedDates(dated), ...printed(figures), ...compared(figures, promise, dated) };
  });
  const held = listed.filter((project) => promises?.projects[project]);
  const together = held.map((project) => promises?.projects[project] as Promised).reduce(addPromise, null);
  return {
    statusDate: formatDay(model.progress.status),
    tasks,
    projects,
    totals: { ...printed(rows.ofProjects(listed)), ...compared(rows.ofProjects(held), together, null) },
  };
}

/** Figures by row, summed up from the leaves. */
class Rows {
  readonly percent: Int32Array;
  readonly #leavesOf: number[][];
  readonly #progress;
  readonly #costs;
  readonly #recorded;

  constructor(private readonly model: Model) {
    const { plan, schedule } = model;
    const { project, sizing } = schedule.network;
    this.#progress = taskProgress(model);
    this.#costs = taskCosts(model);
    this.#recorded = recordedByTask(model);
    this.percent = this.#progress.percent;
    this.#leavesOf = plan.projects.map(() => []);
    for (let task = 0; task < plan.tasks.length; task++) if (sizing[task] !== SUMMARY) this.#leavesOf[project[task]].push(task);
  }

  ofTask(task: number): Figures {
    const leaves: number[] = [];
    forLeaves(this.model.schedule.network.graph, task, (leaf) => leaves.push(leaf));
    return { ...this.#sum(leaves), percentComplete: this.percent[task] };
  }

  ofProject(project: number): Figures {
    return this.ofProjects([project]);
  }

  ofProjects(projects: readonly number[]): Figures {
    const figures = this.#sum(projects.flatMap((project) => this.#leavesOf[project]));
    for (const project of projects) {
      figures.actualCost += this.#costs.actualOfProject[project];
      figures.remainingCost += this.#costs.remainingOfProject[project];
    }
    return figures;
  }

  #sum(leaves: readonly number[]): Figures {
    const sumOf = (column: Float64Array) => leaves.reduce((sum, leaf) => sum + column[leaf], 0);
    return {
      actual: sumOf(this.#progress.actual),
      remaining: sumOf(this.#progress.remaining),
      unplaced: sumOf(this.#progress.unplaced),
      recorded: sumOf(this.#recorded),
      percentComplete: percentOf(this.#progress, leaves),
      actualCost: sumOf(this.#costs.actual),
      remainingCost: sumOf(this.#costs.remaining),
      work: sumOf(this.#progress.placed) + sumOf(this.#progress.unplaced),
    };
  }
}

const printed = ({ work: _, ...figures }: Figures): Omit<Figures, "work"> => figures;

const printedDates = ({ start, finish }: Dated) =>
  start === null || finish === null ? {} : { start: formatDay(start), finish: formatDay(finish) };

/** The stage of a leaf and the days it was worked on; nothing of a summary. */
function stageOf({ plan, progress, schedule }: Model, task: number) {
  if (schedule.network.sizing[task] === SUMMARY) return {};
  const stage = progress.stage[task];
  if (stage === UNTRACKED) {
    const { state = "notStarted" } = plan.tasks[task];
    return { stage: state === "done" ? "finished" : state };
  }
  const dayOf = (key: string, day: Day) => (day === NO_DAY ? {} : { [key]: formatDay(day) });
  return {
    stage: stage === FINISHED ? "finished" : stage === UNDER_WAY ? "underWay" : "notStarted",
    ...dayOf("actualStart", progress.actualStart[task]),
    ...dayOf("actualFinish", progress.actualFinish[task]),
  };
}

/** A row against what the baseline promised of it. @param dated Null for the totals, which have no dates. */
function compared(figures: Figures, promise: Promised | null, dated: Dated | null) {
  if (!promise) return {};
  const { actualCost, remainingCost, work } = figures;
  const [start, finish] = dated
    ? [startDays(dated.line, dated.start, promise.start), finishDays(dated.line, dated.finish, promise.finish)]
    : [null, null];
  return {
    baseline: {
      ...(dated && promise.start !== null && { start: formatDay(promise.start) }),
      ...(dated && promise.finish !== null && { finish: formatDay(promise.finish) }),
      minutes: promise.minutes,
      cost: promise.cost,
      ...(start !== null && { startDays: start }),
      ...(finish !== null && { finishDays: finish }),
      workMinutes: work - promise.minutes,
      costDifference: actualCost + remainingCost - promise.cost,
      ...earnedValue(promise, actualCost, remainingCost),
    },
  };
}

function addPromise(sum: Promised | null, own: Promised): Promised {
  if (!sum) return { ...own };
  return {
    ...sum,
    minutes: sum.minutes + own.minutes,
    cost: sum.cost + own.cost,
    planned: sum.planned + own.planned,
    earned: sum.earned + own.earned,
  };
}
