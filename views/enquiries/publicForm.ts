// The form that anybody can send an enquiry by: plain HTML with no script in it.
import type { Plan } from "../../core/plan/schema.ts";

/** What was sent before, by field name, and what is wrong with it. */
export interface Sent {
  values: Readonly<Record<string, string>>;
  faults: Readonly<Record<string, string>>;
}

type Offered = Pick<Plan, "settings" | "templates" | "roles">;

/** The form, empty or as it was sent, with what is wrong beside each field. */
export function enquiryFormPage({ settings, templates, roles }: Offered, { values, faults }: Sent = { values: {}, faults: {} }): string {
  const value = (field: string) => escaped(values[field] ?? "");
  const fault = (field: string) =>
    faults[field] ? `<p class="fault" id="${escaped(field)}-says" role="alert">${escaped(faults[field])}</p>` : "";
  const described = (field: string) => (faults[field] ? ` aria-invalid="true" aria-describedby="${escaped(field)}-says"` : "");
  const input = (field: string, label: string, more = "") =>
    `<div><p><label for="${escaped(field)}">${label}</label><input id="${escaped(field)}" name="${escaped(field)}" value="${value(field)}" ${more}${described(field)}></p>${fault(field)}</div>`;
  const chosen = (id: string) => (values.templateId === id ? " selected" : "");
  return page(
    `Enquiry to ${settings.name}`,
    `<h1>What can we do for you?</h1>
<p class="says">${escaped(settings.name)} will look at it and write back. Only what it is and who you are has to be filled in.</p>
${Object.keys(faults).length > 0 ? '<p class="fault" role="alert">Nothing was sent yet: some of it has to be put right first.</p>' : ""}
<form method="post" action="/enquire">
${input("name", "What is it, in a few words?", 'required maxlength="300"')}
<p><label for="purpose">What is it for?</label><textarea id="purpose" name="purpose" rows="5" maxlength="20000"${described("purpose")}>${value("purpose")}</textarea></p>${fault("purpose")}
<div class="pair">${input("wishedStart", "It should begin", 'type="date"')}${input("wishedFinish", "and be done by", 'type="date"')}</div>
${input("value", `What may it cost, ${escaped(settings.currency)}?`, 'type="number" min="0" step="any" inputmode="decimal"')}
${
  templates.length > 0
    ? `<p><label for="templateId">What is it most like?</label><select id="templateId" name="templateId"><option value="">I cannot say</option>${templates.map(({ id, name }) => `<option value="${escaped(id)}"${chosen(id)}>${escaped(name)}</option>`).join("")}</select></p>`
    : ""
}
<details${Object.keys(values).some((field) => field.startsWith("hours.") && values[field] !== "") ? " open" : ""}><summary>I know how many hours it takes</summary>
${roles.map(({ id, name }) => input(`hours.${id}`, `${escaped(name)}, hours`, 'type="number" min="0" step="any" inputmode="decimal"')).join("\n")}
</details>
${input("contactName", "Your name", 'required maxlength="300" autocomplete="name"')}
${input("organisation", "For whom do you ask?", 'maxlength="300" autocomplete="organization"')}
${input("email", "Your e-mail address", 'type="email" maxlength="300" autocomplete="email"')}
<p><button>Send the enquiry</button></p>
</form>`,
  );
}

/** What is said once it has arrived. */
export const enquiryThanksPage = (planName: string, name: string): string =>
  page(
    "Thank you",
    `<h1>Thank you</h1><p>${escaped(planName)} has your enquiry about ${escaped(name)} and will write back.</p><p><a href="/enquire">Send another one</a></p>`,
  );

/** What is said where the form is closed, or too much has come. */
export const enquiryRefusedPage = (title: string, says: string): string => page(title, `<h1>${escaped(title)}</h1><p>${escaped(says)}</p>`);

function page(title: string, body: string): string {
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><meta name="robots" content="noindex">
<title>${escaped(title)}</title><style>${STYLE}</style></head><body><main>${body}</main></body></html>`;
}

const entities: Record<string, string> = { "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;", "'": "&#39;" };

const escaped = (text: string): string => text.replaceAll(/[&<>"']/g, (sign) => entities[sign]);

const STYLE = `
:root{color-scheme:light dark;--paper:#f2f1ec;--card:#fffefa;--ink:#1c2422;--ink-2:#55625f;--line:#d8d6cd;--pine:#1f5a50;--over:#9c3a17}
@media (prefers-color-scheme:dark){:root{--paper:#161a19;--card:#1e2322;--ink:#eceae3;--ink-2:#a5b0ad;--line:#3a4241;--pine:#7fc4b3;--over:#f08a5d}}
body{margin:0;background:var(--paper);color:var(--ink);font:16px/1.5 system-ui,sans-serif}
main{max-width:640px;margin:40px auto;padding:28px 32px;background:var(--card);border:1px solid var(--line);border-radius:10px}
h1{margin:0 0 4px;font:500 30px/1.2 Georgia,serif}
.says{color:var(--ink-2);margin:0 0 20px}.fault{color:var(--over);margin:-6px 0 12px;font-size:14px}
p{margin:0 0 14px}label{display:block;font-size:14px;color:var(--ink-2);margin-bottom:3px}
input,textarea,select{box-sizing:border-box;width:100%;padding:8px 10px;font:inherit;color:inherit;background:var(--paper);border:1px solid var(--line);border-radius:6px}
.pair{display:grid;grid-template-columns:1fr 1fr;gap:0 16px}summary{cursor:pointer;margin-bottom:14px;color:var(--pine)}
button{padding:10px 18px;font:600 16px/1 system-ui,sans-serif;color:var(--card);background:var(--pine);border:0;border-radius:6px;cursor:pointer}
a{color:var(--pine)}:focus-visible{outline:2px solid var(--pine);outline-offset:2px}
`;
