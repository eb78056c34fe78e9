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
  /** In order. */
  days: Day[];
  minutes: number[];
}

/** True of a project whose past is what people have recorded. */
export const isTracked = ({ tracking, stage }: Project): boolean =>
  tracking === "recorded" && (stage === "approved" || stage === "active" || stage === "done");

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
  let last = undefined as ActualLine | undefined;
  for (let at = 0; at < recorded.day.length; at++) {
    const [task, person, day] = [taskRows[recorded.task[at]], personRows[recorded.person[at]], recorded.day[at]];
    if (task < 0 || person < 0 || day >= status) continue;
    if (!last || last.task !== task || last.person !== person) {
      last = { task, person, assignment: -1, isOfTeam: false, days: [], minutes: [] };
      lines.push(last);
    }
    last.days.push(day);
    last.minutes.push(recorded.minutes[at]);
  }
  return lines.length === 0 ? lines : attributed(plan, lines);
}

const rank = ({ assignment, isOfTeam }: ActualLine): number => (assignment < 0 ? 2 : isOfTeam ? 1 : 0);

/** The lines with the assignment that each belongs to, in order. */
function attributed(plan: Plan, lines: readonly ActualLine[]): ActualLine[] {
  const own = new Map<string, number>();
  const ofTeams = new Map<number, number[]>();
  const tasks = rowById(plan.tasks);
  const wanted = new Set(lines.map(({ task }) => task));
  plan.assignments.forEach(({ taskId, personId, teamId }, row) => {
    const task = tasks.get(taskId) ?? -1;
    if (!wanted.has(task)) return;
    const key = `${task} ${personId}`;
    if (personId !== undefined && !own.has(key)) own.set(key, row);
    if (teamId !== undefined) ofTeams.set(task, [...(ofTeams.get(task) ?? []), row]);
  });
  const reaches = ofTeams.size === 0 ? [] : teamReaches(plan).map(({ people }) => new Set(people));
  const teams = rowById(plan.teams);
  const teamOf = (row: number) => reaches[teams.get(plan.assignments[row].teamId ?? "") ?? -1];
  return lines
    .map((line): ActualLine => {
      const row = own.get(`${line.task} ${plan.people[line.person].id}`);
      if (row !== undefined) return { ...line, assignment: row };
      const team = ofTeams.get(line.task)?.find((assignment) => teamOf(assignment)?.has(line.person));
      return team === undefined ? line : { ...line, assignment: team, isOfTeam: true };
    })
    .sort((a, b) => rank(a) - rank(b) || a.assignment - b.assignment || a.task - b.task || a.person - b.person);
}
