// Ways about the application that every test takes.
import type { FrameLocator, Locator, Page } from "@playwright/test";
import { expect } from "./expect.ts";
import type { Server } from "./server.ts";

/** Goes to a path once what was made before is saved, and waits until the plan is read there. Inside the application it goes as
 * a link there does; from elsewhere, the page is loaded. */
export async function goTo(page: Page, server: Server, path: string): Promise<void> {
  if ((await page.locator("[data-ready=yes]").count()) === 0) return load(page, server, path);
  await untilSaved(page);
  await follow(page, path);
  await untilReady(page);
}

/** Loads the page of a path from the server, wherever one is. */
export async function load(page: Page, server: Server, path: string): Promise<void> {
  await untilSaved(page);
  await page.goto(`${server.url}${path}`);
  await untilReady(page);
}

const untilReady = (page: Page): Promise<void> => page.locator("[data-ready=yes]").waitFor({ state: "attached" });

/** Goes to a path of the application without loading it again, by the router that its links use. Again where that was lost: an
 * address follows what is pressed at most every twentieth of a second, and one that is still to come would put back the screen. */
async function follow(page: Page, path: string): Promise<void> {
  const target = new URL(path, page.url()).href;
  await expect(async () => {
    await page.evaluate((to) => {
      (window as unknown as { next: { router: { push(path: string): void } } }).next.router.push(to);
    }, path);
    await page.waitForURL((url) => url.href === target, { timeout: 5_000 });
  }).toPass();
}

/** Waits until everything made on the page has been settled with the server. */
export async function untilSaved(page: Page): Promise<void> {
  await expect(page.locator("[data-saving=yes]")).toHaveCount(0);
}

/** The sheet that is open. @param title Waits for the one of this title: where another is open, it may not have come yet. */
export const sheetOf = (page: Page, title?: string): Locator =>
  page.getByRole("complementary", title === undefined ? {} : { name: title, exact: true });

/** Keeps the browser from printing. To be called before the page is loaded. */
export const holdPrinter = (page: Page): Promise<unknown> => page.addInitScript("window.print = () => {}");

/** Prints what a screen shows. @returns The page that would be printed. */
export async function printed(page: Page): Promise<FrameLocator> {
  await page.getByRole("button", { name: "Print…" }).click();
  return page.frameLocator('iframe[title="Page to print"]');
}

/** Chooses from a list that opens below its control, by what is there. */
export async function choose(control: Locator, option: string): Promise<void> {
  const page = control.page();
  await control.click();
  await page
    .getByRole("option")
    .filter({ has: page.getByText(option, { exact: true }) })
    .first()
    .click();
}

/** The cell of a person's rate from the beginning on, scrolled into sight. */
export async function rateOf(page: Page, name: string): Promise<Locator> {
  const row = page.locator("[data-rate]", { hasText: name }).first();
  const table = page.getByRole("grid", { name: /^Rates of/ });
  // Rows that were drawn before the page was ready may be drawn again.
  await untilReady(page);
  await expect(async () => {
    if ((await row.count()) === 0) await table.evaluate((element) => element.parentElement?.scrollBy(0, 300));
    await expect(row).toBeAttached({ timeout: 300 });
  }).toPass();
  return row.locator("[data-column=start]");
}

/** Types a rate into its cell; it shows as "52.50". */
export async function typeRate(page: Page, name: string, rate: string): Promise<void> {
  await (await rateOf(page, name)).click();
  await page.keyboard.type(rate);
  await page.keyboard.press("Enter");
}
