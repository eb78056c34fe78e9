"use client";
// A page about something that goes while it is open, because its making was undone or a person deleted it, is left: keys
// pressed on an empty page would go to something that nobody sees.
import { useRouter } from "next/navigation";
import { useEffect, useRef } from "react";
import { toast } from "sonner";
import { useLinkTo } from "./windowed.ts";

/** @param name Of what the page is about; undefined where that is not in the plan.
 * @param path Where to go then. */
export function useLeaveWhenGone(name: string | undefined, path: string): void {
  const router = useRouter();
  const linkTo = useLinkTo();
  const former = useRef(name);
  const target = linkTo(path);
  useEffect(() => {
    const known = former.current;
    former.current = name;
    if (name !== undefined || known === undefined) return;
    toast(`${known} is no longer in the plan, so its page was closed.`);
    router.replace(target);
  }, [name, router, target]);
}
