// A person's assignments as bars on the columns of a window.
import type { Day } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import type { Placed } from "../placing/placed.ts";
import { placedIn, workedDays } from "../placing/placements.ts";
import { rowById } from "../plan/rows.ts";
import { isRecordedPast } from "../progress/progress.ts";

/** One assignment over a window. */
export interface Bar {
  assignmentId: string;
  taskId: string;
  projectId: string;
  taskName: string;
  projectName: string;
  projectCode: string;
  /** Index of the project in the plan, for its hue. */
  projectRow: number;
  /** First and last day with work, cut to the window. */
  start: Day;
  stop: Day;
  /** Placed minutes in the window, and in each of its periods. */
  minutes: number;
  periods: number[];
  isPencilled: boolean;
  /** Asked for and not confirmed yet. */
  isAsked: boolean;
  /** Its hours are typed week by week. */
  isTyped: boolean;
  /** Its hours in the window are those that were recorded. */
  isRecorded: boolean;
  /** Its task lasts as long as its people need. */
  isEffort: boolean;
}

/** The bars of a person, in the order of their starts; work that places nothing in the window is left out. */
export function barsOf(model: Placed, personId: string, range: Range, periods: readonly Range[], shares: Int32Array): Bar[] {
  const { plan, work, placements, progress } = model;
  const person = rowById(plan.people).get(personId);
  if (person === undefined) return [];
  const bars: Bar[] = [];
  for (let at = work.byPerson.first[person]; at < work.byPerson.first[person + 1]; at++) {
    const row = work.byPerson.members[at];
    // Recorded hours without an assignment cannot be dragged: they have no bar.
    if (row >= work.assignments) continue;
    const minutes = placedIn(placements, row, shares[row], range.start, range.stop);
    if (minutes === 0) continue;
    const task = plan.tasks[work.task[row]];
    const project = plan.projects[work.project[row]];
    bars.push({
      assignmentId: plan.assignments[row].id,
      taskId: task.id,
      projectId: project.id,
      taskName: task.name,
      projectName: project.name,
      projectCode: project.code ?? project.name.slice(0, 3),
      projectRow: work.project[row],
      ...workedDays(placements, row, range),
      minutes,
      periods: periods.map(({ start, stop }) => placedIn(placements, row, shares[row], start, stop)),
      isPencilled: work.isPencilled[row] === 1,
      isAsked: work.isAsked[row] === 1,
      isTyped: plan.assignments[row].custom !== undefined,
      isRecorded: isRecordedPast(progress, work.task[row], range),
      isEffort: task.sizing === "effort",
    });
  }
  return bars.sort((a, b) => a.start - b.start || b.stop - b.start - (a.stop - a.start));
}
