"use client";
// True once a page that was just opened has settled.
import { useEffect, useState } from "react";
import { fullyLoadedOrLate } from "./laterScripts.ts";
import { useHost } from "./session.tsx";

let hasRested = false;
/** One for all who wait, so that what they ask for then is asked together, in its order. */
let rest: Promise<void> | null = null;

async function rested(): Promise<void> {
  await fullyLoadedOrLate();
  hasRested = true;
}

/** True from when the page has settled for the first time, with the plan read and all of its scripts; soon in any case. */
export function useHasRested(): boolean {
  const isRead = useHost((state) => state !== null);
  const [has, setHas] = useState(hasRested);
  useEffect(() => {
    if (!isRead || has) return;
    let isLeft = false;
    rest ??= rested();
    void rest.then(() => {
      if (!isLeft) setHas(true);
    });
    return () => {
      isLeft = true;
    };
  }, [isRead, has]);
  return has;
}
