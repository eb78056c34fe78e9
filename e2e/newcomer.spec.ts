// From nothing: an empty folder becomes a costed plan by typing alone, and a new plan takes the place of another.
import { test as alone } from "@playwright/test";
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { choose, goTo, sheetOf, typeRate, untilSaved } from "./pages.ts";
import { emptyServer, putAway } from "./server.ts";

alone(
  "an empty folder leads through roles, people, rates, three projects and who is free, by typing alone, to what it all costs",
  async ({ page }) => {
    const empty = await emptyServer();
    try {
      await goTo(page, empty, "/people");
      const steps = page.getByRole("complementary", { name: "First steps" });
      await steps.getByRole("link", { name: "Settings" }).click();
      await page.getByLabel("Name", { exact: true }).fill("Alder Yard");
      await page.getByRole("textbox", { name: "First day" }).fill("4 Jan 2027");
      await page.getByRole("textbox", { name: "Last day" }).fill("31 Dec 2027");
      await page.getByRole("textbox", { name: "Today" }).fill("4 Jan 2027");
      await page.getByRole("button", { name: "Save", exact: true }).click();
      await expect(steps.getByLabel("done")).toHaveCount(1);

      await steps.getByRole("link", { name: "Roles" }).click();
      const newRole = page.getByLabel("Name of a new role");
      await newRole.fill("Carpenter");
      await newRole.press("Enter");
      await newRole.fill("Painter");
      await newRole.press("Enter");
      await expect(page.getByRole("grid", { name: "Roles" })).toContainText("Painter");
      await untilSaved(page);
      await goTo(page, empty, "/settings/rate-tables");
      await page.getByLabel("Name of a new rate table").fill("What we cost");
      await page.keyboard.press("Enter");
      await expect(page.getByRole("grid", { name: "Rate tables" })).toContainText("cost");

      await goTo(page, empty, "/people");
      for (const [name, role] of [
        ["Ada Brook", "Carpenter"],
        ["Cem Dale", "Painter"],
      ]) {
        await page.keyboard.press("n");
        await sheetOf(page).last().getByLabel("Name").fill(name);
        await choose(sheetOf(page).last().getByLabel("Main role"), role);
        await sheetOf(page).last().getByRole("button", { name: "Add person" }).click();
        await expect(page.getByRole("complementary", { name })).toBeVisible();
        await page.keyboard.press("Escape");
      }
      await untilSaved(page);
      await goTo(page, empty, "/rates");
      await choose(page.getByLabel("Role, person or material of the new rate"), "Carpenter");
      await page.getByRole("button", { name: "Add", exact: true }).click();
      await typeRate(page, "Carpenter", "40");
      await choose(page.getByLabel("Role, person or material of the new rate"), "Painter");
      await page.getByRole("button", { name: "Add", exact: true }).click();
      await typeRate(page, "Painter", "30");

      for (const [name, line] of [
        ["North stage", "Build the frame, 24 h, Ada Brook"],
        ["South stage", "Paint the wall, 10 h, Cem Dale"],
        ["Long table", "Plane the top, 16 h, Carpenter"],
      ]) {
        await goTo(page, empty, "/work");
        await page.keyboard.press("n");
        await sheetOf(page).last().getByLabel("Name").fill(name);
        await sheetOf(page).last().getByRole("button", { name: "Add project" }).click();
        await expect(page.getByText("No tasks yet")).toBeVisible();
        await page.getByRole("textbox", { name: /task/i }).last().fill(line);
        await page.keyboard.press("Enter");
        await expect(page.locator("[data-task]")).toHaveCount(1);
        await untilSaved(page);
      }
      await goTo(page, empty, "/openings");
      await expect(page.getByRole("grid", { name: "Openings", exact: true })).toContainText("16 h");
      await goTo(page, empty, "/money");
      await expect(page.locator("td[data-foot=sum]")).toContainText("1,900.00");
      await goTo(page, empty, "/balance");
      await expect(page.getByRole("gridcell", { name: /^Ada Brook, week of 4 January: .*24 of 40 hours/ })).toBeVisible();
      await page.reload();
      await expect(page.getByRole("gridcell", { name: /^Cem Dale, week of 4 January: .*10 of 40 hours/ })).toBeVisible();
    } finally {
      await putAway(empty);
    }
  },
);

test("a new plan is made from the menu, with the holidays of a country; the one before is kept as a copy", async ({ page, server }) => {
  await goTo(page, server, "/balance");
  await page.getByRole("button", { name: "Plan", exact: true }).click();
  await page.getByRole("menuitem", { name: "New plan…" }).click();
  const sheet = page.getByRole("complementary", { name: "New plan" });
  await sheet.getByRole("button", { name: "Create plan" }).click();
  await expect(sheet.getByText("Enter a name for the plan.")).toBeVisible();
  await sheet.getByLabel("Name").fill("Second house");
  await sheet.getByLabel("Country").click();
  await page.keyboard.type("Norway");
  await page.keyboard.press("Enter");
  await sheet.getByRole("textbox", { name: "First day" }).fill("1 Jan 2027");
  await sheet.getByRole("textbox", { name: "Last day" }).fill("31 Dec 2027");
  await sheet.getByRole("button", { name: "Create plan" }).click();
  await expect(page).toHaveURL(/\/settings\/roles/);
  await expect(page.getByRole("complementary", { name: "First steps" })).toBeVisible();
  const { plan } = await (await fetch(`${server.url}/api/plan`)).json();
  expect(plan.settings).toMatchObject({ name: "Second house", currency: "EUR", planStart: "2027-01-01", planEnd: "2027-12-31" });
  expect(plan.people).toEqual([]);
  expect(plan.calendars[0].name).toBe("Norway");
  expect(plan.calendars[0].exceptions).toContainEqual({ from: "2027-05-17", to: "2027-05-17", hours: 0, name: "Constitution Day" });
});

test("roles are pasted, renamed in place and merged; one undo brings both back with all that used them", async ({ page, server }) => {
  await goTo(page, server, "/settings/roles");
  const grid = page.getByRole("grid", { name: "Roles" });
  const writer = grid.getByRole("row", { name: /^Interpretive writer/ });
  await expect(writer).toContainText("4 people, 13 tasks, 3 assignments");
  await page.getByLabel("Name of a new role").focus();
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData("text/plain", "Rigger\nModel maker\nInstaller\n");
    document.activeElement?.dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }));
  });
  await expect(grid.getByRole("row", { name: /^Model maker/ })).toContainText("nothing");
  await expect(page.getByText("1 role was there already.")).toBeVisible();
  await writer.click();
  const sheet = page.getByRole("complementary", { name: "Interpretive writer" });
  await choose(sheet.getByLabel("Into"), "Exhibit designer");
  await sheet.getByRole("button", { name: "Merge", exact: true }).click();
  await expect(writer).toHaveCount(0);
  await expect(grid.getByRole("row", { name: /^Exhibit designer/ })).toContainText("9 people, 39 tasks, 15 assignments");
  await page.getByRole("button", { name: /^Undo: merge the role "Interpretive writer" into "Exhibit designer"/ }).click();
  await expect(writer).toContainText("4 people, 13 tasks, 3 assignments");
  await expect(grid.getByRole("row", { name: /^Exhibit designer/ })).toContainText("6 people, 26 tasks, 12 assignments");
});

test("every screen uses the settings: another first weekday, another band, another name, and back", async ({ page, server }) => {
  await goTo(page, server, "/settings");
  await choose(page.getByLabel("Week starts on"), "Sunday");
  await page.getByLabel("Up to, % of capacity").fill("120");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await untilSaved(page);
  await goTo(page, server, "/balance");
  const cell = page.getByRole("gridcell", { name: /^Mara Ellingsen, week of 14 February:/ });
  await expect(cell).toBeAttached();
  await page.getByRole("button", { name: "Undo: change the plan’s settings (Ctrl Z)" }).click();
  await expect(page.getByRole("gridcell", { name: /^Mara Ellingsen, week of 15 February: over by 19\.2 hours/ })).toBeAttached();
});
