// Fields about a plan's time and currency that several forms have.
import * as z from "zod";
import { DATE_HINT, readDate } from "../../ui/dateText.ts";
import { monthNames } from "../../ui/format.ts";
import { type Option, textOptions } from "../../ui/options.ts";

/** A required date. */
export const day = z.string().refine((text) => readDate(text) !== null, { error: DATE_HINT });

const numbered = (texts: readonly string[]): Option[] => texts.map((text, at) => ({ value: String(at + 1), text }));
export const weekdayOptions = numbered(["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"]);
export const monthOptions = numbered(monthNames());

export const currencyOptions = (): Option[] => textOptions(Intl.supportedValuesOf("currency"));
