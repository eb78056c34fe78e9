// Start and end of the server process.

import { messageOf } from "../core/plan/errors.ts";
import { openHost } from "./host.ts";

/** How long an answer may take to leave after the store is closed. */
const LAST_ANSWERS_MS = 300;

/** Opens the store, or ends the process with the reason; ends in order on SIGTERM and SIGINT. */
export async function startServer(): Promise<void> {
  try {
    const { store } = await openHost();
    for (const sentence of store.said) process.stderr.write(`${sentence}\n`);
  } catch (error) {
    process.stderr.write(`${messageOf(error)}\n`);
    process.exit(1);
  }
  // A terminal tells the whole group and a parent its child: the second time must not end it where it stands.
  for (const signal of ["SIGTERM", "SIGINT"] as const) process.on(signal, () => void closeAndExit());
}

/** What has been taken is settled and answered, then the folder is given back. */
async function closeAndExit(): Promise<void> {
  const { store } = await openHost();
  await store.close();
  setTimeout(() => process.exit(0), LAST_ANSWERS_MS);
}
