// The table of bookings: a row each, as accounting keeps them. The planned expense that a row pays for is looked for.
import { BookedSoFar, type BookingMatch, matchBooking } from "../cost/matchBooking.ts";
import { schemaFaults } from "../plan/parse.ts";
import { findRow } from "../plan/rows.ts";
import { type ActualCost, type Expense, rowSchemas } from "../plan/schema.ts";
import { onceFor } from "../values/once.ts";
import { plainText } from "../values/plainText.ts";
import { minorUnits } from "../values/units.ts";
import { numberCell, numberText, textCell, wordCell } from "./cells.ts";
import { costTypeWords } from "./expenses.ts";
import { projectOf } from "./findTask.ts";
import { RowReading, type RowSet, rowRead } from "./rowReading.ts";
import { type Draft, type ReadOptions, type RowOutcome, reasonsOf, refused, type TableKind, type TableRecord } from "./table.ts";

export const bookingsTable: TableKind = {
  name: "bookings",
  title: "Bookings",
  columns: [
    { key: "id", name: "Booking id", aliases: ["bookingid"] },
    {
      key: "date",
      name: "Booked on",
      isNeeded: true,
      aliases: ["date", "on", "posted", "postingdate", "invoicedate", "datum", "buchungsdatum", "data", "kuupaev"],
    },
    {
      key: "amount",
      name: "Net amount",
      isNeeded: true,
      aliases: ["amount", "net", "sum", "netto", "betrag", "valor", "summa", "montant"],
    },
    { key: "supplier", name: "Supplier", aliases: ["vendor", "creditor", "lieferant", "kreditor", "fornecedor", "tarnija", "fournisseur"] },
    {
      key: "reference",
      name: "Reference",
      aliases: ["invoice", "invoiceno", "voucher", "document", "belegnummer", "rechnung", "fatura", "arve"],
    },
    { key: "project", name: "Project", aliases: ["projectid", "jobno", "job", "projekt", "projeto", "projet"] },
    { key: "expense", name: "Planned expense", aliases: ["expense", "order", "orderno", "bestellung"] },
    { key: "type", name: "Cost type", aliases: ["type", "costtype", "art", "tipo", "liik"] },
    { key: "note", name: "Note", aliases: ["text", "description", "memo", "buchungstext"] },
  ],
  rows: ({ actualCosts, projects, expenses }) =>
    actualCosts.map((own) => [
      own.id,
      own.date,
      numberText(own.amount),
      own.supplier ?? "",
      own.reference ?? "",
      findRow(projects, own.projectId)?.name ?? own.projectId,
      findRow(expenses, own.expenseId)?.name ?? "",
      own.costType,
      own.note ?? "",
    ]),
  take: takeBooking,
};

/** The values of a row. */
type Read = RowSet<ActualCost>;

function takeBooking(record: TableRecord, draft: Draft, options: ReadOptions, line: number): RowOutcome {
  const about = record.reference?.trim() || record.supplier?.trim() || `line ${line}`;
  const reading = new RowReading(record, options);
  const { reasons } = reading;
  const set: Read = {};
  reading.put(set, "date", reading.date);
  reading.put(set, "amount", numberCell);
  for (const key of ["supplier", "reference", "note"] as const) reading.put(set, key, textCell);
  reading.put(set, "costType", (cell) => wordCell(cell, costTypeWords), "type");
  reading.put(
    set,
    "projectId",
    (cell) => projectOf(cell, draft),
    "project",
    ({ id }) => id,
  );
  if (set.date === undefined && reasons.length === 0) reasons.push("The row has no date.");
  if (set.amount === undefined && reasons.length === 0) reasons.push("The row has no amount.");
  const id = record.id?.trim();
  const before = id ? draft.find("actualCosts", id) : undefined;
  if (reasons.length > 0) return refused(about, ...reasons);
  if (!id && isBookedAlready(set, draft)) return { outcome: "leaves", about, says: ["It is booked already."] };
  const found = expenseOf(record, set, before, draft, options);
  if ("reason" in found) return refused(about, found.reason);
  const { expense } = found;
  const after = rowRead<ActualCost>(before ?? { id: id || `${options.idStem}-${line}`, costType: expense?.costType ?? "other" }, {
    ...set,
    ...(set.costType === undefined && { costType: before?.costType ?? expense?.costType ?? "other" }),
    projectId: expense?.projectId ?? set.projectId ?? before?.projectId,
    expenseId: expense?.id,
    taskId: expense ? undefined : before?.taskId,
  });
  if (after.projectId === undefined)
    return refused(
      about,
      "The row names no project, and no planned expense fits it. Choose the expense, or add a column with the project.",
    );
  return putBooking(before, after, found, draft, about);
}

/** The expense of a row: the one that was chosen for it, that it names, or that fits it. */
function expenseOf(
  record: TableRecord,
  set: Read,
  before: ActualCost | undefined,
  draft: Draft,
  { subjectId }: ReadOptions,
): Partial<BookingMatch> | { reason: string } {
  if (subjectId !== undefined) return { expense: draft.find("expenses", subjectId) };
  const named = record.expense?.trim() ?? "";
  if (named !== "") return namedExpense(named, set, draft);
  if (before) return { expense: record.expense === undefined ? findRow(draft.plan.expenses, before.expenseId) : undefined };
  const { date, amount, projectId, supplier, reference } = set as ActualCost;
  return matchBooking({ date, amount, projectId, supplier, reference }, draft.plan.expenses, bookedIn(draft)) ?? {};
}

function namedExpense(named: string, { projectId }: Read, { plan }: Draft): { expense: Expense } | { reason: string } {
  const byId = findRow(plan.expenses, named);
  if (byId) return { expense: byId };
  const called = plan.expenses.filter(
    (own) => plainText(own.name) === plainText(named) && (projectId === undefined || own.projectId === projectId),
  );
  if (called.length === 1) return { expense: called[0] };
  return {
    reason: `"${named}" is ${called.length === 0 ? "no planned expense" : "the name of several expenses"}; choose the expense, or leave the cell empty.`,
  };
}

/** Says of each row, in the order of the file, whether the plan had it before the import: a file that is read twice books nothing
 * twice, and equal rows of one file count as often as they are in it. */
function isBookedAlready(set: Read, draft: Draft): boolean {
  const left = leftOf(draft);
  const key = contentOf(set as ActualCost);
  const count = left.get(key) ?? 0;
  if (count > 0) left.set(key, count - 1);
  return count > 0;
}

/** The bookings that the rows of a file have not been found in yet, by content. */
const leftOf = onceFor(({ plan }: Draft) => {
  const left = new Map<string, number>();
  for (const booking of plan.actualCosts) left.set(contentOf(booking), (left.get(contentOf(booking)) ?? 0) + 1);
  return left;
});

/** The content of a booking as accounting has it; the project and the expense may have been chosen here. */
const contentOf = ({ date, amount, supplier = "", reference = "" }: ActualCost): string =>
  JSON.stringify([date, minorUnits(amount), plainText(supplier), plainText(reference)]);

/** The bookings of the plan and of the rows so far. */
const bookedIn = onceFor(({ plan }: Draft) => new BookedSoFar(plan.actualCosts));

const matchWords = { reference: "by its reference", amount: "by supplier, amount and date" } as const;

function putBooking(
  before: ActualCost | undefined,
  after: ActualCost,
  { expense, by }: Partial<BookingMatch>,
  draft: Draft,
  about: string,
): RowOutcome {
  const checked = rowSchemas.actualCosts.safeParse(after, { reportInput: true });
  if (!checked.success) return refused(about, ...reasonsOf(schemaFaults(checked.error.issues, after)));
  const expenseId = expense?.id ?? null;
  if (before && JSON.stringify(Object.entries(before).sort()) === JSON.stringify(Object.entries(after).sort()))
    return { outcome: "leaves", about, says: [], expenseId };
  draft.put("actualCosts", after);
  bookedIn(draft).put(before ?? null, after);
  const match = expense ? `matched with ${expense.name}${by ? ` ${matchWords[by]}` : ""}` : "not matched";
  return { outcome: before ? "changes" : "adds", about, says: [`${after.amount}`, after.date, match], expenseId };
}
