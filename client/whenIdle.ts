// Work that can wait until a page has come to rest.

/** Runs something once nothing is being drawn or worked on. */
export function whenIdle(act: () => void): void {
  // One of the browsers that the application is for does not say when it is idle.
  if (globalThis.requestIdleCallback === undefined) setTimeout(act, 200);
  else requestIdleCallback(() => act());
}
