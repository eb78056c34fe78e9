// The hours grid: typed like a spreadsheet, with blocks pasted, filled, cleared and undone.
import type { Locator, Page } from "@playwright/test";
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { choose, goTo, sheetOf, untilSaved } from "./pages.ts";

const FEBRUARY = "from=2027-02-01&to=2027-03-28&by=week";

/** The cell of a row, by the texts of its row and the day its period begins. */
function cell(page: Page, row: RegExp, start: string): Locator {
  const day = Date.parse(`${start}T00:00:00Z`) / 86_400_000;
  return page.locator("[data-hours]").filter({ hasText: row }).locator(`[data-column=p${day}]`);
}

const foot = (page: Page, start: string): Locator => page.locator(`td[data-foot=p${Date.parse(`${start}T00:00:00Z`) / 86_400_000}]`);

async function paste(page: Page, text: string): Promise<void> {
  await page.evaluate((own) => {
    const data = new DataTransfer();
    data.setData("text/plain", own);
    document.activeElement?.dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }));
  }, text);
}

test("hours are typed from cell to cell; what a rule gave elsewhere stays, and the room below follows", async ({ page, server }) => {
  await goTo(page, server, `/people/person/mara/hours?${FEBRUARY}`);
  const casts = /Rock pool trial casts/;
  await expect(cell(page, casts, "2027-02-15")).toHaveText("20");
  await expect(foot(page, "2027-02-15")).toContainText("59.2−19.2");
  await cell(page, casts, "2027-02-15").click();
  await page.keyboard.type("4");
  await page.keyboard.press("Tab");
  await page.keyboard.type("6,5");
  await page.keyboard.press("Enter");
  await expect(cell(page, casts, "2027-02-15")).toHaveText("4");
  await expect(cell(page, casts, "2027-02-22")).toHaveText("6.5");
  await expect(cell(page, casts, "2027-02-08")).toHaveText("20");
  await expect(foot(page, "2027-02-15")).toContainText("43.2−3.2");
  await untilSaved(page);
  await page.reload();
  await expect(foot(page, "2027-02-22")).toContainText("45.7−5.7");
  await page.getByRole("button", { name: /^Undo/ }).click();
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(foot(page, "2027-02-15")).toContainText("59.2−19.2");
});

test("a block from a spreadsheet goes in where it fits, what does not is reported cell by cell, and one undo takes it back", async ({
  page,
  server,
}) => {
  await goTo(page, server, `/work/tidepool/hours?${FEBRUARY}`);
  const [lead, story] = [/Ilka Sandmere/, /Amadou SissokoConcept/];
  await cell(page, lead, "2027-02-08").click();
  await paste(page, "3\t5,5\tsoon\n7\t8\t2\n");
  await expect(cell(page, lead, "2027-02-08")).toHaveText("3");
  await expect(cell(page, lead, "2027-02-15")).toHaveText("5.5");
  await expect(cell(page, lead, "2027-02-22")).toHaveText("16");
  await expect(cell(page, story, "2027-02-08")).toHaveText("7");
  await expect(cell(page, story, "2027-02-22")).toHaveText("2");
  const sheet = page.getByRole("complementary", { name: "Not pasted" });
  await expect(sheet).toContainText("Leading the project, Ilka Sandmere, week of 22 February");
  await expect(sheet).toContainText("“soon” is not a number of hours.");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Undo: paste 5 cells of hours (Ctrl Z)" }).click();
  await expect(cell(page, lead, "2027-02-08")).toHaveText("16");
  await expect(cell(page, story, "2027-02-08")).toHaveText("");
});

test("cells are marked by Shift and arrows: filled right over a window in one step, and cleared in one", async ({ page, server }) => {
  await goTo(page, server, `/work/tidepool/hours?${FEBRUARY}`);
  const lead = /Ilka Sandmere/;
  await cell(page, lead, "2027-02-01").click();
  await page.keyboard.type("9");
  await page.keyboard.press("Enter");
  await cell(page, lead, "2027-02-01").click();
  await page.keyboard.press("Shift+End");
  await page.keyboard.press("Control+r");
  for (const week of ["2027-02-08", "2027-03-01", "2027-03-22"]) await expect(cell(page, lead, week)).toHaveText("9");
  await expect(page.getByRole("button", { name: /^Undo: change work on "Leading the project"/ })).toBeVisible();
  await page.keyboard.press("Delete");
  await expect(cell(page, lead, "2027-02-01")).toHaveText("");
  await expect(cell(page, lead, "2027-03-22")).toHaveText("");
  await page.keyboard.press("Control+z");
  await expect(cell(page, lead, "2027-03-22")).toHaveText("9");
  await page.keyboard.press("Home");
  await page.keyboard.press("Shift+ArrowRight");
  await page.keyboard.press("Delete");
  await expect(cell(page, lead, "2027-02-08")).toHaveText("");
  await expect(cell(page, lead, "2027-02-15")).toHaveText("9");
});

test("hours typed after the finish of a task are said at once, and the finish moves when asked", async ({ page, server }) => {
  await goTo(page, server, `/people/person/mara/hours?${FEBRUARY}`);
  await cell(page, /Rock pool trial casts/, "2027-03-22").click();
  await page.keyboard.type("8");
  await page.keyboard.press("Enter");
  const notice = page.getByRole("status", { name: "Hours outside the task’s dates" });
  await expect(notice).toContainText("Rock pool trial casts: 8 h are after the finish on 26 Feb 2027.");
  await notice.getByRole("button", { name: "Move the finish to 25 Mar 2027" }).click();
  await expect(notice).toBeHidden();
  await untilSaved(page);
  const { plan } = await (await fetch(`${server.url}/api/plan`)).json();
  expect(plan.tasks.find(({ id }: { id: string }) => id === "tidepool-rockpools").finish).toBe("2027-03-25");
});

test("a new row is a task and a person on it; its hours count at once, and going back to the rule keeps the total", async ({
  page,
  server,
}) => {
  await goTo(page, server, `/work/tidepool/hours?${FEBRUARY}`);
  await choose(page.getByLabel("Task of a new row"), "Order materials");
  await page.getByLabel("Who works on it").click();
  await page.keyboard.type("Rui");
  await page.keyboard.press("Enter");
  await page.getByRole("button", { name: "Add row" }).click();
  const row = /Rui MonteverdeOrder materials/;
  await cell(page, row, "2027-02-15").click();
  await page.keyboard.type("44");
  await page.keyboard.press("Enter");
  await expect(cell(page, row, "2027-02-15")).toHaveText("44");
  await expect(cell(page, row, "2027-02-15")).toHaveAccessibleName(/44 h, typed; Rui Monteverde has \d+(\.\d)? of 40 h/);
  await expect(cell(page, row, "2027-02-15")).toHaveClass(/cell-over/);
  const sum = page.locator("[data-hours]").filter({ hasText: row }).locator("[data-column=sum]");
  await expect(sum).toContainText("44");
  await page.getByRole("button", { name: "Reset to calculated" }).click();
  await expect(cell(page, row, "2027-02-15")).toHaveText("");
  await expect(cell(page, row, "2027-02-01")).toHaveAccessibleName(/ h, calculated; Rui Monteverde has/);
  await untilSaved(page);
  await goTo(page, server, "/work/tidepool?task=tidepool-order");
  await expect(sheetOf(page)).toContainText("Rui Monteverde");
});
