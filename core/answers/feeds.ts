// The events of calendar feeds, in whole days: a person's assignments, the leave of a team.

import { formatDay } from "../calendar/day.ts";
import { horizonOf } from "../calendar/horizon.ts";
import { barsOf } from "../load/bars.ts";
import { defaultCounting } from "../load/counting.ts";
import type { Model } from "../model.ts";
import { findRow, rowById } from "../plan/rows.ts";
import { teamReaches } from "../plan/teams.ts";
import { lookUp } from "../values/lookUp.ts";
import { hourTenths } from "../values/units.ts";

/** An event of whole days; `to` is its last. */
export interface FeedEvent {
  uid: string;
  from: string;
  to: string;
  title: string;
  description?: string;
  /** Of leave: what it is known by, for when the calendar is imported again. */
  leave?: { personId: string; id: string; state: string; hoursPerDay?: number };
}

export interface Feed {
  name: string;
  events: FeedEvent[];
}

/** A person's assignments over the horizon, each from its first day with work to its last; null for nobody. */
export function assignmentsFeed(model: Model, personId: string): Feed | null {
  const person = findRow(model.plan.people, personId);
  if (!person) return null;
  const range = horizonOf(model.plan);
  const bars = barsOf(model, personId, range, [range], model.load(defaultCounting).shares);
  return {
    name: `${person.name}, assignments`,
    events: bars.map(({ assignmentId, start, stop, taskName, projectName, minutes, isPencilled }) => ({
      uid: `assignment-${assignmentId}@mindful-roster`,
      from: formatDay(start),
      to: formatDay(stop - 1),
      title: `${projectName}: ${taskName}${isPencilled ? " (pencilled)" : ""}`,
      description: `${hourTenths(minutes) / 10} h`,
    })),
  };
}

/** Approved and requested leave of a team with its sub-teams; of everyone for null; null where there is no such team. */
export function leaveFeed({ plan }: Model, teamId: string | null): Feed | null {
  const team = teamId === null ? null : findRow(plan.teams, teamId);
  if (team === undefined) return null;
  const reach = team === null ? null : teamReaches(plan)[lookUp(rowById(plan.teams), team.id)];
  return {
    name: team === null ? "Leave" : `Leave, ${team.name}`,
    events: plan.people
      .filter((_, row) => reach === null || reach.people.includes(row))
      .flatMap((person) =>
        (person.timeOff ?? [])
          .filter(({ state }) => state !== "declined")
          .map(({ id, from, to, state, hoursPerDay }) => ({
            uid: `leave-${person.id}-${id}@mindful-roster`,
            from,
            to,
            // The reason for leave stays between the person and the manager.
            leave: { personId: person.id, id, state, ...(hoursPerDay !== undefined && { hoursPerDay }) },
            title: `${person.name} away${hoursPerDay === undefined ? "" : `, ${hoursPerDay} h a day`}${state === "requested" ? " (requested)" : ""}`,
          })),
      ),
  };
}
