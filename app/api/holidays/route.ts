// Public holidays for filling in a calendar: the countries, the regions of one, or the days of some years.
import * as z from "zod";
import { countries, publicHolidays, regionsOf } from "../../../interchange/holidays.ts";

export const dynamic = "force-dynamic";

const year = z.coerce.number().int().min(1950).max(2150);
const query = z.object({ country: z.string().regex(/^[A-Z]{2}$/), region: z.string().max(20).nullable(), from: year, to: year });
const MOST_YEARS = 30;

export function GET(request: Request): Response {
  const { searchParams } = new URL(request.url);
  const country = searchParams.get("country");
  if (country === null) return Response.json({ countries: countries() });
  if (!countries().some(({ code }) => code === country)) return refuse(`There is no country "${country}" in the holiday library.`);
  if (!searchParams.has("from")) return Response.json({ regions: regionsOf(country) });
  const asked = query.safeParse({
    country,
    region: searchParams.get("region") || null,
    from: searchParams.get("from"),
    to: searchParams.get("to"),
  });
  if (!asked.success) return refuse("Years are whole numbers from 1950 to 2150.");
  const { region, from, to } = asked.data;
  if (to < from || to - from >= MOST_YEARS) return refuse(`The last year must not be before the first; ${MOST_YEARS} years at most.`);
  if (region !== null && !regionsOf(country).some(({ code }) => code === region))
    return refuse(`There is no region "${region}" in this country.`);
  return Response.json({ holidays: publicHolidays(country, region, from, to) });
}

function refuse(message: string): Response {
  return Response.json({ message }, { status: 400 });
}
