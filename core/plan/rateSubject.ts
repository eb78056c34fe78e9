// The subjects of the entries of a rate table.
import type { RateEntry } from "./schema.ts";

/** The kinds of subject of a rate. */
export type RateSubject = "role" | "person" | "material" | "default";

/** The subject of an entry, as one text. */
export function rateSubject({ personId: person, roleId: role, materialId: material }: Partial<RateEntry>): string {
  if (person !== undefined) return `person ${person}`;
  if (role !== undefined) return `role ${role}`;
  return material === undefined ? "default" : `material ${material}`;
}

/** Names an entry within its table: nobody has two rates from the same day. */
export const rateKey = (entry: Partial<RateEntry>): string => `${rateSubject(entry)} ${entry.from ?? ""}`;
