// The table of expenses: a row each, with its project, amount, tax, when it falls and what it is.

import { schemaFaults } from "../plan/parse.ts";
import { findRow } from "../plan/rows.ts";
import { type Expense, rowSchemas } from "../plan/schema.ts";
import { objectKeys } from "../values/objectKeys.ts";
import { minorUnits, productMinorUnits } from "../values/units.ts";
import { numberCell, numberText, textCell, wordCell } from "./cells.ts";
import { projectOf } from "./findTask.ts";
import { RowReading, type RowSet, rowRead } from "./rowReading.ts";
import { type Draft, type ReadOptions, type RowOutcome, reasonsOf, refused, type TableKind, type TableRecord } from "./table.ts";

export const expensesTable: TableKind = {
  name: "expenses",
  title: "Expenses",
  columns: [
    { key: "id", name: "Expense id", aliases: ["id", "expenseid"] },
    { key: "project", name: "Project", isNeeded: true, aliases: ["projectid", "projekt", "projeto", "projet"] },
    { key: "name", name: "Expense", isNeeded: true, aliases: ["name", "what", "item", "ausgabe", "posten", "despesa", "kulu", "depense"] },
    { key: "supplier", name: "Supplier", aliases: ["vendor", "lieferant", "fornecedor", "tarnija", "fournisseur"] },
    { key: "amount", name: "Amount", isNeeded: true, aliases: ["cost", "price", "sum", "betrag", "valor", "summa", "montant"] },
    { key: "quantity", name: "Quantity", aliases: ["qty", "count", "menge", "anzahl", "quantidade", "kogus", "quantite"] },
    { key: "unitPrice", name: "Unit price", aliases: ["priceeach", "einzelpreis", "precounitario", "uhikuhind", "prixunitaire"] },
    { key: "tax", name: "Tax, %", aliases: ["tax", "vat", "taxpercent", "steuer", "iva", "kaibemaks", "tva"] },
    { key: "date", name: "Date", aliases: ["on", "datum", "data", "kuupaev"] },
    { key: "from", name: "From", aliases: ["von", "ab", "de", "alates", "du"] },
    { key: "to", name: "Until", aliases: ["to", "bis", "ate", "kuni", "au"] },
    { key: "type", name: "Cost type", aliases: ["type", "costtype", "art", "tipo", "liik"] },
    { key: "treatment", name: "Capital or operating", aliases: ["treatment", "capexopex", "capex"] },
    { key: "state", name: "State", aliases: ["status", "estado", "olek", "etat"] },
  ],
  rows: ({ expenses, projects }) =>
    expenses.map((own) => [
      own.id,
      findRow(projects, own.projectId)?.name ?? own.projectId,
      own.name,
      own.supplier ?? "",
      numberText(own.amount),
      numberText(own.quantity),
      numberText(own.unitPrice),
      numberText(own.taxPercent),
      own.date ?? "",
      own.from ?? "",
      own.to ?? "",
      own.costType,
      own.treatment ?? "",
      own.state ?? "planned",
    ]),
  take: takeExpense,
};

/** How files call the types of cost. */
export const costTypeWords = {
  externalLabour: ["externallabour", "freelance", "subcontract", "fremdleistung"],
  software: ["licence", "license", "lizenz"],
  hardware: ["equipment", "gerat", "rental", "hire"],
  travel: ["reise", "viagem", "reis", "voyage"],
  material: ["goods", "materialien"],
  other: ["sonstiges", "outro", "muu", "autre"],
} as const;

const treatmentWords = { capital: ["capex", "investment"], operating: ["opex", "running"] } as const;
const stateWords = { planned: ["plan", "geplant"], committed: ["ordered", "bestellt"], paid: ["bezahlt", "pago", "makstud"] } as const;

function takeExpense(record: TableRecord, draft: Draft, options: ReadOptions, line: number): RowOutcome {
  const about = record.name?.trim() || `line ${line}`;
  const reading = new RowReading(record, options);
  const { reasons } = reading;
  const id = record.id?.trim() || `${options.idStem}-${line}`;
  const before = draft.find("expenses", id);
  const set: RowSet<Expense> = { name: reading.take(textCell(record.name ?? "")) };
  set.projectId = reading.take(projectOf(record.project ?? "", draft))?.id;
  reading.put(set, "supplier", textCell);
  reading.put(set, "amount", numberCell);
  reading.put(set, "taxPercent", numberCell, "tax");
  for (const key of ["date", "from", "to"] as const) reading.put(set, key, reading.date);
  reading.put(set, "costType", (cell) => wordCell(cell, costTypeWords), "type");
  reading.put(set, "treatment", (cell) => wordCell(cell, treatmentWords));
  reading.put(set, "state", (cell) => wordCell(cell, stateWords));
  if (set.name === "") reasons.push("The expense has no name.");
  for (const key of ["quantity", "unitPrice"] as const) set[key] = reading.cell(key, numberCell);
  const { quantity, unitPrice } = set;
  if (set.amount === undefined && typeof quantity === "number" && typeof unitPrice === "number")
    set.amount = productMinorUnits(quantity, unitPrice) / 100;
  if (set.amount === undefined && reasons.length === 0) reasons.push("The row has no amount, and no quantity with a unit price.");
  if (reasons.length > 0) return refused(about, ...reasons);
  const all = {
    ...(before ?? { id, costType: "other" }),
    ...set,
    ...(set.costType === undefined && { costType: before?.costType ?? "other" }),
  };
  const after = rowRead<Expense>({}, all);
  const fault = datesFault(after) ?? amountFault(after);
  if (fault) return refused(about, fault);
  return putExpense(before, after, draft);
}

function datesFault({ date, from, to }: Expense): string | null {
  if (date !== undefined) return from === undefined && to === undefined ? null : "State a date or a period, not both.";
  if (from === undefined || to === undefined) return "State a date, or both from and until.";
  return to < from ? "The last day must be on or after the first day." : null;
}

function amountFault({ amount, quantity, unitPrice }: Expense): string | null {
  if (quantity === undefined && unitPrice === undefined) return null;
  if (quantity === undefined || unitPrice === undefined) return "The row has a quantity or a unit price alone; write both or neither.";
  const product = productMinorUnits(quantity, unitPrice);
  return product === minorUnits(amount) ? null : `The amount is not quantity × unit price, which is ${product / 100}.`;
}

function putExpense(before: Expense | undefined, after: Expense, draft: Draft): RowOutcome {
  const about = after.name;
  const checked = rowSchemas.expenses.safeParse(after, { reportInput: true });
  if (!checked.success) return refused(about, ...reasonsOf(schemaFaults(checked.error.issues, after)));
  if (!before) {
    draft.put("expenses", after);
    return { outcome: "adds", about, says: [`${after.amount}`, after.date ?? `${after.from} – ${after.to}`] };
  }
  const says = objectKeys({ ...before, ...after }).flatMap((key) =>
    before[key] === after[key] ? [] : [`${key}: ${before[key] ?? "nothing"} → ${after[key] ?? "nothing"}`],
  );
  if (says.length === 0) return { outcome: "leaves", about, says };
  draft.put("expenses", after);
  return { outcome: "changes", about, says };
}
