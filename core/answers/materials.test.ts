// Needs of materials against the quantities of the plan, by hand.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { horizonOf } from "../calendar/horizon.ts";
import { buildModel } from "../model.ts";
import { expensesOf } from "./expenses.ts";
import { type MaterialRow, materialNeeds } from "./materials.ts";

const plan = fernhollow();
const model = buildModel(plan);
const range = horizonOf(plan);
const used = plan.assignments.filter(({ materialId, taskId }) => {
  const task = plan.tasks.find(({ id }) => id === taskId);
  return materialId !== undefined && plan.projects.find(({ id }) => id === task?.projectId)?.stage !== "cancelled";
});

const total = (rows: readonly MaterialRow[], of: (row: MaterialRow) => boolean) => rows.filter(of).reduce((sum, row) => sum + row.total, 0);

test("what is needed of a material is the quantities with their waste, by project and in total, at every grain", () => {
  for (const grain of ["day", "week", "month", "quarter", "year"] as const) {
    const { rows, periods } = materialNeeds(model, { pipeline: "full", range, grain });
    for (const { id } of plan.materials) {
      const quantity = used.filter(({ materialId, quantity: own }) => materialId === id && own !== undefined);
      if (quantity.length !== used.filter(({ materialId }) => materialId === id).length) continue;
      const exact = quantity.reduce((sum, { quantity: own = 0, wastePercent = 0 }) => sum + own * (1 + wastePercent / 100), 0);
      const [whole] = rows.filter(({ materialId, projectId }) => materialId === id && projectId === null);
      if (!whole) {
        expect(exact).toBe(0);
        continue;
      }
      expect(whole.total / 10_000).toBeCloseTo(exact, 3);
      expect(total(rows, ({ materialId, projectId }) => materialId === id && projectId !== null) / 10_000).toBeCloseTo(exact, 2);
      // Periods are rounded one by one, to a ten-thousandth of a unit each.
      expect(Math.abs(whole.periods.reduce((sum, own) => sum + own, 0) - whole.total)).toBeLessThanOrEqual(periods.length);
    }
  }
});

test("each is first needed when the first task that uses it begins, or later where it is spread or due at the end", () => {
  const { rows, periods } = materialNeeds(model, { pipeline: "full", range, grain: "month" });
  for (const { materialId, firstDay, periods: amounts } of rows) {
    const starts = used
      .filter((own) => own.materialId === materialId)
      .map(({ taskId }) => model.schedule.of(plan.tasks.findIndex(({ id }) => id === taskId))?.start.day ?? Number.POSITIVE_INFINITY);
    expect(firstDay).toBeGreaterThanOrEqual(Math.min(...starts));
    const first = periods[amounts.findIndex((own) => own > 0)];
    expect(firstDay).toBeGreaterThanOrEqual(first.start);
    expect(firstDay).toBeLessThan(first.stop);
  }
});

test("a window has what falls into it, and two windows together what falls into both", () => {
  const middle = range.start + 180;
  const of = (start: number, stop: number) => materialNeeds(model, { pipeline: "full", range: { start, stop }, grain: "day" }).rows;
  const [first, second, whole] = [of(range.start, middle), of(middle, range.stop), of(range.start, range.stop)];
  for (const row of whole) {
    const same = ({ materialId, projectId }: MaterialRow) => materialId === row.materialId && projectId === row.projectId;
    expect(Math.abs(total(first, same) + total(second, same) - row.total)).toBeLessThanOrEqual(1);
  }
});

test("expenses are listed with their projects and tax to the cent, those of cancelled projects not", () => {
  const { rows, suppliers, currency } = expensesOf(model, { pipeline: "full" });
  expect(currency).toBe("EUR");
  expect(rows.map(({ expense }) => expense.id)).toEqual(plan.expenses.map(({ id }) => id));
  for (const { expense, amount, tax, projectName } of rows) {
    expect(amount).toBe(Math.round(expense.amount * 100));
    expect(tax).toBe(Math.floor((amount * (expense.taxPercent ?? 0)) / 100 + 0.5));
    expect(projectName).toBe(plan.projects.find(({ id }) => id === expense.projectId)?.name);
  }
  expect(suppliers).toEqual([...new Set(plan.expenses.flatMap(({ supplier }) => supplier ?? []))].sort());
  const [{ projectId }] = plan.expenses;
  const cancelled = {
    ...plan,
    projects: plan.projects.map((own) => (own.id === projectId ? { ...own, stage: "cancelled" as const } : own)),
  };
  expect(expensesOf(buildModel(cancelled), { pipeline: "full" }).rows.some(({ expense }) => expense.projectId === projectId)).toBe(false);
});
