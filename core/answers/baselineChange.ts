// Two baselines side by side: how the promise changed from one to the other.
import type { Day } from "../calendar/day.ts";
import type { Model } from "../model.ts";
import type { Money } from "../plan/moneySides.ts";
import { findRow } from "../plan/rows.ts";
import { SUMMARY } from "../schedule/network.ts";
import type { DeviationBy } from "../status/deviationBy.ts";
import { finishDays, lineOfProject, type Promised, type Promises, promisesOf, startDays } from "../status/earnedValue.ts";

export interface BaselineChangeQuery {
  /** The earlier promise, and the later one. */
  baselineId: string;
  laterId: string;
  by: DeviationBy;
}

/** Minutes and minor units of the later promise less the earlier one; days are working days. */
export interface ChangedFigures {
  minutes: number;
  workMinutes: number;
  before: Money<"cost">;
  after: Money<"cost">;
  difference: Money<"cost">;
}

export interface ChangedRow extends ChangedFigures {
  id: string;
  name: string;
  projectRow: number;
  projectId: string;
  /** Of a task: its project. */
  projectName: string | null;
  /** The dates of the later promise; null for none. */
  start: Day | null;
  finish: Day | null;
  startDays: number | null;
  finishDays: number | null;
  /** In which of the two it is. */
  isIn: "both" | "earlier" | "later";
}

export interface BaselineChange {
  /** The largest delay of a finish first. */
  rows: ChangedRow[];
  totals: ChangedFigures;
}

/** The difference between two baselines of what is still in the plan; null where one is gone. */
export function baselineChange(model: Model, { baselineId, laterId, by }: BaselineChangeQuery): BaselineChange | null {
  const { plan, schedule } = model;
  const [earlier, later] = [findRow(plan.baselines, baselineId), findRow(plan.baselines, laterId)];
  if (!earlier || !later) return null;
  const percent = new Int32Array(plan.tasks.length);
  const promises = [promisesOf(model, earlier, percent), promisesOf(model, later, percent)] as const;
  const held = [earlier, later].map((own) => new Set(own.tasks.map(({ taskId }) => taskId)));
  const rows: ChangedRow[] = [];
  for (const [project, { id, name }] of plan.projects.entries()) {
    const [was, is] = promises.map((own) => own.projects[project]);
    if (by === "project" && (was || is))
      rows.push(changedRow({ id, name, projectRow: project, projectId: id, projectName: null }, lineOfProject(model, project), was, is));
  }
  if (by !== "project")
    for (const [task, { id, name, projectId, parentId }] of plan.tasks.entries()) {
      const isSummary = schedule.network.sizing[task] === SUMMARY;
      if (by === "phase" ? parentId !== undefined : isSummary) continue;
      const [was, is] = promises.map((own, at) => (isSummary || held[at].has(id) ? own.tasks[task] : null));
      const { project, line, lines } = schedule.network;
      if (hasPromise(was) || hasPromise(is))
        rows.push(
          changedRow(
            { id, name, projectRow: project[task], projectId, projectName: plan.projects[project[task]].name },
            lines[line[task]],
            was,
            is,
          ),
        );
    }
  return { rows: rows.sort(byDelay), totals: totalsOf(promises) };
}

const hasPromise = (own: Promised | null): boolean => own !== null && (own.start !== null || own.minutes !== 0 || own.cost !== 0);

function changedRow(
  subject: Pick<ChangedRow, "id" | "name" | "projectRow" | "projectId" | "projectName">,
  line: Parameters<typeof startDays>[0],
  was: Promised | null,
  is: Promised | null,
): ChangedRow {
  return {
    ...subject,
    start: is?.start ?? null,
    finish: is?.finish ?? null,
    startDays: startDays(line, is?.start ?? null, was?.start ?? null),
    finishDays: finishDays(line, is?.finish ?? null, was?.finish ?? null),
    isIn: was && is ? "both" : was ? "earlier" : "later",
    ...changedFigures(was, is),
  };
}

function changedFigures(was: Pick<Promised, "minutes" | "cost"> | null, is: Pick<Promised, "minutes" | "cost"> | null): ChangedFigures {
  const [before, after] = [was?.cost ?? 0, is?.cost ?? 0];
  return {
    minutes: is?.minutes ?? 0,
    workMinutes: (is?.minutes ?? 0) - (was?.minutes ?? 0),
    before,
    after,
    difference: after - before,
  };
}

function totalsOf([earlier, later]: readonly [Promises, Promises]): ChangedFigures {
  const sum = ({ projects }: Promises) =>
    projects.reduce((all, own) => ({ minutes: all.minutes + (own?.minutes ?? 0), cost: all.cost + (own?.cost ?? 0) }), {
      minutes: 0,
      cost: 0,
    });
  return changedFigures(sum(earlier), sum(later));
}

const byDelay = (a: ChangedRow, b: ChangedRow): number => (b.finishDays ?? 0) - (a.finishDays ?? 0) || b.difference - a.difference;
