// The public form for enquiries: plain pages, open to anyone while the plan says so, and nothing else of the plan.

import { findRow } from "../../core/plan/rows.ts";
import type { Plan } from "../../core/plan/schema.ts";
import { waitingEnquiries } from "../../core/plan/waiting.ts";
import { hasCode } from "../../core/values/errors.ts";
import { type EnquiryFields, enquiryFields, newEnquiry } from "../../views/enquiries/enquiryFields.ts";
import { enquiryFormPage, enquiryRefusedPage, enquiryThanksPage } from "../../views/enquiries/publicForm.ts";
import { readText } from "../body.ts";
import { openStore } from "../host.ts";
import { logFailure } from "../log.ts";

export const dynamic = "force-dynamic";

/** All fields full, with room to spare. */
const MOST_BYTES = 128_000;
/** As many may wait at once: a form that is misused fills no plan. */
const MOST_WAITING = 500;

export async function GET(): Promise<Response> {
  const { plan } = (await openStore()).snapshot();
  return plan.settings.enquiryForm ? html(200, enquiryFormPage(plan)) : closed(plan);
}

export async function POST(request: Request): Promise<Response> {
  const store = await openStore();
  const { plan, revision } = store.snapshot();
  if (!plan.settings.enquiryForm) return closed(plan);
  if (waitingEnquiries(plan) >= MOST_WAITING)
    return html(503, enquiryRefusedPage("Too many enquiries wait", "Please try again in a few days. Nothing was sent."));
  let sent: URLSearchParams;
  try {
    sent = new URLSearchParams(await readText(request, MOST_BYTES));
  } catch (error) {
    if (!hasCode(error, "tooLarge")) throw error;
    return html(413, enquiryRefusedPage("This is too long", "Please shorten it. Nothing was sent."));
  }
  const checked = enquiryFields.safeParse(fieldsOf(sent, plan));
  if (!checked.success) {
    const faults = Object.fromEntries(checked.error.issues.map(({ path, message }) => [path.join("."), message]).reverse());
    return html(422, enquiryFormPage(plan, { values: Object.fromEntries(sent), faults }));
  }
  const { contactName } = checked.data;
  const at = new Date().toISOString();
  const enquiry = newEnquiry(checked.data, { id: `enquiry-${crypto.randomUUID()}`, at, by: contactName.trim() });
  try {
    const { faults } = await store.settle({ kind: "edit", edit: { kind: "addEnquiry", enquiry } }, visitor, revision, at);
    if (faults.length > 0) return html(422, enquiryRefusedPage("This could not be sent", faults.map(({ message }) => message).join(" ")));
    return html(200, enquiryThanksPage(plan.settings.name, enquiry.name));
  } catch (error) {
    if (!hasCode(error, "storeClosed")) logFailure(error);
    return html(503, enquiryRefusedPage("This could not be sent", "Nothing was sent. Please try again in a minute."));
  }
}

const visitor = { actor: "visitor", name: "Public form", id: null };

/** The fields that were sent, by name; values that the plan does not offer are left out. */
function fieldsOf(sent: URLSearchParams, { roles, templates }: Plan): EnquiryFields {
  const text = (field: string) => sent.get(field) ?? "";
  return {
    name: text("name"),
    purpose: text("purpose"),
    contactName: text("contactName"),
    organisation: text("organisation"),
    email: text("email"),
    clientId: "",
    wishedStart: text("wishedStart"),
    wishedFinish: text("wishedFinish"),
    value: text("value"),
    templateId: findRow(templates, text("templateId"))?.id ?? "",
    hours: Object.fromEntries(roles.map(({ id }) => [id, text(`hours.${id}`)])),
  };
}

const closed = ({ settings }: Plan): Response =>
  html(404, enquiryRefusedPage("Not open", `${settings.name} does not accept enquiries through this form at the moment.`));

const html = (status: number, body: string): Response =>
  new Response(body, { status, headers: { "content-type": "text/html; charset=utf-8", "cache-control": "no-store" } });
