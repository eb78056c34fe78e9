// What the browser tests share: one server a worker, whose plan is put back to the demo plan before each test, and one page,
// which is emptied but keeps the process that has its scripts compiled.
import { type Browser, type BrowserContext, test as base, type Page } from "@playwright/test";
import { fernhollow } from "../demo/fernhollow.ts";
import { demoServer, postTo, putAway, type Server } from "./server.ts";

const demoPlan = JSON.stringify(fernhollow());

/** The revision that a server's plan stands at. */
async function revisionOf({ url }: Server): Promise<number> {
  const { revision } = await (await fetch(`${url}/api/plan`)).json();
  return revision;
}

/** A server that takes longer hangs, and that is told with what it has said. */
const PATIENCE_MS = 60_000;

/** Opens the demo plan on a server, as somebody would from the menu. */
async function openDemoPlan(server: Server): Promise<void> {
  const hangs = new Promise<never>((_, reject) => {
    setTimeout(() => reject(new Error(`The server does not take the demo plan. It has said:\n${server.said()}`)), PATIENCE_MS).unref();
  });
  const answer = await Promise.race([postTo(server, "/api/plan/file?replace=yes", demoPlan), hangs]);
  if (!answer.ok) throw new Error(`The demo plan could not be opened: ${await answer.text()}`);
}

/** Without a script, and of the same site, so that the browser stays in the process. */
const PLAIN_PAGE = "/enquire";

/** Leaves the application: a page that is left open there goes on following the plan of the tests after it. */
async function leave(page: Page, { url }: Server): Promise<void> {
  if (page.url() !== `${url}${PLAIN_PAGE}`) await page.goto(`${url}${PLAIN_PAGE}`);
}

/** Forgets what the tests before have left in a page, but not the scripts that are compiled. */
async function forget(page: Page, { url }: Server): Promise<void> {
  const session = await page.context().newCDPSession(page);
  await session.send("Storage.clearDataForOrigin", { origin: url, storageTypes: "local_storage,indexeddb,cache_storage" });
  await Promise.all([page.context().clearCookies(), page.context().clearPermissions(), session.detach()]);
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

interface Options {
  /** Whether a test does to its page what cannot be taken back, such as stopping its requests: it has one of its own then. */
  ownPage: boolean;
  /** Whether a test changes nothing: the next one goes on from where it ended. */
  onlyLooks: boolean;
}

export const test = base.extend<Options & { server: Server; alone: undefined }, { host: Host }>({
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
  /** Nothing of the tests before is still open when one begins. */
  alone: [
    async ({ browser, host, onlyLooks }, use) => {
      const kept = [...host.pages.values()];
      if (!onlyLooks) await Promise.all([closeOthers(browser, kept), ...kept.map((page) => leave(page, host.server))]);
      await use(undefined);
    },
    { auto: true },
  ],
  page: async ({ browser, host, ownPage, onlyLooks, viewport, contextOptions, alone: _ }, use, info) => {
    const key = JSON.stringify([viewport, contextOptions, onlyLooks]);
    const known = ownPage ? undefined : host.pages.get(key);
    if (known && !onlyLooks) await forget(known, host.server);
    const page = known ?? (await (await browser.newContext({ ...contextOptions, viewport })).newPage());
    if (!ownPage) host.pages.set(key, page);
    await use(page);
    if (page.isClosed() || info.status !== info.expectedStatus) host.pages.delete(key);
  },
  context: async ({ page }, use) => use(page.context()),
  server: async ({ host }, use) => {
    if ((await revisionOf(host.server)) !== host.untouched) {
      await openDemoPlan(host.server);
      host.untouched = await revisionOf(host.server);
    }
    await use(host.server);
  },
});
