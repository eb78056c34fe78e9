// The plan that a new data folder begins with: eighteen months from this month on, one calendar, nothing else.
import { parseDay } from "../core/calendar/day.ts";
import type { Plan } from "../core/plan/schema.ts";
import { newPlan, usualHorizon } from "../core/projects/newPlan.ts";

export function emptyPlan(now: Date): Plan {
  return newPlan({
    settings: { name: "New plan", currency: "EUR", ...usualHorizon(parseDay(now.toISOString().slice(0, 10))) },
    week: [8, 8, 8, 8, 8, 0, 0],
    holidays: [],
    calendarName: "Standard week",
  });
}
