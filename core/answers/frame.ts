// The facts of the plan that the shell around every screen shows.
import { horizonOf, periodSettingsOf } from "../calendar/horizon.ts";
import type { PeriodSettings, Range } from "../calendar/periods.ts";
import type { Model } from "../model.ts";
import { waitingEnquiries, waitingRequests, waitingTimeOff } from "../plan/waiting.ts";

export interface FrameAnswer {
  planName: string;
  currency: string;
  horizon: Range;
  periodSettings: PeriodSettings;
  /** Enquiries, requests for time off and requests for people that are waiting for an answer. */
  enquiries: number;
  requests: number;
  asked: number;
  /** The sizes of the plan, for the first steps. */
  counts: {
    people: number;
    projects: number;
    tasks: number;
    assignments: number;
    rateTables: number;
    hasRates: boolean;
    hasHolidays: boolean;
    hasLeave: boolean;
  };
}

/** The name, time and currency of the plan, the numbers of items waiting for an answer, and its sizes. */
export function frameOf({ plan }: Pick<Model, "plan">): FrameAnswer {
  return {
    planName: plan.settings.name,
    currency: plan.settings.currency,
    horizon: horizonOf(plan),
    periodSettings: periodSettingsOf(plan),
    enquiries: waitingEnquiries(plan),
    requests: waitingTimeOff(plan),
    asked: waitingRequests(plan),
    counts: {
      people: plan.people.length,
      projects: plan.projects.length,
      tasks: plan.tasks.length,
      assignments: plan.assignments.length,
      rateTables: plan.rateTables.length,
      hasRates: plan.rateTables.some(({ entries }) => entries.length > 0),
      hasHolidays: plan.calendars.some(({ exceptions }) => exceptions.length > 0),
      hasLeave: plan.people.some(({ timeOff }) => timeOff !== undefined && timeOff.length > 0),
    },
  };
}
