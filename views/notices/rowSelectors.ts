// The places of the plan's rows on a screen, as selectors of a style sheet.
import type { ChangedList } from "../../core/plan/schema.ts";

/** The names of a list's rows in tables. */
const names: Partial<Record<ChangedList, string>> = {
  tasks: "task",
  people: "person",
  projects: "project",
  requests: "request",
  teams: "team",
};

/** A selector for each row of a list that tables show; each once. */
export function rowSelectors(rows: readonly { list: ChangedList; id: string }[]): string[] {
  return [...new Set(rows.flatMap(({ list, id }) => (names[list] ? [`[data-${names[list]}="${CSS.escape(id)}"]`] : [])))];
}
