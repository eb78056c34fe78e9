// The rate in force for a subject on a day, and the value of a foreign amount.
import { type Day, parseDay } from "../calendar/day.ts";
import { firstRoleOf } from "../plan/names.ts";
import { rowById } from "../plan/rows.ts";
import type { Plan, RateEntry, RateTable } from "../plan/schema.ts";
import { minorUnits, rateUnits } from "../values/units.ts";
import { exchangeSteps } from "./exchangeOn.ts";

const BEGINNING = Number.NEGATIVE_INFINITY;

/** The subject that the rate belongs to. */
export type RateSource = "person" | "role" | "default" | "material";

/** A stretch of days with one rate: from `from` until the next stretch begins. Rates in ten-thousandths per hour
 * or unit, the charge per use in minor units. */
export interface RateStretch {
  from: Day;
  /** Null where no entry is in force. `since` is the day it begins in its table, null for the beginning. */
  entry: { rate: number; overtimeRate: number; perUse: number; of: RateSource; since: Day | null } | null;
}

/** Amounts of a currency are worth `factor` millionths of the plan's own from a day on; null where no rate is in force. */
export interface ExchangeStretch {
  from: Day;
  factor: bigint | null;
}

/** The rates that pricing did not find on some day. */
export interface MissingRates {
  rate: boolean;
  exchange: boolean;
}

/** Of nearly every row: made once. */
export const LACKS_NOTHING: MissingRates = Object.freeze({ rate: false, exchange: false });

export const SAME_CURRENCY: readonly ExchangeStretch[] = [{ from: BEGINNING, factor: 1_000_000n }];

/** Rate stretches of a plan's tables, worked out once for each subject. */
export class RateBook {
  readonly #plan: Plan;
  /** By table, by the person where they have rates of their own, by role. */
  readonly #labour = new Map<RateTable, Map<string, Map<string, RateStretch[]>>>();
  readonly #materials = new Map<string, RateStretch[]>();
  readonly #people = new Map<RateTable, Set<string>>();

  constructor(plan: Plan) {
    this.#plan = plan;
  }

  /** Labour rates of a person and a role in a table: the person's entries come first, then the role's, then the
   * table's default; within a group the latest that has begun, of equal ones the later in the list. */
  labour(table: RateTable, personId: string | undefined, roleId: string | undefined): readonly RateStretch[] {
    // Most people have no rate of their own: they share their role's stretches.
    const own = personId !== undefined && this.#peopleOf(table).has(personId) ? personId : "";
    const byRole = within(within(this.#labour, table), own);
    let stretches = byRole.get(roleId ?? "");
    if (!stretches) {
      const { entries } = table;
      stretches = stretchesOf([
        own === "" ? [] : entries.filter((entry) => entry.personId === own),
        roleId === undefined ? [] : entries.filter((entry) => entry.roleId === roleId),
        entries.filter(isDefault),
      ]);
      byRole.set(roleId ?? "", stretches);
    }
    return stretches;
  }

  #peopleOf(table: RateTable): Set<string> {
    let people = this.#people.get(table);
    if (!people) {
      people = new Set(table.entries.flatMap(({ personId }) => personId ?? []));
      this.#people.set(table, people);
    }
    return people;
  }

  /** Unit prices of a material in a table. */
  material(table: RateTable, materialId: string): readonly RateStretch[] {
    const key = `${table.id}\u0000${materialId}`;
    let stretches = this.#materials.get(key);
    if (!stretches) {
      stretches = stretchesOf([table.entries.filter((entry) => entry.materialId === materialId)]);
      this.#materials.set(key, stretches);
    }
    return stretches;
  }

  /** The table with an id, if any. */
  table(id: string | undefined): RateTable | undefined {
    const row = id === undefined ? undefined : rowById(this.#plan.rateTables).get(id);
    return row === undefined ? undefined : this.#plan.rateTables[row];
  }

  /** The exchange rates of a table's currency to the plan's currency, as stretches of days. */
  exchange(table: RateTable): readonly ExchangeStretch[] {
    const { currency } = table;
    if (currency === undefined || currency === this.#plan.settings.currency) return SAME_CURRENCY;
    return [{ from: BEGINNING, factor: null }, ...exchangeSteps(this.#plan.exchangeRates, currency)];
  }
}

/** The map that is under a key; made where there is none. */
function within<K, L, V>(maps: Map<K, Map<L, V>>, key: K): Map<L, V> {
  let map = maps.get(key);
  if (!map) {
    map = new Map();
    maps.set(key, map);
  }
  return map;
}

const books = new WeakMap<Plan["rateTables"], { book: RateBook; exchangeRates: Plan["exchangeRates"]; currency: string }>();

/** The rate book of a plan; shared by all plans with the same tables and exchange rates. */
export function rateBookOf(plan: Plan): RateBook {
  const { rateTables, exchangeRates } = plan;
  const { currency } = plan.settings;
  const known = books.get(rateTables);
  if (known && known.exchangeRates === exchangeRates && known.currency === currency) return known.book;
  const book = new RateBook(plan);
  books.set(rateTables, { book, exchangeRates, currency });
  return book;
}

/** The role that a line of labour is costed in: where it is made, else the person's first one. */
export function costRole(plan: Plan, role: number, person: number): string | undefined {
  if (role >= 0) return plan.roles[role].id;
  return firstRoleOf(plan.people[person]);
}

/** The stretch that holds a day; stretches begin at the beginning of time. */
export function stretchOn<T extends { from: Day }>(stretches: readonly T[], day: Day): T {
  let at = stretches.length - 1;
  while (at > 0 && stretches[at].from > day) at--;
  return stretches[at];
}

function isDefault(entry: RateEntry): boolean {
  return entry.personId === undefined && entry.roleId === undefined && entry.materialId === undefined;
}

function stretchesOf(groups: readonly (readonly RateEntry[])[]): RateStretch[] {
  const begins = (entry: RateEntry) => (entry.from === undefined ? BEGINNING : parseDay(entry.from));
  const days = new Set([BEGINNING, ...groups.flat().map(begins)]);
  return [...days]
    .sort((a, b) => a - b)
    .map((from) => {
      for (const group of groups) {
        const entry = latest(group, from, begins);
        if (entry) return { from, entry: inUnits(entry) };
      }
      return { from, entry: null };
    });
}

function latest(group: readonly RateEntry[], day: Day, begins: (entry: RateEntry) => Day): RateEntry | undefined {
  let best: RateEntry | undefined;
  for (const entry of group) if (begins(entry) <= day && (!best || begins(entry) >= begins(best))) best = entry;
  return best;
}

function inUnits(entry: RateEntry): NonNullable<RateStretch["entry"]> {
  const { rate, overtimeRate, perUse, from } = entry;
  return {
    rate: rateUnits(rate),
    overtimeRate: rateUnits(overtimeRate ?? rate),
    perUse: minorUnits(perUse ?? 0),
    of: sourceOf(entry),
    since: from === undefined ? null : parseDay(from),
  };
}

function sourceOf({ personId, roleId, materialId }: RateEntry): RateSource {
  if (personId !== undefined) return "person";
  if (roleId !== undefined) return "role";
  return materialId === undefined ? "default" : "material";
}
