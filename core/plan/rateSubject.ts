// Whom or what the entries of a rate table are for.
import type { RateEntry } from "./schema.ts";

/** What rates are for. */
export type RateSubject = "role" | "person" | "material" | "default";

/** Whom or what an entry is about, as one text. */
export function rateSubject({ personId: person, roleId: role, materialId: material }: Partial<RateEntry>): string {
  if (person !== undefined) return `person ${person}`;
  if (role !== undefined) return `role ${role}`;
  return material === undefined ? "default" : `material ${material}`;
}

/** Names an entry within its table: nobody has two rates from the same day. */
export const rateKey = (entry: Partial<RateEntry>): string => `${rateSubject(entry)} ${entry.from ?? ""}`;
