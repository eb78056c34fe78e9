// Scripts that a page does not begin with: what is shown when somebody asks for it.
import { atRest } from "./atRest.ts";

const waiting = new Set<() => Promise<unknown>>();

let loading: Promise<void> | null = null;

/** Has a script loaded ahead, once the page has come to rest. @param load Done once it is there, whoever has asked for it. */
export function loadAhead(load: () => Promise<unknown>): void {
  waiting.add(load);
}

/** Done once the page has come to rest and all scripts that are to be loaded ahead have been. */
export function fullyLoaded(): Promise<void> {
  loading ??= loadAll().finally(() => {
    loading = null;
  });
  return loading;
}

/** Somebody may go on pressing, and a server may hang. */
const LATEST_MS = 2_000;

/** The same, but after a while at the latest. */
export function fullyLoadedOrLate(): Promise<void> {
  return Promise.race([fullyLoaded(), new Promise<void>((resolve) => setTimeout(resolve, LATEST_MS))]);
}

async function loadAll(): Promise<void> {
  do {
    await atRest();
    // Those of the screen one is on were the last to be named.
    const load = [...waiting].at(-1);
    if (!load) return;
    waiting.delete(load);
    // Without the server that is told when somebody asks for it.
    await load().catch(() => undefined);
  } while (waiting.size > 0);
}
