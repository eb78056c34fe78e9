// A rate table as a grid: a row for each role, person or material, a column for each day on which rates change.
import { type RateSubject, rateSubject } from "../../core/edits/changeRates.ts";
import type { SingleEdit } from "../../core/edits/edit.ts";
import type { Names } from "../../core/plan/names.ts";
import type { RateEntry } from "../../core/plan/schema.ts";
import type { Section } from "../../ui/table/lines.ts";

export type RateFigure = "rate" | "overtimeRate" | "perUse";

/** Whom or what a row is for; nothing for everybody else. */
export type SubjectIds = Pick<RateEntry, "personId" | "roleId" | "materialId">;

export interface RateRow {
  /** Such as "role designer". */
  id: string;
  of: SubjectIds;
  name: string;
  /** By the day they begin on; "" is the beginning. */
  entries: ReadonlyMap<string, RateEntry>;
}

export interface RateGrid {
  /** Days on which a rate begins, "" for the beginning first. */
  dates: string[];
  sections: Section<RateRow>[];
}

const groups: readonly { kind: RateSubject; title: string; says: string }[] = [
  { kind: "role", title: "Roles", says: "what an hour of the role comes to" },
  { kind: "person", title: "People", says: "goes before the role’s rate" },
  { kind: "default", title: "Everybody else", says: "where neither person nor role has a rate" },
  { kind: "material", title: "Materials", says: "a unit" },
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
  return personId === undefined && roleId === undefined && materialId === undefined ? "Everybody else" : (known?.name ?? "");
}

/** The entry in force on a day: of those that have begun the last. */
export function inForce({ entries }: Pick<RateRow, "entries">, date: string): RateEntry | null {
  let best: RateEntry | null = null;
  for (const [from, entry] of entries) if (from <= date && (best === null || from >= (best.from ?? ""))) best = entry;
  return best;
}

const cents = (amount: number): number => Math.round(amount * 100) / 100;

/** A rate that takes the place of another: overtime rises in the same proportion, what each use costs stays. */
export function risen(before: RateEntry | null, rate: number): Pick<RateEntry, "rate" | "overtimeRate" | "perUse"> {
  if (!before) return { rate };
  const { overtimeRate, perUse } = before;
  return {
    rate,
    ...(overtimeRate !== undefined && { overtimeRate: before.rate === 0 ? overtimeRate : cents((overtimeRate * rate) / before.rate) }),
    ...(perUse !== undefined && { perUse }),
  };
}

type RatesEdit = Extract<SingleEdit, { kind: "changeRates" }>;

export interface RateCell {
  row: RateRow;
  date: string;
  figure: RateFigure;
  /** Null takes it away: the whole entry where it is the rate. */
  amount: number | null;
}

/** Cells typed into as one edit; null where nothing would change. Overtime or a charge per use needs a rate beside it. */
export function typedRates(tableId: string, typed: readonly RateCell[]): RatesEdit | null {
  const changed: NonNullable<RatesEdit["cells"]> = [];
  const added: RateEntry[] = [];
  for (const { row, date, figure, amount } of typed) {
    const own = row.entries.get(date);
    const of = { ...row.of, ...(date !== "" && { from: date }) };
    if (own) {
      if (amount === (own[figure] ?? null)) continue;
      changed.push({ of, set: amount === null && figure === "rate" ? null : { [figure]: amount } });
    } else if (amount !== null) {
      const before = inForce(row, date);
      const known = added.find((entry) => rateSubject(entry) === row.id && (entry.from ?? "") === date);
      if (known) known[figure] = amount;
      else if (figure === "rate") added.push({ ...of, ...risen(before, amount) });
      else if (before) added.push({ ...of, ...risen(before, before.rate), [figure]: amount });
    }
  }
  if (changed.length + added.length === 0) return null;
  return { kind: "changeRates", tableId, ...(changed.length > 0 && { cells: changed }), ...(added.length > 0 && { added }) };
}

export interface Raise {
  from: string;
  percent: number;
  /** To the nearest of so much: 0.01, 0.05, 0.5 or 1. */
  round: number;
  kinds: readonly RateSubject[];
}

/** Rates of a table raised from a day on; those that begin later rise too. Null where there are none. */
export function raisedRates(
  tableId: string,
  { sections }: Pick<RateGrid, "sections">,
  { from, percent, round, kinds }: Raise,
): RatesEdit | null {
  // In ten-thousandths, which rates are exact in.
  const raised = (rate: number) => Math.round(Math.round((rate * (100 + percent) * 100) / (round * 10_000)) * round * 10_000) / 10_000;
  const typed = sections
    .filter(({ id }) => kinds.includes(id as RateSubject))
    .flatMap(({ rows }) =>
      rows.flatMap((row): RateCell[] => {
        const later = [...row.entries.keys()].filter((date) => date > from);
        const days = inForce(row, from) ? [from, ...later] : later;
        return days.flatMap((date) => {
          const rate = inForce(row, date)?.rate;
          return rate === undefined ? [] : [{ row, date, figure: "rate" as const, amount: raised(rate) }];
        });
      }),
    );
  const edit = typedRates(tableId, typed);
  if (!edit?.cells) return edit;
  // Entries that are there rise as new ones do: their overtime with them.
  const entryOf = new Map(typed.map((cell) => [`${cell.row.id} ${cell.date}`, cell]));
  const cells = edit.cells.map((cell) => {
    const known = entryOf.get(`${rateSubject(cell.of)} ${cell.of.from ?? ""}`);
    const own = known?.row.entries.get(known.date);
    return own && known?.amount !== null && known ? { ...cell, set: risen(own, known.amount) } : cell;
  });
  return { ...edit, cells };
}
