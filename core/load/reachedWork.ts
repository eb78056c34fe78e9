// The load of a team: its people, and what is assigned to it as a whole.
import type { Placed } from "../placing/placed.ts";
import type { TeamReach } from "../plan/teams.ts";

/** The parts of a team's load: its people, and the rows of work assigned to it or to a team below it. */
export function reachedWork({ work }: Placed, { people, teams }: TeamReach): { people: number[]; work: number[] } {
  const rows: number[] = [];
  for (let row = 0; row < work.assignments; row++) if (teams.has(work.team[row])) rows.push(row);
  return { people, work: rows };
}
