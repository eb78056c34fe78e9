// Typed dates and hours that several forms ask for: a first and a last day, hours of a day.

import * as z from "zod";
import { DATE_HINT, readDate } from "../../../ui/dateText.ts";
import { texts } from "../words.ts";

const day = z.string().refine((text) => readDate(text) !== null, { error: DATE_HINT });

/** A form's fields with a first and a last day in order. */
export function dateRangeFields<S extends z.ZodRawShape>(shape: S) {
  return z.object({ from: day, to: day, ...shape }).superRefine((fields, context) => {
    const { from, to } = fields as { from: string; to: string };
    const [first, last] = [readDate(from), readDate(to)];
    if (first !== null && last !== null && last < first) context.addIssue({ code: "custom", path: ["to"], message: texts.theLastDayMust });
  });
}

/** The hours that were typed; null for none. */
export function hoursOf(text: string): number | null {
  return text.trim() === "" ? null : Number(text.replace(",", "."));
}

/** Typed hours of a day, above 0 and up to 24. */
export function hoursADay(isOptional: boolean) {
  return z.string().refine(
    (text) => {
      const hours = hoursOf(text);
      return hours === null ? isOptional : hours > 0 && hours <= 24;
    },
    { error: texts.enterUpTo24Hours },
  );
}
