// Teams by period: what their people can work, what is given to the team and to its members, what is free.

import { periodSettingsOf } from "../calendar/horizon.ts";
import type { ReportRange } from "../calendar/periods.ts";
import { periodsIn, type Range } from "../calendar/periods.ts";
import { defaultCounting } from "../load/counting.ts";
import { groupSums, levelBandOf, type PeriodState, periodState, workSums } from "../load/periodSums.ts";
import { reachedWork } from "../load/reachedWork.ts";
import type { Model } from "../model.ts";
import { firstRoleName } from "../plan/names.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { Team } from "../plan/schema.ts";
import { teamReaches } from "../plan/teams.ts";

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
  /** Of both together. */
  state: PeriodState[];
}

export interface TeamBoard {
  periods: Range[];
  rows: TeamRow[];
}

/** Every team below the one above it, in plan order, with the default counting. */
export function teamBoard(model: Model, { range, grain }: ReportRange): TeamBoard {
  const { plan } = model;
  const periods = periodsIn(range, grain, periodSettingsOf(plan));
  const load = model.load(defaultCounting);
  const band = levelBandOf(plan);
  const reaches = teamReaches(plan);
  const rows = inTreeOrder(plan.teams).map(({ row, depth }): TeamRow => {
    const team = plan.teams[row];
    const { people, work } = reachedWork(model, reaches[row]);
    const sums = groupSums(model, load, people, work, periods);
    const toTeam = workSums(model, load.shares, work, periods);
    return {
      team,
      depth,
      members: team.memberIds.map((id) => {
        const person = findRow(plan.people, id);
        return { id, name: person?.name ?? id, roleName: firstRoleName(plan, person) ?? "" };
      }),
      reach: people.length,
      projectName: findRow(plan.projects, team.projectId)?.name ?? null,
      capacity: [...sums.capacity],
      toTeam: [...toTeam],
      toMembers: periods.map((_, p) => sums.load[p] - toTeam[p]),
      state: periods.map((_, p) => periodState(sums.capacity[p], sums.load[p], band)),
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
