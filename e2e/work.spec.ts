// The demand side: writing tasks down, links, why a date is what it is, dragging bars; figures before and after.
import type { Locator, Page } from "@playwright/test";
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { choose, goTo, load, sheetOf, untilSaved } from "./pages.ts";
import type { Server } from "./server.ts";

let server: Server;
test.beforeEach(({ server: own }) => {
  server = own;
});

const SPRING = "from=2027-01-25&to=2027-05-23";

const open = (page: Page, path: string): Promise<void> => goTo(page, server, path);

const rowOf = (page: Page, id: string): Locator => page.locator(`[data-task="${id}"]`);
const finish = (page: Page): Locator => page.locator("main h1 + div");

test("a line is understood as it is typed, and becomes a task with its hours, role and link", async ({ page }) => {
  await open(page, `/work/tidepool?task=tidepool-order&${SPRING}`);
  const entry = page.getByLabel("Add a task");
  await entry.fill("Test tank, 24 h, fabri");
  await expect(page.getByText("fabri role needed")).toBeVisible();
  await page.keyboard.press("Tab");
  await expect(entry).toHaveValue("Test tank, 24 h, Fabricator");
  await entry.pressSequentially(", 3 d, after Order materials, wide");
  await expect(page.getByText("wide not recognized: added to the notes")).toBeVisible();
  await page.keyboard.press("Enter");
  const row = page.locator("[data-task]", { hasText: "Test tank" });
  // Order materials ends on Thursday 4 February; three days later.
  await expect(row).toContainText("24");
  await expect(row).toContainText("5 Feb – 9 Feb");
  await page.keyboard.press("Escape");
  // Next to the sheet, columns give way to the chart.
  await expect(row).toContainText("Fabricator");
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(row).toHaveCount(0);
});

test("a pasted list becomes a tree in one step, and rows move and nest by keyboard", async ({ page }) => {
  await open(page, `/work/orchard?${SPRING}`);
  const before = await page.locator("[data-task]").count();
  const entry = page.getByLabel("Add a task");
  await entry.focus();
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData("text", "Evening tours\n  - Route, 6 h, project lead\n  - Rehearsal, 2 d\n  - First tour, milestone");
    document.activeElement?.dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }));
  });
  await expect(page.getByRole("region", { name: "Pasted list" })).toContainText("First tour name");
  await page.getByRole("button", { name: "Add 4 tasks" }).click();
  const rehearsal = page.locator("[data-task]", { hasText: "Rehearsal" });
  await rehearsal.scrollIntoViewIfNeeded();
  const names = async () => (await page.locator("[data-task] > [data-column=task]").allTextContents()).slice(-4);
  await expect.poll(names).toEqual(["Evening tours", "Route", "Rehearsal", "First tour"]);
  await rehearsal.focus();
  await page.keyboard.press("Alt+ArrowUp");
  await expect.poll(names).toEqual(["Evening tours", "Rehearsal", "Route", "First tour"]);
  await page.keyboard.press("Alt+ArrowLeft");
  await expect.poll(names).toEqual(["Evening tours", "Route", "First tour", "Rehearsal"]);
  await page.getByRole("button", { name: "Collapse Evening tours" }).click();
  await expect(page.locator("[data-task]", { hasText: "Route" })).toHaveCount(0);
  for (let step = 0; step < 3; step++) await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(page.locator("[data-task]", { hasText: "Evening tours" })).toHaveCount(0);
  await expect(page.locator("[data-task]")).toHaveCount(before);
});

test("a project outside the time shown moves the window to its start, once, by a link and by its address", async ({ page }) => {
  const far = "/work/tidepool?from=2027-09-06&to=2027-10-31&by=week";
  await load(page, server, `/work/orchard?${SPRING}`);
  await open(page, far);
  await expect(page).toHaveURL(/tidepool\?from=2026-11-30&to=2027-01-24/);
  await load(page, server, far);
  await expect(page).toHaveURL(/tidepool\?from=2026-11-30&to=2027-01-24/);
  await expect(page.locator('[data-task="tidepool-concept"] [data-chart], [data-task] [data-chart]').first()).toBeVisible();
  await page.getByRole("slider", { name: "Time window" }).focus();
  for (let step = 0; step < 40; step++) await page.keyboard.press("ArrowRight");
  await expect(page).toHaveURL(/from=2027-0[89]/);
});

test("a table with headers is pasted by its columns: weeks, decimal commas, people and what a task follows", async ({ page }) => {
  await open(page, `/work/orchard?${SPRING}`);
  await page.getByLabel("Add a task").focus();
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData("text", "Task\tDuration\tHours\tPerson\tPredecessors\nPack lamps\t2 w\t16,5\tMara Ellingsen\t\nShip lamps\t1\t\t\t1\n");
    document.activeElement?.dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }));
  });
  await page.getByRole("button", { name: "Add 2 tasks" }).click();
  const row = page.locator("[data-task]", { hasText: "Pack lamps" });
  await expect(row.locator('[data-column="hours"]')).toHaveText("16.5");
  await untilSaved(page);
  const { plan } = await (await fetch(`${server.url}/api/plan`)).json();
  const [pack, ship] = plan.tasks.slice(-2);
  expect(pack).toMatchObject({ name: "Pack lamps", durationDays: 10 });
  expect(plan.links.at(-1)).toMatchObject({ from: pack.id, to: ship.id, kind: "FS" });
});

test("the sheet lists every bound, the deciding one first; a lag changed there says what moved", async ({ page }) => {
  await open(page, `/work/tidepool?task=tidepool-scenic&${SPRING}`);
  const sheet = sheetOf(page);
  const why = sheet.locator("section", { hasText: "Why it starts on 24 Feb" });
  await expect(why.getByRole("listitem").first()).toContainText("With the start of Cases and plinths + 10 days24 Feb");
  await expect(why.getByRole("listitem").last()).toContainText("The project starts30 Nov");
  await expect(why).toContainText("7 days of slack, until 9 Apr");
  await sheet.getByLabel("Follows Cases and plinths, lag in days").fill("12");
  await page.keyboard.press("Enter");
  await expect(rowOf(page, "tidepool-scenic")).toContainText("26 Feb – 2 Apr");
  const moved = page.getByRole("status", { name: "Moved dates" });
  await expect(moved).toContainText("Fabrication complete 31 Mar → 2 Apr, because of Scenic surfaces");
  await sheet.getByLabel("Follows Cases and plinths, lag in days").fill("20");
  await page.keyboard.press("Enter");
  await expect(moved).toContainText(/Tidepool Hall now finishes on \d+ May, \d+ days later/);
  await expect(finish(page)).toContainText("later than when you last looked");
});

test("a link that would close a cycle cannot be made, and the attempt names the tasks on it", async ({ page }) => {
  await open(page, `/work/tidepool?task=tidepool-order&${SPRING}`);
  const sheet = sheetOf(page);
  await sheet.getByRole("button", { name: "Link it to a predecessor" }).click();
  await choose(sheet.getByLabel("Predecessor"), "Cases and plinths");
  await sheet.getByRole("button", { name: "Link", exact: true }).click();
  await expect(sheet.getByRole("alert")).toContainText("This would create a cycle:");
  await expect(sheet.getByRole("alert")).toContainText("“Order materials”".replaceAll(/[“”]/g, '"'));
  // Drawn from bar to bar, in the direction that works.
  const dot = page.locator("[data-link-from=tidepool-lightplan]");
  const target = rowOf(page, "tidepool-film");
  await target.evaluate((row) => row.scrollIntoView({ block: "center" }));
  const [from, to] = [await dot.boundingBox(), await target.boundingBox()];
  if (!from || !to) throw new Error("both rows are on screen");
  await page.mouse.move(from.x + 5, from.y + 5);
  await page.mouse.down();
  await page.mouse.move(to.x + 300, to.y + 15, { steps: 8 });
  // The meaning and the moved dates are shown before the bar is dropped.
  const chip = page.getByRole("status").filter({ hasText: "Films and soundscape follows Lighting plan" });
  await expect(chip).toContainText(/tasks? moves? with it|Nothing else moves/);
  await page.mouse.up();
  await rowOf(page, "tidepool-film").getByText("Films and soundscape").click();
  await expect(sheet).toContainText("follows Lighting plan");
  // The lighting plan ends on 10 February.
  await expect(rowOf(page, "tidepool-film")).toContainText("11 Feb –");
});

test("an end of a bar is drawn out: what it results in is said before, and the task lasts longer; the edge of the chart is kept", async ({
  page,
}) => {
  await open(page, `/work/tidepool?${SPRING}`);
  const row = rowOf(page, "tidepool-scenic");
  await expect(row).toContainText("24 Feb – 31 Mar");
  const edge = row.locator("[data-edge=finish]");
  const box = await edge.boundingBox();
  const chart = await row.locator("[data-column=chart]").boundingBox();
  if (!box || !chart) throw new Error("the bar is on screen");
  const perDay = chart.width / 119;
  await page.mouse.move(box.x + 3, box.y + 6);
  await page.mouse.down();
  await page.mouse.move(box.x + 3 + perDay * 7, box.y + 6, { steps: 7 });
  const chip = page.getByRole("status").filter({ hasText: "24 Feb – 7 Apr" });
  await expect(chip).toContainText(/moves? with it|Nothing else moves/);
  await page.mouse.up();
  await expect(row).toContainText("24 Feb – 7 Apr");
  await expect(row).toContainText("200");
  const divider = page.locator("[data-divider=chart]");
  const width = async () => Math.round((await row.locator("[data-column=chart]").boundingBox())?.width ?? 0);
  const before = await width();
  const grip = await divider.boundingBox();
  if (!grip) throw new Error("the divider is on screen");
  await page.mouse.move(grip.x + 4, grip.y + 120);
  await page.mouse.down();
  await page.mouse.move(grip.x - 36, grip.y + 120, { steps: 4 });
  await page.mouse.up();
  await expect.poll(width).toBe(before + 40);
  await page.reload();
  await expect.poll(width).toBe(before + 40);
});

test("a bar that links decide is asked about when it is dragged; the delay it leaves is seen and removed", async ({ page }) => {
  await open(page, `/work/tidepool?${SPRING}`);
  const bar = page.locator("[data-bar=tidepool-scenic]");
  const box = await bar.boundingBox();
  if (!box) throw new Error("the bar is on screen");
  const chart = await page.locator("[data-task=tidepool-scenic] > [data-column=chart]").boundingBox();
  const perDay = (chart?.width ?? 0) / 119;
  await page.mouse.move(box.x + 14, box.y + 8);
  await page.mouse.down();
  await page.mouse.move(box.x + 14 + perDay * 7, box.y + 8, { steps: 7 });
  const chip = page.getByRole("status").filter({ hasText: "3 Mar 2027" });
  await expect(chip).toContainText(/tasks? moves? with it/);
  await page.mouse.up();
  const sheet = sheetOf(page);
  await expect(sheet).toContainText("its links decide when it starts");
  await expect(sheet.getByRole("radio")).toHaveCount(3);
  await expect(sheet.getByText("Delay it by 5 days")).toBeVisible();
  await sheet.getByRole("button", { name: "Apply" }).click();
  await expect(rowOf(page, "tidepool-scenic")).toContainText("3 Mar – 7 Apr");
  await rowOf(page, "tidepool-scenic").getByText("Scenic surfaces").click();
  await expect(sheet.getByRole("listitem").first()).toContainText("Delay");
  await sheet.getByRole("button", { name: "Remove the delay" }).click();
  await expect(rowOf(page, "tidepool-scenic")).toContainText("24 Feb – 31 Mar");
});

test("a pinned task that breaks a link says by how much, and follows it when asked", async ({ page }) => {
  await open(page, `/work/slowlight?task=slowlight-demo&${SPRING}`);
  const sheet = sheetOf(page);
  await expect(sheet.getByRole("alert")).toContainText("Pinned 6 working days too early for a link.");
  await sheet.getByRole("button", { name: "Follow the links instead" }).click();
  await expect(rowOf(page, "slowlight-demo")).toContainText("16 Feb – 22 Feb");
  await expect(sheet.getByRole("alert")).toHaveCount(0);
});

test("many tasks change at once, and their open work goes to one person", async ({ page }) => {
  await open(page, `/work/tidepool?${SPRING}`);
  await page.getByLabel("Select Cases and plinths").check();
  await page.getByLabel("Select Scenic surfaces").check();
  const sheet = sheetOf(page);
  await expect(sheet.getByRole("heading", { name: "2 tasks" })).toBeVisible();
  await expect(sheet).toContainText("40 h of it are unassigned");
  await choose(sheet.getByLabel("Assign the unassigned work to"), "Rui Monteverde");
  await sheet.getByRole("textbox", { name: "Working days" }).fill("26");
  await sheet.getByRole("button", { name: "Change 2 tasks" }).click();
  await expect(rowOf(page, "tidepool-cases")).toContainText("10 Feb – 17 Mar");
  await rowOf(page, "tidepool-cases").getByText("Cases and plinths").click();
  await expect(sheet.getByLabel("Rui Monteverde, total hours")).toHaveValue("40");
});

test("a task deleted between others can leave them linked", async ({ page }) => {
  await open(page, `/work/tidepool?task=tidepool-scenic&${SPRING}`);
  const sheet = sheetOf(page);
  await sheet.getByRole("button", { name: "Delete and link its neighbours" }).click();
  await expect(rowOf(page, "tidepool-scenic")).toHaveCount(0);
  await rowOf(page, "tidepool-cases").getByText("Cases and plinths").click();
  await expect(sheet).toContainText("before Fabrication complete");
});

test("a project is made from another one's tasks: dates move with its start, people's places are open", async ({ page }) => {
  await open(page, "/work");
  await expect(page.getByText("24,779.7 h")).toBeVisible();
  await page.getByRole("button", { name: /Add project/ }).click();
  const sheet = sheetOf(page);
  await sheet.getByRole("button", { name: "Add project" }).click();
  await expect(sheet.getByText("Enter a name for the project.")).toBeVisible();
  await sheet.getByLabel("Name").fill("Second orchard");
  await choose(sheet.getByLabel("Template"), "The Clockwork Orchard");
  await sheet.getByRole("textbox", { name: "Start" }).fill("6 Sep 2027");
  await choose(sheet.getByLabel("Lead"), "Dario Penwick");
  await sheet.getByRole("button", { name: "Add project" }).click();
  await expect(page.getByRole("heading", { name: "Second orchard" })).toBeVisible();
  await expect(finish(page)).toContainText("from 6 Sep");
  await expect(page.getByText("903 h")).toBeVisible();
  await expect(page.getByText("needed · 0% assigned")).toBeVisible();
  await page.getByRole("button", { name: "Details" }).click();
  await sheet.getByLabel("Deadline").fill("1 Oct 2027");
  await sheet.getByRole("button", { name: "Save", exact: true }).click();
  await expect(finish(page)).toContainText(/finish · deadline missed by \d+ working days/);
  await page.getByRole("button", { name: /^Undo/ }).click();
  await page.getByRole("button", { name: /^Undo/ }).click();
  await page.getByRole("link", { name: "Work", exact: true }).click();
  await expect(page.getByText("24,779.7 h")).toBeVisible();
});

test("work is stated another way, spread, and typed over week by week; the weeks always add up", async ({ page }) => {
  await open(page, `/work/tidepool?task=tidepool-cases&${SPRING}`);
  const sheet = sheetOf(page);
  await sheet.getByRole("button", { name: "Jonas Adeyemi", exact: true }).click();
  const weeks = sheet.locator("figure > div > span > span:first-child");
  const sum = async () => (await weeks.allTextContents()).reduce((total, text) => total + Number(text), 0);
  await expect.poll(sum).toBeCloseTo(118, 0);
  const even = await weeks.nth(3).textContent();
  await choose(sheet.getByLabel("Jonas Adeyemi, spread"), "Most in the middle");
  await expect(weeks.nth(3)).not.toHaveText(even ?? "");
  await expect.poll(sum).toBeCloseTo(118, 0);
  // There and back through other ways, it is the same hours to the minute.
  const statedAs = sheet.getByLabel("Jonas Adeyemi, entered as");
  for (const way of ["% of their time", "hours a day", "hours a week"]) {
    await choose(statedAs, way);
    await expect(statedAs).toHaveText(way);
    await expect(sheet).toContainText(/Needs 11[78](\.\d)? h/);
  }
  await choose(statedAs, "total hours");
  await expect(sheet.getByLabel("Jonas Adeyemi, total hours")).toHaveValue("118");
  await expect(sheet).toContainText("Needs 118 h");
  await choose(statedAs, "week by week");
  const first = sheet.getByLabel("Jonas Adeyemi, hours from 10 Feb 2027");
  await first.fill("12");
  await page.keyboard.press("Enter");
  await expect(weeks.first()).toHaveText("12");
  await expect(rowOf(page, "tidepool-cases")).toContainText("212.6");
});

test("tasks and their work come from a file, and go back with one undo", async ({ page }) => {
  await open(page, "/people/import");
  const rows = [
    "Project;Task;Below;Working days;Effort hours;Role",
    "TP;Night tours;tidepool-install;3;18;Installer",
    "TP;Lost;nowhere;1;;",
  ];
  const input = page.getByLabel("File to import");
  await input.setInputFiles({ name: "tasks.csv", mimeType: "text/csv", buffer: Buffer.from(rows.join("\n")) });
  await expect(sheetOf(page).getByLabel("Import as")).toHaveText("Tasks");
  await expect(page.getByRole("grid", { name: "Rows of the file" })).toContainText('There is no task "nowhere".');
  await page.getByRole("button", { name: "Import 1 row" }).click();
  await open(page, `/work/tidepool?${SPRING}`);
  const row = page.locator("[data-task]", { hasText: "Night tours" });
  await page.getByRole("grid").or(page.locator("main")).first().hover();
  await page.mouse.wheel(0, 5_000);
  await expect(row).toContainText("Installer");
  await expect(row).toContainText("18");
  await page.getByRole("button", { name: /^Undo: import a row from tasks.csv/ }).click();
  await expect(row).toHaveCount(0);
});

test("time left sets what everyone still has to do against the hours they have before a date", async ({ page }) => {
  await open(page, `/work/tidepool?task=time-left&${SPRING}`);
  const sheet = sheetOf(page);
  await expect(sheet.locator("section", { hasText: "In hand" })).toContainText("Rui Monteverde");
  await sheet.getByLabel("Before the end of").fill("12 Feb 2027");
  await expect(sheet.locator("section", { hasText: "More work than time" })).toContainText(/Rui Monteverde.*100 of [\d.]+ h/);
});

test("a list is pasted with its links: by the line above, by name and by row number, and several rows are linked at once", async ({
  page,
}) => {
  await open(page, `/work/orchard?columns=follows,dates&${SPRING}`);
  const before = await page.locator("[data-task]").count();
  const entry = page.getByLabel("Add a task");
  await entry.focus();
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData("text/plain", "Mock-up, 2 d, after 3\nTest it, 1,5 d, after above + 2 d\nMend it\t3 d\tafter Mock-up\tsoon");
    document.activeElement?.dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }));
  });
  const list = page.getByRole("region", { name: "Pasted list" });
  await expect(list).toContainText("soon not recognized: added to the notes");
  await list.getByRole("button", { name: "Add 3 tasks" }).click();
  const follows = (name: string) => page.locator("[data-task]").filter({ hasText: name }).locator("[data-column=follows]");
  await expect(follows("Mock-up")).toHaveText("3");
  await expect(follows("Test it")).toHaveText(`${before + 1} + 2 d`);
  await expect(follows("Mend it")).toHaveText(String(before + 1));
  await follows("Mend it").click();
  await page.keyboard.type("with 99");
  await expect(page.getByText("Row numbers or names")).toBeVisible();
  await page.keyboard.press("Escape");
  await page.keyboard.type(`${before + 1} + 1 d, with ${before + 2}`);
  await page.keyboard.press("Enter");
  await expect(follows("Mend it")).toHaveText(`${before + 1} + 1 d, with ${before + 2}`);
  await page.getByRole("button", { name: "Undo: change the predecessors of a task (Ctrl Z)" }).click();
  await expect(follows("Mend it")).toHaveText(String(before + 1));
  for (const name of ["Test it", "Mend it"]) await page.getByLabel(`Select ${name}`).check();
  await sheetOf(page).getByRole("button", { name: "Link in sequence" }).click();
  // The ticks go first, then the task that was opened.
  await page.keyboard.press("Escape");
  await page.keyboard.press("Escape");
  await expect(follows("Mend it")).toHaveText(new RegExp(`${before + 1}, ${before + 2}|${before + 2}, ${before + 1}`));
});
