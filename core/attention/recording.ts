// Signals about recording: weeks without hours, hours that wait for approval, and projects that slip against their baseline.
import { type Day, formatDay, parseDay } from "../calendar/day.ts";
import { periodSettingsOf } from "../calendar/horizon.ts";
import { periodStart } from "../calendar/periods.ts";
import { isGoingOn } from "../load/counting.ts";
import type { Model } from "../model.ts";
import { UNTRACKED } from "../progress/progress.ts";
import type { Attention, Horizon } from "../signals/kinds.ts";
import { latestBaselineOf } from "../status/baselines.ts";
import { finishDays, lineOfProject } from "../status/earnedValue.ts";

/** People who were to work on recorded projects last week and have no hours there; and hours that nobody has decided on. */
export function recordingSignals(model: Model, { start }: Horizon): Attention[] {
  return [...missingWeeks(model, start - 7), ...waitingHours(model)];
}

/** @param week The first day of the last week that is over. */
function missingWeeks(model: Model, week: Day): Attention[] {
  const { plan, progress, work, capacity, schedule } = model;
  if (!progress.isTracked) return [];
  const stop = week + 7;
  const isWanted = new Uint8Array(plan.people.length);
  for (let row = 0; row < work.assignments; row++) {
    const [person, task] = [work.person[row], work.task[row]];
    if (person < 0 || progress.stage[task] === UNTRACKED || !isGoingOn(plan.projects[work.project[row]])) continue;
    const dates = schedule.of(task);
    // A task that was to begin and has not is dated from the status date on: its people are asked about it, not about their week.
    if (dates && dates.start.day < stop && dates.finish.day >= week) isWanted[person] = 1;
  }
  const [first, last] = [formatDay(week), formatDay(stop - 1)];
  const recorded = new Set(plan.timeEntries.flatMap(({ personId, date }) => (date >= first && date <= last ? [personId] : [])));
  return plan.people.flatMap(({ id, name }, row): Attention[] => {
    if (isWanted[row] === 0 || recorded.has(id)) return [];
    const { regular, overtime, at } = capacity.of(row, week, stop);
    const hasCapacity = Array.from({ length: 7 }, (_, i) => regular[at + i] + overtime[at + i]).some((minutes) => minutes > 0);
    if (!hasCapacity) return [];
    return [{ key: `weekMissing ${id} ${week}`, kind: "weekMissing", personId: id, person: name, from: week, to: stop - 1, weight: 5_000 }];
  });
}

/** One signal for all of it: how many weeks of people wait, and since when. */
function waitingHours({ plan }: Model): Attention[] {
  const settings = periodSettingsOf(plan);
  const weeks = new Set<string>();
  let from = Number.POSITIVE_INFINITY;
  for (const { personId, date, state } of plan.timeEntries) {
    if (state !== "submitted") continue;
    const week = periodStart(parseDay(date), "week", settings);
    weeks.add(`${personId} ${week}`);
    from = Math.min(from, week);
  }
  return weeks.size === 0 ? [] : [{ key: "hoursWaiting", kind: "hoursWaiting", count: weeks.size, from, weight: 7_000 + weeks.size }];
}

/** Projects that finish later than the latest baseline that holds them promised. */
export function slippingSignals(model: Model): Attention[] {
  const { plan, schedule } = model;
  return plan.projects.flatMap((project, row): Attention[] => {
    if (!isGoingOn(project)) return [];
    const promised = latestBaselineOf(plan, project.id)?.projects.find(({ projectId }) => projectId === project.id);
    if (!promised) return [];
    const now = schedule.projects[row].finish.day;
    const days = finishDays(lineOfProject(model, row), now, parseDay(promised.finish)) ?? 0;
    if (days <= 0) return [];
    const { id: projectId, name } = project;
    return [{ key: `slipping ${projectId}`, kind: "slipping", projectId, project: name, from: now, days, weight: 4e5 + days * 100 }];
  });
}
