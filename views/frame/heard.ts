"use client";
// Rows that others have just changed are marked for a moment, where they stand on the screen.
import type { ListName } from "../../core/plan/schema.ts";

/** What rows of a list are called in tables. */
const names: Partial<Record<ListName, string>> = {
  tasks: "task",
  people: "person",
  projects: "project",
  requests: "request",
  teams: "team",
};
const MARKED_MS = 4_000;

/** Marks them once the screen has drawn what they changed. */
export function markHeard(rows: readonly { list: ListName; id: string }[]): void {
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
