// Money in the browser: figures that open into lines and reasons, cash flow and its files, a margin lifted over its goal.
import { readFile } from "node:fs/promises";
import type { Page } from "@playwright/test";
import readXlsxFile from "read-excel-file/node";
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { choose, goTo, holdPrinter, printed, sheetOf, typeRate } from "./pages.ts";

const amountOf = (text: string): number => Math.round(Number(text.replace(/[^\d.−-]/g, "").replace("−", "-")) * 100);

/** Amounts of the table's rows in a column, in minor units. */
async function columnOf(page: Page, at: number): Promise<number[]> {
  const rows = await page.locator("[role=grid] tbody tr").all();
  return Promise.all(rows.map(async (row) => amountOf(((await row.locator("td").nth(at).textContent()) ?? "").replace("–", "0"))));
}

test("a figure opens into its lines, a line into its hours and rates, and all of it adds up", async ({ page, server }) => {
  await goTo(page, server, "/money");
  await choose(page.getByLabel("Kind of cost"), "Labour");
  await page.getByRole("button", { name: "Tidepool Hall, February 2027: 28,015.10" }).click();
  const sheet = sheetOf(page);
  await expect(sheet).toContainText("EUR 28,015.10");
  const gwen = sheet.getByRole("listitem").filter({ hasText: "Films and soundscapeGwen Tolliver" });
  await gwen.getByRole("button").click();
  await expect(gwen).toContainText("89.3 h × EUR 44.29/h");
  await expect(gwen).toContainText("rate of Media engineer, from 1 Jan 2027");
  await expect(gwen).toContainText("Studio cost");
  // Broken down by person it is the same sum.
  await choose(sheet.getByLabel("Break it down by"), "Person");
  await expect(page.getByRole("button", { name: "Remove the filter Tidepool Hall" })).toBeVisible();
  await expect(page.getByRole("button", { name: "All, February 2027: 28,015.10" })).toBeVisible();
  const people = await columnOf(page, 1);
  expect(people.reduce((sum, own) => sum + own, 0)).toBe(2_801_510);
  await page.getByRole("button", { name: "Remove the filter Tidepool Hall" }).click();
  await choose(page.getByLabel("Group by"), "Client");
  await choose(page.getByLabel("Figure"), "Budget remaining");
  await expect(page.getByRole("button", { name: /^Saltmarsh Museum of Tides, total: 75,904.26/ })).toBeVisible();
});

test("figures of money are walked by arrow keys and opened by Enter; those of the cash flow and its chart open too", async ({
  page,
  server,
}) => {
  await goTo(page, server, "/money");
  await page.getByRole("row", { name: /^Tidepool Hall/ }).focus();
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("Enter");
  const sheet = sheetOf(page, "Tidepool Hall");
  await expect(sheet).toContainText("EUR 30,727.91");
  await goTo(page, server, "/money/cash-flow?of=project:tidepool");
  const table = page.getByRole("table", { name: /Cash flow/ });
  await table.getByRole("button", { name: /^Labour, February 2027/ }).click();
  await expect(sheetOf(page, "Labour")).toContainText("EUR 28,015.10");
  const bars = page.locator(".recharts-bar-rectangle");
  await expect(bars.first()).toBeAttached();
  const chart = (await page.locator(".recharts-wrapper").boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  const middle = [chart.x + chart.width / 2, chart.y + chart.height / 2] as const;
  await expect(async () => {
    await page.mouse.move(middle[0] + 5, middle[1]);
    await page.mouse.move(...middle);
    await page.mouse.click(...middle);
    await expect(sheetOf(page, "All")).toBeVisible({ timeout: 2_000 });
  }).toPass();
  await expect(sheetOf(page, "All")).toContainText("EUR 30,727.91");
});

test("cash flow is as bars and figures, and its files add up to the same", async ({ page, server }) => {
  await goTo(page, server, "/money/cash-flow");
  await choose(page.getByLabel("Scope"), "Tidepool Hall");
  await choose(page.getByRole("combobox", { name: "Time" }), "The whole plan");
  const table = page.getByRole("table", { name: /Cash flow/ });
  await expect(table.getByRole("row", { name: /^Feb 2027/ })).toContainText("30,727.91");
  await expect(table.getByRole("row", { name: /^May 2027/ })).toContainText("47,911.69");
  await expect(page.locator(".recharts-bar-rectangle").first()).toBeAttached();
  const saved = async (name: string) => {
    await page.getByRole("button", { name: "Export" }).click();
    const [file] = await Promise.all([page.waitForEvent("download"), page.getByText(name, { exact: true }).click()]);
    await page.keyboard.press("Escape");
    return readFile(await file.path());
  };
  const rows = (await saved("Table as CSV")).toString("utf8").trim().split("\r\n");
  const labour =
    rows
      .find((row) => row.startsWith("Labour"))
      ?.split(",")
      .slice(2)
      .map(Number) ?? [];
  expect(labour.slice(0, -1).reduce((sum, own) => sum + Math.round(own * 100), 0)).toBe(Math.round((labour.at(-1) ?? 0) * 100));
  const [sheet] = await readXlsxFile(await saved("Table as XLSX"));
  const all = sheet.data.find(([name]) => name === "All") ?? [];
  expect(all.at(-1)).toBe(107_088.31);
  expect(sheet.data.find(([name]) => name === "Budget")?.[2]).toBe(155_000);
  expect((await saved("Chart as SVG")).toString("utf8")).toContain("Cash flow: Tidepool Hall");
  expect([...(await saved("Chart as PNG")).subarray(1, 4)].map((code) => String.fromCharCode(code)).join("")).toBe("PNG");
});

test("a margin under its goal is lifted over it by a swap, seen on both sides first, and undone", async ({ page, server }) => {
  await goTo(page, server, "/money/margin");
  await expect(page.getByText("projects under the margin goal")).toBeVisible();
  await page.getByRole("row", { name: /^Slow Light/ }).click();
  const sheet = sheetOf(page);
  await expect(sheet).toContainText("0.1 points under its goal of 27%");
  await expect(sheet.getByText("Remaining for labour").locator("xpath=../..")).toContainText("−2,850.04");
  const swap = sheet.getByRole("listitem").filter({ hasText: "Reassign Snagging from Mara Ellingsen to Jonas Adeyemi" });
  await expect(swap).toContainText("Margin 27.2%, at its goal");
  await swap.getByRole("button", { name: "Preview" }).click();
  const loads = sheet.getByRole("table", { name: "Hours a month, before and after" });
  await expect(loads).toContainText("Mara Ellingsen");
  await expect(loads).toContainText("Jonas Adeyemi");
  await swap.getByRole("button", { name: "Apply" }).click();
  await expect(sheet).toContainText("Margin, 27.2%");
  await expect(page.getByText("project under the margin goal")).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(sheet).toContainText("Margin, 26.9%");
});

test("an expense is typed at a number and a price each, spread over months, and lands in those; undo brings it back", async ({
  page,
  server,
}) => {
  await goTo(page, server, "/money/expenses");
  const rows = page.getByRole("table", { name: /^Expenses in/ }).getByRole("row");
  const before = await rows.count();
  await page.getByRole("button", { name: "Add expense" }).click();
  const sheet = sheetOf(page);
  await sheet.getByRole("button", { name: "Save" }).click();
  await expect(sheet.getByRole("alert")).toHaveText("Enter the item.");
  const type = async (label: string, text: string) => {
    await sheet.getByLabel(label).fill(text);
    await sheet.getByLabel(label).press("Enter");
  };
  await type("Item", "Scaffold");
  await choose(sheet.getByRole("combobox", { name: "Project", exact: true }), "Small Thunder");
  await type("Amount, EUR", "4 × 250");
  await type("When", "1 Feb 2027 – 31 Mar 2027");
  // Nothing is stored before it is saved, and the amount stays as it was typed.
  await expect(rows).toHaveCount(before);
  await sheet.getByRole("button", { name: "Save" }).click();
  await expect(sheet.getByRole("heading", { name: "Scaffold" })).toBeVisible();
  await expect(sheet.getByLabel("Amount, EUR")).toHaveValue("4 × 250");
  await expect(page.getByRole("row", { name: /^Scaffold/ })).toContainText("1,000.00");
  await type("Amount, EUR", "much");
  await expect(sheet.getByRole("alert")).toContainText("4 × 250");
  await sheet.getByLabel("Amount, EUR").press("Escape");
  await goTo(page, server, "/money?cost=expense&of=project:thunder");
  // 20 and 22 working days.
  await expect(page.getByRole("button", { name: "Small Thunder, February 2027: 476.19" })).toBeVisible();
  await page.getByRole("button", { name: "Small Thunder, March 2027: 523.81" }).click();
  await sheet.getByRole("listitem").getByRole("button").click();
  await expect(sheet.getByRole("listitem")).toContainText("22 of 42 working days of 1,000.00");
  await page.getByRole("button", { name: "Close (Esc)" }).click();
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("button", { name: /^Small Thunder, April 2027|^Small Thunder, March 2027: 523/ })).toHaveCount(0);
});

test("a material with its waste goes down to three tasks, and what to order when follows", async ({ page, server }) => {
  await goTo(page, server, "/work/tidepool?task=tidepool-scenic&columns=material,cost");
  const sheet = sheetOf(page);
  await sheet.getByLabel("Birch plywood, m²").fill("50");
  await sheet.getByLabel("Birch plywood, m²").press("Enter");
  await expect(page.getByRole("row", { name: /Scenic surfaces/ })).toContainText("2,490.90");
  await page.getByRole("button", { name: "Close (Esc)" }).click();
  for (const name of ["Scenic surfaces", "Films and soundscape", "Show control"])
    await page.getByRole("checkbox", { name: `Select ${name}` }).click();
  await page.getByRole("checkbox", { name: "Who", exact: true }).click();
  await page.getByRole("checkbox", { name: "Material", exact: true }).click();
  await page.getByRole("button", { name: /^Fill/ }).click();
  await goTo(page, server, "/money/materials?span=plan");
  await expect(page.getByRole("row", { name: /Birch plywood/ })).toContainText("168");
});

test("a rate typed from a new day changes the months from then on alone; a raise says first what it does", async ({ page, server }) => {
  const monthsOf = async () => {
    await goTo(page, server, "/money?group=role&cost=labour&from=2027-02-01&to=2027-04-30");
    const cells = page.getByRole("row", { name: /^Fabricator/ }).locator("td");
    await expect(cells).toHaveCount(4);
    return (await cells.allTextContents()).map(amountOf);
  };
  const before = await monthsOf();
  await goTo(page, server, "/rates");
  await page.getByLabel("Effective from").fill("1 Mar 2027");
  await page.getByRole("button", { name: "Column" }).click();
  const cell = page.locator("[data-rate]", { hasText: "Fabricator" }).locator('[data-column="d2027-03-01"]');
  // The rate in force before is shown until another is typed.
  await expect(cell).toHaveText("35.02");
  await cell.click();
  await page.keyboard.type("70.04");
  await page.keyboard.press("Enter");
  await expect(cell).toHaveText("70.04");
  await expect.poll(async () => (await monthsOf())[1]).toBeGreaterThan(before[1]);
  const after = await monthsOf();
  expect(after[0]).toBe(before[0]);
  // Running totals are rounded: what comes before can move a cent of each line.
  expect(Math.abs(after[2] - before[2])).toBeLessThan(20);
  await page.keyboard.press("Control+z");
  await expect.poll(async () => monthsOf()).toEqual(before);
  await goTo(page, server, "/rates");
  await choose(page.getByLabel("Compare with"), "Contract cost 2027");
  // On each day what both have: 35.02 and 36.42, then 35.72 and 37.15.
  const fabricator = page.locator("[data-rate]", { hasText: "Fabricator" });
  await expect(fabricator.locator('[data-column="d2027-01-01"]')).toContainText("36.42 +4%");
  await expect(fabricator.locator('[data-column="d2027-04-01"]')).toContainText("37.15 +4%");
  await expect(page.locator("[data-rate]", { hasText: "Mara Ellingsen" }).locator("[data-column=used]")).toContainText("projects");
  await page.getByRole("button", { name: "Raise…" }).click();
  const sheet = sheetOf(page);
  await sheet.getByLabel("Percent").fill("10");
  await sheet.getByLabel("From").fill("1 Apr 2027");
  await choose(sheet.getByLabel("Round to"), "0.50");
  await expect(sheet.getByText("Total", { exact: true })).toBeVisible();
  await sheet.getByRole("button", { name: /^Raise 1\d rates/ }).click();
  await expect(page.locator("[data-rate]", { hasText: "Fabricator" }).locator('[data-column="d2027-04-01"]')).toContainText("39.50");
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: "Exchange rates", exact: true }).click();
  await sheet.getByLabel("GBP from 1 Apr 2027", { exact: true }).fill("1.2");
  await sheet.getByLabel("GBP from 1 Apr 2027", { exact: true }).press("Enter");
  await sheet.getByLabel("From", { exact: true }).fill("1 Apr 2027");
  await sheet.getByLabel("Value, EUR").fill("1.3");
  await sheet.getByRole("button", { name: "Add", exact: true }).click();
  await expect(sheet.getByRole("alert")).toHaveText("GBP has two exchange rates from 2027-04-01.");
  await page.reload();
  await page.getByRole("button", { name: "More", exact: true }).click();
  await page.getByRole("button", { name: "Exchange rates", exact: true }).click();
  await expect(sheet.getByLabel("GBP from 1 Apr 2027", { exact: true })).toHaveValue("1.2");
  await page.getByRole("button", { name: "1 rate missing" }).click();
  await page.getByRole("button", { name: "Open Contract cost 2027" }).click();
  await expect(page.getByRole("grid", { name: "Rates of Contract cost 2027" })).toBeVisible();
});

test("a rate that is typed says what it does to projects; a table in another currency is exchanged next to another", async ({
  page,
  server,
}) => {
  await goTo(page, server, "/rates");
  await typeRate(page, "Mara Ellingsen", "52.5");
  const effect = page.getByRole("status").filter({ hasText: "Last change: cost +EUR 5,115 in 7 projects" });
  await effect.getByRole("button").click();
  await expect(effect).toContainText("Tidepool Hallcost +EUR 914");
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("status").filter({ hasText: "No project changes." })).toBeVisible();

  await choose(page.getByRole("combobox", { name: "Rate table" }), "Contract cost 2027");
  await page.getByRole("button", { name: "More" }).click();
  await choose(page.getByRole("dialog", { name: "More" }).getByLabel("Currency"), "GBP");
  await page.keyboard.press("Escape");
  await expect(page.getByText("GBP", { exact: true }).first()).toBeVisible();
  await choose(page.getByRole("combobox", { name: "Rate table" }), "Studio cost");
  await choose(page.getByLabel("Compare with"), "Contract cost 2027");
  // 36.42 pounds at the 1.1725 of 1 January, next to 35.02 euros.
  const fabricator = page.locator("[data-rate]", { hasText: "Fabricator" });
  await expect(fabricator.locator('[data-column="d2027-01-01"]')).toContainText("42.7025 +21.9%");
});

test.describe("printed", () => {
  test.use({ ownPage: true });

  test("money prints as a page with the figures of the screen, and says of what and over which days it is", async ({ page, server }) => {
    await holdPrinter(page);
    await goTo(page, server, "/money?of=project:tidepool");
    const total = await page.locator("td[data-foot=sum]").textContent();
    await page.getByRole("button", { name: "Export" }).click();
    const paper = await printed(page);
    await expect(paper.getByRole("heading", { name: /^Money: Tidepool Hall, .*2027$/ })).toBeAttached();
    await expect(paper.getByText(/Cost in EUR by .*, Pipeline in full/)).toBeAttached();
    await expect(paper.getByRole("row", { name: /^All / }).getByRole("cell").last()).toHaveText(total ?? "");
  });

  test("the cost of a project and the overloads of a board print as pages", async ({ page, server }) => {
    await holdPrinter(page);
    await goTo(page, server, "/work/tidepool?task=page");
    await page.getByRole("button", { name: "Print the cost…" }).click();
    const paper = page.frameLocator('iframe[title="Page to print"]').last();
    await expect(paper.getByRole("heading", { name: "Tidepool Hall: cost" })).toBeAttached();
    await expect(paper.getByRole("row", { name: /^Total .*107,088\.31$/ })).toBeAttached();
    await goTo(page, server, "/balance");
    await page.getByRole("button", { name: "Export" }).click();
    await page.getByRole("button", { name: "Print the overloads…" }).click();
    const list = page.locator('iframe[title="Page to print"]').last().contentFrame();
    await expect(list.getByRole("heading", { name: "Overloads" })).toBeAttached();
    await expect(list.getByRole("row", { name: /^Total .*105\.7/ })).toBeAttached();
  });
});
