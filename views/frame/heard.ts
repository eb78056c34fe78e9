"use client";
// Rows that others have just changed are marked for a moment, where they stand on the screen.
import { toast } from "sonner";
import type { ChangedList } from "../../core/plan/schema.ts";
import { isUnderWay } from "./underWay.ts";

/** What rows of a list are called in tables. */
const names: Partial<Record<ChangedList, string>> = {
  tasks: "task",
  people: "person",
  projects: "project",
  requests: "request",
  teams: "team",
};
const MARKED_MS = 4_000;

const rowOf = (list: ChangedList, id: string) => (names[list] ? document.querySelector(`[data-${names[list]}="${CSS.escape(id)}"]`) : null);

/** Marks them once the screen has drawn what they changed; one that is being edited here is told at once. */
export function markHeard(rows: readonly { list: ChangedList; id: string }[]): void {
  if (rows.some(({ list, id }) => isUnderWay(list, id, rowOf(list, id))))
    toast.warning("Somebody has just changed what you are editing. Look at it again before you save.", {
      id: "under way",
      duration: 15_000,
    });
  const selectors = rows.flatMap(({ list, id }) => (names[list] ? [`[data-${names[list]}="${CSS.escape(id)}"]`] : []));
  if (selectors.length === 0) return;
  setTimeout(() => {
    const found = document.querySelectorAll<HTMLElement>([...new Set(selectors)].slice(0, 200).join(","));
    for (const row of found) row.dataset.heard = "yes";
    setTimeout(() => {
      for (const row of found) delete row.dataset.heard;
    }, MARKED_MS);
  }, 150);
}
