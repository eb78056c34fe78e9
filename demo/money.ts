// Rates, materials and expenses.
import type { Expense, Plan, RateEntry, RateTable } from "../core/plan/schema.ts";

const RISE = 1.03;
const cents = (rate: number) => Math.round(rate * 100) / 100;

/** An hourly rate of a role that rises on 1 January and 1 April 2027. */
const rising = (roleId: string, rate: number): RateEntry[] => [
  { roleId, rate, overtimeRate: cents(rate * 1.5) },
  { roleId, from: "2027-01-01", rate: cents(rate * RISE), overtimeRate: cents(rate * RISE * 1.5) },
  { roleId, from: "2027-04-01", rate: cents(rate * RISE * 1.02), overtimeRate: cents(rate * RISE * 1.53) },
];

const costOf: Record<string, number> = {
  lead: 46,
  designer: 41,
  writer: 36,
  fabricator: 34,
  lighting: 38,
  media: 43,
  conservator: 39,
  installer: 31,
};
const billOf: Record<string, number> = {
  lead: 92,
  designer: 84,
  writer: 74,
  fabricator: 66,
  lighting: 76,
  media: 86,
  conservator: 80,
  installer: 60,
};

const prices = (factor: number): RateEntry[] => [
  { materialId: "birch", rate: cents(31.4 * factor), perUse: 35 },
  { materialId: "birch", from: "2027-04-01", rate: cents(32.9 * factor), perUse: 35 },
  { materialId: "acrylic", rate: cents(58 * factor), perUse: 45 },
  { materialId: "led", rate: cents(14.2 * factor) },
  { materialId: "tube", rate: cents(11.5 * factor), perUse: 60 },
  { materialId: "board", rate: cents(9.8 * factor) },
  { materialId: "paint", rate: cents(18.6 * factor) },
];

export const rateTables: RateTable[] = [
  {
    id: "studio-cost",
    name: "Studio cost",
    kind: "cost",
    entries: [
      ...Object.entries(costOf).flatMap(([role, rate]) => rising(role, rate)),
      { personId: "mara", rate: 42, overtimeRate: 63 },
      { personId: "mara", from: "2027-04-01", rate: 43.5, overtimeRate: 65.25 },
      { personId: "ines", rate: 47.5, overtimeRate: 71.25 },
      { personId: "amadou", from: "2027-01-01", rate: 49 },
      { personId: "silvi", rate: 44, perUse: 25 },
      ...prices(1),
    ],
  },
  {
    id: "contract-cost",
    name: "Contract cost 2027",
    kind: "cost",
    entries: [
      ...Object.entries(costOf)
        .filter(([role]) => role !== "media")
        .flatMap(([role, rate]) => rising(role, cents(rate * 1.04))),
      { personId: "ruta", rate: 45 },
      { personId: "gwen", rate: 58 },
      ...prices(1.02),
    ],
  },
  {
    id: "freelance-gbp",
    name: "Freelance, pounds",
    kind: "cost",
    currency: "GBP",
    entries: [{ personId: "gwen", rate: 46 }, { personId: "gwen", from: "2027-04-01", rate: 48.5 }, { rate: 40 }],
  },
  {
    id: "studio-bill",
    name: "Studio bill",
    kind: "bill",
    entries: [
      ...Object.entries(billOf).flatMap(([role, rate]) => [
        { roleId: role, rate },
        { roleId: role, from: "2027-01-01", rate: cents(rate * 1.04) },
      ]),
      ...prices(1.25),
    ],
  },
  {
    id: "saltmarsh-bill",
    name: "Saltmarsh museum bill",
    kind: "bill",
    entries: [...Object.entries(billOf).map(([role, rate]) => ({ roleId: role, rate: cents(rate * 0.95) })), ...prices(1.15)],
  },
];

export const exchangeRates: Plan["exchangeRates"] = [
  { currency: "GBP", from: "2026-10-01", rate: 1.16 },
  { currency: "GBP", from: "2027-01-01", rate: 1.1725 },
  { currency: "GBP", from: "2027-04-01", rate: 1.1684 },
];

export const materials: Plan["materials"] = [
  { id: "birch", name: "Birch plywood", unit: "m²" },
  { id: "acrylic", name: "Acrylic sheet, 20 mm", unit: "m²" },
  { id: "led", name: "LED strip", unit: "m" },
  { id: "tube", name: "Steel tube", unit: "m" },
  { id: "board", name: "Mount board", unit: "m²" },
  { id: "paint", name: "Scenic paint", unit: "l" },
];

export const expenses: Expense[] = [
  {
    id: "x-crane",
    projectId: "tidepool",
    name: "Crane hire for the wave tank",
    supplier: "Altura Lifting",
    amount: 2850,
    taxPercent: 23,
    from: "2027-04-19",
    to: "2027-04-21",
    costType: "hardware",
    treatment: "operating",
    state: "committed",
  },
  {
    id: "x-freight",
    projectId: "tidepool",
    name: "Freight to the coast",
    supplier: "Marisma Freight",
    amount: 1640,
    taxPercent: 23,
    date: "2027-04-16",
    costType: "other",
    treatment: "operating",
    state: "planned",
  },
  {
    id: "x-travel",
    projectId: "rivers",
    name: "Site travel",
    amount: 2200,
    quantity: 8,
    unitPrice: 275,
    from: "2027-02-01",
    to: "2027-05-31",
    costType: "travel",
    treatment: "operating",
    state: "planned",
  },
  {
    id: "x-player",
    projectId: "slowlight",
    name: "Show players",
    supplier: "Cobalt Signal",
    amount: 5400,
    taxPercent: 23,
    date: "2027-03-15",
    costType: "hardware",
    treatment: "capital",
    state: "planned",
  },
  {
    id: "x-licence",
    projectId: "standing",
    name: "Drawing software, a year",
    amount: 4320,
    taxPercent: 23,
    from: "2027-01-01",
    to: "2027-12-31",
    costType: "software",
    treatment: "operating",
    state: "paid",
  },
];
