// The form that anyone can send an enquiry by: plain HTML with no script in it.
import type { Plan } from "../../core/plan/schema.ts";

/** The values sent before, by field name, and their faults. */
export interface Sent {
  values: Readonly<Record<string, string>>;
  faults: Readonly<Record<string, string>>;
}

type Offered = Pick<Plan, "settings" | "templates" | "roles">;

/** The form, empty or as it was sent, with what is wrong next to each field. */
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
    `<h1>Send us an enquiry</h1>
<p class="says">${escaped(settings.name)} will read it and write back. Only the project and your name are required.</p>
${Object.keys(faults).length > 0 ? '<p class="fault" role="alert">Nothing was sent yet. Please correct the fields marked below.</p>' : ""}
<form method="post" action="/enquire">
${input("name", "Project, in a few words", 'required maxlength="300"')}
<p><label for="purpose">Purpose</label><textarea id="purpose" name="purpose" rows="5" maxlength="20000"${described("purpose")}>${value("purpose")}</textarea></p>${fault("purpose")}
<div class="pair">${input("wishedStart", "Requested start", 'type="date"')}${input("wishedFinish", "Requested finish", 'type="date"')}</div>
${input("value", `Budget, ${escaped(settings.currency)}`, 'type="number" min="0" step="any" inputmode="decimal"')}
${
  templates.length > 0
    ? `<p><label for="templateId">Similar to</label><select id="templateId" name="templateId"><option value="">Nothing on this list</option>${templates.map(({ id, name }) => `<option value="${escaped(id)}"${chosen(id)}>${escaped(name)}</option>`).join("")}</select></p>`
    : ""
}
<details${Object.keys(values).some((field) => field.startsWith("hours.") && values[field] !== "") ? " open" : ""}><summary>Hours by role, if you know them</summary>
${roles.map(({ id, name }) => input(`hours.${id}`, `${escaped(name)}, hours`, 'type="number" min="0" step="any" inputmode="decimal"')).join("\n")}
</details>
${input("contactName", "Your name", 'required maxlength="300" autocomplete="name"')}
${input("organisation", "Organisation", 'maxlength="300" autocomplete="organization"')}
${input("email", "Your e-mail address", 'type="email" maxlength="300" autocomplete="email"')}
<p><button>Send the enquiry</button></p>
</form>`,
  );
}

/** The page shown once an enquiry has arrived. */
export const enquiryThanksPage = (planName: string, name: string): string =>
  page(
    "Thank you",
    `<h1>Thank you</h1><p>${escaped(planName)} has your enquiry about ${escaped(name)} and will write back.</p><p><a href="/enquire">Send another one</a></p>`,
  );

/** The page shown if the form is closed, or too much was sent. */
export const enquiryRefusedPage = (title: string, says: string): string => page(title, `<h1>${escaped(title)}</h1><p>${escaped(says)}</p>`);

function page(title: string, body: string): string {
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><meta name="robots" content="noindex">
<title>${escaped(title)}</title><style>${STYLE}</style></head><body><main>${body}</main></body></html>`;
}

const entities: Record<string, string> = { "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;", "'": "&#39;" };

const escaped = (text: string): string => text.replaceAll(/[&<>"']/g, (sign) => entities[sign]);

const STYLE = `
@font-face{font-family:Text;src:url(/enquire/fonts/text.woff2) format("woff2");font-weight:400 700;font-display:swap}
@font-face{font-family:Title;src:url(/enquire/fonts/title.woff2) format("woff2");font-weight:200 800;font-display:swap}
:root{color-scheme:light dark;--paper:#f4f2ec;--sheet:#fffdf9;--ink:#1f2b2a;--ink-2:#55625f;--line:#dedace;--line-2:#cbc6b7;--pine:#1d5c53;--over:#b24a22}
@media (prefers-color-scheme:dark){:root{--paper:#161a19;--sheet:#1d2221;--ink:#ebe8df;--ink-2:#adb6b1;--line:#323936;--line-2:#464e4a;--pine:#7fc2b3;--over:#ee8f66}}
body{margin:0;background:var(--paper);color:var(--ink);font:14px/1.5 Text,system-ui,sans-serif}
main{max-width:600px;margin:40px auto;padding:24px 28px;background:var(--sheet);border:1px solid var(--line);border-radius:6px}
h1{margin:0 0 4px;font:500 26px/1.2 Title,Georgia,serif}
.says{color:var(--ink-2);margin:0 0 18px}.fault{color:var(--over);margin:-8px 0 12px;font-size:13px}
p{margin:0 0 12px}label{display:block;font-size:13px;color:var(--ink-2);margin-bottom:3px}
input,textarea,select{box-sizing:border-box;width:100%;min-height:32px;padding:5px 9px;font:inherit;color:inherit;background:var(--sheet);border:1px solid var(--line-2);border-radius:6px}
.pair{display:grid;grid-template-columns:1fr 1fr;gap:0 14px}summary{cursor:pointer;margin-bottom:12px;color:var(--pine)}
button{min-height:34px;padding:0 16px;font:600 14px/1 Text,system-ui,sans-serif;color:var(--sheet);background:var(--pine);border:0;border-radius:6px;cursor:pointer}
a{color:var(--pine)}:focus-visible{outline:2px solid var(--pine);outline-offset:2px}
`;
