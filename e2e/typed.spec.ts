// Typed values are not lost: forms that are left, figures that cannot be saved, pages whose subject goes.
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { goTo, sheetOf, untilSaved } from "./pages.ts";

test("a form that is left by Esc, by another row or by a reload has what was typed when it is opened again, until it is saved or discarded", async ({
  page,
  server,
}) => {
  await goTo(page, server, "/work/tidepool?task=tidepool-scenic");
  const sheet = sheetOf(page);
  const days = sheet.getByRole("textbox", { name: "Working days" });
  const before = await days.inputValue();
  await days.fill("26");
  await page.keyboard.press("Escape");
  await expect(sheet).toBeHidden();
  await expect(page.getByText("Your entries are kept but not saved. Open the form again to continue.")).toBeVisible();
  await goTo(page, server, "/work/tidepool?task=tidepool-cases");
  await expect(sheet.getByRole("button", { name: "Discard changes" })).toBeHidden();
  await goTo(page, server, "/work/tidepool?task=tidepool-scenic");
  await expect(days).toHaveValue("26");
  await sheet.getByRole("button", { name: "Discard changes" }).click();
  await expect(days).toHaveValue(before);
  await days.fill("24");
  await page.reload();
  await expect(days).toHaveValue("24");
  await sheet.getByRole("button", { name: "Save", exact: true }).click();
  await untilSaved(page);
  await page.reload();
  await expect(days).toHaveValue("24");
  await expect(sheet.getByRole("button", { name: "Discard changes" })).toBeHidden();
});

test("a person new who was half typed is there again, and once added the form is empty", async ({ page, server }) => {
  await goTo(page, server, "/people");
  await page.keyboard.press("n");
  const sheet = sheetOf(page);
  await sheet.getByLabel("Name").fill("Odile Farrow");
  await page.keyboard.press("Escape");
  const notice = page.getByText("Your entries are kept but not saved. Open the form again to continue.");
  await expect(notice).toBeVisible();
  await page.keyboard.press("n");
  await expect(sheet.getByLabel("Name")).toHaveValue("Odile Farrow");
  // Once the form is open again, its notice is closed, so that it does not cover the end of the form.
  await expect(notice).toBeHidden();
  await sheet.getByRole("button", { name: "Add person" }).click();
  await expect(page.getByRole("complementary", { name: "Odile Farrow" })).toBeVisible();
  await page.keyboard.press("Escape");
  await page.keyboard.press("n");
  await expect(sheet.getByLabel("Name")).toHaveValue("");
});

test("a figure that cannot be saved stays as it was typed, with the reason; Esc puts it back", async ({ page, server }) => {
  await goTo(page, server, "/balance");
  const cell = page.getByRole("gridcell", { name: /^Mara Ellingsen, week of 15 February:/ });
  await cell.scrollIntoViewIfNeeded();
  await cell.click();
  const sheet = page.getByRole("complementary", { name: "Mara Ellingsen" });
  const hours = sheet.getByLabel(/, hours in the week of 15 February$/).first();
  const before = await hours.inputValue();
  await hours.fill("twenty");
  await sheet.getByRole("heading", { name: "Mara Ellingsen" }).click();
  await expect(hours).toHaveValue("twenty");
  await expect(sheet.getByRole("alert")).toHaveText("Hours from 0 to 10,000");
  await hours.press("Escape");
  await expect(hours).toHaveValue(before);
  await expect(sheet.getByRole("alert")).toHaveCount(0);
});

test("when the making of a project is undone on its page, the page is left, and redo brings the project back", async ({ page, server }) => {
  await goTo(page, server, "/work");
  await page.keyboard.press("n");
  await sheetOf(page).getByLabel("Name").fill("Lantern Walk");
  await sheetOf(page).getByRole("button", { name: "Add project" }).click();
  await expect(page.getByText("No tasks yet")).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(page.getByText("Lantern Walk is no longer in the plan, so its page was closed.")).toBeVisible();
  await expect(page).toHaveURL(/\/work(\?|$)/);
  await expect(page.getByRole("grid", { name: "Projects" })).not.toContainText("Lantern Walk");
  await page.keyboard.press("Control+y");
  await expect(page.getByRole("grid", { name: "Projects" })).toContainText("Lantern Walk");
});
