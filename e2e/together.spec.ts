// Planning with others: what gives when a person joins, templates, comments, reviews, filling down, the client's page,
// and what is dragged out of the tray.
import { readFile } from "node:fs/promises";
import type { Locator, Page } from "@playwright/test";
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { choose, goTo, sheetOf } from "./pages.ts";
import { planOf } from "./planRoute.ts";
import { postTo, type Server } from "./server.ts";

let server: Server;
test.beforeEach(({ server: own }) => {
  server = own;
});

const SPRING = "from=2027-01-25&to=2027-05-23";

const open = (page: Page, path: string): Promise<void> => goTo(page, server, path);

const rowOf = (page: Page, id: string): Locator => page.locator(`[data-task="${id}"]`);
const undo = (page: Page) => page.getByRole("button", { name: /^Undo/ }).click();

test("adding a person to effort-sized work asks what changes, and each answer does what it said", async ({ page }) => {
  await open(page, `/work/ravenholt?task=ravenholt-survey&${SPRING}`);
  const row = rowOf(page, "ravenholt-survey");
  const sheet = sheetOf(page);
  await expect(row).toContainText("1 Feb – 5 Feb");
  await sheet.getByText("Assign a person").click();
  await choose(sheet.getByLabel("Who", { exact: true }), "Mara Ellingsen");
  const asked = sheet.getByRole("group", { name: "What should change?" });
  await expect(asked.getByText("Now: 1 Feb – 5 Feb · 6.8 h a day · 34 h in total")).toBeVisible();
  await expect(asked.getByRole("button", { name: /^The amount of work/ })).toContainText("1 Feb – 5 Feb");
  await asked.getByRole("button", { name: /^The finish/ }).click();
  await expect(row).toContainText("1 Feb – 2 Feb");
  await expect(row.locator('[data-column="hours"]')).toHaveText("34");
  await undo(page);
  await expect(row).toContainText("1 Feb – 5 Feb");
  await sheet.getByRole("button", { name: "Remove Nuno Farrapo from this task" }).click();
  const leaving = sheet.getByRole("group", { name: "If Nuno Farrapo is removed, what changes?" });
  await leaving.getByRole("button", { name: /^The amount of work/ }).click();
  await expect(row.locator('[data-column="hours"]')).toHaveText("20");
});

test("a person is added to a task by the room on its own days, and what that does is said before", async ({ page }) => {
  // The window is far from the task: the room is that of the task's days all the same.
  await open(page, "/work/tidepool?task=tidepool-rockpools&from=2027-05-03&to=2027-06-06&by=week");
  const sheet = sheetOf(page);
  await sheet.getByText("Assign a person").click();
  const who = sheet.getByLabel("Who", { exact: true });
  await who.click();
  const option = page.getByRole("option", { name: /^Mara Ellingsen/ });
  await expect(option).toContainText(/h (free|over) · EUR \d+\.\d\d\/h/);
  const far = await option.textContent();
  await page.keyboard.press("Escape");
  await open(page, "/work/tidepool?task=tidepool-rockpools&from=2027-02-01&to=2027-02-28&by=week");
  await who.click();
  await expect(option).toHaveText(far ?? "");
  await page.keyboard.press("Escape");
  await choose(who, "Rui Monteverde");
  await sheet.getByLabel("How much").fill("8");
  // Eight hours at 35.02.
  await expect(sheet.locator("section", { hasText: "Effect" }).last()).toContainText("Cost+EUR 280");
  await expect(sheet.locator("section", { hasText: "Effect" }).last()).toContainText(/Margin\+EUR \d/);
  await sheet.getByRole("button", { name: "Add", exact: true }).click();
  await expect(page.getByRole("button", { name: /^Undo: assign Rui Monteverde to/ })).toBeEnabled();
});

test("a project is kept as a template, and another one made from it at another start", async ({ page }) => {
  await open(page, `/work/orchard?task=project&${SPRING}`);
  const count = await page.locator("[data-task]").count();
  await sheetOf(page).getByLabel("Save as").fill("Orchards");
  await sheetOf(page).getByRole("button", { name: "Save template" }).click();
  await expect(sheetOf(page).getByRole("listitem").filter({ hasText: "Orchards" })).toBeVisible();
  await open(page, `/work?add=true&${SPRING}`);
  await sheetOf(page).getByLabel("Name").fill("Second orchard");
  await choose(sheetOf(page).getByLabel("Template"), "Orchards");
  await sheetOf(page).getByRole("textbox", { name: "Start" }).fill("1 Feb 2027");
  await sheetOf(page).getByRole("button", { name: "Add project" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toContainText("Second orchard");
  await expect(page.locator("[data-task]")).toHaveCount(count);
  await expect(page.locator("main h1 + div")).toContainText("from 1 Feb");
  // Everyone of the first one is open here.
  await expect(page.locator("main")).toContainText("0% assigned");
});

test("who is called upon in a comment is offered by name, and finds it on their page", async ({ page }) => {
  await open(page, `/work/tidepool?task=tidepool-cases&${SPRING}`);
  const field = page.getByLabel("Write a comment");
  await field.fill("Could you cut a day earlier, @rui");
  await page.keyboard.press("Enter");
  await expect(field).toHaveValue("Could you cut a day earlier, @Rui Monteverde ");
  await page.keyboard.press("Control+Enter");
  const comment = sheetOf(page).getByRole("article");
  await expect(comment).toContainText("Nora Okafor");
  await comment.getByRole("link", { name: "@Rui Monteverde" }).click();
  const card = page.locator("section", { hasText: "Mentions" }).last();
  await expect(card).toContainText("Could you cut a day earlier, @Rui Monteverde");
  await card.getByRole("link").click();
  await expect(page).toHaveURL(/task=tidepool-cases/);
});

test("done work is sent back with a reason, and accepted once it is done again", async ({ page }) => {
  await open(page, `/work/tidepool?task=tidepool-concept&columns=progress&${SPRING}`);
  const sheet = sheetOf(page);
  await sheet.getByRole("button", { name: "Send back…" }).click();
  await sheet.getByLabel("What is missing").fill("The sound is not in it.");
  await sheet.getByRole("button", { name: "Send back", exact: true }).click();
  await expect(sheet.getByText("The sound is not in it.")).toBeVisible();
  await expect(sheet.getByLabel("State")).toHaveText("Under way");
  await choose(sheet.getByLabel("State"), "Done");
  await sheet.getByRole("button", { name: "Save", exact: true }).click();
  await sheet.getByRole("button", { name: "Accept" }).click();
  await expect(sheet.getByText("Accepted.")).toBeVisible();
  await expect(sheet.getByText("The sound is not in it.")).toHaveCount(0);
});

test("columns are chosen in the address, and what the first of many says is filled down", async ({ page }) => {
  await open(page, `/work/tidepool?${SPRING}`);
  await page.getByRole("button", { name: "Columns" }).click();
  await page.getByLabel("Priority").check();
  await page.getByLabel("Role").uncheck();
  await page.keyboard.press("Escape");
  await expect(page).toHaveURL(/columns=[^&]*priority/);
  await expect(rowOf(page, "tidepool-cases").locator('[data-column="role"]')).toHaveCount(0);
  await expect(rowOf(page, "tidepool-cases").locator('[data-column="priority"]')).toHaveText("3");
  const openSign = rowOf(page, "tidepool-cases").getByText(/hours unassigned/);
  await expect(openSign).toHaveCount(1);
  await page.getByLabel("Select Order materials").check();
  await page.getByLabel("Select Cases and plinths").check();
  await page.keyboard.press("f");
  // The project lead who orders the materials takes the 40 hours that were open.
  await expect(openSign).toHaveCount(0);
  await expect(page.getByRole("button", { name: /^Undo: fill 1 task down from "Order materials"/ })).toBeEnabled();
  await undo(page);
  await expect(openSign).toHaveCount(1);
});

test("the page for a client is on its own, with descriptions or without", async ({ page }) => {
  await open(page, `/work/tidepool?task=page&${SPRING}`);
  const save = async () => {
    const [file] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Save as HTML" }).click()]);
    return { name: file.suggestedFilename(), html: await readFile(await file.path(), "utf8") };
  };
  const whole = await save();
  expect(whole.name).toBe("Tidepool Hall.html");
  expect(whole.html).toContain("<strong>climb</strong>");
  expect(whole.html).toContain("24 Feb – 31 Mar");
  expect(whole.html).not.toMatch(/src=|href="http|url\(/);
  expect(whole.html).not.toContain("2,427");
  await page.getByLabel("Descriptions").uncheck();
  const bare = await save();
  expect(bare.html).not.toContain("climb");
  expect(bare.html).toContain("Scenic surfaces");
  // The name of the studio is that of now, also in a window that was opened before.
  const { revision } = await planOf(server);
  const edit = { kind: "changeSettings", set: { name: "Fernhollow and Daughters" } };
  await postTo(server, "/api/edits", JSON.stringify({ base: revision, request: { kind: "edit", edit } }));
  await expect(page.getByTitle("Fernhollow and Daughters")).toBeVisible();
  expect((await save()).html).toContain("Fernhollow and Daughters");
});

async function drag(page: Page, from: Locator, to: { x: number; y: number }, says: RegExp): Promise<void> {
  // An earlier notice may hang over it.
  await expect(page.locator("[data-sonner-toast]")).toHaveCount(0);
  const box = await from.boundingBox();
  if (!box) throw new Error("what is dragged is in sight");
  await page.mouse.move(box.x + 20, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 40, box.y - 20, { steps: 3 });
  await page.mouse.move(to.x, to.y, { steps: 6 });
  await expect(page.getByRole("status").filter({ hasText: says })).toBeVisible();
  await page.mouse.up();
}

test("an opening is dragged from the tray onto a person, a task without dates onto a day", async ({ page }) => {
  await open(page, `/balance?tray=true&${SPRING}`);
  const tray = page.getByRole("region", { name: "Tray" });
  await expect(tray).toContainText("3 openings");
  const person = page.locator("[data-person]").first();
  const box = await person.boundingBox();
  if (!box) throw new Error("the person is in sight");
  await drag(
    page,
    tray.getByRole("link", { name: /^Cases and plinths · Fabricator/ }),
    { x: box.x + 80, y: box.y + 10 },
    /has room for it|would be over by/,
  );
  await expect(tray).toContainText("2 openings");
  await undo(page);
  await expect(tray).toContainText("3 openings");

  await open(page, `/work/tidepool?tray=true&${SPRING}`);
  await expect(tray).toContainText("2 tasks with no dates");
  const chart = rowOf(page, "tidepool-leading").locator("[data-chart]");
  const days = await chart.boundingBox();
  if (!days) throw new Error("the chart is in sight");
  // The window has 17 weeks; the first day of the seventh is 8 March.
  const x = days.x + (days.width * (6 * 7 + 0.5)) / (17 * 7);
  await drag(
    page,
    tray
      .locator("div", { hasText: /^No dates/ })
      .last()
      .getByRole("link", { name: /^Braille labels/ }),
    { x, y: days.y + 10 },
    /starts no earlier than 8 Mar/,
  );
  await expect(tray).toContainText("1 task with no dates");
});

test("time left of a period counts all projects", async ({ page }) => {
  await open(page, `/work?left=true&${SPRING}`);
  const line = sheetOf(page)
    .locator("section div", { hasText: /^Rui Monteverde/ })
    .first();
  await expect(line).toContainText(/[\d.]+ of [\d.]+ h/);
  const before = await line.textContent();
  await sheetOf(page).getByLabel("Before the end of").fill("26 Feb 2027");
  await expect(line).not.toHaveText(before ?? "");
  await expect(line).toContainText("of 160 h");
});
