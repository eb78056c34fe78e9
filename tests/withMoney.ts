// A plan with every kind of money in it: billing of all kinds, materials, expenses with tax, fixed costs, a second currency.
import type { Assignment, Expense, Plan, RateTable } from "../core/plan/schema.ts";
import { randomFrom } from "../demo/random.ts";
import { nextDate } from "./plainCapacity.ts";

const billings = [{ kind: "timeAndMaterials" }, { kind: "fixedFee", fee: 12_345.67 }, { kind: "internal" }] as const;

export function withMoney(plan: Plan, seed: number): Plan {
  const { pick, below } = randomFrom(seed + 900);
  const from = (most: number) => nextDate(plan.settings.planStart, below(most));
  const rates = (factor: number): RateTable["entries"] => [
    { rate: 31.25 * factor, overtimeRate: 47.1 },
    { from: from(200), rate: 33.3333 * factor, perUse: 12.5 },
    ...plan.people.slice(0, 2).map(({ id }) => ({ personId: id, from: from(90), rate: 40.01 * factor })),
    { materialId: "stuff", rate: 7.77 * factor, perUse: 3.33 },
  ];
  const kinds = { accrual: ["start", "even", "end"] as const };
  const materials = plan.tasks.slice(0, 4).map(
    ({ id }, at): Assignment => ({
      id: `stuff-${at}`,
      taskId: id,
      materialId: "stuff",
      ...(at % 2 === 0 ? { quantity: 1 + below(30) } : { quantityPerDay: 0.75 }),
      wastePercent: below(20),
      accrual: pick(kinds.accrual),
    }),
  );
  const expenses = Array.from({ length: 5 }, (_, at): Expense => {
    const start = from(200);
    return {
      id: `expense-${at}`,
      projectId: pick(plan.projects).id,
      name: `Expense ${at}`,
      amount: below(100_000) / 100,
      taxPercent: 19,
      costType: "other",
      ...(at % 2 === 0 ? { date: start } : { from: start, to: nextDate(start, below(60)) }),
    };
  });
  return {
    ...plan,
    settings: { ...plan.settings, taxInCost: seed % 2 === 0 },
    materials: [{ id: "stuff", name: "Stuff", unit: "m" }],
    exchangeRates: [{ currency: "GBP", from: plan.settings.planStart, rate: 1.1725 }],
    rateTables: [
      { id: "costs", name: "Costs", kind: "cost", entries: rates(1) },
      { id: "bills", name: "Bills", kind: "bill", currency: "GBP", entries: rates(2) },
    ],
    projects: plan.projects.map((own, at) => ({
      ...own,
      costTableId: "costs",
      billTableId: "bills",
      billing: billings[at % billings.length],
    })),
    tasks: plan.tasks.map((own, at) =>
      at % 3 === 0 ? { ...own, fixedCost: below(50_000) / 100, fixedCostAccrual: pick(kinds.accrual) } : own,
    ),
    assignments: [...plan.assignments, ...materials],
    expenses,
  };
}
