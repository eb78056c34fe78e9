"use client";
import { useSyncExternalStore } from "react";

const never = () => () => {};

/** The address this application is served from; empty while the page is still as the server made it. */
export function useOrigin(): string {
  return useSyncExternalStore(
    never,
    () => window.location.origin,
    () => "",
  );
}
