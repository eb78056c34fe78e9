// The large plan with half a million approved entries: what recorded hours cost on top of a plan without them.
import { boardOf } from "../core/answers/board.ts";
import { type Day, formatDay } from "../core/calendar/day.ts";
import { horizonOf } from "../core/calendar/horizon.ts";
import { applyEdit, type Edit } from "../core/edits/edit.ts";
import { buildModel, type Model } from "../core/model.ts";
import type { Plan, TimeEntry } from "../core/plan/schema.ts";
import { recordedOf } from "../core/recorded/recorded.ts";
import { progressReport } from "../core/reports/progress.ts";
import { updateModel } from "../core/update/update.ts";
import { line, measure } from "./measure.ts";

const MOST_ENTRIES = 500_000;

/** Measures building, a carried edit and the progress report. @param floor Milliseconds of one plain pass. */
export function benchRecorded(model: Model, floor: number): void {
  const { plan, entries } = recordedPlan(model);
  console.log(`\nthe same plan with ${entries} approved entries, its status date ${plan.settings.today}`);
  const without = { ...plan, timeEntries: [], projects: model.plan.projects };
  const plain = measure(() => buildModel(without).placements, 3).milliseconds;
  line("build the plan without them", plain, floor);
  const book = recordedOf(plan);
  line("  the book of all entries", measure(() => recordedOf(plan), 3).milliseconds, floor);
  const built = measure(() => buildModel(plan, book).placements, 3).milliseconds;
  line("build the plan with their book", built, floor, `${(built / plain).toFixed(2)} of the one without; aim: 1.3`);
  const tracked = buildModel(plan, book);
  const { start } = horizonOf(plan);
  const board = (own: Model) => boardOf(own, { range: { start, stop: start + 56 }, grain: "week", open: [] });
  board(tracked);
  const [first] = plan.assignments;
  const draft = { newId: "draft", date: plan.settings.today ?? "", hours: 1, activity: "Meeting" };
  const stated = { percent: null, hoursPerDay: null, hoursPerWeek: null, custom: null };
  const edits: [string, Edit][] = [
    ["an assignment is changed", { kind: "changeAssignment", id: first.id, set: { ...stated, hours: 12 } }],
    ["an hour is recorded", { kind: "recordHours", personId: plan.people[0].id, cells: [draft] }],
  ];
  for (const [words, edit] of edits) {
    const outcome = applyEdit(plan, edit);
    if (!outcome.plan) continue;
    const { plan: next, changes } = outcome;
    line(`  ${words}, and the board`, measure(() => board(updateModel(tracked, next, changes)), 5).milliseconds, floor);
  }
  line("progress of every task", measure(() => progressReport(tracked, null), 3).milliseconds, floor, "aim: under 10");
}

/** The plan on the day by which so many days of people were placed: each of them is approved as it was planned. */
function recordedPlan({ plan, work, placements }: Model): { plan: Plan; entries: number } {
  const days: { row: number; day: Day; minutes: number }[] = [];
  for (let row = 0; row < work.assignments; row++)
    for (let i = 0; work.person[row] >= 0 && work.isMaterial[row] === 0 && i < placements.length[row]; i++) {
      const minutes = placements.buffer.minutes[placements.offset[row] + i];
      if (minutes > 0) days.push({ row, day: placements.start[row] + i, minutes });
    }
  days.sort((a, b) => a.day - b.day);
  const past = days.slice(0, MOST_ENTRIES);
  const timeEntries = past.map(
    ({ row, day, minutes }, at): TimeEntry => ({
      id: `e${at}`,
      personId: plan.people[work.person[row]].id,
      taskId: plan.tasks[work.task[row]].id,
      date: formatDay(day),
      hours: Math.min(24, Math.max(0.01, Math.round((minutes / 60) * 100) / 100)),
      state: "approved",
    }),
  );
  const projects = plan.projects.map((project) => ({ ...project, tracking: "recorded" as const }));
  const today = formatDay((past.at(-1)?.day ?? 0) + 1);
  return { plan: { ...plan, settings: { ...plan.settings, today }, projects, timeEntries }, entries: timeEntries.length };
}
