// The capacity report: people, teams and roles by period.

import { periodSettingsOf } from "../calendar/horizon.ts";
import { periodOfDays, periodsIn, type Range, type ReportRange } from "../calendar/periods.ts";
import type { Model } from "../model.ts";
import { peopleByFirstRole, teamReaches } from "../plan/teams.ts";
import { printedPeriods } from "./range.ts";

/** Capacity of everyone in whole minutes by period, and how much would fall if every request were approved. */
export function capacityReport(model: Model, { range, grain }: ReportRange) {
  const { plan } = model;
  const periods = periodsIn(range, grain, periodSettingsOf(plan));
  const periodOf = periodOfDays(range, periods);
  const people = plan.people.map(({ id }, row) => {
    const now = model.capacity.of(row, range.start, range.stop);
    const granted = model.capacity.fresh(row, range.start, range.stop, "approvedAndRequested");
    const sums = { regular: zeros(periods), overtime: zeros(periods), granted: zeros(periods) };
    periodOf.forEach((period, i) => {
      sums.regular[period] += now.regular[now.at + i];
      sums.overtime[period] += now.overtime[now.at + i];
      sums.granted[period] += granted.regular[i] + granted.overtime[i];
    });
    const capacity = sums.regular.map((minutes, p) => minutes + sums.overtime[p]);
    const requestedTimeOff = capacity.map((minutes, p) => minutes - sums.granted[p]);
    return { id, capacity, regular: sums.regular, overtime: sums.overtime, requestedTimeOff };
  });
  const sumOf = (rows: readonly number[]) => periods.map((_, p) => rows.reduce((sum, row) => sum + people[row].capacity[p], 0));
  return {
    periods: printedPeriods(periods),
    people,
    teams: teamReaches(plan).map((reach, row) => ({ id: plan.teams[row].id, capacity: sumOf(reach.people) })),
    roles: peopleByFirstRole(plan).map((rows, role) => ({ id: plan.roles[role].id, capacity: sumOf(rows) })),
  };
}

function zeros(periods: readonly Range[]): number[] {
  return periods.map(() => 0);
}
