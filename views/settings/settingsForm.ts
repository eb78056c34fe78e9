// The settings as fields of a form, and back.

import * as z from "zod";
import type { Settable } from "../../core/edits/kind.ts";
import type { Settings } from "../../core/plan/schema.ts";
import { usualSettings } from "../../core/plan/usualSettings.ts";
import { DATE_HINT, isDateText, readDate, writeDate } from "../../ui/dateText.ts";
import { day } from "../planFields/planFields.ts";
import { texts } from "./words.ts";

const numberOf = (text: string) => Number(text.trim().replace(",", "."));
const within = (least: number, most: number, error: string) =>
  z.string().refine((text) => text.trim() === "" || (numberOf(text) >= least && numberOf(text) <= most), { error });

export const settingsFields = z
  .object({
    name: z.string().trim().min(1, { error: texts.enterAName }).max(300),
    planStart: day,
    planEnd: day,
    today: z.string().refine((text) => text.trim() === "" || isDateText(text), { error: DATE_HINT }),
    weekStartsOn: z.string(),
    fiscalYearStartMonth: z.string(),
    hoursPerFteWeek: within(1, 168, "Hours from 1 to 168."),
    low: within(0, 1000, "A percentage from 0 to 1,000."),
    high: within(0, 1000, "A percentage from 0 to 1,000."),
    currency: z.string(),
    marginTarget: within(-1000, 100, "A percentage up to 100."),
    taxInCost: z.boolean(),
  })
  .refine(({ planStart, planEnd }) => (readDate(planEnd) ?? "") >= (readDate(planStart) ?? ""), {
    path: ["planEnd"],
    error: texts.theLastDayMust,
  })
  .refine(({ low, high }) => numberOf(low) <= numberOf(high), { path: ["high"], error: texts.itMustNotBeBelow });

export type SettingsFields = z.infer<typeof settingsFields>;

export function fieldsOfSettings(settings: Settings): SettingsFields {
  const { levelBand, weekStartsOn, fiscalYearStartMonth, hoursPerFteWeek } = { ...usualSettings, ...settings };
  const percent = (share: number) => String(Math.round(share * 10_000) / 100);
  return {
    name: settings.name,
    planStart: writeDate(settings.planStart),
    planEnd: writeDate(settings.planEnd),
    today: writeDate(settings.today),
    weekStartsOn: String(weekStartsOn),
    fiscalYearStartMonth: String(fiscalYearStartMonth),
    hoursPerFteWeek: String(hoursPerFteWeek),
    low: percent(levelBand.low),
    high: percent(levelBand.high),
    currency: settings.currency,
    marginTarget: settings.marginTarget === undefined ? "" : String(settings.marginTarget),
    taxInCost: settings.taxInCost ?? false,
  };
}

/** The typed values as keys to set; an empty figure means the default. */
export function setOfSettings(fields: SettingsFields): Settable<"settings"> {
  const optional = (text: string) => (text.trim() === "" ? null : numberOf(text));
  const share = (text: string, usual: number) => (text.trim() === "" ? usual : numberOf(text) / 100);
  return {
    name: fields.name.trim(),
    planStart: readDate(fields.planStart) ?? undefined,
    planEnd: readDate(fields.planEnd) ?? undefined,
    today: readDate(fields.today),
    weekStartsOn: Number(fields.weekStartsOn),
    fiscalYearStartMonth: Number(fields.fiscalYearStartMonth),
    hoursPerFteWeek: optional(fields.hoursPerFteWeek),
    levelBand: { low: share(fields.low, usualSettings.levelBand.low), high: share(fields.high, usualSettings.levelBand.high) },
    currency: fields.currency,
    marginTarget: optional(fields.marginTarget),
    taxInCost: fields.taxInCost ? true : null,
  };
}
