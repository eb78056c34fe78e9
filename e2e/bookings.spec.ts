// Bookings of accounting: a file that is read twice, a match that is chosen by hand, and one that is typed.
import type { Page } from "@playwright/test";
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { choose, goTo, sheetOf, untilSaved } from "./pages.ts";
import { planOf, postJson } from "./planRoute.ts";

const file = {
  name: "ledger.csv",
  mimeType: "text/csv",
  buffer: Buffer.from(
    [
      "Posting date;Net;Vendor;Voucher;Job no",
      "28.1.2027;1.590,00;Marisma Freight;R-1;",
      "29.1.2027;2.000,00;Altura Lifting;R-2;Tidepool Hall",
      "29.1.2027;75,50;Paper shop;R-3;Tidepool Hall",
      "29.1.2027;12,00;Paper shop;R-4;",
    ].join("\r\n"),
  ),
};

const readFile = async (page: Page) => {
  await page.getByLabel("File to import").setInputFiles(file);
  return page.getByRole("grid", { name: "Rows of the file" }).getByRole("row");
};

test("a file of bookings is matched and shown, imported, and the second time it books nothing", async ({ page, server }) => {
  const { revision } = await planOf(server);
  const edit = { kind: "changeProject", id: "tidepool", set: { stage: "active", tracking: "recorded" } };
  await postJson(server, "/api/edits", { base: revision, request: { kind: "edit", edit } });
  await goTo(page, server, "/money/bookings");
  await expect(page.getByText("No bookings yet")).toBeVisible();
  await page.getByRole("main").getByRole("link", { name: "Import" }).click();
  const rows = await readFile(page);
  // The freight is due on 16 April, too far from January for its amount to tell.
  await expect(rows.filter({ hasText: "R-1" })).toContainText("The row names no project, and no planned expense fits it.");
  await expect(rows.filter({ hasText: "R-2" })).toContainText("not matched");
  await choose(page.getByLabel("Planned expense of line 2"), "Freight to the coast (Tidepool Hall)");
  await expect(rows.filter({ hasText: "R-1" })).toContainText("new");
  await choose(page.getByLabel("Planned expense of line 3"), "Crane hire for the wave tank (Tidepool Hall)");
  await expect(rows.filter({ hasText: "R-2" })).toContainText("matched with Crane hire");
  await page.getByRole("button", { name: "Import 3 rows" }).click();
  await untilSaved(page);

  await goTo(page, server, "/money/bookings");
  await expect(page.getByText("EUR 3,665.50")).toBeVisible();
  await expect(page.getByRole("row").filter({ hasText: "R-2" })).toContainText("Crane hire for the wave tank");
  await page.getByRole("radio", { name: "Not matched 1" }).click();
  await expect(page.getByRole("row").filter({ hasText: "R-2" })).toHaveCount(0);
  await expect(page.getByRole("row").filter({ hasText: "R-3" })).toContainText("75.50");

  await goTo(page, server, "/people/import");
  const again = await readFile(page);
  for (const reference of ["R-1", "R-2", "R-3"]) await expect(again.filter({ hasText: reference })).toContainText("It is booked already.");
  await expect(page.getByRole("button", { name: "Import 0 rows" })).toBeDisabled();
});

test("a booking is typed, takes the place of the expense it pays for, and goes with undo", async ({ page, server }) => {
  const { revision } = await planOf(server);
  const edit = { kind: "changeProject", id: "tidepool", set: { stage: "active", tracking: "recorded" } };
  await postJson(server, "/api/edits", { base: revision, request: { kind: "edit", edit } });
  await goTo(page, server, "/money?group=kind&span=plan&of=project:tidepool");
  const expenses = page.getByRole("row", { name: /^Expenses/ });
  // Crane 2,850 and freight 1,640.
  await expect(expenses).toContainText("4,490.00");
  await goTo(page, server, "/money/bookings");
  await page.getByRole("button", { name: "Add booking" }).click();
  const sheet = sheetOf(page);
  await sheet.getByLabel("Amount, EUR").fill("3000");
  await sheet.getByLabel("Amount, EUR").press("Enter");
  await choose(sheet.getByLabel("Planned expense"), "Crane hire for the wave tank (Tidepool Hall)");
  await sheet.getByRole("button", { name: "Save" }).click();
  await expect(page.getByRole("row").filter({ hasText: "Crane hire" })).toContainText("3,000.00");
  await untilSaved(page);
  await goTo(page, server, "/money?group=kind&span=plan&of=project:tidepool");
  await expect(expenses).toContainText("4,640.00");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(expenses).toContainText("4,490.00");
});
