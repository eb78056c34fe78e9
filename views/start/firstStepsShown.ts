"use client";
// True if the first steps are shown: chosen once for a browser's tab, over all its screens.

const KEY = "roster-first-steps";
const listeners = new Set<() => void>();

const chosen = (): string | null => {
  try {
    return sessionStorage.getItem(KEY);
  } catch {
    return null;
  }
};

export const isFirstStepsShown = (): boolean => chosen() === "shown";

/** True where a person has opened or closed them in this tab. */
export const wasFirstStepsChosen = (): boolean => chosen() !== null;

export function showFirstSteps(isShown: boolean): void {
  try {
    sessionStorage.setItem(KEY, isShown ? "shown" : "closed");
  } catch {
    // Without storage they stay closed.
  }
  for (const listen of listeners) listen();
}

export function listenToFirstSteps(listen: () => void): () => void {
  listeners.add(listen);
  return () => listeners.delete(listen);
}
