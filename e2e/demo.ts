// What the browser tests share: one server a worker, whose plan is put back to the demo plan before each test.
import { test as base } from "@playwright/test";
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

export const test = base.extend<{ server: Server }, { host: { server: Server; untouched: number } }>({
  host: [
    async ({ browserName: _ }, use) => {
      const server = await demoServer();
      await use({ server, untouched: await revisionOf(server) });
      await putAway(server);
    },
    { scope: "worker" },
  ],
  server: async ({ host }, use) => {
    if ((await revisionOf(host.server)) !== host.untouched) {
      await openDemoPlan(host.server);
      host.untouched = await revisionOf(host.server);
    }
    await use(host.server);
  },
});
