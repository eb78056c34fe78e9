"use client";
// Parts of a screen that come when they are first shown, and are most often asked for: loaded before that.
import { useEffect } from "react";
import { useHost } from "../../client/session.tsx";
import { whenIdle } from "../../client/whenIdle.ts";

/** Loads a part once the plan has been read and the page has come to rest. @param load Always the same function. */
export function useLoadedSoon(load: () => Promise<unknown>): void {
  const isRead = useHost((state) => state !== null);
  useEffect(() => (isRead ? whenIdle(() => void load()) : undefined), [isRead, load]);
}
