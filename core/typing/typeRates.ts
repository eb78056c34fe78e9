// Typing into the history of a rate, and raising many: what it results in as one edit.

import type { EditOf } from "../edits/edit.ts";
import { type RateSubject, rateSubject } from "../plan/rateSubject.ts";
import type { RateEntry } from "../plan/schema.ts";

export type RateFigure = "rate" | "overtimeRate" | "perUse";

/** The subject of a rate; nothing for everyone else. */
export type SubjectIds = Pick<RateEntry, "personId" | "roleId" | "materialId">;

/** The rates that a person or something has in a table, one after the other. */
export interface RateHistory {
  /** Such as "role designer". */
  id: string;
  of: SubjectIds;
  /** By the day they begin on; "" is the beginning. */
  entries: ReadonlyMap<string, RateEntry>;
}

/** The entry in force on a day: of those that have begun the last. */
export function inForce({ entries }: Pick<RateHistory, "entries">, date: string): RateEntry | null {
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

type RatesEdit = EditOf<"changeRates">;

export interface RateCell {
  row: RateHistory;
  date: string;
  figure: RateFigure;
  /** Null takes it away: the whole entry where it is the rate. */
  amount: number | null;
}

/** Cells typed into as one edit; null where nothing would change. Overtime or a charge per use needs a rate next to it. */
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
export function raisedRates(tableId: string, rows: readonly RateHistory[], { from, percent, round, kinds }: Raise): RatesEdit | null {
  // In ten-thousandths, which rates are exact in.
  const raised = (rate: number) => Math.round(Math.round((rate * (100 + percent) * 100) / (round * 10_000)) * round * 10_000) / 10_000;
  const typed = rows
    .filter(({ id }) => kinds.some((kind) => id === kind || id.startsWith(`${kind} `)))
    .flatMap((row): RateCell[] => {
      const later = [...row.entries.keys()].filter((date) => date > from);
      const days = inForce(row, from) ? [from, ...later] : later;
      return days.flatMap((date) => {
        const rate = inForce(row, date)?.rate;
        return rate === undefined ? [] : [{ row, date, figure: "rate" as const, amount: raised(rate) }];
      });
    });
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
