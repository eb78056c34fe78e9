// Balance in full, openings and requests: what is given, typed, accepted, proposed and asked for shows on both sides.
import { readFile } from "node:fs/promises";
import type { Locator, Page } from "@playwright/test";
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { choose, goTo, holdPrinter, sheetOf, untilSaved } from "./pages.ts";
import { postTo, type Server } from "./server.ts";

let server: Server;
test.beforeEach(({ server: own }) => {
  server = own;
});

const open = (page: Page, path: string): Promise<void> => goTo(page, server, path);

const tray = (page: Page): Locator => page.getByRole("region", { name: "Tray" });
const cell = (page: Page, name: string, phrase: string): Locator => page.getByRole("gridcell", { name: new RegExp(`^${name}, ${phrase}`) });
const undo = (page: Page) => page.getByRole("button", { name: /^Undo/ }).click();
const show = (row: Locator) => row.evaluate((element) => element.scrollIntoView({ block: "center" }));

test("while a bar hangs over a person their cells show what would be, and Escape puts them back", async ({ page }) => {
  await open(page, "/balance?open=mara");
  const bar = page.getByRole("button", { name: /^Tidepool Hall · Rock pool trial casts/ }).first();
  const target = page.locator('[data-person="rui"]');
  await show(target);
  const rui = cell(page, "Rui Monteverde", "week of 15 February");
  await expect(rui).toContainText("35.5");
  const [from, to] = [await bar.boundingBox(), await target.boundingBox()];
  if (!from || !to) throw new Error("bar and row are on screen");
  await page.mouse.move(from.x + 30, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(to.x + 400, to.y + 20, { steps: 12 });
  await expect(rui).toContainText("15.5");
  await page.keyboard.press("Escape");
  await expect(rui).toContainText("35.5");
  await page.mouse.up();
  await expect(rui).toContainText("35.5");
});

test("a bar is stretched by its end and moved by keyboard, within its task", async ({ page }) => {
  await open(page, "/balance?open=rui&from=2027-02-15&to=2027-04-11");
  const row = page.locator('[data-person="rui"]');
  await show(row);
  const bar = page.getByRole("button", { name: /^Tidepool Hall · Scenic surfaces/ }).first();
  await expect(bar).toHaveAccessibleName(/24 Feb – 31 Mar, 100 hours/);
  const edge = bar.locator('[data-edge="start"]');
  const box = await edge.boundingBox();
  const column = await cell(page, "Rui Monteverde", "week of 1 March").boundingBox();
  if (!box || !column) throw new Error("the bar is on screen");
  await page.mouse.move(box.x + 3, box.y + 8);
  await page.mouse.down();
  await page.mouse.move(box.x + 3 + column.width, box.y + 8, { steps: 6 });
  await page.mouse.up();
  await expect(bar).toHaveAccessibleName(/3 Mar – 31 Mar, 100 hours/);
  await bar.focus();
  await page.keyboard.press("Alt+ArrowLeft");
  await expect(bar).toHaveAccessibleName(/2 Mar – 30 Mar, 100 hours/);
  await page.keyboard.press("Alt+Shift+ArrowRight");
  await expect(bar).toHaveAccessibleName(/2 Mar – 31 Mar, 100 hours/);
});

test("a bar moved out of its task takes the task along: what that means is said before, asked where links decide, and done", async ({
  page,
}) => {
  await open(page, "/balance?open=rui&from=2027-02-15&to=2027-04-11");
  const row = page.locator('[data-person="rui"]');
  await show(row);
  const bar = page.getByRole("button", { name: /^Tidepool Hall · Scenic surfaces/ }).first();
  const box = await bar.boundingBox();
  const column = await cell(page, "Rui Monteverde", "week of 1 March").boundingBox();
  if (!box || !column) throw new Error("the bar is on screen");
  const [x, y] = [box.x + box.width / 2, box.y + 8];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + column.width, y, { steps: 6 });
  const chip = page.getByRole("status").filter({ hasText: "Moves the task" });
  await expect(chip).toContainText("choose how it should start on 3 Mar");
  await expect(chip).toContainText(/finishes \d+ \w+, not \d+ \w+/);
  await page.mouse.up();
  const sheet = page.getByRole("complementary", { name: /^Start on 3 Mar 2027/ });
  await sheet.getByRole("button", { name: "Apply" }).click();
  await expect(bar).toHaveAccessibleName(/3 Mar – 7 Apr, 100 hours/);
  await undo(page);
  await expect(bar).toHaveAccessibleName(/24 Feb – 31 Mar, 100 hours/);
  await bar.focus();
  await page.keyboard.press("Alt+Shift+ArrowRight");
  await expect(bar).toHaveAccessibleName(/24 Feb – 1 Apr, 100 hours/);
});

test("several bars that are picked are given together, as one step", async ({ page }) => {
  await open(page, "/balance?open=ines&role=lighting");
  const bars = page.locator('[data-person="ines"] button[aria-label*="hours"]');
  await show(bars.first());
  const count = await bars.count();
  await bars
    .filter({ hasText: "Woven Rivers" })
    .first()
    .click({ modifiers: ["Control"] });
  const second = bars.filter({ hasText: "Under Ravenholt" }).first();
  await second.focus();
  await page.keyboard.press("x");
  const teo = page.locator('[data-person="teo"]');
  const [from, to] = [await second.boundingBox(), await teo.boundingBox()];
  if (!from || !to) throw new Error("bar and row are on screen");
  await page.mouse.move(from.x + 30, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(to.x + 300, to.y + 20, { steps: 8 });
  await expect(page.getByText("and 1 more")).toBeVisible();
  await expect(page.getByText(/^Teo Brandt (has room for it|would be over by)/)).toBeVisible();
  await page.mouse.up();
  await expect(bars).toHaveCount(count - 2);
  await undo(page);
  await expect(bars).toHaveCount(count);
});

test("a period's hours are typed over, the sum follows, and the rule gets them back", async ({ page }) => {
  await open(page, "/balance?cell=ines@2027-02-22_2027-02-28");
  const sheet = sheetOf(page);
  const own = cell(page, "Ines Valtonen", "week of 22 February");
  await expect(own).toContainText("−12.1");
  const hours = sheet.getByLabel("Lighting build, hours in the week of 22 February");
  await expect(hours).toHaveValue("27.6");
  // The figure that is shown is no change, however it is written.
  await hours.fill("27.60");
  await hours.press("Enter");
  const back = sheet.getByRole("button", { name: "Lighting build: reset to calculated" });
  await expect(back).toHaveCount(0);
  await hours.fill("12");
  await hours.press("Enter");
  await expect(own).toContainText("3.5");
  await expect(sheet.getByText("28.5 h", { exact: true })).toBeVisible();
  // Removed hours go to the later weeks; another way is one click away, and back again. One notice may still be leaving while the
  // next one comes.
  const rest = (says: string) => page.getByRole("status", { name: "Remaining hours" }).filter({ hasText: says });
  await rest("15.6 h moved to later periods.").getByRole("button", { name: "Remove them" }).click();
  await rest("15.6 h were removed.").getByRole("button", { name: "Move them to later periods" }).click();
  await expect(rest("15.6 h moved to later periods.")).toBeVisible();
  await expect(own).toContainText("3.5");
  await expect(sheet.getByText(/^Typed; calculated: 27\.6 h here, [\d.]+ h in total\./)).toBeVisible();
  await back.click();
  await expect(back).toHaveCount(0);
  await expect(hours).toHaveValue("27.6");
  await undo(page);
  await undo(page);
  await expect(own).toContainText("−12.1");
});

test("an overload is accepted with a reason, leaves the count of those over, and comes back when that is undone", async ({ page }) => {
  await open(page, "/balance?cell=liis@2027-02-22_2027-02-28");
  await expect(page.locator("main")).toContainText("105.7 hover by week · 9 people");
  const sheet = sheetOf(page);
  await sheet.getByLabel("Reason").fill("The focus cannot wait.");
  await sheet.getByRole("button", { name: "Accept", exact: true }).click();
  await expect(page.locator("main")).toContainText(/102\.\d hover by week · 8 people/);
  await expect(cell(page, "Liis Maran", "week of 22 February.*accepted")).toHaveCount(1);
  await expect(sheet).toContainText("The focus cannot wait. Until 28 Feb 2027.");
  await sheet.getByRole("button", { name: "Withdraw" }).click();
  await expect(page.locator("main")).toContainText("105.7 hover by week · 9 people");
});

test("rows, filters, measure and order are in the address, are kept under a name, and are exported as they are now", async ({ page }) => {
  await open(page, "/balance");
  await choose(page.getByLabel("Rows"), "Roles");
  await choose(page.getByLabel("Measure"), "FTE");
  await expect(page).toHaveURL(/rows=roles/);
  const lighting = page.getByRole("gridcell", { name: /^Lighting technician, week of 22 February: .*2 people are over/ });
  await expect(lighting).toHaveCount(1);
  await page.getByRole("button", { name: "Views" }).click();
  await page.getByLabel("Save this view as").fill("Roles in FTE");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByRole("button", { name: "Roles in FTE", exact: true })).toBeVisible();
  await page.keyboard.press("Escape");
  await choose(page.getByLabel("Rows"), "People");
  await page.getByRole("button", { name: /^Filters/ }).click();
  await choose(page.getByLabel("Skill"), "Neon bending");
  await choose(page.getByLabel("Order"), "Worst first");
  await page.keyboard.press("Escape");
  await expect(page.locator("[data-person]").first()).toHaveAttribute("data-person", "ines");
  await choose(page.getByLabel("Measure"), "Load");
  await page.getByRole("button", { name: "Export" }).click();
  const [file] = await Promise.all([page.waitForEvent("download"), page.getByRole("link", { name: "This window as CSV" }).click()]);
  const [head, first] = (await readFile(await file.path(), "utf8")).split(/\r?\n/).map((line) => line.split(","));
  const week = head.indexOf("2027-02-22");
  expect(first[0]).toBe("Ines Valtonen");
  expect(first[week]).toBe("44.1");
  await page.keyboard.press("Escape");
  await expect(cell(page, "Ines Valtonen", "week of 22 February")).toContainText("44.1");
  await page.getByRole("button", { name: "Views" }).click();
  await page.getByRole("button", { name: "Roles in FTE", exact: true }).click();
  await expect(lighting).toHaveCount(1);
  await expect(page).not.toHaveURL(/skill=/);
});

test("an opening is split between two with what it does shown first; both have their hours, nothing is open", async ({ page }) => {
  await open(page, "/openings?opening=tank-open&beside=kaspar,jonas");
  await expect(page.getByRole("table", { name: "Comparison" })).toContainText("Kaspar Ilves");
  await page.getByRole("button", { name: /^Split between Jonas and Kaspar/ }).click();
  const sheet = sheetOf(page);
  await expect(sheet.getByRole("radio", { name: "Split with another person" })).toBeChecked();
  await sheet.getByLabel(/^Hours for/).fill("16");
  await expect(sheet.locator("section", { hasText: "Effect" })).toContainText("Overloaded");
  await sheet.getByRole("button", { name: "Assign" }).click();
  await expect(tray(page)).toContainText("2 openings");
  await open(page, "/work/tidepool?task=tidepool-cases");
  await expect(sheet.getByLabel("Kaspar Ilves, total hours").last()).toBeVisible();
  const hours = await sheet
    .getByLabel(/(Kaspar Ilves|Jonas Adeyemi), total hours/)
    .evaluateAll((fields) => fields.map((field) => Number((field as HTMLInputElement).value)));
  expect(hours).toEqual(expect.arrayContaining([16, 24]));
  await undo(page);
  await expect(tray(page)).toContainText("3 openings");
});

test("a part of an opening is given and the rest stays open", async ({ page }) => {
  await open(page, "/openings?opening=slowlight-neon");
  await page.getByRole("button", { name: "Assign to Ines Valtonen" }).click();
  const sheet = sheetOf(page);
  await sheet.getByRole("radio", { name: "Some of its hours" }).check();
  await sheet.getByLabel("Hours for Ines Valtonen").fill("10");
  await sheet.getByRole("button", { name: "Assign" }).click();
  await expect(page.getByRole("grid", { name: "Openings", exact: true })).toContainText("26 h");
});

test("a proposal for all is gone through line by line; what is taken leaves the list", async ({ page }) => {
  await open(page, "/openings");
  await page.getByRole("button", { name: "Propose for all" }).click();
  const sheet = sheetOf(page);
  await expect(sheet.getByText(/of 76 h, without an overload in any week/)).toBeVisible({ timeout: 60_000 });
  const neon = sheet.getByRole("checkbox", { name: /^Neon sample wall to / });
  await expect(neon).toBeChecked();
  await neon.uncheck();
  const taken = Number(/([\d.]+) of 40 h/.exec((await sheet.textContent()) ?? "")?.[1]);
  expect(taken).toBeGreaterThan(20);
  await sheet.getByRole("button", { name: /^Assign \d+ openings?$/ }).click();
  const list = page.getByRole("grid", { name: "Openings", exact: true });
  await expect(list).toContainText("36 h");
  await expect(list.getByRole("row", { name: new RegExp(`Cases and plinths ${(40 - taken).toFixed(1)} h`) })).toHaveCount(1);
  await undo(page);
  await expect(list.getByRole("row", { name: /Cases and plinths.*40 h/ })).toHaveCount(1);
});

test("who is free when is answered from anywhere", async ({ page }) => {
  await open(page, "/money");
  await page.keyboard.press("/");
  await page.getByPlaceholder("A person, project, task or screen").fill("availab");
  await page.keyboard.press("Enter");
  const sheet = sheetOf(page);
  await choose(sheet.getByLabel("Role"), "Lighting technician");
  await sheet.getByLabel("From").fill("22 Feb 2027");
  await sheet.getByLabel("Until").fill("5 Mar 2027");
  await expect(sheet.locator("section", { hasText: "Later" }).getByRole("link", { name: /Ines Valtonen.*from / })).toBeVisible();
  // Two roles together: how they split it, and pencilled in as a task in one step.
  await sheet.getByRole("button", { name: "Add another role" }).click();
  await choose(sheet.getByLabel("Role").nth(1), "Fabricator");
  await sheet.getByLabel("Hours").nth(1).fill("60");
  await expect(sheet.getByText("23.5 h short: Lighting technician")).toBeVisible();
  const shares = sheet.locator("section", { hasText: "Enough room from 26 Feb to 9 Mar" });
  await expect(shares.getByText(/Fabricator/).first()).toBeVisible();
  const hours = async () => (await shares.locator("p").allTextContents()).map((text) => Number(/([\d.]+) h$/.exec(text)?.[1]));
  await expect.poll(async () => Math.round((await hours()).reduce((sum, own) => sum + own, 0))).toBe(100);
  await choose(sheet.getByLabel("Project"), "Tidepool Hall");
  await sheet.getByLabel("Task", { exact: true }).fill("Night build");
  await sheet.getByRole("button", { name: /^Pencil in \d/ }).click();
  await expect(sheet.getByLabel("Task", { exact: true })).toHaveValue("");
  await untilSaved(page);
  const { plan } = await (await fetch(`${server.url}/api/plan`)).json();
  expect(plan.tasks.at(-1)).toMatchObject({ name: "Night build", projectId: "tidepool", start: "2027-02-26", finish: "2027-03-09" });
  const own = plan.assignments.filter(({ taskId }: { taskId: string }) => taskId === plan.tasks.at(-1).id);
  expect(own.reduce((sum: number, { hours }: { hours: number }) => sum + hours, 0)).toBeCloseTo(100, 2);
  expect(own.every(({ firmness }: { firmness: string }) => firmness === "pencilled")).toBe(true);
});

test("a lead asks for a role, the manager offers and confirms; hours, state, message and load are the same on both sides", async ({
  page,
}) => {
  await open(page, "/work/tidepool?task=tidepool-scenic");
  const sheet = sheetOf(page);
  await sheet.getByText("Assign a person").click();
  await sheet.getByRole("link", { name: "Send a request to the manager instead" }).click();
  await expect(sheet.getByRole("combobox", { name: "Task" })).toHaveText("Scenic surfaces");
  await sheet.getByLabel("Hours").fill("24");
  await sheet.getByLabel("Note").fill("Two more hands for the rock.");
  await sheet.getByRole("button", { name: "Send request", exact: true }).click();
  const line = page.locator("[data-request]", { hasText: "Scenic surfaces" });
  await expect(line).toContainText("waiting for an answer");
  const asked = page.locator('[data-sureness="tidepool"] [data-column=asked]');
  await expect(asked).toHaveText("24 h");
  await expect(page.getByRole("link", { name: /^Openings\s*, 1 request for people waits/ })).toBeVisible();
  await choose(sheet.getByLabel("Who"), "Rui Monteverde");
  await sheet.getByRole("button", { name: "Offer" }).click();
  await expect(line).toContainText("Rui Monteverde is offered");
  await sheet.getByRole("button", { name: "Confirm" }).click();
  await expect(line).toContainText("confirmed");
  await expect(asked).toHaveText("0 h");
  await page.getByRole("link", { name: "Outbox" }).click();
  await expect(page.getByRole("listitem").first()).toContainText("Confirmed: Scenic surfaces, Tidepool Hall");
  await expect(page.getByText("Two more hands for the rock.")).toBeVisible();
  await open(page, "/work/tidepool?task=tidepool-scenic");
  await expect(sheet.getByLabel("Rui Monteverde, total hours")).toHaveCount(2);
});

test("a request is neither asked nor answered in someone else's name", async () => {
  const at = "2027-02-01T10:00:00.000Z";
  const step = (by: string, kind: string) => ({ at, by, to: "Nora Okafor", step: kind });
  const ask = (by: string) => ({
    kind: "askWork",
    assignment: { id: "asked-work", taskId: "tidepool-cases", roleId: "fabricator", hours: 8, firmness: "asked" },
    request: {
      id: "asked",
      taskId: "tidepool-cases",
      assignmentId: "asked-work",
      roleId: "fabricator",
      hours: 8,
      state: "asked",
      history: [step(by, "asked")],
    },
  });
  const send = async (edit: object) => {
    const { revision } = await (await fetch(`${server.url}/api/plan`)).json();
    const answer = await postTo(server, "/api/edits", JSON.stringify({ base: revision, request: { kind: "edit", edit } }));
    return { status: answer.status, text: await answer.text() };
  };
  const refused = { status: 409, text: expect.stringContaining("only in your own name") };
  expect(await send(ask("Mara Ellingsen"))).toEqual(refused);
  expect((await send(ask("Nora Okafor"))).status).toBe(200);
  const answered = (by: string) => ({ kind: "answerRequest", id: "asked", personId: "mara", entry: step(by, "offered") });
  expect(await send(answered("Mara Ellingsen"))).toEqual(refused);
  expect((await send(answered("Nora Okafor"))).status).toBe(200);
});

test("a bar is dragged by a finger as by the mouse", async ({ browser }) => {
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await open(page, "/balance?open=mara");
  const bar = page.getByRole("button", { name: /^Tidepool Hall · Rock pool trial casts/ }).first();
  const target = page.locator('[data-person="rui"]');
  await show(target);
  const rui = cell(page, "Rui Monteverde", "week of 15 February");
  await expect(rui).toContainText("35.5");
  const [from, to] = [await bar.boundingBox(), await target.boundingBox()];
  if (!from || !to) throw new Error("bar and row are on screen");
  const touch = await context.newCDPSession(page);
  const send = (type: "touchStart" | "touchMove" | "touchEnd", x = 0, y = 0) =>
    touch.send("Input.dispatchTouchEvent", { type, touchPoints: type === "touchEnd" ? [] : [{ x, y }] });
  await send("touchStart", from.x + 30, from.y + 10);
  for (let step = 1; step <= 8; step++) await send("touchMove", from.x + 30, from.y + 10 + ((to.y + 20 - from.y - 10) * step) / 8);
  await expect(rui).toContainText("15.5");
  await expect(page.getByText("Rui Monteverde has room for it")).toBeVisible();
  await send("touchEnd");
  await expect(cell(page, "Mara Ellingsen", "week of 15 February")).toContainText("0.8");
  await expect(rui).toContainText("15.5");
  await untilSaved(page);
  await page.reload();
  await expect(rui).toContainText("15.5");
  await context.close();
});

test.describe("printed", () => {
  test.use({ ownPage: true });

  test("the printed page has the figures and signs of the screen", async ({ page }) => {
    await holdPrinter(page);
    await open(page, "/balance?from=2027-03-08&to=2027-04-04&pipeline=full");
    await page.getByRole("button", { name: "Export" }).click();
    await page.getByRole("button", { name: "Print…" }).click();
    const printed = page.frameLocator('iframe[title="Page to print"]');
    const row = (name: string) => printed.getByRole("row", { name: new RegExp(`^${name}`) });
    const texts = (of: Locator) => of.getByRole("cell").allTextContents();
    await expect(row("Kaspar Ilves").getByRole("cell").first()).toHaveText("−2.5");
    expect((await texts(row("Fabricator")))[0]).toBe("81%");
    // Pencilled work, and work of projects that are not won yet, is drawn behind confirmed work.
    const widths = await row("Lena Hofmeister")
      .locator(".tentative")
      .evaluateAll((parts) => parts.map((part) => part.getAttribute("style")));
    expect(widths.some((style) => style !== null && !/width: ?0%/.test(style))).toBe(true);
    const onScreen = page.getByRole("gridcell", { name: /^Lena Hofmeister, week of 29 March:.*hours of the load are not confirmed/ });
    await expect(onScreen).toBeAttached();
  });
});
