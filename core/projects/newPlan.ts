// A plan with nothing in it yet: its settings, and one calendar.
import { type Day, formatDay, parseDay } from "../calendar/day.ts";
import type { Calendar, Plan, Settings } from "../plan/schema.ts";

export interface NewPlan {
  settings: Pick<Settings, "name" | "currency" | "planStart" | "planEnd"> & Partial<Settings>;
  /** Hours from Monday to Sunday. */
  week: readonly number[];
  /** Public holidays, as days without work. */
  holidays: Calendar["exceptions"];
  /** The name of the calendar. */
  calendarName: string;
}

/** A whole plan of the newest version, with no people and no work. */
export function newPlan({ settings, week, holidays, calendarName }: NewPlan): Plan {
  return {
    format: "mindful-roster-plan",
    version: 1,
    settings,
    calendars: [{ id: "standard", name: calendarName, week: [...week], exceptions: holidays }],
    roles: [],
    skills: [],
    people: [],
    teams: [],
    materials: [],
    exchangeRates: [],
    rateTables: [],
    clients: [],
    projects: [],
    tasks: [],
    links: [],
    assignments: [],
    expenses: [],
    templates: [],
    comments: [],
    views: [],
    acceptances: [],
    snoozes: [],
    notes: [],
    enquiries: [],
    sketches: [],
    timeEntries: [],
    actualCosts: [],
    baselines: [],
    requests: [],
  };
}

/** The usual horizon of a new plan: from the month of a day to the end of the seventeenth month after it. */
export function usualHorizon(today: Day): { planStart: string; planEnd: string } {
  const [year, month] = formatDay(today).split("-").map(Number);
  const first = (ahead: number) => new Date(Date.UTC(year, month - 1 + ahead, 1)).toISOString().slice(0, 10);
  return { planStart: first(0), planEnd: formatDay(parseDay(first(18)) - 1) };
}
