import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { buildModel } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { taskPrices } from "./taskPrices.ts";

const demo = fernhollow();
const [{ id: taskId, projectId }] = demo.tasks.filter(({ id }) => id === "tidepool-rockpools");

function priced(rates: Plan["rateTables"], billing: "timeAndMaterials" | "internal"): Plan {
  return {
    ...demo,
    rateTables: rates,
    exchangeRates: [{ currency: "GBP", from: "2027-01-01", rate: 1.2 }],
    projects: demo.projects.map((project) => {
      const { costTableId: _, billTableId: __, ...rest } = project;
      return project.id === projectId ? { ...rest, costTableId: "c", billTableId: "b", billing: { kind: billing } } : rest;
    }),
  };
}

const tables = (own: Plan["rateTables"][number]["entries"], currency?: string): Plan["rateTables"] => [
  { id: "c", name: "Cost", kind: "cost", entries: own, ...(currency !== undefined && { currency }) },
  { id: "b", name: "Billing", kind: "bill", entries: [{ rate: 80 }] },
];

const priceOf = (plan: Plan, personId: string) => taskPrices(buildModel(plan), taskId).find((own) => own.personId === personId);

test("an hour costs the person's rate, else the role's, in the plan's currency; the margin is what is left of the billing rate", () => {
  const rates = tables([{ rate: 40 }, { personId: "mara", rate: 50 }]);
  expect(priceOf(priced(rates, "timeAndMaterials"), "mara")).toEqual({ personId: "mara", cost: 5_000, margin: 3_750 });
  expect(priceOf(priced(rates, "timeAndMaterials"), "rui")).toEqual({ personId: "rui", cost: 4_000, margin: 5_000 });
  expect(priceOf(priced(rates, "internal"), "mara")).toEqual({ personId: "mara", cost: 5_000, margin: null });
  expect(priceOf(priced(tables([{ rate: 40 }], "GBP"), "timeAndMaterials"), "rui")).toMatchObject({ cost: 4_800, margin: 4_000 });
});

test("without a rate, an exchange rate or dates there is no price", () => {
  expect(priceOf(priced(tables([{ personId: "mara", rate: 50 }]), "timeAndMaterials"), "rui")).toMatchObject({ cost: null, margin: null });
  expect(priceOf(priced(tables([{ rate: 50 }], "CHF"), "timeAndMaterials"), "rui")).toMatchObject({ cost: null, margin: null });
  expect(taskPrices(buildModel(demo), "no such task")).toEqual([]);
});
