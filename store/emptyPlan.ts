// The plan a new data folder begins with: a year from this month on, one calendar, nothing else.
import type { Plan } from "../core/plan/schema.ts";

/** An empty plan whose horizon begins with the month of `now` and lasts eighteen months. */
export function emptyPlan(now: Date): Plan {
  const month = (ahead: number, day: number) =>
    new Date(Date.UTC(now.getUTCFullYear(), now.getUTCMonth() + ahead, day)).toISOString().slice(0, 10);
  return {
    format: "mindful-roster-plan",
    version: 1,
    settings: { name: "New plan", currency: "EUR", planStart: month(0, 1), planEnd: month(18, 0) },
    calendars: [{ id: "standard", name: "Standard week", week: [8, 8, 8, 8, 8, 0, 0], exceptions: [] }],
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
    requests: [],
  };
}
