// A plan as the text of a plan file.
import type { Plan } from "./schema.ts";

/** The text of a plan file. Lists that a file may leave out are left out where nothing is in them. */
export function planText(plan: Plan): string {
  const optional = ["templates", "comments", "views", "acceptances", "requests", "snoozes", "notes", "enquiries", "sketches"];
  const kept = Object.entries(plan).filter(([key, rows]) => !optional.includes(key) || (rows as unknown[]).length > 0);
  return `${JSON.stringify(Object.fromEntries(kept), null, 1)}\n`;
}
