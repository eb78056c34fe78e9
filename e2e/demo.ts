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

/** Leaves the application and forgets what the tests before have left there, but not the scripts that are compiled. */
async function forget(page: Page, { url }: Server): Promise<void> {
  await page.goto(`${url}${PLAIN_PAGE}`);
  const session = await page.context().newCDPSession(page);
  await session.send("Storage.clearDataForOrigin", { origin: url, storageTypes: "local_storage,indexeddb,cache_storage" });
  await Promise.all([page.context().clearCookies(), page.context().clearPermissions(), session.detach()]);
}

/** Without a script, and of the same site, so that the browser stays in the process. */
const PLAIN_PAGE = "/enquire";

/** Closes every page and context but those kept: a forgotten window goes on following the plan of the tests after it. */
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

export const test = base.extend<Options & { server: Server }, { host: Host }>({
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
  page: async ({ browser, host, ownPage, onlyLooks, viewport, contextOptions }, use, info) => {
    const key = JSON.stringify([viewport, contextOptions, onlyLooks]);
    const known = ownPage ? undefined : host.pages.get(key);
    if (known && !onlyLooks) await forget(known, host.server);
    const page = known ?? (await (await browser.newContext({ ...contextOptions, viewport })).newPage());
    if (!ownPage) host.pages.set(key, page);
    await use(page);
    const isSpoilt = ownPage || page.isClosed() || info.status !== info.expectedStatus;
    if (isSpoilt) host.pages.delete(key);
    await closeOthers(browser, [...host.pages.values()]);
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
