// A rate table as a grid: a row for each role, person or material, a column for each day on which rates change.

import type { Names } from "../../core/plan/names.ts";
import { type RateSubject, rateSubject } from "../../core/plan/rateSubject.ts";
import type { RateEntry } from "../../core/plan/schema.ts";
import type { RateHistory, SubjectIds } from "../../core/typing/typeRates.ts";
import type { Section } from "../../ui/table/lines.ts";
import { texts } from "./words.ts";

export interface RateRow extends RateHistory {
  name: string;
}

export interface RateGrid {
  /** Days on which a rate begins, "" for the beginning first. */
  dates: string[];
  sections: Section<RateRow>[];
}

const groups: readonly { kind: RateSubject; title: string; says: string }[] = [
  { kind: "role", title: texts.roles, says: texts.perHourOfTheRole },
  { kind: "person", title: texts.people, says: texts.overridesTheRolesRate },
  { kind: "default", title: texts.everyoneElse, says: texts.appliesIfNeitherPersonNor },
  { kind: "material", title: texts.materials, says: texts.perUnit },
];

/** @param added Rows and days that are there to be typed into, and have nothing yet. */
export function rateGrid(
  entries: readonly RateEntry[],
  names: Names,
  added: { subjects: readonly SubjectIds[]; dates: readonly string[] },
): RateGrid {
  const rows = new Map<string, { of: SubjectIds; entries: Map<string, RateEntry> }>();
  const rowOf = ({ personId, roleId, materialId }: SubjectIds) => {
    const id = rateSubject({ personId, roleId, materialId });
    const known = rows.get(id);
    if (known) return known;
    const own = { of: { personId, roleId, materialId }, entries: new Map<string, RateEntry>() };
    rows.set(id, own);
    return own;
  };
  for (const entry of entries) rowOf(entry).entries.set(entry.from ?? "", entry);
  for (const subject of added.subjects) rowOf(subject);
  const all = [...rows].map(([id, own]): RateRow => ({ id, ...own, name: nameOf(names, own.of) }));
  const roleOrder = new Map(names.roles.map(({ id }, at) => [id, at]));
  const sections = groups.flatMap(({ kind, title, says }) => {
    const own = all.filter(({ id }) => id === kind || id.startsWith(`${kind} `));
    own.sort(
      (a, b) =>
        (roleOrder.get(a.of.roleId ?? "") ?? 0) - (roleOrder.get(b.of.roleId ?? "") ?? 0) ||
        (kind === "role" ? 0 : a.name.localeCompare(b.name)),
    );
    return own.length > 0 ? [{ id: kind, title, says, rows: own }] : [];
  });
  const dates = [...new Set(["", ...entries.map(({ from = "" }) => from), ...added.dates])].sort();
  return { dates, sections };
}

function nameOf({ roles, people, materials }: Names, { personId, roleId, materialId }: SubjectIds): string {
  const known = [...roles, ...people, ...materials].find(({ id }) => id === (personId ?? roleId ?? materialId));
  return personId === undefined && roleId === undefined && materialId === undefined ? "Everyone else" : (known?.name ?? "");
}
