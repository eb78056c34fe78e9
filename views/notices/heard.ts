"use client";
// Rows that others have just changed are marked for a moment, where they are on the screen.
import { toast } from "sonner";
import type { ChangedList } from "../../core/plan/schema.ts";
import { rowSelectors } from "./rowSelectors.ts";
import { isUnderWay } from "./underWay.ts";

const MARKED_MS = 4_000;

/** Marks them once the screen has drawn what they changed; one that is being edited here is reported at once. */
export function markHeard(rows: readonly { list: ChangedList; id: string }[]): void {
  if (rows.some(({ list, id }) => isUnderWay(list, id, rowOf({ list, id }))))
    toast.warning("Someone else has just changed what you are editing. Check it before you save.", {
      id: "under way",
      duration: 15_000,
    });
  const selectors = rowSelectors(rows);
  if (selectors.length === 0) return;
  setTimeout(() => {
    const found = document.querySelectorAll<HTMLElement>(selectors.slice(0, 200).join(","));
    for (const row of found) row.dataset.heard = "yes";
    setTimeout(() => {
      for (const row of found) delete row.dataset.heard;
    }, MARKED_MS);
  }, 150);
}

function rowOf(row: { list: ChangedList; id: string }): Element | null {
  const [selector] = rowSelectors([row]);
  return selector === undefined ? null : document.querySelector(selector);
}
