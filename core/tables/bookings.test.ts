// Bookings as files: each is matched with the expense it pays for, and a file that is read twice books nothing twice.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { BookedSoFar, matchBooking } from "../cost/matchBooking.ts";
import { applyEdit } from "../edits/edit.ts";
import type { ActualCost, Expense, Plan } from "../plan/schema.ts";
import { type Preview, previewTable, tableKinds } from "./preview.ts";

const base = fernhollow();
const [first, second] = base.projects;
const expense = (set: Partial<Expense> & { id: string }): Expense => ({
  projectId: first.id,
  name: `Expense ${set.id}`,
  date: "2027-03-10",
  amount: 1000,
  costType: "hardware",
  ...set,
});
const plan: Plan = {
  ...base,
  expenses: [
    expense({ id: "PO-1", name: "Crane", supplier: "Altura" }),
    expense({ id: "PO-2", name: "Truck", supplier: "Altura", amount: 400, taxPercent: 20 }),
    expense({ id: "PO-3", name: "Second truck", supplier: "Altura", amount: 400, date: "2027-04-20" }),
    expense({ id: "PO-4", name: "Lamps", supplier: "Lumo", projectId: second.id, amount: 90 }),
  ],
  actualCosts: [],
};

const read = (rows: readonly string[][], own = plan, subjects = {}): Preview =>
  previewTable(own, { table: "bookings", source: "ledger.csv", rows, subjects, options: { dateOrder: "dayFirst", idStem: "in" } });
const made = (own: Plan, { edit }: Preview): Plan => (edit && applyEdit(own, edit).plan) ?? own;
const head = ["Date", "Net amount", "Supplier", "Reference", "Project"];

test("a booking is matched by its reference, else by supplier, amount and date, else it waits; without a project it is refused", () => {
  const preview = read([
    head,
    ["12.3.2027", "980", "Someone Else", "po-1", ""],
    ["15.3.2027", "480", "ALTURA", "R 77", ""],
    ["15.3.2027", "400", "Altura", "R 78", ""],
    ["15.3.2027", "55", "Altura", "R 79", first.name],
    ["15.3.2027", "55", "Altura", "R 80", ""],
    ["1.9.2027", "90", "Lumo", "R 81", second.name],
  ]);
  expect(preview.rows.map((row) => (row.outcome === "refuses" ? row.outcome : row.expenseId))).toEqual([
    "PO-1",
    "PO-2",
    "PO-3",
    null,
    "refuses",
    null,
  ]);
  const { actualCosts } = made(plan, preview);
  expect(actualCosts.map(({ projectId, expenseId, amount, costType }) => [projectId, expenseId, amount, costType])).toEqual([
    [first.id, "PO-1", 980, "hardware"],
    [first.id, "PO-2", 480, "hardware"],
    [first.id, "PO-3", 400, "hardware"],
    [first.id, undefined, 55, "other"],
    [second.id, undefined, 90, "other"],
  ]);
});

test("the same file a second time books nothing, no matter what was matched since; equal rows of one file are two bookings", () => {
  const rows = [
    head,
    ["12.3.2027", "50", "Altura", "R 1", first.name],
    ["12.3.2027", "50", "Altura", "R 1", first.name],
    ["13.3.2027", "60", "Altura", "R 2", first.name],
  ];
  const once = made(plan, read(rows));
  expect(once.actualCosts).toHaveLength(3);
  const [{ id }] = once.actualCosts;
  const moved = applyEdit(once, { kind: "changeBooking", id, set: { projectId: second.id, expenseId: "PO-4" } }).plan as Plan;
  const again = read(rows, moved);
  expect(again.counts).toMatchObject({ leaves: 3, adds: 0, changes: 0, refuses: 0 });
  expect(again.edit).toBeNull();
  const third = read([...rows, rows[1]], moved);
  expect(third.counts).toMatchObject({ leaves: 3, adds: 1 });
});

test("the match of a row is the one that was chosen for it, or none where none was chosen", () => {
  const row = ["12.3.2027", "1000", "Altura", "R 1", first.name];
  expect(read([head, row]).rows).toMatchObject([{ expenseId: "PO-1" }]);
  expect(read([head, row], plan, { 2: "PO-4" }).rows).toMatchObject([{ expenseId: "PO-4" }]);
  const preview = read([head, row], plan, { 2: "" });
  expect(preview.rows).toMatchObject([{ outcome: "adds", expenseId: null }]);
  expect(made(plan, preview).actualCosts[0]).not.toHaveProperty("expenseId");
});

test("what is exported is imported again and leaves everything as it is; a row with its id is changed", () => {
  const once = made(plan, read([head, ["12.3.2027", "1000", "Altura", "R 1", ""], ["12.3.2027", "7", "", "R 2", first.name]]));
  const table = tableKinds.bookings;
  const written = [table.columns.map(({ name }) => name), ...table.rows(once)];
  expect(read(written, once).counts).toMatchObject({ leaves: 2, changes: 0, adds: 0, refuses: 0 });
  const changed = written.map((cells) => cells.map((cell) => (cell === "7" ? "8,5" : cell)));
  const after = made(once, read(changed, once));
  expect(after.actualCosts.map(({ amount, expenseId }) => [amount, expenseId])).toEqual([
    [1000, "PO-1"],
    [8.5, undefined],
  ]);
});

test("what is booked in full is not matched by its amount again, and a part is compared with the rest", () => {
  const booked = (amount: number): ActualCost[] => [
    { id: "b", projectId: first.id, expenseId: "PO-1", date: "2027-03-01", amount, costType: "hardware", reference: "R 1" },
  ];
  const match = (amount: number, bookings: ActualCost[], reference?: string) =>
    matchBooking(
      { date: "2027-03-12", amount, supplier: "Altura", ...(reference !== undefined && { reference }) },
      plan.expenses,
      new BookedSoFar(bookings),
    )?.expense.id;
  expect(match(1000, [])).toBe("PO-1");
  expect(match(1000, booked(1000))).toBeUndefined();
  expect(match(700, booked(300))).toBe("PO-1");
  expect(match(700, booked(400))).toBeUndefined();
  expect(match(12, booked(1000), "r 1")).toBe("PO-1");
  expect(match(-1000, [])).toBeUndefined();
});
