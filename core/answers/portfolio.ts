// All projects side by side: dates, hours needed and hours with a person.

import { type Day, parseDay } from "../calendar/day.ts";
import { isPipeline } from "../load/counting.ts";
import type { Model } from "../model.ts";
import { findRow } from "../plan/rows.ts";
import type { Project } from "../plan/schema.ts";
import { SUMMARY } from "../schedule/network.ts";
import { leafPercent } from "../status/taskProgress.ts";
import { isOpening } from "../work/work.ts";

export interface PortfolioRow {
  project: Project;
  projectRow: number;
  clientName: string | null;
  leadName: string | null;
  isPipeline: boolean;
  start: Day;
  finish: Day;
  /** Days by which the finish misses the project's deadline; 0 where it holds or none is set. */
  lateDays: number;
  tasks: number;
  asked: number;
  open: number;
  unplaced: number;
  /** Share that is done, 0 … 100, weighted by hours; null where nothing asks for any. */
  progress: number | null;
}

/** The plan's projects in plan order. Minutes count pencilled work, regardless of the stage. */
export function portfolioOf(model: Model): PortfolioRow[] {
  const { plan, schedule, work, placements } = model;
  const { network } = schedule;
  const { first, members } = work.byTask;
  const rows = plan.projects.map((project, row) => withoutTasks(model, project, row));
  // Minutes times hundredths of a percent, so that sums are whole.
  const done = new Float64Array(rows.length);
  const weights = new Float64Array(rows.length);
  plan.tasks.forEach((_, task) => {
    const project = network.project[task];
    const sums = rows[project];
    sums.tasks++;
    if (network.sizing[task] !== SUMMARY) {
      const { percent, weight } = leafPercent(model, task);
      done[project] += weight * percent;
      weights[project] += weight;
    }
    for (let at = first[task]; at < first[task + 1]; at++) {
      const row = members[at];
      const asked = placements.asked[row];
      sums.asked += asked;
      sums.unplaced += placements.unplaced[row];
      if (isOpening(work, row)) sums.open += asked;
    }
  });
  rows.forEach((row, at) => {
    if (weights[at] > 0) row.progress = Math.round(done[at] / weights[at] / 100);
  });
  return rows;
}

function withoutTasks({ plan, schedule }: Model, project: Project, row: number): PortfolioRow {
  const { start, finish } = schedule.projects[row];
  const deadline = project.deadline === undefined ? null : parseDay(project.deadline);
  return {
    project,
    projectRow: row,
    clientName: findRow(plan.clients, project.clientId)?.name ?? null,
    leadName: findRow(plan.people, project.leadId)?.name ?? null,
    isPipeline: isPipeline(project),
    start: start.day,
    finish: finish.day,
    lateDays: deadline === null ? 0 : Math.max(0, finish.day - deadline),
    tasks: 0,
    asked: 0,
    open: 0,
    unplaced: 0,
    progress: null,
  };
}
