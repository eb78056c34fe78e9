import { parseDay } from "../../core/calendar/day.ts";

/** Days from a moment, ISO 8601 in UTC, to a day. */
export const ageInDays = (at: string, today: number): number => today - parseDay(at.slice(0, 10));
