// Start and end of the server process.

import { messageOf } from "../core/values/errors.ts";
import { journalFaults } from "../store/journalFaults.ts";
import type { PlanStore } from "../store/planStore.ts";
import { openHost } from "./host.ts";

/** Milliseconds that an answer may take to leave after the store is closed. */
const LAST_ANSWERS_MS = 300;
/** The process ends after this time even when it is busy: an edit is promised only once it has been answered. */
const MOST_STOPPING_MS = 8_000;
/** The first pages are served before the whole journal is read. */
const VERIFY_AFTER_MS = 5_000;

/** Opens the store, or ends the process with the reason; ends in order on SIGTERM and SIGINT. */
export async function startServer(): Promise<void> {
  try {
    const { store } = await openHost();
    for (const sentence of store.said) process.stderr.write(`${sentence}\n`);
    setTimeout(() => void verifyLater(store), VERIFY_AFTER_MS).unref();
  } catch (error) {
    process.stderr.write(`${messageOf(error)}\n`);
    process.exit(1);
  }
  // A terminal reports the whole group and a parent its child: the second time must not end it where it is.
  for (const signal of ["SIGTERM", "SIGINT"] as const) process.on(signal, () => void closeAndExit());
}

/** Reads the whole journal and logs its damaged lines and missing revisions. */
async function verifyLater(store: PlanStore): Promise<void> {
  try {
    for (const sentence of journalFaults(await store.verifyJournal())) process.stderr.write(`${sentence}\n`);
  } catch (error) {
    process.stderr.write(`The journal could not be checked: ${messageOf(error)}\n`);
  }
}

/** Accepted edits are settled and answered before the folder is released. */
async function closeAndExit(): Promise<void> {
  setTimeout(() => {
    process.stderr.write("The server was still busy after 8 s and was ended. Answered changes are in the journal.\n");
    process.exit(0);
  }, MOST_STOPPING_MS).unref();
  const { store } = await openHost();
  await store.close();
  setTimeout(() => process.exit(0), LAST_ANSWERS_MS);
}
