// What the browser tests share: one server a worker, whose plan is put back to the demo plan before each test.
import { type BrowserContext, test as base } from "@playwright/test";
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

/** Forgets what the tests before have left in a browser context, but not the scripts that it has loaded. */
async function forget(context: BrowserContext, { url }: Server): Promise<void> {
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send("Storage.clearDataForOrigin", { origin: url, storageTypes: "local_storage,indexeddb,cache_storage" });
  await Promise.all([context.clearCookies(), context.clearPermissions(), page.close()]);
}

interface Host {
  server: Server;
  /** The revision of the demo plan that nobody has changed. */
  untouched: number;
  /** By their options; kept, because a new one would load and compile every script again. */
  contexts: Map<string, BrowserContext>;
}

export const test = base.extend<{ server: Server }, { host: Host }>({
  host: [
    async ({ browserName: _ }, use) => {
      const server = await demoServer();
      await use({ server, untouched: await revisionOf(server), contexts: new Map() });
      await putAway(server);
    },
    { scope: "worker" },
  ],
  context: async ({ browser, host, viewport, contextOptions }, use) => {
    const key = JSON.stringify([viewport, contextOptions]);
    const known = host.contexts.get(key);
    const context = known ?? (await browser.newContext({ ...contextOptions, viewport }));
    host.contexts.set(key, context);
    if (known) await forget(context, host.server);
    await use(context);
    await Promise.all(context.pages().map((page) => page.close()));
  },
  server: async ({ host }, use) => {
    if ((await revisionOf(host.server)) !== host.untouched) {
      await openDemoPlan(host.server);
      host.untouched = await revisionOf(host.server);
    }
    await use(host.server);
  },
});
