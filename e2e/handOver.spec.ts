// Handing over all of a person's work from a day on.
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { goTo, untilSaved } from "./pages.ts";

test("all that a person has from a day on goes to another, in one step that says what it does and can be undone", async ({
  page,
  server,
}) => {
  await goTo(page, server, "/people/person/mara?year=2027");
  await page.getByRole("button", { name: "Hand over" }).click();
  const sheet = page.getByRole("complementary", { name: "Hand over" });
  await sheet.getByLabel("All work from").fill("15 Feb 2027");
  const casts = sheet.getByLabel("Assign Rock pool trial casts to");
  await expect(casts).toBeVisible();
  await expect(casts).toContainText("Stays");
  await expect(sheet).toContainText("Rock pool trial castsTidepool Hall · 40 h, 15 Feb – 26 Feb 2027 · split on the day");
  await expect(sheet.getByRole("button", { name: "Hand over 0 assignments" })).toBeDisabled();
  await sheet.getByLabel("Assign all to").click();
  await page.keyboard.type("Rui");
  await page.keyboard.press("Enter");
  await expect(casts).toContainText("Rui Monteverde");
  await sheet.getByRole("button", { name: /^Hand over \d\d? assignments$/ }).click();
  await expect(sheet).toContainText("There is no work from that date.");
  await untilSaved(page);
  await goTo(page, server, "/people/person/mara/hours?from=2027-02-01&to=2027-03-07&by=week");
  const day = (date: string) => page.locator(`td[data-foot=p${Date.parse(`${date}T00:00:00Z`) / 86_400_000}]`);
  await expect(day("2027-02-08")).toContainText("51.4");
  await expect(day("2027-02-15")).toHaveText(/^040$/);
  await page.getByRole("button", { name: "Undo: hand over the work of Mara Ellingsen from 2027-02-15 (Ctrl Z)" }).click();
  await expect(day("2027-02-15")).toContainText("59.2");
});

test("the proposal gives what fits to those with the role, and leaves the rest", async ({ page, server }) => {
  await goTo(page, server, "/people/person/mara?part=handOver");
  const sheet = page.getByRole("complementary", { name: "Hand over" });
  await sheet.getByLabel("All work from").fill("1 Mar 2027");
  await sheet.getByRole("button", { name: "As proposed" }).click();
  await expect(sheet.getByRole("button", { name: /^Hand over [1-9]\d* assignments?$/ })).toBeEnabled();
  await expect(sheet).toContainText("FreedMara Ellingsen337.4 h");
  await expect(sheet).not.toContainText("Overloaded");
});
