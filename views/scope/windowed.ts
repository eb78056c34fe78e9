"use client";
// The time window of this user, bound to the plan's horizon, and links that keep it and the sketch that is open.
import { useSearchParams } from "next/navigation";
import { createContext, useCallback, useContext } from "react";
import type { TimeWindow } from "../../ui/window.ts";

export const WindowContext = createContext<TimeWindow | null>(null);

/** The window that the screens follow, and how to move it. */
export function usePlanWindow(): TimeWindow {
  const window = useContext(WindowContext);
  if (!window) throw new Error("usePlanWindow belongs below a Frame.");
  return window;
}

/** Makes a link to a screen that keeps the window; `more` adds to its query. The same function until the window moves. */
export function useLinkTo(): (path: string, more?: Record<string, string>) => string {
  const params = useSearchParams();
  const kept = ["from", "to", "by", "sketch"].flatMap((key) => (params.get(key) ? [`${key}=${params.get(key)}`] : [])).join("&");
  return useCallback(
    (path, more = {}) => {
      const query = new URLSearchParams(kept);
      for (const [key, value] of Object.entries(more)) query.set(key, value);
      return query.size > 0 ? `${path}?${query}` : path;
    },
    [kept],
  );
}
