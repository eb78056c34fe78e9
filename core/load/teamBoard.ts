// Teams by period: what their people can work, what is given to the team and to its members, what is free.
import { periodsIn, type Range } from "../calendar/periods.ts";
import { type Model, periodSettingsOf } from "../model.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { Team } from "../plan/schema.ts";
import type { ReportRange } from "../reports/range.ts";
import { countedShares, defaultCounting } from "./counting.ts";
import { peopleSums } from "./periodSums.ts";
import { placedIn } from "./placements.ts";
import { teamReaches } from "./teams.ts";

/** A team with its sub-teams; minutes by period. */
export interface TeamRow {
  team: Team;
  depth: number;
  /** Names of its own members. */
  members: { id: string; name: string; roleName: string }[];
  /** People of the team and its sub-teams, each once. */
  reach: number;
  projectName: string | null;
  capacity: number[];
  /** Given to the team or a sub-team as such. */
  toTeam: number[];
  /** Given to its people by name. */
  toMembers: number[];
}

export interface TeamBoard {
  periods: Range[];
  rows: TeamRow[];
}

/** Every team below the one above it, in plan order, with the default counting. */
export function teamBoard(model: Model, { range, grain }: ReportRange): TeamBoard {
  const { plan, work, placements } = model;
  const periods = periodsIn(range, grain, periodSettingsOf(plan));
  const shares = countedShares(model, defaultCounting);
  const sums = peopleSums(
    model,
    plan.people.map((_, row) => row),
    shares,
    periods,
  );
  const reaches = teamReaches(plan);
  const ofTeam = plan.teams.map(() => new Array<number>(periods.length).fill(0));
  for (let row = 0; row < work.rows; row++) {
    if (work.team[row] < 0 || shares[row] < 0) continue;
    periods.forEach(({ start, stop }, p) => {
      ofTeam[work.team[row]][p] += placedIn(placements, row, shares[row], start, stop);
    });
  }
  const rows = inTreeOrder(plan.teams).map(({ row, depth }): TeamRow => {
    const team = plan.teams[row];
    const { people, teams } = reaches[row];
    const sumOf = (figures: Int32Array, p: number) => people.reduce((sum, person) => sum + figures[person * periods.length + p], 0);
    return {
      team,
      depth,
      members: team.memberIds.map((id) => {
        const person = findRow(plan.people, id);
        return { id, name: person?.name ?? id, roleName: findRow(plan.roles, person?.roleIds[0])?.name ?? "" };
      }),
      reach: people.length,
      projectName: findRow(plan.projects, team.projectId)?.name ?? null,
      capacity: periods.map((_, p) => sumOf(sums.capacity, p)),
      toTeam: periods.map((_, p) => [...teams].reduce((sum, own) => sum + ofTeam[own][p], 0)),
      toMembers: periods.map((_, p) => sumOf(sums.load, p)),
    };
  });
  return { periods, rows };
}

function inTreeOrder(teams: readonly Team[]): { row: number; depth: number }[] {
  const rows = rowById(teams);
  const visit = (row: number, depth: number): { row: number; depth: number }[] => [
    { row, depth },
    ...teams.flatMap((team, child) => (team.parentId === teams[row].id ? visit(child, depth + 1) : [])),
  ];
  return teams.flatMap((team, row) => (team.parentId === undefined || !rows.has(team.parentId) ? visit(row, 0) : []));
}
