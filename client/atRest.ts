// Work that can wait until a page has settled.

/** For so long a page is left alone after it can be used and after each press: what a person asks for comes first. */
const QUIET_MS = 300;

let usedAt = Number.NEGATIVE_INFINITY;

/** Notes that the page is being used. */
export function noteUse(): void {
  usedAt = performance.now();
}

for (const kind of ["pointerdown", "keydown", "click"]) globalThis.addEventListener?.(kind, noteUse, { capture: true, passive: true });

/** Done once the page has not been used for a while, and nothing is being drawn or worked on. */
export async function atRest(): Promise<void> {
  do {
    await new Promise((resolve) => setTimeout(resolve, Math.max(0, quietLeft())));
    await idle();
  } while (quietLeft() > 0);
}

const quietLeft = () => usedAt + QUIET_MS - performance.now();

function idle(): Promise<unknown> {
  // One of the browsers that the application is for does not say when it is idle.
  return new Promise((resolve) => (globalThis.requestIdleCallback ?? setTimeout)(resolve));
}
