"use client";
// Leaving for a screen that the server cannot give would end on the browser's own error page: one stays instead, with all
// that is kept, and is reported. Browsers without the Navigation API leave as they always do.
import { useEffect } from "react";
import { toast } from "sonner";

/** As much of the Navigation API as is used; the types of the DOM do not have it yet. */
interface Leaving extends Event {
  navigationType: "push" | "replace" | "reload" | "traverse";
  downloadRequest: string | null;
  destination: { url: string; sameDocument: boolean };
}

const ANSWER_MS = 4_000;

/** True where the server answers at all. */
async function isReached(): Promise<boolean> {
  try {
    await fetch("/api/token", { cache: "no-store", signal: AbortSignal.timeout(ANSWER_MS) });
    return true;
  } catch {
    return false;
  }
}

/** Asks the server before a page of the application is left for another one that has to be loaded. */
export function useStays(): void {
  useEffect(() => {
    const { navigation } = window as unknown as { navigation?: EventTarget };
    if (!navigation) return;
    let isAsked = false;
    const ask = async (url: string) => {
      if (await isReached()) {
        isAsked = true;
        window.location.assign(url);
      } else
        toast.warning("The server cannot be reached, so this screen stays open. Your changes are kept.", {
          id: "connection",
          duration: 15_000,
        });
    };
    const leave = (event: Event) => {
      const { navigationType, downloadRequest, destination, cancelable } = event as Leaving;
      const isOwn = new URL(destination.url).origin === window.location.origin;
      if (isAsked || !cancelable || !isOwn || destination.sameDocument || downloadRequest !== null) return;
      if (navigationType !== "push" && navigationType !== "replace") return;
      event.preventDefault();
      void ask(destination.url);
    };
    navigation.addEventListener("navigate", leave);
    return () => navigation.removeEventListener("navigate", leave);
  }, []);
}
