// The day it is, on the clock of this machine.
import { formatISO } from "date-fns";
import { type Day, parseDay } from "../core/calendar/day.ts";

export const currentDay = (): Day => parseDay(formatISO(new Date(), { representation: "date" }));
