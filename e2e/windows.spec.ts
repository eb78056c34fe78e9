// One plan in two windows, a narrow window, and steps undone after the window was closed.
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { goTo, rateOf, sheetOf, typeRate, untilSaved } from "./pages.ts";
import type { Server } from "./server.ts";

let server: Server;
test.beforeEach(({ server: own }) => {
  server = own;
});

test("what one window changes, the other has after its next edit; both are kept", async ({ page: first, colleague: second }) => {
  await goTo(first, server, "/rates");
  await goTo(second, server, "/work/tidepool?task=tidepool-order");
  await typeRate(first, "Mara Ellingsen", "52.5");
  await untilSaved(first);
  await second.getByLabel("Add a task").fill("Second window, 8 h, fabricator, 2 d");
  await second.keyboard.press("Enter");
  await untilSaved(second);
  await second.getByRole("link", { name: "Rates" }).click();
  await expect(await rateOf(second, "Mara Ellingsen")).toHaveText("52.50");
  await typeRate(first, "Ines Valtonen", "48");
  await untilSaved(first);
  await first.getByRole("link", { name: "Work", exact: true }).click();
  await first
    .getByRole("link", { name: /Tidepool Hall/ })
    .first()
    .click();
  await expect(first.locator("[data-task]", { hasText: "Second window" })).toBeAttached();
});

test("what one window changes is in every other one at once, without a press there, and is marked", async ({
  page: first,
  colleague: other,
}) => {
  // Two windows of one browser and one of another: the first two share a connection.
  const beside = await first.context().newPage();
  for (const page of [first, beside, other]) await goTo(page, server, "/work/tidepool");
  await first.getByLabel("Add a task").fill("Seen by all, 8 h, fabricator, 2 d");
  await first.keyboard.press("Enter");
  for (const page of [beside, other]) {
    await page.getByRole("treegrid").hover();
    await page.mouse.wheel(0, 5_000);
    const row = page.locator("[data-task]", { hasText: "Seen by all" });
    await expect(row).toContainText("8");
    // The user's other window can undo it; another user's window cannot.
    await expect(page.getByRole("button", { name: page === beside ? /^Undo: add/ : "Nothing to undo" })).toBeVisible();
  }
  await other.locator("[data-task]", { hasText: "Seen by all" }).click();
  await sheetOf(other).getByLabel("Name").fill("Seen by all, again");
  await sheetOf(other).getByRole("button", { name: "Save", exact: true }).click();
  await expect(beside.locator("[data-task][data-heard=yes]", { hasText: "Seen by all, again" })).toBeVisible();
  await expect(beside.locator("[data-heard]")).toHaveCount(0);
});

test("two windows that change the same figure: the later one sees both values, and chooses", async ({ page: first, browser }) => {
  const second = await (await browser.newContext()).newPage();
  await goTo(first, server, "/rates");
  // The second window hears nothing, as behind a proxy that breaks the stream.
  await second.context().route(/api\/(events|edits\?)/, (route) => route.abort());
  await goTo(second, server, "/rates");
  await typeRate(first, "Mara Ellingsen", "52.5");
  await untilSaved(first);
  await typeRate(second, "Mara Ellingsen", "61");
  const choice = second.getByRole("alertdialog", { name: "Conflicting changes" });
  await expect(choice).toContainText("Mara Ellingsen, rate: yours 61, theirs 52.5, before 42");
  await expect(await rateOf(second, "Mara Ellingsen")).toHaveText("52.50");
  // Nothing is chosen by leaving: it is asked again.
  await second.reload();
  await expect(choice).toContainText("Mara Ellingsen, rate: yours 61, theirs 52.5, before 42");
  await choice.getByRole("button", { name: "Keep yours" }).click();
  await expect(await rateOf(second, "Mara Ellingsen")).toHaveText("61.00");
  await untilSaved(second);
  await first.reload();
  await expect(await rateOf(first, "Mara Ellingsen")).toHaveText("61.00");
});

test("what was typed without the server is not put over what a colleague made meanwhile, also after a reload", async ({
  page: theirs,
  browser,
}) => {
  const away = await browser.newContext();
  const mine = await away.newPage();
  await goTo(mine, server, "/rates");
  await goTo(theirs, server, "/rates");
  let isOut = true;
  await away.route("**/api/edits", (route) => (isOut ? route.abort() : route.continue()));
  await typeRate(mine, "Mara Ellingsen", "47.5");
  await expect(mine.getByText("1 unsaved")).toBeVisible();
  await typeRate(mine, "Ines Valtonen", "39");
  await typeRate(theirs, "Mara Ellingsen", "88");
  await untilSaved(theirs);
  isOut = false;
  await mine.reload();
  const choice = mine.getByRole("alertdialog", { name: "Conflicting changes" });
  await expect(choice).toContainText("Mara Ellingsen, rate: yours 47.5, theirs 88, before 42");
  await choice.getByRole("button", { name: "Keep theirs" }).click();
  await untilSaved(mine);
  await expect(await rateOf(mine, "Mara Ellingsen")).toHaveText("88.00");
  // Edits without a conflict were made.
  await theirs.reload();
  await expect(await rateOf(theirs, "Ines Valtonen")).toHaveText("39.00");
  await expect(await rateOf(theirs, "Mara Ellingsen")).toHaveText("88.00");
});

test("steps can be undone and made again after the window was closed, each saying what it is", async ({ browser }) => {
  const context = await browser.newContext();
  const page = await context.newPage();
  await goTo(page, server, "/rates");
  await typeRate(page, "Mara Ellingsen", "52.5");
  await untilSaved(page);
  await typeRate(page, "Mara Ellingsen", "54");
  await untilSaved(page);
  await page.close();
  const later = await context.newPage();
  await goTo(later, server, "/rates");
  await expect(await rateOf(later, "Mara Ellingsen")).toHaveText("54.00");
  await later.keyboard.press("Control+z");
  await expect(await rateOf(later, "Mara Ellingsen")).toHaveText("52.50");
  await later.keyboard.press("Control+z");
  await expect(await rateOf(later, "Mara Ellingsen")).toHaveText("42.00");
  await expect(later.getByRole("button", { name: "Nothing to undo" })).toBeDisabled();
  await later.keyboard.press("Control+Shift+z");
  await expect(await rateOf(later, "Mara Ellingsen")).toHaveText("52.50");
  await expect(later.getByRole("button", { name: /^Redo: change rates in "Studio cost"/ })).toBeEnabled();
});

test("undo reverts the user's own step and leaves the changes of others; a conflict is named", async ({ page: nora, colleague: lee }) => {
  for (const page of [nora, lee]) await goTo(page, server, "/rates");
  await typeRate(nora, "Mara Ellingsen", "52.5");
  await untilSaved(nora);
  await expect(await rateOf(lee, "Mara Ellingsen")).toHaveText("52.50");
  await typeRate(lee, "Ines Valtonen", "39");
  await untilSaved(lee);
  await expect(await rateOf(nora, "Ines Valtonen")).toHaveText("39.00");
  await nora.keyboard.press("Control+z");
  for (const page of [nora, lee]) {
    await expect(await rateOf(page, "Mara Ellingsen")).toHaveText("42.00");
    await expect(await rateOf(page, "Ines Valtonen")).toHaveText("39.00");
  }
  await expect(nora.getByRole("button", { name: "Nothing to undo" })).toBeDisabled();

  await typeRate(nora, "Ines Valtonen", "41");
  await untilSaved(nora);
  await expect(await rateOf(lee, "Ines Valtonen")).toHaveText("41.00");
  await lee.keyboard.press("Control+z");
  const reported = lee.getByRole("alertdialog", { name: "Changed since" });
  await expect(reported).toContainText("Someone else has changed the same fields since");
  await expect(reported).toContainText(/Ines Valtonen, rate: would be \d+(\.\d+)?, theirs 41, before 39/);
  await expect(reported.getByRole("button", { name: /^Undo the other/ })).toHaveCount(0);
  await reported.getByRole("button", { name: "Leave unchanged" }).click();
  await expect(await rateOf(lee, "Ines Valtonen")).toHaveText("41.00");
});

test("a notice says that another user changes the row being edited, and typed text stays", async ({ page: mine, colleague: theirs }) => {
  for (const page of [mine, theirs]) await goTo(page, server, "/work/tidepool?task=tidepool-order");
  await sheetOf(mine).getByLabel("Name", { exact: true }).fill("Order everything");
  await sheetOf(theirs).getByLabel("Tags").fill("urgent");
  await sheetOf(theirs).getByRole("button", { name: "Save", exact: true }).click();
  await untilSaved(theirs);
  await expect(mine.getByText("Someone else has just changed what you are editing.")).toBeVisible();
  await expect(sheetOf(mine).getByLabel("Name", { exact: true })).toHaveValue("Order everything");
  await expect(sheetOf(mine).getByLabel("Tags")).toHaveValue("urgent");
  await sheetOf(mine).getByRole("button", { name: "Save", exact: true }).click();
  await untilSaved(mine);
  const { plan } = await (await fetch(`${server.url}/api/plan`)).json();
  expect(plan.tasks.find(({ id }: { id: string }) => id === "tidepool-order")).toMatchObject({
    name: "Order everything",
    tags: ["urgent"],
  });
});

test("1,024 wide the side sheet is next to the board and covers none of it, and Escape gives the room back", async ({ browser }) => {
  const page = await (await browser.newContext({ viewport: { width: 1024, height: 720 } })).newPage();
  await goTo(page, server, "/balance?rows=none&sort=worst");
  const grid = page.getByRole("grid");
  const before = await grid.boundingBox();
  const cell = page.getByRole("gridcell", { name: /^Mara Ellingsen, week of 15 February:/ });
  await cell.focus();
  await page.keyboard.press("Enter");
  const sheet = sheetOf(page);
  await expect(sheet).toContainText("Over capacity19.2 h");
  const [over, under] = [await sheet.boundingBox(), await grid.boundingBox()];
  expect(under?.y).toBe(before?.y);
  expect((over?.x ?? 0) + (over?.width ?? 0)).toBeLessThanOrEqual(1024);
  const screen = await page.locator("main").boundingBox();
  expect(over?.x).toBeGreaterThanOrEqual((screen?.x ?? 0) + (screen?.width ?? 0));
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(1024);
  await page.keyboard.press("Escape");
  await expect(sheet).toBeHidden();
  await expect(page).not.toHaveURL(/cell=/);
});
