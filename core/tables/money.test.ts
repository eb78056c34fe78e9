// Expenses and rates as tables: what is exported is imported as it is, and what cannot be is refused with a reason.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { applyEdit } from "../edits/edit.ts";
import { SETTINGS_ID } from "../plan/lists.ts";
import type { Plan } from "../plan/schema.ts";
import { previewTable, tableKinds } from "./preview.ts";
import type { TableName } from "./table.ts";

const plan = fernhollow();
const options = { dateOrder: "dayFirst", idStem: "in" } as const;
const preview = (table: TableName, rows: readonly (readonly string[])[], own: Plan = plan) =>
  previewTable(own, { table, source: "f.csv", rows, options });
const head = (table: TableName) => tableKinds[table].columns.map(({ name }) => name);

test("what is exported is imported again and leaves everything as it is", () => {
  for (const table of ["expenses", "rates"] as const) {
    const rows = tableKinds[table].rows(plan);
    const { counts, edit } = preview(table, [head(table), ...rows]);
    expect(counts, table).toMatchObject({ leaves: rows.length, refuses: 0, adds: 0, changes: 0 });
    expect(edit).toBeNull();
    expect(rows.length).toBeGreaterThan(4);
  }
});

test("expenses are added and changed; those that cannot be say why", () => {
  const { rows, counts, edit } = preview("expenses", [
    ["Project", "Expense", "Amount", "Date", "From", "Until", "Cost type", "Expense id"],
    ["Tidepool Hall", "Crane hire for the wave tank", "3000", "", "2027-04-19", "2027-04-21", "hardware", "x-crane"],
    ["Slow Light", "Hotel", "420.50", "16/4/2027", "", "", "travel", ""],
    ["Nowhere", "Hotel", "420", "16/4/2027", "", "", "travel", ""],
    ["Slow Light", "Refund", "-5", "16/4/2027", "", "", "travel", ""],
    ["Slow Light", "Hotel", "5", "", "2027-05-02", "2027-05-01", "travel", ""],
    ["Slow Light", "Hotel", "", "16/4/2027", "", "", "hats", ""],
  ]);
  expect(counts).toMatchObject({ changes: 1, adds: 2, refuses: 3 });
  const reasons = rows.map((row) => (row.outcome === "refuses" ? row.reasons.join(" ") : ""));
  expect(reasons[2]).toContain('no project "Nowhere"');
  expect(reasons[4]).toBe("The last day must be on or after the first day.");
  expect(reasons[5]).toContain('"hats" is not known');
  const after = edit && applyEdit(plan, edit).plan;
  expect(after?.expenses.find(({ id }) => id === "x-crane")).toMatchObject({ amount: 3000, supplier: "Altura Lifting" });
  expect(after?.expenses.at(-1)).toMatchObject({ name: "Refund", amount: -5 });
  expect(after?.expenses.at(-2)).toMatchObject({ projectId: "slowlight", amount: 420.5, date: "2027-04-16", costType: "travel" });
});

test("a quantity and a unit price come with the amount that they make, and are cleared where only the amount is given", () => {
  const columns = ["Project", "Expense", "Amount", "Quantity", "Unit price", "Date", "Expense id"];
  const taken = preview("expenses", [
    columns,
    ["Slow Light", "Cable", "", "4", "12.5", "2027-04-16", "cable"],
    ["Slow Light", "Lamps", "90", "4", "12.5", "2027-04-16", ""],
    ["Slow Light", "Lamps", "90", "4", "", "2027-04-16", ""],
  ]);
  expect(taken.rows.flatMap((row) => (row.outcome === "refuses" ? row.reasons : []))).toEqual([
    "The amount is not quantity × unit price, which is 50.",
    "The row has a quantity or a unit price alone; write both or neither.",
  ]);
  const after = taken.edit && applyEdit(plan, taken.edit).plan;
  expect(after?.expenses.at(-1)).toMatchObject({ id: "cable", amount: 50, quantity: 4, unitPrice: 12.5 });
  const again = preview(
    "expenses",
    [
      ["Project", "Expense", "Amount", "Date", "Expense id"],
      ["Slow Light", "Cable", "60", "2027-04-16", "cable"],
    ],
    after ?? plan,
  );
  const cleared = again.edit && applyEdit(after ?? plan, again.edit).plan?.expenses.at(-1);
  expect(cleared).toMatchObject({ amount: 60 });
  expect(cleared).not.toHaveProperty("quantity");
});

test("ten thousand rates come in at once; a second one of the same day takes the place of the first", () => {
  const dates = Array.from({ length: 9_997 }, (_, at) => new Date(Date.UTC(2000, 0, 1) + at * 86_400_000).toISOString().slice(0, 10));
  const { counts, edit, rows } = preview("rates", [
    ["Rate table", "Rate for", "Whose", "From", "Rate"],
    ...dates.map((date) => ["Studio cost", "person", "Mara Ellingsen", date, "40"]),
    ["Studio cost", "person", "Mara Ellingsen", "2010-01-01", "41"],
    ["Studio cost", "role", "Astronaut", "2010-01-01", "41"],
    ["Studio cost", "default", "", "2010-01-01", "-1"],
    ["No such table", "role", "Fabricator", "2010-01-01", "12"],
  ]);
  expect(counts).toMatchObject({ adds: 9_996, changes: 2, refuses: 3 });
  expect(rows.at(-3)).toMatchObject({ outcome: "refuses", reasons: [expect.stringContaining('no role "Astronaut"')] });
  const entries = (edit && applyEdit(plan, edit).plan?.rateTables.find(({ name }) => name === "Studio cost")?.entries) ?? [];
  expect(entries.filter(({ personId, from }) => personId === "mara" && from === "2010-01-01")).toEqual([
    { personId: "mara", from: "2010-01-01", rate: 41 },
  ]);
});

test("rates come with the currency of their table; a row in another one is refused with what to do", () => {
  const [{ name: table, currency = plan.settings.currency }] = plan.rateTables;
  const at = head("rates").indexOf("Currency");
  expect(tableKinds.rates.rows(plan)[0][at]).toBe(currency);
  const other = currency === "NOK" ? "SEK" : "NOK";
  const row = (own: string) => [table, own, "default", "", "2029-01-01", "77"];
  const { rows } = preview("rates", [
    ["Rate table", "Currency", "Rate for", "Whose", "From", "Rate"],
    row(other),
    row(currency.toLowerCase()),
    row(""),
  ]);
  expect(rows.map(({ outcome }) => outcome)).toEqual(["refuses", "adds", "leaves"]);
  expect(rows[0]).toMatchObject({ reasons: [expect.stringContaining(`the rate table "${table}" is in ${currency}`)] });
});

test("exchange rates are added, changed and kept; the plan's own currency and broken rows are refused", () => {
  const known: Plan = { ...plan, exchangeRates: [{ currency: "GBP", from: "2027-01-01", rate: 1.17 }] };
  const rows = [
    ["Currency", "From", "Exchange rate"],
    ["gbp", "2027-01-01", "1,19"],
    ["GBP", "1.7.2027", "1.2"],
    ["CHF", "2027-01-01", "1.05"],
    [plan.settings.currency, "2027-01-01", "1"],
    ["USD", "2027-01-01", "0"],
    ["Yens", "2027-01-01", "0.006"],
  ];
  const { counts, edit } = preview("exchangeRates", rows, known);
  expect(counts).toMatchObject({ adds: 2, changes: 1, refuses: 3 });
  const after = edit && applyEdit(known, edit).plan;
  expect(after?.exchangeRates).toEqual([
    { currency: "GBP", from: "2027-01-01", rate: 1.19 },
    { currency: "GBP", from: "2027-07-01", rate: 1.2 },
    { currency: "CHF", from: "2027-01-01", rate: 1.05 },
  ]);
  const again = preview("exchangeRates", [head("exchangeRates"), ...tableKinds.exchangeRates.rows(after as Plan)], after as Plan);
  expect(again.edit).toBeNull();
});

test("exchange rates are checked where they are imported, too", () => {
  const own = { currency: plan.settings.currency, from: "2027-01-01", rate: 1 };
  const write = (rates: unknown) =>
    applyEdit(plan, { kind: "importRows", source: "f", rows: [{ list: "exchange", row: { id: SETTINGS_ID, rates } }] });
  expect(write([own]).faults[0].message).toMatch(/needs no exchange rate/);
  expect(write(7).plan).toBeNull();
  expect(write([{ ...own, currency: "GBP" }]).plan?.exchangeRates).toEqual([{ ...own, currency: "GBP" }]);
});
