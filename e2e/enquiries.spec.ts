// From a person who asks to approved work: the public form without scripts, what it would do, each decision by its figures.
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { goTo, sheetOf, untilSaved } from "./pages.ts";
import { demoServer, putAway } from "./server.ts";

test("an enquiry goes from the public form, without scripts, to approved work; one undo takes each step back", async ({
  page,
  browser,
  server,
}) => {
  const visitor = await browser.newContext({ javaScriptEnabled: false });
  const form = await visitor.newPage();
  await form.goto(`${server.url}/enquire`);
  await form.getByLabel("Project, in a few words").fill("A lighthouse lamp");
  await form.getByLabel("Requested start").fill("2027-09-06");
  await form.getByLabel("Requested finish").fill("2027-08-06");
  await form.getByLabel("Budget, EUR").fill("30000");
  await form.getByText("Hours by role, if you know them").click();
  await form.getByLabel("Lighting technician, hours").fill("80");
  await form.getByLabel("Fabricator, hours").fill("120");
  await form.getByLabel("Your name").fill("Ada Brand");
  await form.getByLabel("Organisation").fill("Cape Museum");
  await form.getByRole("button", { name: "Send the enquiry" }).click();
  await expect(form.getByText("The finish must not be before the start.")).toBeVisible();
  await expect(form.getByLabel("Lighting technician, hours")).toHaveValue("80");
  await form.getByLabel("Requested finish").fill("2027-10-29");
  await form.getByRole("button", { name: "Send the enquiry" }).click();
  await expect(form.getByRole("heading", { name: "Thank you" })).toBeVisible();
  await visitor.close();

  await goTo(page, server, "/enquiries");
  await expect(page.getByRole("navigation", { name: "Screens" }).getByRole("link", { name: "Enquiries" })).toContainText("3");
  await page.getByRole("row", { name: /^A lighthouse lamp/ }).click();
  const sheet = sheetOf(page);
  const hours = sheet.getByRole("list", { name: "Hours by role" });
  await expect(hours.getByRole("listitem").filter({ hasText: "Fabricator" })).toContainText("120 h");
  await expect(hours.getByRole("listitem").filter({ hasText: "Lighting technician" })).toContainText("80 h");
  // 120 h at 35.72 and 80 h at 39.92.
  await expect(sheet).toContainText("− 7,480.00");
  await expect(sheet).toContainText("Margin, 75.1%");
  await sheet.getByLabel("Probability, %").fill("60");
  await sheet.getByRole("button", { name: "Accept into the pipeline" }).click();
  await expect(sheet.getByText("Accepted as")).toBeVisible();
  await sheet.getByRole("link", { name: "show on Horizon" }).click();
  await page.getByRole("button", { name: /Pipeline/ }).click();
  await expect(sheetOf(page)).toContainText("A lighthouse lamp");

  await goTo(page, server, "/enquiries");
  await page.getByRole("row", { name: /^A lighthouse lamp/ }).click();
  await sheet.getByLabel("Start", { exact: true }).fill("4 Oct 2027");
  await sheet.getByRole("button", { name: "Approve" }).click();
  await expect(sheet.getByText("Approved as")).toBeVisible();
  // The window moves to the start that the page comes with: until the approval is saved, that is the one before.
  await untilSaved(page);
  await sheet.getByRole("link", { name: "A lighthouse lamp" }).click();
  await expect(page.getByRole("heading", { name: "A lighthouse lamp" })).toBeVisible();
  await expect(page.locator("[data-task]", { hasText: "Fabricator" }).first()).toContainText("4 Oct");
  await page.getByRole("button", { name: /^Undo: approve the enquiry/ }).click();
  await page.getByRole("button", { name: /^Undo: accept the enquiry/ }).click();
  // The created project is gone, and with it the open page.
  await page.waitForURL(/\/work\?from=2027-10-04/);
  await goTo(page, server, "/enquiries");
  await expect(page.getByRole("row", { name: /^A lighthouse lamp/ })).toContainText("waiting");
});

test("an enquiry added inside is declined with a reason, which is sent, and reopened", async ({ page, server }) => {
  await goTo(page, server, "/enquiries");
  await page.keyboard.press("n");
  const sheet = sheetOf(page);
  await sheet.getByLabel("Title").fill("A clock for the square");
  await sheet.getByRole("button", { name: "Add enquiry" }).click();
  await expect(sheet.getByText("Enter a contact name.")).toBeVisible();
  await sheet.getByLabel("Contact").fill("Tilde Rask");
  await sheet.getByRole("button", { name: "Add enquiry" }).click();
  await expect(sheet.getByText("Its size is not known yet")).toBeVisible();
  await sheet.getByRole("button", { name: "Decline" }).click();
  await expect(sheet.getByRole("alert")).toHaveText("Enter the reason for declining.");
  await sheet.getByLabel("Message or reason").fill("We build no clocks.");
  await sheet.getByRole("button", { name: "Decline" }).click();
  await expect(sheet.getByRole("heading", { name: "Status: declined" })).toBeVisible();
  await goTo(page, server, "/openings/outbox");
  await expect(page.getByRole("listitem").filter({ hasText: "We cannot take it on: A clock for the square" })).toContainText(
    "We build no clocks.",
  );
  await goTo(page, server, "/enquiries");
  await page.getByRole("row", { name: /^A clock for the square/ }).click();
  await sheet.getByRole("button", { name: "Reopen" }).click();
  await expect(sheet.getByRole("heading", { name: "Status: waiting" })).toBeVisible();
});

test("the public form can be closed, takes no more than a form holds, and not without end", async () => {
  const server = await demoServer({ ROSTER_MOST_ENQUIRIES: "2" });
  try {
    const send = (fields: Record<string, string>, origin = server.url) =>
      fetch(`${server.url}/enquire`, { method: "POST", body: new URLSearchParams(fields), headers: { origin } });
    expect((await send({ name: "x".repeat(200_000) })).status).toBe(413);
    // Another site's page sends nothing.
    expect((await send({ name: "From elsewhere", contactName: "X" }, "https://elsewhere.example")).status).toBe(403);
    expect((await send({ name: "One too many", contactName: "Someone" })).status).toBe(429);
    const { plan } = await (await fetch(`${server.url}/api/plan`)).json();
    expect(plan.enquiries).toHaveLength(3);
    // Nothing else can be written that way.
    const other = await fetch(`${server.url}/enquire/`, {
      method: "POST",
      body: "name=x",
      headers: { origin: server.url },
      redirect: "manual",
    });
    expect(other.status).toBe(403);
  } finally {
    await putAway(server);
  }
});

test("where the plan does not open it, the form is not there", async ({ page, server }) => {
  await goTo(page, server, "/enquiries");
  await page.getByRole("button", { name: "Close the public form" }).click();
  await expect(page.getByRole("button", { name: "Open the public form" })).toBeVisible();
  await goTo(page, server, "/enquiries");
  expect((await fetch(`${server.url}/enquire`)).status).toBe(404);
  await page.getByRole("button", { name: "Open the public form" }).click();
  await expect(page.getByRole("link", { name: "Public form" })).toBeVisible();
});

test("of two who decide on one enquiry, the second keeps the message that was being written", async ({ page, browser, server }) => {
  await goTo(page, server, "/enquiries");
  const row = page.getByRole("row").filter({ hasText: "waiting" }).first();
  const name = (await row.locator("[data-column=name]").textContent()) ?? "";
  await row.click();
  const sheet = sheetOf(page);
  await sheet.getByRole("button", { name: "Accept into the pipeline" }).click();
  await expect(sheet.getByText("Accepted as")).toBeVisible();
  await sheet.getByLabel("Message or reason").fill("We would begin in autumn.");
  const other = await (await browser.newContext()).newPage();
  await goTo(other, server, page.url().slice(server.url.length));
  await sheetOf(other).getByRole("button", { name: "Approve" }).click();
  await expect(sheetOf(other).getByText("Approved as")).toBeVisible();
  // The one who approved has written nothing; the other one reads what was not sent, also after a reload.
  await expect(sheetOf(other).getByText("Your message was not sent")).toHaveCount(0);
  await expect(sheet.getByText("Your message was not sent")).toBeVisible();
  await page.reload();
  await expect(sheet).toContainText("We would begin in autumn.");
  await sheet.getByRole("button", { name: "Discard" }).click();
  await expect(sheet.getByText("Your message was not sent")).toHaveCount(0);
  expect(name).not.toBe("");
});

test("the public form has the fonts of the application", async ({ server }) => {
  for (const font of ["text.woff2", "title.woff2"]) {
    const answer = await fetch(`${server.url}/enquire/fonts/${font}`);
    expect(answer.headers.get("content-type")).toBe("font/woff2");
    expect((await answer.arrayBuffer()).byteLength).toBeGreaterThan(10_000);
  }
  expect((await fetch(`${server.url}/enquire/fonts/__proto__`)).status).toBe(404);
});
