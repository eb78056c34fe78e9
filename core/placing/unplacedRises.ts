// Hours that an edit leaves without a day on which they could be worked.
import { rowById } from "../plan/rows.ts";
import type { Placed } from "./placed.ts";

/** Hours of an assignment that lose their place. Minutes. */
export interface UnplacedRise {
  assignmentId: string;
  taskId: string;
  taskName: string;
  projectName: string;
  who: string;
  minutes: number;
  /** They were typed for their periods, not given by a rule. */
  isTyped: boolean;
}

/** Assignments with more unplaced minutes in the second plan than in the first, the most first; and the minutes that are
 * unplaced no longer.
 * @param isCounted Leaves rows of the second plan's assignments out. */
export function unplacedRises(
  before: Placed,
  { plan, work, placements }: Placed,
  isCounted: (row: number) => boolean,
): { rises: UnplacedRise[]; placedAgain: number } {
  const known = rowById(before.plan.assignments);
  const rises: UnplacedRise[] = [];
  let placedAgain = 0;
  plan.assignments.forEach(({ id, custom }, row) => {
    const old = known.get(id);
    const minutes = placements.unplaced[row] - (old === undefined ? 0 : before.placements.unplaced[old]);
    if (minutes === 0 || !isCounted(row)) return;
    if (minutes < 0) {
      placedAgain -= minutes;
      return;
    }
    const task = plan.tasks[work.task[row]];
    rises.push({
      assignmentId: id,
      taskId: task.id,
      taskName: task.name,
      projectName: plan.projects[work.project[row]].name,
      who: plan.people[work.person[row]]?.name ?? plan.teams[work.team[row]]?.name ?? plan.roles[work.role[row]]?.name ?? "",
      minutes,
      isTyped: custom !== undefined,
    });
  });
  return { rises: rises.sort((a, b) => b.minutes - a.minutes), placedAgain };
}

/** Typed hours of some tasks that have lost their place: the tasks have moved, and their people cannot work then.
 * @param taskIds The tasks that have moved; nothing is placed for them where none of them has typed hours. */
export function typedHoursLost(before: Placed, after: Placed, taskIds: ReadonlySet<string>): UnplacedRise[] {
  const isTyped = after.plan.assignments.map(({ taskId, custom }) => custom !== undefined && taskIds.has(taskId));
  return isTyped.includes(true) ? unplacedRises(before, after, (row) => isTyped[row]).rises : [];
}
