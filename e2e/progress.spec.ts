// A project that records its progress, in its outline: tasks are marked as started and as done, and the dates follow.
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { choose, goTo, sheetOf, untilSaved } from "./pages.ts";
import { addTracked } from "./tracked.ts";

test("a task that should have started is marked as done by a key, and what follows it moves as the effect said", async ({
  page,
  server,
}) => {
  await addTracked(server);
  await goTo(page, server, "/today");
  const due = page.locator("[data-signal]").filter({ hasText: "Build crates (Loan crates) should have started by now." });
  await expect(due).toHaveCount(1);

  await goTo(page, server, "/work/loan?columns=progress,remaining,began,ended,dates&from=2027-01-18&to=2027-04-18");
  const crates = page.locator("[data-task=crates]");
  const ship = page.locator("[data-task=ship]");
  await expect(crates).toContainText("1 Feb – 5 Feb");
  await expect(crates.locator("[data-column=remaining]")).toHaveText("20");
  await expect(ship).toContainText("8 Feb – 9 Feb");

  await page.locator("#task-crates").focus();
  await page.keyboard.press("d");
  const sheet = sheetOf(page);
  await expect(sheet.getByLabel("Finished on")).toHaveValue("1 Feb 2027");
  await sheet.getByLabel("Finished on").fill("29 jan");
  await sheet.getByLabel("Started on").fill("30 jan");
  await expect(sheet).toContainText("The finish must not be before the start.");
  await sheet.getByLabel("Started on").fill("25 jan");
  await expect(sheet).toContainText("Ship crates9 Feb → 2 Feb");
  await page.keyboard.press("Enter");
  await expect(crates).toContainText("25 Jan – 29 Jan");
  await expect(crates.locator("[data-column=progress]")).toHaveText("100%");
  await expect(crates.locator("[data-column=remaining]")).toHaveText("");
  await expect(crates.locator("[data-column=ended]")).toHaveText("29 Jan");
  await expect(ship).toContainText("1 Feb – 2 Feb");
  await untilSaved(page);

  // Both are chosen: the one that is done is open again, on the day it had; the other starts today.
  await page.locator("#task-crates").focus();
  await page.keyboard.press("x");
  await page.keyboard.press("Shift+ArrowDown");
  await page.keyboard.press("s");
  await expect(sheetOf(page)).toContainText("Ship crates");
  await page.keyboard.press("Enter");
  await expect(crates.locator("[data-column=began]")).toHaveText("25 Jan");
  await expect(crates.locator("[data-column=ended]")).toHaveText("");
  await expect(ship.locator("[data-column=began]")).toHaveText("1 Feb");
  await untilSaved(page);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(ship.locator("[data-column=began]")).toHaveText("");
  await expect(crates.locator("[data-column=ended]")).toHaveText("29 Jan");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(crates).toContainText("1 Feb – 5 Feb");

  await goTo(page, server, "/today");
  await expect(due).toHaveCount(1);
});

test("a task of a project that follows the plan is marked without a question", async ({ page, server }) => {
  await goTo(page, server, "/work/tidepool?columns=progress,dates");
  const order = page.locator("[data-task=tidepool-order]");
  const dates = await order.locator("[data-column=dates]").textContent();
  await page.locator("#task-tidepool-order").focus();
  await page.keyboard.press("d");
  await expect(order.locator("[data-column=progress]")).toHaveText("100%");
  await expect(order.locator("[data-column=dates]")).toHaveText(dates ?? "");
  await page.keyboard.press("s");
  await expect(order.locator("[data-column=progress]")).toHaveText("");
});

test("a baseline is taken, what has moved since is read against it, and it is deleted after a question", async ({ page, server }) => {
  await addTracked(server);
  await goTo(page, server, "/money/earned");
  await expect(page.getByText("No baseline yet")).toBeVisible();
  await page.getByRole("button", { name: "Take a baseline" }).click();
  const sheet = sheetOf(page);
  await sheet.getByLabel("Name").fill("As agreed");
  await choose(sheet.getByLabel("Projects"), "Loan crates");
  await sheet.getByRole("button", { name: "Take the baseline" }).click();
  const loan = page.locator("[data-earned=loan]");
  await expect(loan.locator("[data-column=finish]")).toHaveText("9 Febas promised");
  await expect(page.locator("[data-earned]")).toHaveCount(1);
  await untilSaved(page);

  // Done in the week before without an hour of its 20: what follows moves from 9 to 2 February.
  await goTo(page, server, "/work/loan?columns=dates,promised&from=2027-01-18&to=2027-04-18");
  await page.locator("#task-crates").focus();
  await page.keyboard.press("d");
  await sheet.getByLabel("Finished on").fill("29 jan");
  await sheet.getByLabel("Started on").fill("25 jan");
  await page.keyboard.press("Enter");
  await expect(page.locator("[data-task=ship]")).toContainText("1 Feb – 2 Feb");
  await expect(page.locator("[data-task=ship] [data-column=promised]")).toHaveText("8 Feb – 9 Feb −5 d");
  const [bar, promised] = await Promise.all(["[data-bar=ship]", "[data-promised=ship]"].map((own) => page.locator(own).boundingBox()));
  // A week of the 13 lies between the two.
  expect(promised?.x).toBeGreaterThan((bar?.x ?? 0) + (bar?.width ?? 0));
  await untilSaved(page);

  await goTo(page, server, "/money/earned");
  await expect(loan.locator("[data-column=finish]")).toHaveText("2 Feb−5 d");
  await expect(loan.locator("[data-column=work]")).toHaveText("−20 h");
  await expect(loan.locator("[data-column=actual]")).toContainText("0");
  await loan.click();
  await expect(sheet).toContainText("Finishes on 2 Feb, 5 working days earlier than promised.");
  const causes = sheet.getByRole("list", { name: "Causes" }).getByRole("listitem");
  await expect(causes).toHaveCount(1);
  await expect(causes).toContainText('the task "Build crates"');
  await expect(causes).toContainText("Nora Okafor");
  await expect(causes).toContainText("finish −5 d · −20 h · EUR −840");
  const tasks = sheet.getByRole("list", { name: "Tasks, the largest delay first" }).getByRole("listitem");
  await expect(tasks.filter({ hasText: "Build crates" })).toContainText("start −5 d · finish −5 d · −20 h");
  await expect(tasks.filter({ hasText: "Ship crates" })).toContainText("start −5 d · finish −5 d");

  // The promise of 20 hours of hers is not spent, and does not remain.
  await goTo(page, server, "/money/actuals?project=loan&by=phase");
  const rows = page.getByRole("grid", { name: /^By phase/ }).getByRole("row");
  // Mara's hour costs EUR 42.
  await expect(rows).toHaveCount(3);
  const [planned, , actual, remaining, , variance] = await rows.nth(1).getByRole("gridcell").allTextContents();
  expect([planned, actual, remaining, variance]).toEqual(["840.00", "–", "–", "840.00"]);
  await page.getByRole("radio", { name: "Effort" }).click();
  const mara = page.getByRole("table", { name: /^Effort, by person/ }).getByRole("row", { name: /^Mara/ });
  await expect(mara.getByRole("cell")).toContainText(["20", "–", "–", "–", "−20"]);

  await goTo(page, server, "/money/earned");
  await page.getByRole("button", { name: "Details" }).click();
  await sheet.getByRole("button", { name: "Delete the baseline" }).click();
  await sheet.getByRole("button", { name: "Keep it" }).click();
  await sheet.getByRole("button", { name: "Delete the baseline" }).click();
  await sheet.getByRole("button", { name: "Delete it" }).click();
  await expect(page.getByText("No baseline yet")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(loan.locator("[data-column=finish]")).toHaveText("2 Feb−5 d");
});
