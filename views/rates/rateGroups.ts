// A rate table's entries in groups, each with its place in the list and whether it holds in the window.
import { parseDay } from "../../core/calendar/day.ts";
import type { Range } from "../../core/calendar/periods.ts";
import { rateSubject } from "../../core/edits/changeRates.ts";
import type { Names } from "../../core/plan/names.ts";
import type { RateEntry } from "../../core/plan/schema.ts";
import type { Section } from "../../ui/table/lines.ts";

export interface RateLine {
  /** Place in the table's list. */
  at: number;
  entry: RateEntry;
  name: string;
  /** True on the first line of its subject. */
  isFirst: boolean;
  inForce: "whole" | "part" | "no";
}

/** The groups of a table in the order in which a rate is looked for, materials last; within one, by name and date. */
export function groupRates(entries: readonly RateEntry[], names: Names, window: Range): Section<RateLine>[] {
  const nameOf = (list: readonly { id: string; name: string }[], id: string | undefined) => list.find((row) => row.id === id)?.name ?? "";
  const groups = [
    { kind: "role", title: "Roles", says: "what an hour of the role costs", name: ({ roleId }: RateEntry) => nameOf(names.roles, roleId) },
    {
      kind: "person",
      title: "People",
      says: "goes before the role’s rate",
      name: ({ personId }: RateEntry) => nameOf(names.people, personId),
    },
    { kind: "default", title: "Everybody else", says: "where neither person nor role has a rate", name: () => "Everybody else" },
    { kind: "material", title: "Materials", says: "a unit", name: ({ materialId }: RateEntry) => nameOf(names.materials, materialId) },
  ];
  return groups.flatMap(({ kind, title, says, name }) => {
    const own = entries.map((entry, at) => ({ entry, at })).filter(({ entry }) => rateSubject(entry).startsWith(kind));
    const order = kind === "role" ? names.roles.map(({ name: role }) => role) : null;
    const place = (text: string) => (order ? String(order.indexOf(text)).padStart(4, "0") : text);
    own.sort(
      (a, b) =>
        place(name(a.entry)).localeCompare(place(name(b.entry))) || (a.entry.from ?? "").localeCompare(b.entry.from ?? "") || a.at - b.at,
    );
    const rows = own.map(({ entry, at }, index): RateLine => {
      const next = own[index + 1]?.entry;
      const isFirst = index === 0 || rateSubject(own[index - 1].entry) !== rateSubject(entry);
      const until = next && rateSubject(next) === rateSubject(entry) ? next.from : undefined;
      return { at, entry, name: name(entry), isFirst, inForce: holds(entry.from, until, window) };
    });
    return rows.length > 0 ? [{ id: kind, title, says, rows }] : [];
  });
}

function holds(from: string | undefined, until: string | undefined, { start, stop }: Range): RateLine["inForce"] {
  const first = from === undefined ? Number.NEGATIVE_INFINITY : parseDay(from);
  const end = until === undefined ? Number.POSITIVE_INFINITY : parseDay(until);
  if (first >= stop || end <= start) return "no";
  return first <= start && end >= stop ? "whole" : "part";
}
