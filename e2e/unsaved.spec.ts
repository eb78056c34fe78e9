// Edits made while something in between fails: the server's answer, planning in the window, the browser's storage, the page.
import type { Page } from "@playwright/test";
import { test } from "./demo.ts";
import { expect } from "./expect.ts";
import { goTo, load, rateOf, typeRate, untilSaved } from "./pages.ts";
import { planOf } from "./planRoute.ts";
import type { Server } from "./server.ts";

test.use({ ownPage: true });

test("an answer that is not the application's own, such as a proxy's 429, is no answer: the change is kept and sent again", async ({
  page,
  server,
}) => {
  await goTo(page, server, "/rates");
  let refused = 0;
  await page.route("**/api/edits", (route) =>
    refused++ < 2 ? route.fulfill({ status: 429, body: "Too many requests" }) : route.continue(),
  );
  await typeRate(page, "Mara Ellingsen", "52.5");
  await expect(
    page.getByText(/The server does not accept changes now \(it answered 429\)\. Your changes are kept in this browser/),
  ).toBeVisible();
  await expect(page.getByText("The server answers again; your changes are saved.")).toBeVisible({ timeout: 30_000 });
  await page.reload();
  await expect(await rateOf(page, "Mara Ellingsen")).toHaveText("52.50");
});

test("a server that hangs is noticed, and what was sent to it is sent again and made once", async ({ page, server }) => {
  const { revision } = await planOf(server);
  await goTo(page, server, "/rates");
  let hangs = true;
  await page.route("**/api/edits", (route) => (hangs ? undefined : route.continue()));
  await typeRate(page, "Mara Ellingsen", "52.5");
  await expect(page.getByText("1 unsaved")).toBeVisible({ timeout: 20_000 });
  hangs = false;
  await expect(page.getByText("The server answers again; your changes are saved.")).toBeVisible({ timeout: 30_000 });
  expect((await planOf(server)).revision).toBe(revision + 1);
});

test("planning that ends in the middle is started again: nothing is lost, and that is said", async ({ page, server }) => {
  await goTo(page, server, "/rates");
  let isOut = true;
  await page.route("**/api/edits", (route) => (isOut ? route.abort() : route.continue()));
  await typeRate(page, "Mara Ellingsen", "52.5");
  await expect(page.getByText("1 unsaved")).toBeVisible();
  await page.workers()[0].evaluate(() => self.close());
  await expect(page.getByText(/was interrupted and has been started again; nothing was lost/)).toBeVisible();
  isOut = false;
  await untilSaved(page);
  await expect(await rateOf(page, "Mara Ellingsen")).toHaveText("52.50");
  await typeRate(page, "Ines Valtonen", "39");
  await untilSaved(page);
  await page.reload();
  await expect(await rateOf(page, "Mara Ellingsen")).toHaveText("52.50");
  await expect(await rateOf(page, "Ines Valtonen")).toHaveText("39.00");
});

test("a plan that the server does not give at first is asked for until it does", async ({ page, server }) => {
  const { revision } = await planOf(server);
  let isOut = true;
  await page.route("**/api/plan?*", (route) => (isOut ? route.abort() : route.continue()));
  await page.goto(`${server.url}/rates`);
  await expect(page.getByText(/^The plan could not be read .* This page tries again every few seconds\.$/)).toBeVisible();
  isOut = false;
  await typeRate(page, "Mara Ellingsen", "52.5");
  await untilSaved(page);
  expect((await planOf(server)).revision).toBe(revision + 1);
});

test("what was asked of planning that ends meanwhile is answered all the same", async ({ page, server }) => {
  await goTo(page, server, "/openings");
  await expect(page.getByRole("button", { name: "Propose for all" })).toBeEnabled();
  // It hears the question, and is gone before it has an answer.
  await page.workers()[0].evaluate(() => self.addEventListener("message", () => self.close()));
  await page.getByRole("button", { name: "Propose for all" }).click();
  await expect(page.getByText(/was interrupted and has been started again; nothing was lost/)).toBeVisible();
  await expect(page.getByText(/^Covers [\d.]+ of 76 h/)).toBeVisible({ timeout: 30_000 });
});

test("a browser whose storage is full says so at once, and saves all the same", async ({ page, server }) => {
  const { revision } = await planOf(server);
  await goTo(page, server, "/rates");
  const session = await page.context().newCDPSession(page);
  await session.send("Storage.overrideQuotaForOrigin", { origin: server.url, quotaSize: 1 });
  await typeRate(page, "Mara Ellingsen", "52.5");
  await expect(page.getByText(/This browser cannot store changes: its storage is full or blocked/)).toBeVisible();
  await untilSaved(page);
  expect((await planOf(server)).revision).toBe(revision + 1);
});

/** Types Mara's rate and goes to another address with nothing in between, as when a person types and closes the window. */
async function leaveWhileTyping(page: Page, { url }: Server, rate: string): Promise<void> {
  await page.evaluate(
    ([origin, typed]) => {
      const field = document.querySelector<HTMLInputElement>('input[aria-label="Mara Ellingsen, from the start"]');
      if (!field) throw new Error("the rate is on the page");
      field.focus();
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value")?.set?.call(field, typed);
      field.dispatchEvent(new Event("input", { bubbles: true }));
      field.blur();
      location.href = `${origin}/rates?left=yes`;
    },
    [url, rate],
  );
  await page.waitForURL(/left=yes/);
}

test("what was pressed in the very moment the page is left is saved by the next page", async ({ page, server }) => {
  await goTo(page, server, "/rates");
  await (await rateOf(page, "Mara Ellingsen")).dblclick();
  await leaveWhileTyping(page, server, "52.5");
  await expect(await rateOf(page, "Mara Ellingsen")).toHaveText("52.50");
  await untilSaved(page);
  await page.reload();
  await expect(await rateOf(page, "Mara Ellingsen")).toHaveText("52.50");
  const { plan } = await planOf(server);
  expect(JSON.stringify(plan.rateTables)).toContain('"personId":"mara","rate":52.5,');
});

test("what was pressed on top of an edit whose answer never came is not held to be against it", async ({ page, server }) => {
  const { revision } = await planOf(server);
  await goTo(page, server, "/rates");
  // The server makes it, and the page is left before it hears of that.
  let isHeard = false;
  await page.route("**/api/edits", async (route) => {
    if (isHeard) return route.continue();
    await route.fetch();
  });
  await typeRate(page, "Mara Ellingsen", "47");
  await expect.poll(async () => (await planOf(server)).revision).toBe(revision + 1);
  isHeard = true;
  await (await rateOf(page, "Mara Ellingsen")).dblclick();
  await leaveWhileTyping(page, server, "52.5");
  await expect(await rateOf(page, "Mara Ellingsen")).toHaveText("52.50");
  await untilSaved(page);
  expect((await planOf(server)).revision).toBe(revision + 2);
  await expect(page.getByRole("alertdialog", { name: "Conflicting changes" })).toHaveCount(0);
  await expect(await rateOf(page, "Mara Ellingsen")).toHaveText("52.50");
});

test("a sheet that is asked for while the server is away opens when it answers again", async ({ page, server }) => {
  // A page that never settles has not loaded its sheets yet.
  await page.addInitScript(() => Object.assign(globalThis, { requestIdleCallback: () => 0 }));
  await load(page, server, "/work/tidepool");
  await page.route("**/_next/static/chunks/**", (route) => route.abort());
  await page.locator("[data-task]", { hasText: "Cases and plinths" }).locator("[data-column=task]").click();
  await expect(page.getByText("The server cannot be reached. This opens as soon as it answers again.")).toBeVisible();
  await page.unroute("**/_next/static/chunks/**");
  await expect(page.getByRole("complementary", { name: "Cases and plinths" })).toContainText("10 Feb – 23 Mar 2027 · 30 working days");
});

test("the sheets of a project are drawn once out of sight, and are nowhere until a person asks for one", async ({ page, server }) => {
  await page.addInitScript(() => {
    const make = document.createElement.bind(document);
    const drawn: string[] = [];
    const createElement = (name: string, options?: ElementCreationOptions) => {
      if (name === "aside") drawn.push(name);
      return make(name, options);
    };
    Object.assign(document, { createElement });
    Object.assign(globalThis, { drawn });
  });
  const drawn = () => page.evaluate(() => Reflect.get(globalThis, "drawn").length);
  await load(page, server, "/work/tidepool");
  await expect.poll(drawn).toBeGreaterThanOrEqual(2);
  expect(await page.evaluate(() => document.querySelectorAll("aside, form").length)).toBe(0);
  await page.locator("[data-task]", { hasText: "Cases and plinths" }).locator("[data-column=task]").click();
  await expect(page.getByRole("complementary", { name: "Cases and plinths" })).toContainText("10 Feb – 23 Mar 2027 · 30 working days");
  await expect(page.getByRole("complementary")).toHaveCount(1);
});
