// The rules that always hold of recorded work, on made-up plans.
import { expect, test } from "vitest";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { trackedPlan } from "../../tests/trackedPlan.ts";
import { Measured } from "../balancing/measures.ts";
import { formatDay, parseDay } from "../calendar/day.ts";
import { horizonOf } from "../calendar/horizon.ts";
import { moneySpan } from "../cost/moneySpan.ts";
import { applyEdit } from "../edits/edit.ts";
import { defaultCounting } from "../load/counting.ts";
import { buildModel, type Model } from "../model.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import { isTracked } from "../recorded/actuals.ts";
import { baselineReport } from "../reports/baseline.ts";
import { costReport } from "../reports/cost.ts";
import { evenOutReport } from "../reports/evenOut.ts";
import { loadReport } from "../reports/load.ts";
import { progressReport } from "../reports/progress.ts";
import { scheduleReport } from "../reports/schedule.ts";
import { timesheetReport } from "../reports/timesheet.ts";
import { workMinutes } from "../values/units.ts";
import { PERCENT } from "../work/statement.ts";
import { FINISHED, NOT_STARTED, UNDER_WAY, UNTRACKED } from "./progress.ts";

const seeds = Array.from({ length: 24 }, (_, at) => at + 1);

/** The minutes of a row by day. */
function daysOf({ placements }: Model, row: number): [day: number, minutes: number][] {
  return Array.from({ length: placements.length[row] }, (_, i): [number, number] => [
    placements.start[row] + i,
    placements.buffer.minutes[placements.offset[row] + i],
  ]).filter(([, minutes]) => minutes > 0);
}

/** Every report that reads the plan. */
function reportsOf(plan: Plan) {
  const model = buildModel(plan);
  const asked = { range: horizonOf(plan), grain: "week" as const };
  return { schedule: scheduleReport(model), load: loadReport(model, asked, defaultCounting), cost: costReport(model, asked) };
}

test("the made-up plans have tasks in every stage, team members and unplanned work", () => {
  const stages = new Set<number>();
  let [parts, unplanned] = [0, 0];
  for (const seed of seeds) {
    const { progress, work } = buildModel(trackedPlan(seed));
    for (const stage of progress.stage) stages.add(stage);
    for (let row = work.firstRecorded; row < work.rows; row++)
      if (work.partOf[row] < 0) unplanned++;
      else parts++;
  }
  expect(stages).toEqual(new Set([UNTRACKED, NOT_STARTED, UNDER_WAY, FINISHED]));
  expect(parts).toBeGreaterThan(20);
  expect(unplanned).toBeGreaterThan(20);
});

test.each(seeds)("what is asked for is placed or unplaced, and the past of tracked work is what was approved (seed %i)", (seed) => {
  const plan = trackedPlan(seed);
  const model = buildModel(plan);
  const { work, placements, progress } = model;
  const worked = new Map<string, number>();
  for (let row = 0; row < work.rows; row++) {
    const days = daysOf(model, row);
    const unplaced = (placements.unplacedAt.get(row) ?? []).reduce((sum, { minutes }) => sum + minutes, 0);
    expect(placements.placed[row]).toBe(days.reduce((sum, [, minutes]) => sum + minutes, 0));
    expect(placements.unplaced[row]).toBe(unplaced);
    if (work.way[row] !== PERCENT) expect(placements.asked[row]).toBe(placements.placed[row] + unplaced);
    if (progress.stage[work.task[row]] === UNTRACKED) continue;
    for (const [day, minutes] of days) {
      if (day >= progress.status) continue;
      const key = `${plan.people[work.person[row]]?.id} ${plan.tasks[work.task[row]].id} ${formatDay(day)}`;
      worked.set(key, (worked.get(key) ?? 0) + minutes);
    }
    for (const { day } of placements.unplacedAt.get(row) ?? []) expect(day).toBeGreaterThanOrEqual(progress.status);
  }
  const approved = new Map<string, number>();
  for (const { personId, taskId, date, hours, state } of plan.timeEntries) {
    const project = findRow(plan.projects, findRow(plan.tasks, taskId)?.projectId);
    if (state !== "approved" || !project || !isTracked(project) || parseDay(date) >= progress.status) continue;
    const key = `${personId} ${taskId} ${date}`;
    approved.set(key, (approved.get(key) ?? 0) + workMinutes(hours));
  }
  expect(worked).toEqual(approved);
});

test.each(seeds.slice(0, 8))("entries that are not approved, or not past, change nothing (seed %i)", (seed) => {
  const plan = trackedPlan(seed);
  const status = plan.settings.today ?? "";
  const counted = plan.timeEntries.filter(({ state, date }) => state === "approved" && date < status);
  expect(counted.length).toBeLessThan(plan.timeEntries.length);
  expect(reportsOf({ ...plan, timeEntries: counted })).toEqual(reportsOf(plan));
});

test.each(seeds.slice(0, 8))("a plan that is not tracked is as if nothing had been recorded (seed %i)", (seed) => {
  const plan = trackedPlan(seed);
  const projects = plan.projects.map(({ tracking: _, ...project }) => project);
  const without = {
    ...plan,
    projects,
    tasks: plan.tasks.map(({ actualStart: _, actualFinish: __, ...task }) => task),
    assignments: plan.assignments.map(({ remaining: _, ...assignment }) => assignment),
    timeEntries: [],
  };
  const { cost, ...reports } = reportsOf({ ...plan, projects });
  expect(reports).toEqual(reportsOf(without).load && { schedule: reportsOf(without).schedule, load: reportsOf(without).load });
  expect(cost.projects).toEqual(
    costReport(buildModel({ ...without, actualCosts: [] }), { range: horizonOf(plan), grain: "week" }).projects,
  );
});

test.each(seeds)("finished and begun tasks show what happened, and what is left begins at the status date or later (seed %i)", (seed) => {
  const plan = trackedPlan(seed);
  const { schedule, progress } = buildModel(plan);
  const parents = new Set(plan.tasks.flatMap(({ parentId }) => parentId ?? []));
  plan.tasks.forEach((task, row) => {
    const dates = schedule.of(row);
    if (!dates || parents.has(task.id)) return;
    const stage = progress.stage[row];
    if (stage === FINISHED && task.actualStart !== undefined)
      expect([formatDay(dates.start.day), dates.driver.kind]).toEqual([task.actualStart, "actual"]);
    if (task.sizing === "dates" || stage === UNTRACKED || stage === FINISHED) return;
    expect(dates.restAt).toBeGreaterThanOrEqual(dates.line.place(progress.status, 0));
    if (stage === UNDER_WAY) expect(dates.start.day).toBe(progress.actualStart[row]);
    expect(dates.finish.day * 1000 + dates.finish.tick).toBeGreaterThanOrEqual(dates.start.day * 1000 + dates.start.tick);
  });
});

test.each(seeds)("actual and remaining cost are the cost of each project, and a baseline taken now is kept to (seed %i)", (seed) => {
  const model = buildModel(trackedPlan(seed));
  const { plan } = model;
  const { after, report } = baselineReport(model, { id: "now", name: "Now" });
  const progress = progressReport(buildModel(after), after.baselines[0]);
  const { projects } = costReport(model, { range: moneySpan(model), grain: "year" });
  for (const own of progress.projects) {
    const costs = projects.find(({ id }) => id === own.id);
    expect(own.actualCost + own.remainingCost).toBe(costs?.total);
    expect(own.baseline).toMatchObject({ startDays: 0, finishDays: 0, workMinutes: 0, costDifference: 0, varianceAtCompletion: 0 });
  }
  for (const { baseline } of progress.tasks) expect(baseline).toMatchObject({ workMinutes: 0, costDifference: 0 });
  expect(report.cost).toBe(progress.totals.actualCost + progress.totals.remainingCost);
  expect(plan.baselines).toEqual([]);
});

test.each(seeds.slice(0, 8))("a timesheet has every hour that was recorded, by day (seed %i)", (seed) => {
  const model = buildModel(trackedPlan(seed));
  const { plan, progress } = model;
  const range = { start: progress.status - 40, stop: progress.status + 20 };
  for (const { id } of plan.people) {
    const sheet = timesheetReport(model, id, range);
    const entries = plan.timeEntries.filter(({ personId, state }) => personId === id && state !== "returned");
    const within = entries.filter(({ date }) => parseDay(date) >= range.start && parseDay(date) < range.stop);
    expect(sheet?.recorded.reduce((sum, own) => sum + own, 0)).toBe(within.reduce((sum, { hours }) => sum + workMinutes(hours), 0));
    for (const row of sheet?.rows ?? []) expect(row.planned).toHaveLength(60);
  }
  expect(timesheetReport(model, "nobody at all", range)).toBeNull();
});

/** Minutes worked before the status date, by person, task and day. */
function workedOf(model: Model): Map<string, number> {
  const { plan, work, progress } = model;
  const worked = new Map<string, number>();
  for (let row = 0; row < work.rows; row++)
    for (const [day, minutes] of daysOf(model, row)) {
      if (progress.stage[work.task[row]] === UNTRACKED || day >= progress.status) continue;
      const key = `${plan.people[work.person[row]]?.id} ${plan.tasks[work.task[row]].id} ${day}`;
      worked.set(key, (worked.get(key) ?? 0) + minutes);
    }
  return worked;
}

test.each(seeds)("giving work under way leaves what was recorded, and gives what remains (seed %i)", (seed) => {
  const model = buildModel(trackedPlan(seed));
  const { plan, work, progress } = model;
  const begun = plan.assignments.filter((_, row) => progress.actual[row] > 0 && progress.stage[work.task[row]] !== FINISHED);
  for (const assignment of begun) {
    const personId = plan.people.find(
      ({ id }) => !plan.assignments.some((own) => own.taskId === assignment.taskId && (own.personId === id || own.teamId !== undefined)),
    )?.id;
    if (personId === undefined) continue;
    const { plan: next } = applyEdit(plan, { kind: "reassign", id: assignment.id, personId });
    const after = buildModel(next as Plan);
    expect(workedOf(after), assignment.id).toEqual(workedOf(model));
    const row = rowById(plan.assignments).get(assignment.id) as number;
    if (assignment.hours === undefined || workedByPerson(plan, assignment.taskId, personId)) continue;
    const [kept, given] = [row, after.plan.assignments.length - 1].map((own) => after.placements.asked[own]);
    expect(kept + given, assignment.id).toBe(model.placements.asked[row]);
  }
});

test.each(seeds.slice(0, 6))("evening out never moves what was recorded (seed %i)", (seed) => {
  const model = buildModel(trackedPlan(seed));
  const { status } = model.progress;
  const window = { start: status, stop: status + 120 };
  const { report, after } = evenOutReport(model, { window, mostSteps: 400, isOver: () => false });
  expect(workedOf(buildModel(after))).toEqual(workedOf(model));
  expect(report.after.peakOver).toBeLessThanOrEqual(report.before.peakOver);
  expect(report.after.unplaced).toBeLessThanOrEqual(report.before.unplaced);
  const measured = new Measured(buildModel(after), undefined, window).totals;
  expect([measured.peakOver, measured.unplaced]).toEqual([report.after.peakOver, report.after.unplaced]);
});

/** True of a person who has hours on a task already: they count as the new assignment's. */
const workedByPerson = ({ timeEntries }: Plan, taskId: string, personId: string): boolean =>
  timeEntries.some((entry) => entry.taskId === taskId && entry.personId === personId);

test("a plan without recorded hours has no progress of its own", () => {
  const { progress, work } = buildModel(tangledPlan(3));
  expect([progress.isTracked, work.firstRecorded === work.rows]).toEqual([false, true]);
});
