// The load report: people, teams and roles by period, what each assignment got, and what has nobody.
import { periodSettingsOf } from "../calendar/horizon.ts";
import { periodsIn, type Range, type ReportRange } from "../calendar/periods.ts";
import type { Counting } from "../load/counting.ts";
import { openingsIn, openingsOfRole } from "../load/openings.ts";
import { groupSums, levelBandOf, overOf, type PeriodSums, periodState, roomOf, workSums } from "../load/periodSums.ts";
import { reachedWork } from "../load/reachedWork.ts";
import { assignedPercent, utilizationPercent } from "../load/totals.ts";
import type { Model } from "../model.ts";
import { peopleByFirstRole, teamReaches } from "../plan/teams.ts";
import { printedPeriods } from "./range.ts";

/** Load against capacity of everyone in whole minutes by period, under a way of counting. */
export function loadReport(model: Model, { range, grain }: ReportRange, counting: Counting) {
  const { plan } = model;
  const load = model.load(counting);
  const periods = periodsIn(range, grain, periodSettingsOf(plan));
  return {
    periods: printedPeriods(periods),
    people: plan.people.map(({ id }, row) => subject(model, id, groupSums(model, load, [row], [], periods))),
    teams: teamReaches(plan).map((reach, row) => {
      const { people, work } = reachedWork(model, reach);
      return subject(model, plan.teams[row].id, groupSums(model, load, people, work, periods));
    }),
    roles: rolesOf(model, counting, periods),
    assignments: countedAssignments(model, load.shares),
    openings: openingsIn(model, load.shares),
    totals: { assignedPercent: assignedPercent(model, load, range), utilizationPercent: utilizationPercent(model, load, range) },
  };
}

function subject({ plan }: Model, id: string, sums: PeriodSums) {
  const band = levelBandOf(plan);
  const [capacity, load] = [[...sums.capacity], [...sums.load]];
  return {
    id,
    capacity,
    load,
    over: capacity.map((minutes, p) => overOf(minutes, load[p])),
    room: capacity.map((minutes, p) => roomOf(minutes, load[p])),
    peakOver: [...sums.peakOver],
    state: capacity.map((minutes, p) => periodState(minutes, load[p], band)),
  };
}

function rolesOf(model: Model, counting: Counting, periods: readonly Range[]) {
  const book = model.load(counting);
  return peopleByFirstRole(model.plan).map((people, role) => {
    const { capacity, load } = groupSums(model, book, people, [], periods);
    const openings = workSums(model, book.shares, openingsOfRole(model, role), periods);
    return { id: model.plan.roles[role].id, capacity: [...capacity], load: [...load], openings: [...openings] };
  });
}

/** The minutes of every assignment; the recorded hours of a team's members are part of the team's. */
function countedAssignments({ plan, work, placements }: Model, shares: Int32Array) {
  const asked = placements.asked.slice(0, work.assignments);
  const placed = placements.placed.slice(0, work.assignments);
  for (let row = work.firstRecorded; row < work.rows; row++) {
    const team = work.partOf[row];
    if (team < 0) continue;
    asked[team] += placements.asked[row];
    placed[team] += placements.placed[row];
  }
  return plan.assignments.flatMap(({ id }, row) =>
    shares[row] < 0 || work.isMaterial[row] === 1
      ? []
      : [{ id, asked: asked[row], placed: placed[row], unplaced: placements.unplaced[row] }],
  );
}
