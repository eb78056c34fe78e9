// Screens without a mouse: outlines, years, matrices, menus and the list of shortcuts.
import type { Page } from "@playwright/test";
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { choose, goTo, load, sheetOf, untilSaved } from "./pages.ts";
import type { Server } from "./server.ts";

let server: Server;
test.beforeEach(({ server: own }) => {
  server = own;
});

const open = (page: Page, path: string): Promise<void> => goTo(page, server, path);
const focus = (page: Page) => page.locator(":focus");

test("a project's outline is walked, folded, ticked and put in another order by keys alone", async ({ page }) => {
  await open(page, "/work/tidepool");
  const rows = () => page.locator("[data-task]").evaluateAll((all) => all.map((row) => row.getAttribute("data-task") ?? ""));
  await page.locator("#task-tidepool-order").focus();
  await page.keyboard.press("ArrowDown");
  await expect(focus(page)).toHaveId("task-tidepool-cases");
  await page.keyboard.press("ArrowUp");
  await page.keyboard.press("ArrowUp");
  await expect(focus(page)).toHaveId("task-tidepool-fabrication");
  // Folded, what is below is gone and the next row is what comes after all of it.
  await page.keyboard.press("ArrowLeft");
  await expect(page.locator("[data-task=tidepool-cases]")).toHaveCount(0);
  await page.keyboard.press("ArrowRight");
  await expect(page.locator("[data-task=tidepool-cases]")).toHaveCount(1);
  await page.locator("#task-tidepool-order").focus();
  await page.keyboard.press("x");
  await page.keyboard.press("Shift+ArrowDown");
  await expect(sheetOf(page)).toContainText("2 tasks");
  await page.keyboard.press("Escape");
  const before = await rows();
  await page.locator("#task-tidepool-order").focus();
  await page.keyboard.press("Alt+ArrowDown");
  await expect.poll(async () => (await rows()).indexOf("tidepool-order")).toBe(before.indexOf("tidepool-cases"));
  await untilSaved(page);
  await page.keyboard.press("Control+z");
  await expect.poll(rows).toEqual(before);
});

test("a day of a person's year is reached by arrows and becomes time off", async ({ page }) => {
  await open(page, "/people/person/rui");
  const day = page.getByRole("gridcell", { name: /^Mon 8 Feb:/ });
  await day.focus();
  await page.keyboard.press("ArrowRight");
  await expect(focus(page)).toHaveAccessibleName("Tue 9 Feb: 0.9 of 8 h");
  await page.keyboard.press("ArrowDown");
  await expect(focus(page)).toHaveAccessibleName("Tue 9 Mar: 6.6 of 8 h");
  await page.keyboard.press("Enter");
  const sheet = sheetOf(page);
  await expect(sheet.getByLabel("First day")).toHaveValue("9 Mar 2027");
  await expect(sheet.locator("section", { hasText: "Effect of approval" })).toContainText("week of 8 Mar−8 h");
  await choose(sheet.getByLabel("State"), "Approved");
  await sheet.getByRole("button", { name: "Add" }).click();
  await expect(page.getByRole("gridcell", { name: /^Tue 9 Mar: .*of 0 h · time off/ })).toBeAttached();
  await untilSaved(page);
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("gridcell", { name: "Tue 9 Mar: 6.6 of 8 h" })).toBeAttached();
});

test("the board is walked by pages and to its ends, and a first Tab offers to skip what is before the screen", async ({ page }) => {
  // Nothing has the focus on a page that has just been loaded.
  await load(page, server, "/balance?rows=none&sort=name");
  await page.keyboard.press("Tab");
  await expect(page.getByRole("link", { name: "Skip to the screen" })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.locator("main")).toBeFocused();
  const cells = page.getByRole("gridcell", { name: /^Ines Valtonen, week of/ });
  await cells.nth(2).focus();
  await page.keyboard.press("End");
  await expect(cells.last()).toBeFocused();
  await page.keyboard.press("Home");
  await expect(cells.first()).toBeFocused();
  await page.keyboard.press("PageDown");
  await expect(cells.first()).not.toBeFocused();
  await page.keyboard.press("PageUp");
  await expect(cells.first()).toBeFocused();
  // To the last row, which is not drawn yet, and back.
  await page.keyboard.press("Control+End");
  await expect(page.locator(":focus")).toHaveAttribute("id", /^cell-\d+-\d+$/);
  await expect(cells.first()).not.toBeFocused();
  await page.keyboard.press("Control+Home");
  await expect(page.locator("#cell-0-0")).toBeFocused();
});

test("levels of the skills matrix are set by digits and removed, and one undo each brings them back", async ({ page }) => {
  await open(page, "/people/skills");
  const cell = page.getByRole("gridcell", { name: /^Teo Brandt, Neon bending/ });
  await expect(cell).toHaveAccessibleName("Teo Brandt, Neon bending: none");
  // A press takes one there and changes nothing.
  await cell.click();
  await expect(cell).toBeFocused();
  await expect(cell).toHaveAccessibleName("Teo Brandt, Neon bending: none");
  await page.keyboard.press("3");
  await expect(cell).toHaveAccessibleName("Teo Brandt, Neon bending: level 3");
  await untilSaved(page);
  await page.keyboard.press("0");
  await expect(cell).toHaveAccessibleName("Teo Brandt, Neon bending: none");
  await untilSaved(page);
  await page.keyboard.press("Control+z");
  await expect(cell).toHaveAccessibleName("Teo Brandt, Neon bending: level 3");
  await page.keyboard.press("Control+y");
  await expect(cell).toHaveAccessibleName("Teo Brandt, Neon bending: none");
});

test("the question mark lists the keys of the screen one is on, and the theme chosen in the menu stays", async ({ page }) => {
  await open(page, "/balance");
  await page.keyboard.press("?");
  await expect(page.getByText("Reassign work of the person")).toBeVisible();
  await page.keyboard.press("Escape");
  await open(page, "/openings/requests");
  await page.keyboard.press("?");
  await expect(page.getByText("Request people", { exact: true }).last()).toBeVisible();
  await page.keyboard.press("Escape");
  // The list of keys gives the focus back a moment after it has gone.
  await expect(async () => {
    await page.getByRole("button", { name: "Plan" }).press("Enter");
    await expect(page.getByRole("menuitem", { name: "Dark theme" })).toBeVisible({ timeout: 1_000 });
  }).toPass();
  await page.getByRole("menuitem", { name: "Dark theme" }).focus();
  await page.keyboard.press("Enter");
  await expect(page.locator("html")).toHaveAttribute("data-theme", "dark");
  await page.reload();
  await expect(page.locator("html")).toHaveAttribute("data-theme", "dark");
});
