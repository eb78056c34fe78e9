// The public form and its page: nothing that is sent becomes part of the page's markup.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { enquiryFields, enquiryValues, factsOf, newEnquiry } from "./enquiryFields.ts";
import { enquiryFormPage, enquiryThanksPage } from "./publicForm.ts";

const plan = fernhollow();

test("facts come back from the fields as they were, for every enquiry", () => {
  for (const enquiry of plan.enquiries) {
    const fields = enquiryFields.parse(enquiryValues(enquiry, plan.roles));
    const { id, history } = enquiry;
    const again = newEnquiry(fields, { id, at: history[0].at, by: history[0].by });
    const { state: _, projectId: __, history: ___, ...facts } = enquiry;
    expect(again).toEqual({ ...facts, state: "received", history: [{ at: history[0].at, by: history[0].by, step: "received" }] });
  }
});

test("what is wrong is reported at its field", () => {
  const sent = {
    ...enquiryValues({}, plan.roles),
    name: " ",
    email: "nobody",
    wishedStart: "2027-05-03",
    wishedFinish: "2027-05-02",
    value: "-1",
    hours: { lead: "many" },
  };
  const { error } = enquiryFields.safeParse(sent);
  const places = error?.issues.map(({ path }) => path.join("."));
  expect(places).toEqual(expect.arrayContaining(["name", "contactName", "email", "value", "hours.lead"]));
  expect(
    enquiryFields.safeParse({ ...enquiryValues(plan.enquiries[0], plan.roles), wishedFinish: "1 Jan 2027" }).error?.issues[0].path,
  ).toEqual(["wishedFinish"]);
  expect(factsOf({ ...enquiryValues({}, plan.roles), name: "A", contactName: "B", hours: { lead: "0", designer: "" } }).hours).toBeNull();
});

test("the public page has no script, says what is wrong next to the field, and keeps what was written, unchanged", () => {
  const evil = `"><script>alert(1)</script>`;
  const page = enquiryFormPage(
    { ...plan, settings: { ...plan.settings, name: evil }, roles: [{ id: evil, name: evil }] },
    { values: { name: evil, purpose: evil, [`hours.${evil}`]: "3" }, faults: { name: "Say it", purpose: evil } },
  );
  expect(page).not.toContain("<script");
  expect(page).toContain('<p class="fault" id="name-says" role="alert">Say it</p>');
  expect(page).toContain("&quot;&gt;&lt;script&gt;alert(1)&lt;/script&gt;");
  expect(page).toContain("<details open>");
  expect(enquiryThanksPage(evil, evil)).not.toContain("<script");
});
