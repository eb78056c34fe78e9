// A plan as the text of a plan file.
import { optionalLists, type Plan } from "./schema.ts";

/** The text of a plan file. Lists that a file may leave out are left out where nothing is in them. */
export function planText(plan: Plan): string {
  const kept = Object.entries(plan).filter(([key, rows]) => !(optionalLists.includes(key) && Array.isArray(rows) && rows.length === 0));
  return `${JSON.stringify(Object.fromEntries(kept), null, 1)}\n`;
}
