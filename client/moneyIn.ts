// The places of money figures in the answers to questions, by side.

import type { MoneyMeasure } from "../core/cost/moneyQuery.ts";
import type { MoneyPlaces, MoneySide } from "../core/cost/redactMoney.ts";
import type { QueryOf, Question } from "./questions.ts";
import type { SearchKind } from "./searches.ts";

/** The side that a measure is of. */
const sideOf: Record<MoneyMeasure, MoneySide> = { cost: "cost", left: "cost", revenue: "bill", margin: "margin" };

const ofProject = (place: string): MoneyPlaces => ({
  cost: [`${place}.budget`, `${place}.budgetByKind.*`],
  bill: [`${place}.billing.fee`],
});

const marginPlaces = (place: string): Required<MoneyPlaces> => ({
  cost: [`${place}.cost`, `${place}.budget`],
  bill: [`${place}.revenue`],
  margin: [`${place}.share`, `${place}.isBelow`],
});

const both = (a: MoneyPlaces, b: MoneyPlaces): MoneyPlaces => ({
  cost: [...(a.cost ?? []), ...(b.cost ?? [])],
  bill: [...(a.bill ?? []), ...(b.bill ?? [])],
  margin: [...(a.margin ?? []), ...(b.margin ?? [])],
});

const budgetPlaces = ["before", "budget.budget", "budget.before", "budget.running.*"];

const ratePlaces = ["*.entries.*.rate", "*.entries.*.overtimeRate", "*.entries.*.perUse"];

/** Edits in answers carry the values that they will write and are not redacted: their permission is checked with the edit. */
export const moneyIn: { readonly [Q in Question]?: MoneyPlaces | ((query: QueryOf<Q>) => MoneyPlaces) } = {
  evened: { cost: ["before.cost", "after.cost"], bill: ["before.revenue", "after.revenue"] },
  portfolio: ofProject("*.project"),
  outline: both(ofProject("project"), { cost: ["tasks.*.cost.*", "tasks.*.task.fixedCost", "cost.*", "costWithoutTask.*"] }),
  taskOf: { cost: ["fixedCost"] },
  taskPrices: { cost: ["*.cost"], margin: ["*.margin"] },
  today: { margin: ["signals.*.share", "signals.*.weight"] },
  candidates: {
    cost: ["fitting.*.cost", "near.*.cost"],
    margin: ["margin", "fitting.*.marginAfter", "near.*.marginAfter"],
  },
  impact: { cost: ["money.cost"], bill: ["money.revenue"] },
  adoption: { cost: ["impact.money.cost"], bill: ["impact.money.revenue"] },
  money: ({ measure }) => ({
    [sideOf[measure]]: ["rows.*.periods.*", "rows.*.total", "totals.*", "total", ...(sideOf[measure] === "cost" ? budgetPlaces : [])],
    ...(sideOf[measure] !== "cost" && { cost: budgetPlaces }),
  }),
  moneyLines: ({ measure }) => ({ [sideOf[measure]]: ["lines.*.amount", "lines.*.whole", "total"] }),
  moneyWhy: ({ subject }) => ({
    [subject.kind === "revenue" ? "bill" : "cost"]: ["parts.*.rate", "parts.*.overtimeRate", "parts.*.whole", "parts.*.amount", "total"],
  }),
  expenses: { cost: ["rows.*.expense.amount", "rows.*.expense.unitPrice", "rows.*.amount", "rows.*.tax", "rows.*.counted"] },
  // Tables of both kinds come in one answer.
  rateTables: { cost: ratePlaces, bill: ratePlaces },
  rateUses: { cost: ["*.amount"], bill: ["*.amount"] },
  horizon: { bill: ["pipeline.*.value"] },
  horizonHelps: { cost: ["helps.*.cost"] },
  horizonHelp: { cost: ["cost"] },
  margins: both(marginPlaces("projects.*"), marginPlaces("clients.*")),
  marginPeople: { cost: ["*.cost"], bill: ["*.revenue"], margin: ["*.share"] },
  budgets: { cost: ["*.budget", "*.spent", "*.left"] },
  compareSketches: { cost: ["*.cost", "*.addedPeople"], bill: ["*.revenue"], margin: ["*.margin"] },
  enquiries: { bill: ["rows.*.enquiry.value"] },
  enquiryEffect: { cost: ["money.cost"], bill: ["money.revenue"], margin: ["money.share", "money.isBelow"] },
};

const remedyPlaces: MoneyPlaces = { cost: ["*.effect.cost"], bill: ["*.effect.revenue"], margin: ["*.marginAfter"] };

const under = (list: string, places: MoneyPlaces): MoneyPlaces =>
  Object.fromEntries(Object.entries(places).map(([side, of]) => [side, of.map((place) => `${list}.${place}`)]));

/** The same of what searches report. */
export const moneyInNews: Readonly<Record<SearchKind, MoneyPlaces>> = {
  remedies: under("lines", remedyPlaces),
  evenOut: under("found", remedyPlaces),
};

/** Of the plan itself, whose tables are exported as files. */
export const moneyInPlan: MoneyPlaces = both(under("rateTables", { cost: ratePlaces, bill: ratePlaces }), {
  cost: ["projects.*.budget", "projects.*.budgetByKind.*", "tasks.*.fixedCost", "expenses.*.amount", "expenses.*.unitPrice"],
  bill: ["projects.*.billing.fee", "enquiries.*.value"],
});

/** And of proposals. */
export const moneyInProposal: MoneyPlaces = { cost: ["lines.*.cost"] };
