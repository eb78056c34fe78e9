// The assignment that recorded hours belong to: the person's own, one of a team of theirs, or none.
import type { Day } from "../calendar/day.ts";
import { todayOf } from "../calendar/horizon.ts";
import { rowById } from "../plan/rows.ts";
import type { Plan, Project } from "../plan/schema.ts";
import { teamReaches } from "../plan/teams.ts";
import type { Recorded } from "./recorded.ts";

/** The actual minutes of one person on one task, day by day. */
export interface ActualLine {
  /** Rows in the plan. */
  task: number;
  person: number;
  /** Row of the assignment it belongs to: the person's own, or that of a team of theirs; −1 for unplanned work. */
  assignment: number;
  isOfTeam: boolean;
  /** In order; parts of the book, which nobody writes to. */
  days: Int32Array;
  minutes: Int32Array;
}

/** True of a project that is agreed, under way or done. */
export const isFirm = ({ stage }: Project): boolean => stage === "approved" || stage === "active" || stage === "done";

/** True of a project whose past is what people have recorded. */
export const isTracked = (project: Project): boolean => project.tracking === "recorded" && isFirm(project);

/** The status date of a plan: a day before it is past. */
export const statusDayOf = (plan: Plan, { clock }: Pick<Recorded, "clock">): Day => todayOf(plan, clock);

/** The actual minutes of all tracked projects: lines with an assignment of the person first, by its row; then parts of teams' work,
 * by the team's assignment; then unplanned work, by task. */
export function actualLines(plan: Plan, recorded: Recorded): ActualLine[] {
  const status = statusDayOf(plan, recorded);
  const [tasks, people, projects] = [rowById(plan.tasks), rowById(plan.people), rowById(plan.projects)];
  const taskRows = recorded.taskIds.map((id) => {
    const row = tasks.get(id) ?? -1;
    const project = plan.projects[projects.get(plan.tasks[row]?.projectId ?? "") ?? -1];
    return project && isTracked(project) ? row : -1;
  });
  const personRows = recorded.personIds.map((id) => people.get(id) ?? -1);
  const lines: ActualLine[] = [];
  const { person: ofPerson, task: ofTask, day, minutes } = recorded;
  for (let at = 0; at < day.length; ) {
    const start = at;
    const [own, whose] = [ofTask[start], ofPerson[start]];
    let past = start;
    for (; at < day.length && ofTask[at] === own && ofPerson[at] === whose; at++) if (day[at] < status) past = at + 1;
    const [task, person] = [taskRows[own], personRows[whose]];
    if (task < 0 || person < 0 || past === start) continue;
    lines.push({ task, person, assignment: -1, isOfTeam: false, days: day.subarray(start, past), minutes: minutes.subarray(start, past) });
  }
  return lines.length === 0 ? lines : attributed(plan, lines);
}

const rank = ({ assignment, isOfTeam }: ActualLine): number => (assignment < 0 ? 2 : isOfTeam ? 1 : 0);

/** The lines with the assignment that each belongs to, in order. */
function attributed(plan: Plan, lines: readonly ActualLine[]): ActualLine[] {
  const [tasks, people] = [rowById(plan.tasks), rowById(plan.people)];
  const isWanted = new Uint8Array(plan.tasks.length);
  for (const { task } of lines) isWanted[task] = 1;
  // A person's first assignment on a task, under one number for both.
  const own = new Map<number, number>();
  const keyOf = (task: number, person: number) => task * plan.people.length + person;
  const ofTeams = new Map<number, number[]>();
  plan.assignments.forEach(({ taskId, personId, teamId }, row) => {
    if (personId === undefined && teamId === undefined) return;
    const task = tasks.get(taskId) ?? -1;
    if (task < 0 || isWanted[task] === 0) return;
    if (teamId !== undefined) ofTeams.set(task, [...(ofTeams.get(task) ?? []), row]);
    else if (personId !== undefined) {
      const key = keyOf(task, people.get(personId) ?? -1);
      if (!own.has(key)) own.set(key, row);
    }
  });
  const reaches = ofTeams.size === 0 ? [] : teamReaches(plan).map((reach) => new Set(reach.people));
  const teams = rowById(plan.teams);
  const teamOf = (row: number) => reaches[teams.get(plan.assignments[row].teamId ?? "") ?? -1];
  return lines
    .map((line): ActualLine => {
      const row = own.get(keyOf(line.task, line.person));
      if (row !== undefined) return { ...line, assignment: row };
      const team = ofTeams.get(line.task)?.find((assignment) => teamOf(assignment)?.has(line.person));
      return team === undefined ? line : { ...line, assignment: team, isOfTeam: true };
    })
    .sort((a, b) => rank(a) - rank(b) || a.assignment - b.assignment || a.task - b.task || a.person - b.person);
}
