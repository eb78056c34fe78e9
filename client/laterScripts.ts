// Scripts that a page does not begin with: what is shown when a person asks for it.
import { atRest } from "./atRest.ts";

const waiting = new Set<() => Promise<unknown>>();

let loading: Promise<void> | null = null;

/** Loads a script ahead, once the page has settled. @param load Done once the script is there, no matter who has asked for it. */
export function loadAhead(load: () => Promise<unknown>): void {
  waiting.add(load);
}

/** Done once the page has settled and all scripts that are to be loaded ahead have been. */
export function fullyLoaded(): Promise<void> {
  loading ??= loadAll().finally(() => {
    loading = null;
  });
  return loading;
}

/** A person may go on pressing, and a server may hang. */
const LATEST_MS = 2_000;

/** The same, but after a while at the latest. */
export function fullyLoadedOrLate(): Promise<void> {
  return Promise.race([fullyLoaded(), new Promise<void>((resolve) => setTimeout(resolve, LATEST_MS))]);
}

async function loadAll(): Promise<void> {
  do {
    await atRest();
    // Scripts of the current screen were named last.
    const load = [...waiting].at(-1);
    if (!load) return;
    waiting.delete(load);
    // If the server cannot be reached, a notice says so once the user asks for the part.
    await load().catch(() => undefined);
  } while (waiting.size > 0);
}
