// All changes are in one place, and a user's own steps are undone from there, regardless of later ones.
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { goTo, sheetOf, typeRate, untilSaved } from "./pages.ts";
import type { Server } from "./server.ts";

let server: Server;
test.beforeEach(({ server: own }) => {
  server = own;
});

test("every step is listed with its rows, and the user undoes an older one of their own while later ones stay", async ({ page }) => {
  await goTo(page, server, "/rates");
  await typeRate(page, "Mara Ellingsen", "52.5");
  await untilSaved(page);
  await goTo(page, server, "/settings/roles");
  await page.getByLabel("Name of a new role").fill("Scaffolder");
  await page.keyboard.press("Enter");
  await untilSaved(page);
  await page.getByRole("button", { name: "Plan", exact: true }).click();
  await page.getByRole("menuitem", { name: "Changes" }).click();
  const role = page.getByRole("article", { name: 'add the role "Scaffolder"' });
  const rates = page.getByRole("article").filter({ hasText: /rate/ });
  const rate = rates.first();
  await expect(role).toContainText("Nora Okafor");
  await role.getByRole("button", { name: "1 row" }).click();
  await expect(role).toContainText("role added Scaffolder");
  await rate.getByRole("button", { name: "1 row" }).click();
  await expect(rate).toContainText("Mara Ellingsen");
  await expect(rate).toContainText("→ 52.5");
  await rate.getByRole("button", { name: "Undo" }).click();
  await expect(rate).toContainText("Undone: change rates");
  await expect(rates.nth(1)).toContainText("· undone");
  await expect(role).not.toContainText("· undone");
  await page.getByLabel("Search changes").fill("scaffolder");
  await expect(page.getByRole("article")).toHaveCount(1);
  const { plan } = await (await fetch(`${server.url}/api/plan`)).json();
  expect(plan.roles.some(({ name }: { name: string }) => name === "Scaffolder")).toBe(true);
  expect(plan.rateTables[0].entries.some(({ rate: own }: { rate: number }) => own === 52.5)).toBe(false);
});

test("a project is deleted with all that is its own, its page is left, and one undo brings it all back", async ({ page }) => {
  await goTo(page, server, "/work/tidepool?task=project");
  await sheetOf(page).getByRole("button", { name: "Delete project" }).click();
  await expect(page.getByText("Tidepool Hall is no longer in the plan, so its page was closed.")).toBeVisible();
  await expect(page.getByText("22,352.7 h")).toBeVisible();
  await page.getByRole("button", { name: 'Undo: delete the project "Tidepool Hall" (Ctrl Z)' }).click();
  await expect(page.getByText("24,779.7 h")).toBeVisible();
});

test("a step says what moved because of it, and is in the sheet of what it is about, with its id", async ({ page }) => {
  await goTo(page, server, "/work/tidepool?task=tidepool-order&from=2027-01-25&to=2027-05-23");
  const sheet = sheetOf(page);
  await sheet.getByLabel("Working days").fill("8");
  await sheet.getByRole("button", { name: "Save" }).click();
  await untilSaved(page);
  await sheet.getByRole("button", { name: "Changes" }).click();
  // Changes of other tests are in the trail, too, below it.
  const step = sheet.getByRole("article").first();
  await expect(step).toContainText(/^Change .*Order materials.* · Nora Okafor/);
  await step.getByRole("button", { name: "Show moved dates" }).click();
  await expect(step).toContainText(/\d+ tasks move with it:/);
  await expect(step).toContainText(/Cases and plinths.*10 Feb → 17 Feb, because of Order materials/);
  await expect(sheet).toContainText("Id in files: tidepool-order");
  await goTo(page, server, "/changes?about=tidepool-cases");
  await expect(
    page
      .getByText("No steps about", { exact: false })
      .or(page.getByText("Changes of", { exact: false }))
      .first(),
  ).toBeVisible();
  await expect(page.getByRole("article").filter({ hasText: "Order materials" })).toHaveCount(0);
});
