// Ways about the application that every test takes.
import { expect, type Locator, type Page } from "@playwright/test";
import type { Server } from "./server.ts";

/** Goes to a path once what was made before is saved, and waits until the plan is read there. */
export async function goTo(page: Page, server: Server, path: string): Promise<void> {
  await untilSaved(page);
  await page.goto(`${server.url}${path}`);
  await expect(page.locator("[data-ready=yes]")).toBeAttached();
}

/** Waits until everything made on the page has been settled with the server. */
export async function untilSaved(page: Page): Promise<void> {
  await expect(page.locator("[data-saving=yes]")).toHaveCount(0);
}

export const sheetOf = (page: Page): Locator => page.getByRole("complementary");
