// Work that can wait until a page has come to rest.

/** Runs something once nothing is being drawn or worked on. @returns Takes it back, while it has not begun. */
export function whenIdle(act: () => void): () => void {
  // One of the browsers that the application is for does not say when it is idle.
  if (globalThis.requestIdleCallback === undefined) {
    const timer = setTimeout(act, 200);
    return () => clearTimeout(timer);
  }
  const call = requestIdleCallback(() => act());
  return () => cancelIdleCallback(call);
}
