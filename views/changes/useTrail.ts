"use client";
// The trail as the server reports it, the newest first: read again when something is made, further back when asked for.
import { useCallback, useEffect, useState } from "react";
import { makerOfBrowser, storageOfWindow } from "../../client/keptEdit.ts";
import type { ToldStep, TrailPage } from "../../client/messages.ts";
import { useHost } from "../../client/session.tsx";
import { messageOf } from "../../core/values/errors.ts";

async function readPage(before: number | null, about: string): Promise<TrailPage> {
  const query = new URLSearchParams({ maker: makerOfBrowser(storageOfWindow()) });
  if (before !== null) query.set("before", String(before));
  if (about !== "") query.set("about", about);
  const response = await fetch(`/api/changes?${query}`);
  if (!response.ok) throw new Error("The changes could not be read. Reload the page to try again.");
  return response.json();
}

/** @param about Only steps that name this id; empty for all. */
export function useTrail(about: string) {
  const revision = useHost((state) => state?.revision ?? null);
  const [steps, setSteps] = useState<readonly ToldStep[] | null>(null);
  const [isAll, setAll] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const read = useCallback(
    async (before: number | null, known: readonly ToldStep[]) => {
      try {
        const page = await readPage(before, about);
        setSteps([...known, ...page.steps]);
        setAll(page.isAll);
        setFault(null);
      } catch (error) {
        setFault(error instanceof TypeError ? "The server cannot be reached. This list may be out of date." : messageOf(error));
      }
    },
    [about],
  );
  useEffect(() => {
    if (revision !== null) void read(null, []);
  }, [revision, read]);
  return { steps, isAll, fault, more: () => steps && void read(steps.at(-1)?.revision ?? null, steps) };
}
