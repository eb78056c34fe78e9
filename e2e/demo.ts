// The base of the browser tests: one server per worker, whose plan is reset to the demo plan before each test, and one page,
// which stays open in the application without leftovers of earlier tests.
import { readFile } from "node:fs/promises";
import { type Browser, type BrowserContext, type BrowserContextOptions, test as base, type Page, type TestInfo } from "@playwright/test";
import { goTo } from "./pages.ts";
import { demoServer, planFileOf, postTo, putAway, type Server, template } from "./server.ts";

/** The revision that a server's plan is at. */
async function revisionOf({ url }: Server): Promise<number> {
  const { revision } = await (await fetch(`${url}/api/plan`)).json();
  return revision;
}

/** The result of a job; one that takes longer hangs, and the failure says so. */
function within<T>(milliseconds: number, work: Promise<T>, why: () => string): Promise<T> {
  const late = new Promise<never>((_, reject) => {
    setTimeout(() => reject(new Error(why())), milliseconds).unref();
  });
  return Promise.race([work, late]);
}

/** Opens the demo plan on a server, as a person would from the menu. @returns The revision it is at. */
async function openDemoPlan(server: Server): Promise<number> {
  const opening = postTo(server, "/api/plan/file?replace=yes", await readFile(planFileOf(template())));
  const answer = await within(60_000, opening, () => `The server does not take the demo plan. It has said:\n${server.said()}`);
  if (!answer.ok) throw new Error(`The demo plan could not be opened: ${await answer.text()}`);
  const { revision } = await answer.json();
  return revision;
}

/** Without a script, and of the same site, so that the browser stays in the process. */
const PLAIN_PAGE = "/enquire";

/** Leaves the application: a page that is left open there goes on following the plan of the tests after it. */
async function leave(page: Page, { url }: Server): Promise<void> {
  if (page.url() !== `${url}${PLAIN_PAGE}`) await page.goto(`${url}${PLAIN_PAGE}`);
}

/** A screen that draws little. */
const RESTING_PLACE = "/settings";

/** Has a page wait for its next test in the application, as a window does that stays open all day: what is loaded and has
 * warmed up stays so. One that shows what a test cannot begin with leaves it. */
async function rest(page: Page, server: Server): Promise<void> {
  const { isAsItBegan, isOpen } = await page.evaluate(clearAway);
  if (!isAsItBegan || !page.url().startsWith(server.url)) return leave(page, server);
  if (isOpen) await page.keyboard.press("Escape");
  await goTo(page, server, RESTING_PLACE);
  await page.getByRole("heading", { name: "Settings" }).first().waitFor();
}

/** Closes the notices. @returns Whether the page is one that a test can begin with, and whether something is open above it that
 * would stay there. By script, with one look: what goes away by itself in the meantime would be waited for. */
function clearAway(): { isAsItBegan: boolean; isOpen: boolean } {
  for (const button of document.querySelectorAll<HTMLElement>("[data-close-button]")) button.click();
  return {
    isAsItBegan: document.querySelector("html[data-theme=light] [data-ready=yes]") !== null,
    isOpen: document.querySelector("[role=dialog], [role=alertdialog], [role=menu], [role=listbox]") !== null,
  };
}

/** Forgets what the tests before have kept in a browser, but neither the scripts that are compiled nor who it is.
 * @returns Whether the page is in the application. */
async function forget(page: Page): Promise<boolean> {
  await Promise.all([page.context().clearCookies(), page.context().clearPermissions()]);
  return page.evaluate(() => {
    const maker = localStorage.getItem("maker");
    localStorage.clear();
    sessionStorage.clear();
    if (maker) localStorage.setItem("maker", maker);
    return document.querySelector("[data-ready=yes]") !== null;
  });
}

/** Closes every page and context but those kept, which would go on as well. */
async function closeOthers(browser: Browser, kept: readonly Page[]): Promise<void> {
  const contexts = new Set(kept.map((page) => page.context()));
  await Promise.all(
    browser
      .contexts()
      .flatMap((context): (Page | BrowserContext)[] => (contexts.has(context) ? context.pages() : [context]))
      .filter((one) => !kept.some((page) => page === one))
      .map((one) => one.close()),
  );
}

interface Host {
  server: Server;
  /** The revision of the demo plan that nobody has changed. */
  untouched: number;
  /** By the options of their contexts; kept, because a new one would load and compile every script again. */
  pages: Map<string, Page>;
}

const newPage = async (browser: Browser, options: BrowserContextOptions): Promise<Page> => (await browser.newContext(options)).newPage();

/** The page that is kept in a place, with nothing of the tests before; a new one where there is none. */
async function keptPage(browser: Browser, { pages, untouched }: Host, place: string, options: BrowserContextOptions): Promise<Page> {
  const kept = pages.get(place);
  const page = kept ?? (await newPage(browser, options));
  pages.set(place, page);
  if (kept && (await forget(kept))) await page.locator(`[data-revision="${untouched}"]`).waitFor({ state: "attached" });
  return page;
}

/** Leftovers of a failed test in a page must not reach the next one. */
const isSpent = (page: Page, { status, expectedStatus }: TestInfo): boolean => page.isClosed() || status !== expectedStatus;

interface Options {
  /** True if a test does to its page what cannot be undone, such as stopping its requests: it has its own page then. */
  ownPage: boolean;
  /** True if a test changes nothing: the next one continues from its end. */
  onlyLooks: boolean;
}

export const test = base.extend<Options & { server: Server; place: string; alone: undefined; colleague: Page }, { host: Host }>({
  ownPage: [false, { option: true }],
  onlyLooks: [false, { option: true }],
  host: [
    async ({ browserName: _ }, use) => {
      const server = await demoServer();
      await use({ server, untouched: await revisionOf(server), pages: new Map() });
      await putAway(server);
    },
    { scope: "worker" },
  ],
  /** The kept page that a test may have. */
  place: async ({ viewport, contextOptions, onlyLooks }, use) => use(JSON.stringify([viewport, contextOptions, onlyLooks])),
  /** Nothing of the tests before is still under way when one begins. */
  alone: [
    async ({ browser, host, place, onlyLooks }, use) => {
      const settle = async ([own, page]: [string, Page]) => {
        if (own === place)
          await within(20_000, rest(page, host.server), () => "The page does not come to rest.").catch(() => leave(page, host.server));
        else await leave(page, host.server);
      };
      if (!onlyLooks) {
        await closeOthers(browser, [...host.pages.values()]);
        await Promise.all([...host.pages].map(settle));
      }
      await use(undefined);
    },
    { auto: true },
  ],
  page: async ({ browser, host, server: _, place, ownPage, viewport, contextOptions }, use, info) => {
    const options = { ...contextOptions, viewport };
    const page = await (ownPage ? newPage(browser, options) : keptPage(browser, host, place, options));
    await use(page);
    if (isSpent(page, info)) host.pages.delete(place);
  },
  /** The page of someone else, in a browser of their own. */
  colleague: async ({ browser, host, page: _, place, viewport, contextOptions }, use, info) => {
    const own = `${place} of a colleague`;
    const page = await keptPage(browser, host, own, { ...contextOptions, viewport });
    await use(page);
    if (isSpent(page, info)) host.pages.delete(own);
  },
  context: async ({ page }, use) => use(page.context()),
  server: async ({ host, alone: _ }, use) => {
    if ((await revisionOf(host.server)) !== host.untouched) host.untouched = await openDemoPlan(host.server);
    await use(host.server);
  },
});
