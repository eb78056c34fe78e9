// Start and end of the server process.
import { openHost } from "./host.ts";

/** Opens the store, or ends the process with the reason; closes it on SIGTERM and SIGINT. */
export async function startServer(): Promise<void> {
  try {
    await openHost();
  } catch (error) {
    process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
    process.exit(1);
  }
  for (const signal of ["SIGTERM", "SIGINT"] as const) process.once(signal, () => void closeAndExit());
}

async function closeAndExit(): Promise<void> {
  const { store } = await openHost();
  await store.close();
  process.exit(0);
}
