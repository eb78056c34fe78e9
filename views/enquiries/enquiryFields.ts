// The fields of an enquiry: those of the public form and the one inside, read by the same rules.

import * as z from "zod";
import type { Enquiry } from "../../core/plan/schema.ts";
import { withSet } from "../../core/values/stated.ts";
import { readAmount } from "../../ui/amount.ts";
import { DATE_HINT, isDateText, readDate, writeDate } from "../../ui/dateText.ts";
import { texts } from "./words.ts";

const MOST_MONEY = 1e10;
const MOST_HOURS = 100_000;

const short = z.string().trim().max(300, { error: texts.atMost300Letters });
const date = z.string().refine(isDateText, { error: DATE_HINT });
const amount = (most: number, error: string) =>
  z.string().refine((text) => text.trim() === "" || readAmount(text, 0, most) !== null, { error });

export const enquiryFields = z
  .object({
    name: short.min(1, { error: texts.enterAShortTitle }),
    purpose: z.string().trim().max(20_000, { error: texts.atMost20000Letters }),
    contactName: short.min(1, { error: texts.enterAContactName }),
    organisation: short,
    email: short.refine((text) => text === "" || /^\S+@\S+$/.test(text), { error: texts.enterAnAddressSuch }),
    clientId: z.string().max(300),
    wishedStart: date,
    wishedFinish: date,
    value: amount(MOST_MONEY, "Enter an amount of 0 or more."),
    templateId: z.string().max(300),
    /** By role. */
    hours: z.record(z.string().max(300), amount(MOST_HOURS, "Enter 0 hours or more.")),
  })
  .refine(({ wishedStart, wishedFinish }) => (readDate(wishedFinish) ?? "9") >= (readDate(wishedStart) ?? ""), {
    path: ["wishedFinish"],
    error: texts.theFinishMustNot,
  });
export type EnquiryFields = z.infer<typeof enquiryFields>;

/** The facts that the fields state; what is empty is null. */
export function factsOf(fields: EnquiryFields) {
  const text = (value: string) => (value.trim() === "" ? null : value.trim());
  const hours = Object.entries(fields.hours).flatMap(([roleId, own]) => {
    const value = readAmount(own, 0, MOST_HOURS)?.value ?? 0;
    return value > 0 ? [{ roleId, hours: value }] : [];
  });
  const [organisation, email] = [text(fields.organisation), text(fields.email)];
  return {
    name: fields.name.trim(),
    purpose: text(fields.purpose),
    contact: { name: fields.contactName.trim(), ...(organisation && { organisation }), ...(email && { email }) },
    clientId: text(fields.clientId),
    wishedStart: readDate(fields.wishedStart),
    wishedFinish: readDate(fields.wishedFinish),
    value: readAmount(fields.value, 0, MOST_MONEY)?.value ?? null,
    templateId: text(fields.templateId),
    hours: hours.length > 0 ? hours : null,
  };
}

/** A new enquiry with its first step. @param at ISO 8601 in UTC. @param by The person who adds it. */
export function newEnquiry(fields: EnquiryFields, { id, at, by }: { id: string; at: string; by: string }): Enquiry {
  const { name, contact, ...facts } = factsOf(fields);
  return withSet<Enquiry>({ id, name, contact, state: "received", history: [{ at, by, step: "received" }] }, facts);
}

/** The fields of an enquiry as it is now; empty for a new one. @param roles Those that have a field for hours. */
export function enquiryValues(enquiry: Partial<Enquiry>, roles: readonly { id: string }[]): EnquiryFields {
  const { contact, hours = [] } = enquiry;
  return {
    name: enquiry.name ?? "",
    purpose: enquiry.purpose ?? "",
    contactName: contact?.name ?? "",
    organisation: contact?.organisation ?? "",
    email: contact?.email ?? "",
    clientId: enquiry.clientId ?? "",
    wishedStart: writeDate(enquiry.wishedStart),
    wishedFinish: writeDate(enquiry.wishedFinish),
    value: enquiry.value === undefined ? "" : String(enquiry.value),
    templateId: enquiry.templateId ?? "",
    hours: Object.fromEntries([...roles.map(({ id }) => [id, ""]), ...hours.map(({ roleId, hours: own }) => [roleId, String(own)])]),
  };
}
