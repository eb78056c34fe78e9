// A resource manager's first quarter of an hour: who is over, why, give the work to someone else, what it costs.
import type { Locator, Page } from "@playwright/test";
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { choose, goTo, rateOf } from "./pages.ts";
import { planOf, postJson } from "./planRoute.ts";
import type { Server } from "./server.ts";

let server: Server;
test.beforeEach(({ server: own }) => {
  server = own;
});

/** The figures of the cell that starts on a day, as they are read out. */
function cell(page: Page, person: string, phrase: string): Locator {
  return page.getByRole("gridcell", { name: new RegExp(`^${person}, ${phrase}:`) });
}

const open = (page: Page, path: string): Promise<void> => goTo(page, server, path);

test("the board shows who is over and who has room, and the sheet says why, line by line", async ({ page }) => {
  await open(page, "/balance");
  const mara = cell(page, "Mara Ellingsen", "week of 15 February");
  await mara.scrollIntoViewIfNeeded();
  await expect(mara).toHaveAccessibleName(/over by 19\.2 hours, 59\.2 of 40 hours/);
  await expect(mara).toContainText("−19.2");
  await expect(cell(page, "Rui Monteverde", "week of 15 February")).toContainText("35.5");
  await mara.click();
  const sheet = page.getByRole("complementary", { name: "Mara Ellingsen" });
  await expect(sheet).toContainText("Calendar week, 5 days40 h");
  await expect(sheet).toContainText("Over capacity19.2 h");
  const figures = await sheet.locator("section").nth(1).locator("span.whitespace-nowrap").allTextContents();
  expect(figures.map((text) => Number(text.replace(" h", "")))).toEqual([40]);
  const loads = await sheet
    .getByLabel(/, hours in the week of 15 February$/)
    .evaluateAll((fields) => fields.map((field) => Number((field as HTMLInputElement).value)));
  expect(loads.reduce((sum, hours) => sum + hours, 0)).toBeCloseTo(59.2, 0);
  await page.keyboard.press("Escape");
  await expect(sheet).toBeHidden();
});

test("an assignment dragged to another person changes both rows, the totals and the cost; undo, redo and reload keep to it", async ({
  page,
}) => {
  await open(page, "/money");
  const before = (await page.locator("td[data-foot=sum]").textContent()) ?? "";
  await page.getByRole("link", { name: "Balance" }).click();
  await page.getByRole("button", { name: /Mara Ellingsen/ }).click();
  const bar = page.getByRole("button", { name: /^Tidepool Hall · Rock pool trial casts/ }).first();
  await expect(bar).toContainText("60 h");
  const target = page.locator('[data-person="rui"]');
  await target.evaluate((row) => row.scrollIntoView({ block: "center" }));
  const [from, to] = [await bar.boundingBox(), await target.boundingBox()];
  if (!from || !to) throw new Error("bar and row are on screen");
  await page.mouse.move(from.x + 30, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(to.x + 400, to.y + 20, { steps: 12 });
  await expect(page.getByText("Rui Monteverde has room for it")).toBeVisible();
  // Sixty hours at 35.02 in place of 42.
  await expect(page.getByText("cost −EUR 419")).toBeVisible();
  await page.mouse.up();

  const [mara, rui] = [cell(page, "Mara Ellingsen", "week of 15 February"), cell(page, "Rui Monteverde", "week of 15 February")];
  await expect(mara).toContainText(/^0\.8/);
  await expect(rui).toContainText("15.5");
  const undo = page.getByRole("button", { name: /^Undo: reassign "Rock pool trial casts" to Rui Monteverde/ });
  await expect(undo).toBeEnabled();
  await page.keyboard.press("Control+z");
  await expect(mara).toContainText("−19.2");
  await expect(page.getByText('Undone: reassign "Rock pool trial casts" to Rui Monteverde')).toBeVisible();
  await page.keyboard.press("Control+Shift+z");
  await expect(rui).toContainText("15.5");

  await page.reload();
  await expect(rui).toContainText("15.5");
  await expect(page.getByRole("button", { name: /^Undo: reassign/ })).toBeEnabled();
  await page.getByRole("link", { name: "Money" }).click();
  // Sixty hours at Rui's role rate of 35.02 in place of Mara's own 42.
  const cents = (text: string) => Math.round(Number(text.replaceAll(",", "")) * 100);
  await expect(async () => {
    const after = (await page.locator("td[data-foot=sum]").textContent()) ?? "";
    expect(cents(before) - cents(after)).toBe(60 * (4_200 - 3_502));
  }).toPass();
});

test("the same by keyboard alone", async ({ page }) => {
  await open(page, "/balance");
  const mara = cell(page, "Mara Ellingsen", "week of 15 February");
  await mara.scrollIntoViewIfNeeded();
  await mara.focus();
  await page.keyboard.press("ArrowLeft");
  await page.keyboard.press("ArrowRight");
  await expect(mara).toBeFocused();
  // M offers the work of the cell, also where the row is closed.
  await page.keyboard.press("m");
  await expect(
    page
      .getByRole("complementary")
      .getByRole("button", { name: /^Reassign / })
      .first(),
  ).toBeFocused();
  const give = page.getByRole("complementary").getByRole("button", { name: "Reassign Rock pool trial casts" });
  await give.focus();
  await page.keyboard.press("Enter");
  await expect(page.getByPlaceholder("Type a name")).toBeFocused();
  await page.keyboard.type("kaspar");
  await page.keyboard.press("Enter");
  // Sixty hours over fourteen days: the Tartu workshop is closed on 24 February.
  await expect(cell(page, "Kaspar Ilves", "week of 15 February")).toContainText("14.1");
  await expect(mara).toContainText(/^0\.8/);
});

test("the window and its grain move on the ribbon, and every screen follows", async ({ page }) => {
  await open(page, "/balance");
  await expect(page.getByRole("columnheader").nth(1)).toContainText("25 Jan");
  await page.getByRole("slider", { name: "Time window" }).focus();
  await page.keyboard.press("ArrowRight");
  await expect(page.getByRole("columnheader").nth(1)).toContainText("1 Feb");
  await page.getByRole("grid").focus();
  await page.keyboard.press("]");
  await expect(page.getByRole("columnheader").nth(1)).toContainText("Feb");
  await expect(page).toHaveURL(/by=month/);
  await page.getByRole("link", { name: "Money" }).click();
  await expect(page.getByRole("columnheader", { name: "Feb 2027" })).toBeVisible();
  await expect(page.getByRole("columnheader", { name: "Mar 2027" })).toBeVisible();
  await expect(page.getByRole("columnheader", { name: "Jan 2027" })).toHaveCount(0);
  await page.getByRole("link", { name: "People" }).click();
  await expect(page).toHaveURL(/from=2027-02-01&to=2027-03-28&by=month/);
  const box = await page.getByRole("slider", { name: "Time window" }).boundingBox();
  if (!box) throw new Error("the window is on screen");
  await page.mouse.move(box.x + box.width / 2, box.y + 40);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 120, box.y + 40, { steps: 6 });
  await page.mouse.up();
  await expect(page).not.toHaveURL(/from=2027-02-01/);
});

test("a task is added, given to a person, changed and deleted, and the project's hours follow", async ({ page }) => {
  await open(page, "/work");
  await page.getByRole("link", { name: /Small Thunder/ }).click();
  await expect(page.getByRole("heading", { name: "Small Thunder" })).toBeVisible();
  const needed = page.locator("main").getByText(/ h$/).first();
  const before = Number(((await needed.textContent()) ?? "").replace(/[ h,]/g, ""));
  await page.keyboard.press("n");
  const sheet = page.getByRole("complementary");
  await sheet.getByLabel("Name").fill("Rain machine");
  await choose(sheet.getByLabel("Parent"), "Make");
  await sheet.getByLabel("Working days").fill("x");
  await sheet.getByRole("button", { name: "Add task" }).click();
  await expect(sheet.getByText("Enter a number from 0 to 10,000.")).toBeVisible();
  await sheet.getByLabel("Working days").fill("4");
  await sheet.getByRole("button", { name: "Add task" }).click();
  await expect(page.getByRole("complementary", { name: "Rain machine" })).toBeVisible();
  const row = page.locator("[data-task]", { hasText: "Rain machine" });
  await expect(row).toContainText("15 Feb – 18 Feb");
  await choose(sheet.getByLabel("Who"), "Jonas Adeyemi");
  await sheet.getByLabel("How much").fill("24");
  await sheet.getByRole("button", { name: "Add", exact: true }).click();
  await expect(row).toContainText("24");
  await expect(async () => expect(Number(((await needed.textContent()) ?? "").replace(/[ h,]/g, ""))).toBe(before + 24)).toPass();
  await sheet.getByLabel("Jonas Adeyemi, total hours").fill("30");
  await sheet.getByLabel("Jonas Adeyemi, total hours").press("Enter");
  await expect(row).toContainText("30");
  await page.reload();
  await expect(row).toContainText("30");
  await sheet.getByRole("button", { name: "Delete task" }).click();
  await expect(row).toHaveCount(0);
  await expect(async () => expect(Number(((await needed.textContent()) ?? "").replace(/[ h,]/g, ""))).toBe(before)).toPass();
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(row).toContainText("30");
});

test("a person is added and then works three days a week from March, and the roster's capacity follows", async ({ page }) => {
  await open(page, "/people");
  await page.getByRole("button", { name: /Add person/ }).click();
  const sheet = page.getByRole("complementary");
  await sheet.getByRole("button", { name: "Add person" }).click();
  await expect(sheet.getByText("Enter a name for the person.")).toBeVisible();
  await sheet.getByLabel("Name").fill("Vera Lindgren");
  await choose(sheet.getByLabel("Main role"), "Conservator");
  await sheet.getByRole("button", { name: "Add person" }).click();
  await page.getByLabel("Search people").fill("vera");
  const row = page.locator("[data-person]", { hasText: "Vera Lindgren" });
  await expect(row).toContainText("0 of 320 h");
  await sheet.getByLabel("Own working week").check();
  for (const day of ["Thu", "Fri"]) await sheet.getByLabel(day, { exact: true }).fill("0");
  await sheet.getByRole("textbox", { name: /^From/ }).fill("1.3.2027");
  await sheet.getByRole("button", { name: "Save" }).click();
  // Five weeks of 40 hours, three of 24.
  await expect(row).toContainText("0 of 272 h");
  await expect(sheet).toContainText("24 h a week from 1 Mar 2027");
  await page.getByRole("link", { name: "Balance" }).click();
  await page.getByRole("grid", { name: /^People by/ }).evaluate((grid) => grid.parentElement?.scrollTo(0, grid.scrollHeight));
  await expect(cell(page, "Vera Lindgren", "week of 1 March")).toContainText("24");
});

test("a rate edited in place changes what projects cost, to the cent, and undo brings it back", async ({ page }) => {
  await open(page, "/money");
  const total = page.locator("td[data-foot=sum]");
  const before = (await total.textContent()) ?? "";
  const rows = await page
    .locator("tbody tr")
    .evaluateAll((list) =>
      list.map((row) => [...row.querySelectorAll("td")].map((td) => Number((td.textContent ?? "").replaceAll(",", "").replace("–", "0")))),
    );
  for (const row of rows)
    expect(Math.round(row.slice(0, -1).reduce((sum, own) => sum + own, 0) * 100)).toBe(Math.round((row.at(-1) ?? 0) * 100));
  expect(Math.round(rows.reduce((sum, row) => sum + (row.at(-1) ?? 0), 0) * 100)).toBe(
    Math.round(Number(before.replaceAll(",", "")) * 100),
  );
  await page.getByRole("link", { name: "Rates", exact: true }).click();
  const rate = await rateOf(page, "Mara Ellingsen");
  await rate.click();
  await page.keyboard.type("-1");
  await page.keyboard.press("Enter");
  await expect(rate.getByRole("alert")).toHaveText("An amount of 0 or more, with up to 4 decimals");
  await expect(rate.getByRole("textbox")).toHaveValue("-1");
  await page.keyboard.press("Escape");
  await expect(rate).toHaveText("42.00");
  await page.keyboard.type("52.5");
  await page.keyboard.press("Enter");
  await expect(rate).toHaveText("52.50");
  await page.getByRole("link", { name: "Money" }).click();
  await expect(total).not.toHaveText(before);
  await page.keyboard.press("Control+z");
  await expect(total).toHaveText(before);
});

test("the finder goes to a person, a task and a screen", async ({ page }) => {
  await open(page, "/balance");
  await page.keyboard.press("/");
  await page.keyboard.type("neon");
  await page.getByRole("option", { name: /Neon sample wall/ }).click();
  await expect(page).toHaveURL(/work\/slowlight\?.*task=slowlight-neon/);
  await expect(page.getByRole("complementary", { name: "Neon sample wall" })).toBeVisible();
});

test("the figures are in the page as the server sends it, without the browser's help", async ({ request }) => {
  const html = await (await request.get(`${server.url}/balance`)).text();
  expect(html).toContain("of work assigned");
  expect(html).toMatch(/Ilka Sandmere, week of 25 January: [\d.]+ hours of room/);
  const money = await (await request.get(`${server.url}/money`)).text();
  expect(money).toMatch(/data-foot="sum"[^>]*><button[^>]*>[\d,]+\.\d\d</);
});

test("what a screen is gone to with has no figures of before an edit, not even at first", async ({ page }) => {
  await open(page, "/work");
  const tray = page.getByRole("region", { name: "Tray" });
  await expect(tray).toContainText("3 openings");
  const { revision } = await planOf(server);
  const edit = { kind: "reassign", id: "tank-open", personId: "kaspar" };
  expect((await postJson(server, "/api/edits", { base: revision, request: { kind: "edit", edit } })).status).toBe(200);
  await expect(tray).toContainText("2 openings");
  await page.evaluate(() => {
    const said: string[] = [];
    Object.assign(window, { said });
    const note = () => said.push(document.querySelector("[aria-label=Tray]")?.textContent ?? "");
    new MutationObserver(note).observe(document.body, { subtree: true, childList: true, characterData: true });
  });
  for (const screen of ["People", "Balance", "Work"]) {
    await page
      .getByRole("link", { name: new RegExp(`^${screen}`) })
      .first()
      .click();
    await expect(page.getByRole("heading", { name: screen, exact: true })).toBeVisible();
  }
  const said = await page.evaluate(() => (window as unknown as { said: string[] }).said);
  expect(said.filter((text) => text.includes("2 openings")).length).toBeGreaterThan(2);
  expect(said.filter((text) => text.includes("3 openings"))).toEqual([]);
});
