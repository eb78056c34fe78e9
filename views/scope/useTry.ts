"use client";
// Trying something in a sketch: in the one that is open, else in a new one, which is opened.
import { usePathname, useRouter, useSearchParams } from "next/navigation";
import { useHost, usePlan } from "../../client/session.tsx";
import type { Edit } from "../../core/edits/edit.ts";
import { newId } from "../../ui/newId.ts";
import { useOwnSketch } from "./ownSketch.ts";

/** @returns Tries an edit. `words` name the sketch that is begun, where none is open. */
export function useTry(): (edit: Edit, words: string) => Promise<void> {
  const session = usePlan();
  const router = useRouter();
  const path = usePathname();
  const params = useSearchParams();
  const ownSketch = useOwnSketch();
  const isOpen = useHost((state) => state?.sketchId != null);
  return async (edit, words) => {
    if (isOpen) return void (await session.edit(edit));
    const entry = { id: newId("drawn"), words, edit: JSON.parse(JSON.stringify(edit)) };
    const sketch = { ...ownSketch(), name: words, edits: [entry] };
    if ((await session.edit({ kind: "addSketch", sketch })).length > 0) return;
    const next = new URLSearchParams(params);
    next.set("sketch", sketch.id);
    router.replace(`${path}?${next}`);
  };
}
