// The table of rates: a row for each rate of each table, with whom or what it is for and from when.

import { schemaFaults } from "../plan/parse.ts";
import { type RateSubject, rateKey } from "../plan/rateSubject.ts";
import { findRow } from "../plan/rows.ts";
import { type Plan, type RateEntry, type RateTable, rowSchemas } from "../plan/schema.ts";
import { plainText } from "../values/plainText.ts";
import { numberCell, numberText, type Read, wordCell } from "./cells.ts";
import { namedRow } from "./namedRow.ts";
import { RowReading, rowRead } from "./rowReading.ts";
import { type Draft, type ReadOptions, type RowOutcome, reasonsOf, refused, type TableKind, type TableRecord } from "./table.ts";

export const ratesTable: TableKind = {
  name: "rates",
  title: "Rates",
  columns: [
    { key: "table", name: "Rate table", isNeeded: true, aliases: ["ratetable", "table", "pricelist", "satztabelle", "tabela"] },
    { key: "currency", name: "Currency", aliases: ["waehrung", "wahrung", "moeda", "valuuta"] },
    { key: "kind", name: "Rate for", isNeeded: true, aliases: ["ratefor", "subject", "kind", "fur"] },
    { key: "name", name: "Whose", aliases: ["name", "role", "person", "material", "who"] },
    { key: "from", name: "From", aliases: ["validfrom", "ab", "von", "de", "alates"] },
    { key: "rate", name: "Rate", isNeeded: true, aliases: ["price", "hourlyrate", "satz", "preis", "taxa", "hind", "tarif"] },
    { key: "overtime", name: "Overtime rate", aliases: ["overtime", "overtimerate", "uberstunden"] },
    { key: "perUse", name: "Per use", aliases: ["peruse", "delivery", "lieferung"] },
  ],
  rows: (plan) =>
    plan.rateTables.flatMap((table) =>
      table.entries.map((entry) => [
        table.name,
        table.currency ?? plan.settings.currency,
        subjectOf(entry),
        nameOf(plan, entry),
        entry.from ?? "",
        numberText(entry.rate),
        numberText(entry.overtimeRate),
        numberText(entry.perUse),
      ]),
    ),
  take: takeRate,
};

const subjectWords: Record<RateSubject, readonly string[]> = {
  role: ["rolle", "funcao", "roll"],
  person: ["people", "mitarbeiter", "pessoa", "inimene"],
  material: ["goods", "materjal"],
  default: ["everyone", "everyone", "everyone else", "everybody else", "all", "sonstige"],
};

type Subject = Pick<RateEntry, "personId" | "roleId" | "materialId">;

function subjectOf({ personId, roleId, materialId }: Subject): RateSubject {
  if (personId !== undefined) return "person";
  if (roleId !== undefined) return "role";
  return materialId === undefined ? "default" : "material";
}

function nameOf(plan: Pick<Plan, "people" | "roles" | "materials">, { personId, roleId, materialId }: Subject): string {
  return (findRow(plan.people, personId) ?? findRow(plan.roles, roleId) ?? findRow(plan.materials, materialId))?.name ?? "";
}

function takeRate(record: TableRecord, draft: Draft, options: ReadOptions, line: number): RowOutcome {
  const about = `${record.table?.trim() ?? "?"} · ${record.name?.trim() || (record.kind?.trim() ?? `line ${line}`)}`;
  const reading = new RowReading(record, options);
  const { reasons } = reading;
  const table = reading.take(namedRow(record.table ?? "", "rateTables", draft));
  const currency = record.currency?.trim().toUpperCase() ?? "";
  const own = table?.currency ?? draft.plan.settings.currency;
  if (table && currency !== "" && currency !== own)
    reasons.push(
      `Its currency is ${currency}, and the rate table "${table.name}" is in ${own}. Convert it, or use a table in ${currency}.`,
    );
  const kind = reading.take(wordCell(record.kind ?? "", subjectWords));
  const of = kind === undefined ? undefined : reading.take(subjectIds(kind, record.name ?? "", draft));
  const [rate, overtimeRate, perUse] = ["rate", "overtime", "perUse"].map((column) => reading.cell(column, numberCell));
  const from = reading.cell("from", reading.date);
  if (rate === undefined && reasons.length === 0) reasons.push("The row has no rate.");
  if (reasons.length > 0 || !table || !of) return refused(about, ...reasons);
  const after = rowRead<RateEntry>(of, { from, rate, overtimeRate, perUse });
  return putRate(table, after, about, draft);
}

function subjectIds(kind: RateSubject, name: string, draft: Draft): Read<Partial<RateEntry>> {
  if (kind === "default") return { value: {} };
  const list = ({ role: "roles", person: "people", material: "materials" } as const)[kind];
  const found = namedRow(name, list, draft);
  return "value" in found ? { value: { [`${kind}Id`]: found.value.id } } : found;
}

/** Entries of a table by what they are, kept while rows are taken: a list of ten thousand is not walked for each row. */
const places = new WeakMap<Draft, Map<string, { entries: RateEntry[]; at: Map<string, number> }>>();

function placesOf(draft: Draft, { id, entries }: RateTable) {
  const tables = places.get(draft) ?? new Map();
  places.set(draft, tables);
  const known = tables.get(id);
  if (known) return known;
  const own = { entries: [...entries], at: new Map(entries.map((entry, at) => [rateKey(entry), at])) };
  tables.set(id, own);
  return own;
}

function putRate(table: RateTable, after: RateEntry, about: string, draft: Draft): RowOutcome {
  const checked = rowSchemas.rateTables.shape.entries.element.safeParse(after, { reportInput: true });
  if (!checked.success) return refused(about, ...reasonsOf(schemaFaults(checked.error.issues, after)));
  const { entries, at } = placesOf(draft, table);
  const key = rateKey(after);
  const place = at.get(key);
  const before = place === undefined ? undefined : entries[place];
  const text = (entry: RateEntry | undefined) =>
    entry === undefined ? "" : plainText(`${entry.rate} ${entry.overtimeRate ?? ""} ${entry.perUse ?? ""}`);
  if (before && text(before) === text(after)) return { outcome: "leaves", about, says: [] };
  if (place === undefined) {
    at.set(key, entries.length);
    entries.push(after);
  } else entries[place] = after;
  draft.put("rateTables", { ...table, entries });
  const from = after.from === undefined ? "from the start" : `from ${after.from}`;
  return before
    ? { outcome: "changes", about, says: [`rate: ${before.rate} → ${after.rate}`, from] }
    : { outcome: "adds", about, says: [`${after.rate}`, from] };
}
