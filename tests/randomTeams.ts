// Teams in teams, with people in several of them and work that is given to a team and to nobody by name.
import type { Plan, Team } from "../core/plan/schema.ts";
import { randomFrom } from "../demo/random.ts";

/** The plan with six teams, from a seed; every fifth piece of work is a team's. */
export function withTeams(plan: Plan, seed: number): Plan {
  const random = randomFrom(seed);
  const teams = Array.from({ length: 6 }, (_, at): Team => {
    const parent = at === 0 ? -1 : random.below(at + 1) - 1;
    const members = plan.people.filter(() => random.below(4) === 0).map(({ id }) => id);
    return {
      id: `team${at}`,
      name: `Team ${at}`,
      handle: `team${at}`,
      memberIds: members,
      ...(parent >= 0 && { parentId: `team${parent}` }),
    };
  });
  const assignments = plan.assignments.map((assignment) => {
    const isGiven = random.below(5) === 0;
    if (assignment.materialId !== undefined || (!isGiven && assignment.teamId === undefined)) return assignment;
    const { personId: _, ...rest } = assignment;
    return { ...rest, teamId: random.pick(teams).id };
  });
  return { ...plan, teams, assignments };
}
