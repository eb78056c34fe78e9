// A whole week of recorded hours: typed and submitted by the person, returned, corrected, approved; the dates follow.
import type { Locator, Page } from "@playwright/test";
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { choose, goTo, sheetOf, untilSaved } from "./pages.ts";
import { planOf } from "./planRoute.ts";
import { addTracked } from "./tracked.ts";

const row = (page: Page): Locator => page.locator("[data-week]").filter({ hasText: "Build crates" });
const day = (page: Page, at: number): Locator => row(page).locator(`[data-column=d${at}]`);
const WEEK = "/week?person=mara&week=2027-01-25";

test("a week is recorded by keys, submitted, returned, corrected and approved, and the task follows what was worked", async ({
  page,
  server,
}) => {
  await addTracked(server);
  await goTo(page, server, "/work/loan?from=2027-01-25&to=2027-03-21");
  const task = page.locator("[data-task]").filter({ hasText: "Build crates" });
  await expect(task).toContainText("1 Feb – 5 Feb");

  await goTo(page, server, WEEK);
  for (const at of [0, 1, 2, 3, 4]) await expect(day(page, at)).toHaveText("4");
  await day(page, 3).click();
  await page.keyboard.press("p");
  await expect(row(page).locator("[data-column=total]")).toHaveText("4");
  await page.keyboard.press("ArrowRight");
  await page.keyboard.type("6");
  await page.keyboard.press("Enter");
  await expect(row(page).locator("[data-column=total]")).toHaveText("10");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(row(page).locator("[data-column=total]")).toHaveText("4");
  await page.getByRole("button", { name: "Redo" }).click();
  // A note to the lead, on Thursday's hours.
  await day(page, 3).click();
  await page.keyboard.press("n");
  await sheetOf(page).getByLabel("Note").fill("The van was late");
  await sheetOf(page).getByRole("button", { name: "Save the note" }).click();
  await expect(sheetOf(page)).toHaveCount(0);
  await expect(day(page, 3)).toHaveAttribute("title", /The van was late/);
  await page.getByRole("button", { name: "Meeting" }).click();
  const meeting = page.locator("[data-week]").filter({ hasText: "Meeting" }).first();
  await expect(meeting).toBeVisible();
  await page.getByRole("button", { name: "Submit the week" }).click();
  await expect(page.getByRole("button", { name: "Withdraw" })).toBeVisible();
  await untilSaved(page);

  await goTo(page, server, "/today");
  const waits = page.getByRole("listitem").filter({ hasText: "Hours of 1 week wait for approval, since 25 Jan." });
  await waits.getByRole("link", { name: /^Approve/ }).click();
  const line = page.locator("[data-approval]").filter({ hasText: "Build crates" });
  await expect(line).toContainText("Mara Ellingsen");
  await expect(line.locator("[data-column=planned]")).toHaveText("20");
  await expect(line.locator("[data-column=recorded]")).toHaveText("10");
  await line.click();
  const sheet = sheetOf(page, "Mara Ellingsen");
  await expect(sheet).toContainText("The van was late");
  await sheet.getByRole("button", { name: "Return" }).click();
  await expect(sheet).toContainText("Enter the reason for returning the hours.");
  await sheet.getByLabel("Reason").fill("Six on Friday?");
  await sheet.getByRole("button", { name: "Return" }).click();
  await expect(page.getByText("No hours wait for approval")).toBeVisible();

  await goTo(page, server, WEEK);
  await expect(row(page)).toContainText("Returned: Six on Friday?");
  await day(page, 4).click();
  await page.keyboard.type("4");
  await page.keyboard.press("Enter");
  await page.getByRole("button", { name: "Submit the week" }).click();
  await untilSaved(page);
  await goTo(page, server, "/week/approval");
  await page.getByRole("button", { name: "Approve everything usual" }).click();
  await expect(page.getByText("No hours wait for approval")).toBeVisible();

  // 8 of 20 h are worked: 12 h remain, three of the five days, from the status date on.
  await goTo(page, server, "/work/loan?from=2027-01-25&to=2027-03-21");
  await expect(task).toContainText("28 Jan – 3 Feb");
  // In the grid the past is read, not typed.
  await goTo(page, server, "/work/loan/hours?from=2027-01-25&to=2027-02-21&by=week");
  const cell = page.getByRole("gridcell", { name: /^Build crates, Mara Ellingsen, week of 25 January: 8 h, recorded/ });
  await cell.click();
  await page.keyboard.type("9");
  await expect(cell).toHaveText("8");
  await expect(page.getByRole("gridcell", { name: /^Build crates, Mara Ellingsen, week of 1 February: 12 h, calculated/ })).toBeVisible();
  await goTo(page, server, "/balance?from=2027-01-25&to=2027-02-21&cell=mara@2027-01-25_2027-01-31");
  await expect(
    sheetOf(page)
      .getByRole("row", { name: /Build crates/ })
      .getByRole("cell"),
  ).toHaveText(["20", "8"]);
  // By keys: the notice of what moved may lie over the foot of the sheet.
  await sheetOf(page).getByRole("link", { name: "Open the week" }).press("Enter");
  await expect(page).toHaveURL(/\/week\?.*person=mara/);

  await goTo(page, server, WEEK);
  await expect(row(page).locator("[data-column=left]")).toHaveText("12");
  await day(page, 4).click();
  await page.keyboard.type("9");
  await expect(day(page, 4)).toHaveText("4");
});

test("a week is accepted as planned, and copied into the next one", async ({ page, server }) => {
  await addTracked(server);
  await goTo(page, server, "/week?person=mara&week=2027-01-25");
  await page.getByRole("button", { name: "As planned" }).click();
  await expect(row(page).locator("[data-column=total]")).toHaveText("20");
  await page.getByRole("button", { name: "Next week" }).click();
  await expect(page).toHaveURL(/week=2027-02-01/);
  await page.getByRole("button", { name: "Copy last week" }).click();
  await expect(row(page).locator("[data-column=total]")).toHaveText("20");
});

test("a closed month keeps its hours; what is missing is recorded today as a correction, and the month opens again", async ({
  page,
  server,
}) => {
  await addTracked(server);
  await goTo(page, server, WEEK);
  await page.getByRole("button", { name: "As planned" }).click();
  await page.getByRole("button", { name: "Submit the week" }).click();
  await untilSaved(page);
  await goTo(page, server, "/week/approval");
  await page.getByRole("button", { name: "Closed months" }).click();
  const sheet = sheetOf(page);
  await expect(sheet.getByRole("listitem").filter({ hasText: "Jan 2027" })).toContainText("20 entries not approved");
  await page.getByRole("button", { name: "Approve everything usual" }).click();
  await expect(page.getByText("No hours wait for approval")).toBeVisible();
  await sheet.getByRole("button", { name: "Close Jan 2027" }).click();
  await expect(sheet).toContainText("Closed up to 31 Jan 2027");
  await sheet.getByRole("button", { name: "Close (Esc)" }).click();

  await page.getByRole("radio", { name: "Approved" }).click();
  await page.locator("[data-approval]").filter({ hasText: "Build crates" }).click();
  await sheet.getByRole("button", { name: "Withdraw the approval" }).click();
  await expect(sheet).toContainText("is closed, so its hours stay as they are.");

  await goTo(page, server, WEEK);
  await expect(page.getByText("Hours up to 31 Jan 2027 are closed.")).toBeVisible();
  await page.getByRole("button", { name: "Record a correction" }).click();
  await choose(sheet.getByLabel("Work"), "Build crates (4 h)");
  await sheet.getByLabel("Hours that are missing").fill("1,5");
  await sheet.getByRole("button", { name: "Record the correction" }).click();
  await untilSaved(page);
  await goTo(page, server, "/week?person=mara&week=2027-02-01");
  await expect(day(page, 0)).toHaveText("1.5");
  const { plan } = await planOf(server);
  const { timeEntries } = plan as unknown as { timeEntries: { date: string; hours: number; note?: string }[] };
  expect(timeEntries.find(({ date }) => date === "2027-02-01")).toMatchObject({ hours: 1.5, note: "Corrects 25 Jan 2027: 1.5 h." });

  await goTo(page, server, "/week/approval?state=approved");
  await page.getByRole("button", { name: "Closed months" }).click();
  await sheet.getByRole("button", { name: "Open again" }).click();
  await expect(sheet.getByRole("button", { name: "Close Jan 2027" })).toBeVisible();
  await page.locator("[data-approval]").filter({ hasText: "Build crates" }).click();
  await sheet.getByRole("button", { name: "Withdraw the approval" }).click();
  await expect(page.locator("[data-approval]").filter({ hasText: "Build crates" })).toHaveCount(0);
});
