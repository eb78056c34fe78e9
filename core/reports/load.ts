// The load report: people, teams and roles by period, what each assignment got, and what has nobody.
import { periodsIn } from "../calendar/periods.ts";
import { type Counting, countedShares } from "../load/counting.ts";
import { openingsIn } from "../load/openings.ts";
import {
  addLoadDays,
  capacityDays,
  emptySums,
  levelBandOf,
  overOf,
  type PeriodSums,
  periodState,
  roomOf,
  sumDays,
} from "../load/periodSums.ts";
import { addPlaced } from "../load/placements.ts";
import { peopleByFirstRole, teamReaches } from "../load/teams.ts";
import { totalsOf } from "../load/totals.ts";
import { isOpening } from "../load/work.ts";
import { type Model, periodSettingsOf } from "../model.ts";
import { printedPeriods, type ReportRange } from "./range.ts";

/** Load against capacity of everybody in whole minutes by period, under a way of counting. */
export function loadReport(model: Model, { range, grain }: ReportRange, counting: Counting) {
  const { plan, work, placements } = model;
  const shares = countedShares(model, counting);
  const periods = periodsIn(range, grain, periodSettingsOf(plan));
  const days = range.stop - range.start;
  const none = new Int32Array(days);
  const band = levelBandOf(plan);

  const sumsOf = (people: readonly number[], teams?: ReadonlySet<number>): PeriodSums => {
    const [load, capacity, own] = [new Int32Array(days), new Int32Array(days), new Int32Array(days)];
    for (const person of people) {
      capacityDays(model, person, range, own);
      own.forEach((minutes, day) => {
        capacity[day] += minutes;
      });
      addLoadDays(model, person, shares, range, load);
    }
    for (let row = 0; teams && row < work.rows; row++)
      if (work.person[row] < 0 && teams.has(work.team[row])) addPlaced(placements, row, shares[row], range.start, range.stop, load, 0);
    const sums = emptySums(periods.length);
    sumDays({ regular: capacity, overtime: none, at: 0 }, load, periods, sums);
    return sums;
  };
  const subject = (id: string, sums: PeriodSums) => {
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
  };
  const openingsOf = (role: number): number[] => {
    const minutes = new Int32Array(days);
    for (let row = 0; row < work.rows; row++)
      if (work.role[row] === role && isOpening(work, row)) addPlaced(placements, row, shares[row], range.start, range.stop, minutes, 0);
    const sums = emptySums(periods.length);
    sumDays({ regular: none, overtime: none, at: 0 }, minutes, periods, sums);
    return [...sums.load];
  };
  const { assignedPercent, utilizationPercent } = totalsOf(model, shares, range);
  return {
    periods: printedPeriods(periods),
    people: plan.people.map(({ id }, row) => subject(id, sumsOf([row]))),
    teams: teamReaches(plan).map(({ people, teams }, row) => subject(plan.teams[row].id, sumsOf(people, teams))),
    roles: peopleByFirstRole(plan).map((people, role) => {
      const { capacity, load } = sumsOf(people);
      return { id: plan.roles[role].id, capacity: [...capacity], load: [...load], openings: openingsOf(role) };
    }),
    assignments: countedAssignments(model, shares),
    openings: openingsIn(model, shares),
    totals: { assignedPercent, utilizationPercent },
  };
}

function countedAssignments({ plan, work, placements }: Model, shares: Int32Array) {
  return plan.assignments.flatMap(({ id }, row) =>
    shares[row] < 0 || work.isMaterial[row] === 1
      ? []
      : [{ id, asked: placements.asked[row], placed: placements.placed[row], unplaced: placements.unplaced[row] }],
  );
}
