// The two workshops' calendars, with the public holidays of their countries.
import type { Calendar } from "../core/plan/schema.ts";
import { publicHolidays } from "../interchange/holidays.ts";

const [FIRST_YEAR, LAST_YEAR] = [2026, 2028];
const week = [8, 8, 8, 8, 8, 0, 0];

const shortDays = (dates: readonly string[], name: string, hours: number) => dates.map((date) => ({ from: date, to: date, hours, name }));

export const calendars: Calendar[] = [
  {
    id: "porto",
    name: "Porto workshop",
    week,
    exceptions: [
      ...publicHolidays("PT", null, FIRST_YEAR, LAST_YEAR),
      ...shortDays(["2026-12-23", "2027-12-23"], "Short day before Christmas", 4),
      ...shortDays(["2027-05-29"], "Working Saturday before Tidepool Hall opens", 8),
    ],
  },
  {
    id: "tartu",
    name: "Tartu workshop",
    week,
    exceptions: [
      ...publicHolidays("EE", null, FIRST_YEAR, LAST_YEAR),
      ...shortDays(["2026-12-23", "2027-12-23"], "Short day before Christmas", 4),
    ],
  },
];
