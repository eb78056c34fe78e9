// The present moment, on the day that counts as today: a plan may fix another one than the clock's.
import { type Day, formatDay } from "../core/calendar/day.ts";

/** ISO 8601 in UTC. */
export const momentOn = (today: Day): string => `${formatDay(today)}T${new Date().toISOString().slice(11)}`;
