"use client";
// Parts of a screen that are next to it when a person asks for them: they come once the page has settled, or when they
// are first shown, so that the screen itself can be used sooner.
import { type ComponentType, type ReactNode, useEffect, useState } from "react";
import { toast } from "sonner";
import { fullyLoaded, loadAhead } from "../../client/laterScripts.ts";
import { useHost } from "../../client/session.tsx";
import { SheetSpace } from "../../ui/sheet.tsx";

interface Later<P extends object> {
  id: number;
  /** Null until it has been loaded in this page. */
  loaded: ComponentType<P> | null;
  load: () => Promise<ComponentType<P>>;
}

const RETRY_MS = 3_000;

let lastId = 0;

/** A part that is loaded later, for `Part` and `SheetPart`. */
export function later<P extends object>(find: () => Promise<ComponentType<P>>): Later<P> {
  const load = async () => {
    own.loaded = await find();
    return own.loaded;
  };
  const own: Later<P> = { id: ++lastId, loaded: null, load };
  loadAhead(load);
  return own;
}

interface PartProps<P extends object> {
  of: Later<P>;
  /** The properties of the part itself. */
  given: P;
  /** The placeholder until the part has loaded. */
  meanwhile?: ReactNode;
}

export const Part = <P extends object>(props: PartProps<P>) => <Loaded key={props.of.id} {...props} />;

/** A part that is a side sheet. It is not served: what is in it could not be used before its script has come. */
export const SheetPart = <P extends object>(props: PartProps<P>) => <Part {...props} meanwhile={<SheetSpace />} />;

function Loaded<P extends object>({ of, given, meanwhile = null }: PartProps<P>) {
  const [Own, setOwn] = useState(() => of.loaded);
  useEffect(() => {
    if (Own) return;
    const leave = new AbortController();
    void loadedSurely(of, leave.signal).then((own) => own && setOwn(() => own));
    return () => leave.abort();
  }, [Own, of]);
  return Own ? <Own {...given} /> : meanwhile;
}

/** Asks for a part until it comes; null where nobody waits for it any more. */
async function loadedSurely<P extends object>(of: Later<P>, signal: AbortSignal): Promise<ComponentType<P> | null> {
  for (let tries = 0; !signal.aborted; tries++) {
    try {
      return await of.load();
    } catch {
      if (tries === 0) toast.warning("The server cannot be reached. This opens as soon as it answers again.", { id: "part" });
      await new Promise((resolve) => setTimeout(resolve, RETRY_MS));
    }
  }
  return null;
}

/** Loads the parts of a screen that are still to come, once the page has settled. */
export function useParts(): void {
  const isRead = useHost((state) => state !== null);
  useEffect(() => {
    if (isRead) void fullyLoaded();
  }, [isRead]);
}
