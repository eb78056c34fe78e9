"use client";
// The time window of this user, bound to the plan's horizon, and links that keep it.
import { useSearchParams } from "next/navigation";
import { useTimeWindow } from "../../ui/window.ts";
import { usePlanFacts } from "./facts.ts";

/** The window that the screens follow, and how to move it. */
export function usePlanWindow() {
  const { today, horizon, periodSettings } = usePlanFacts();
  return useTimeWindow(today, horizon, periodSettings);
}

/** Makes a link to a screen that keeps the window; `more` adds to its query. */
export function useLinkTo(): (path: string, more?: Record<string, string>) => string {
  const params = useSearchParams();
  return (path, more = {}) => {
    const kept = new URLSearchParams();
    for (const key of ["from", "to", "by"]) {
      const value = params.get(key);
      if (value) kept.set(key, value);
    }
    for (const [key, value] of Object.entries(more)) kept.set(key, value);
    const query = kept.toString();
    return query ? `${path}?${query}` : path;
  };
}
