// The marks of money in answers: which side each figure is of. The type checker finds a figure of money without a mark.
import type { MoneyMeasure } from "../core/cost/moneyQuery.ts";
import type { MarksOf, MoneySide } from "../core/plan/moneySides.ts";
import type { Plan } from "../core/plan/schema.ts";
import type { Proposal } from "../core/staffing/proposal.ts";
import type { ToldCause } from "./messages.ts";
import type { QueryOf, Question, WholeAnswerOf } from "./questions.ts";
import type { SearchKind, WholeNews } from "./searches.ts";
import type { NeverRedacted } from "./seen.ts";

/** The side that a measure is of. */
const sideOf: Record<MoneyMeasure, MoneySide> = { cost: "cost", left: "cost", revenue: "bill", margin: "margin" };

const ofProject = {
  budget: "cost",
  budgetByKind: { labour: "cost", material: "cost", fixed: "cost", expense: "cost" },
  billing: { fee: "bill" },
} as const;

const ofTask = { fixedCost: "cost" } as const;

const byKind = ofProject.budgetByKind;

const ofMargin = {
  cost: "cost",
  budget: "cost",
  revenue: "bill",
  share: "margin",
  isBelow: "margin",
} as const;

const budgetRun = { budget: "cost", before: "cost", running: "cost" } as const;

/** Tables of both kinds come in one answer. */
const rate = ["cost", "bill"] as const;
const ofRateTable = { entries: { rate, overtimeRate: rate, perUse: rate } } as const;

const ofChange = { before: "cost", after: "cost", difference: "cost" } as const;
const ofActuals = {
  planned: "cost",
  committed: "cost",
  actual: "cost",
  remaining: "cost",
  atCompletion: "cost",
  variance: "cost",
} as const;
const ofExpense = { amount: "cost", unitPrice: "cost" } as const;
const effect = { cost: "cost", revenue: "bill" } as const;
const signal = { share: "margin", weight: "margin" } as const;
const candidate = { cost: "cost", marginAfter: "margin" } as const;

const ofEarned = {
  actualCost: "cost",
  remainingCost: "cost",
  promised: {
    cost: "cost",
    costDifference: "cost",
    plannedValue: "cost",
    earnedValue: "cost",
    scheduleVariance: "cost",
    costVariance: "cost",
    atCompletion: "cost",
    varianceAtCompletion: "cost",
    atCompletionByIndex: "cost",
    spi: "cost",
    cpi: "cost",
    tcpi: "cost",
  },
} as const;

type AnswerMarks<Q extends Question> = MarksOf<WholeAnswerOf<Q>, NeverRedacted>;

/** The marks of every answer that has figures of money; of some, the query decides the side. */
export const moneyIn: {
  readonly [Q in Question as [AnswerMarks<Q>] extends [never] ? never : Q]: AnswerMarks<Q> | ((query: QueryOf<Q>) => AnswerMarks<Q>);
} = {
  evened: { before: effect, after: effect, effects: effect },
  portfolio: { project: ofProject },
  outline: { project: ofProject, tasks: { cost: byKind, task: ofTask }, cost: byKind, costWithoutTask: byKind },
  taskOf: ofTask,
  taskPrices: { cost: "cost", margin: "margin" },
  today: { signals: signal, snoozed: { signal } },
  candidates: { margin: "margin", fitting: candidate, near: candidate },
  impact: { money: effect },
  adoption: { impact: { money: effect } },
  money: ({ measure }) => {
    const side = sideOf[measure];
    return { rows: { periods: side, total: side }, totals: side, total: side, before: "cost", budget: budgetRun };
  },
  moneyLines: ({ measure }) => ({ lines: { amount: sideOf[measure], whole: sideOf[measure] }, total: sideOf[measure] }),
  moneyWhy: ({ subject }) => {
    const side = subject.kind === "revenue" ? "bill" : "cost";
    return { parts: { rate: side, overtimeRate: side, whole: side, amount: side }, total: side };
  },
  expenses: { rows: { expense: ofExpense, amount: "cost", tax: "cost", counted: "cost" } },
  actuals: { rows: ofActuals, totals: ofActuals },
  actualLines: { actual: "cost", remaining: "cost", bookings: { amount: "cost" } },
  bookings: { rows: { booking: { amount: "cost" }, amount: "cost" } },
  rateTables: ofRateTable,
  rateUses: { amount: rate },
  horizon: { pipeline: { value: "bill" } },
  horizonHelps: { helps: { cost: "cost" } },
  horizonHelp: { cost: "cost" },
  earned: { rows: ofEarned, totals: ofEarned },
  earnedTasks: ofEarned,
  baselineChange: { rows: ofChange, totals: ofChange },
  earnedCurve: { planned: "cost", spent: "cost", forecast: "cost" },
  margins: { projects: ofMargin, clients: ofMargin },
  marginPeople: { cost: "cost", revenue: "bill", share: "margin" },
  budgets: { budget: "cost", spent: "cost", left: "cost" },
  compareSketches: { cost: "cost", addedPeople: "cost", revenue: "bill", margin: "margin" },
  enquiries: { rows: { enquiry: { value: "bill" } } },
  enquiryEffect: { money: { cost: "cost", revenue: "bill", share: "margin", isBelow: "margin" } },
};

const remedy = { effect, marginAfter: "margin" } as const;

/** The marks of what searches report. */
export const moneyInNews: { readonly [K in SearchKind]: MarksOf<WholeNews<K>, NeverRedacted> } = {
  remedies: { lines: remedy },
  evenOut: { found: remedy },
};

/** Of the plan itself, whose tables are exported as files. */
export const moneyInPlan: MarksOf<Plan, NeverRedacted> = {
  rateTables: ofRateTable,
  projects: ofProject,
  tasks: ofTask,
  expenses: ofExpense,
  enquiries: { value: "bill" },
  actualCosts: { amount: "cost" },
  // The minutes of the days are hidden with their cost.
  baselines: { tasks: { days: "cost" }, projects: { days: "cost" } },
  templates: { tasks: ofTask },
};

/** Of the causes of a deviation. */
export const moneyInCauses: MarksOf<ToldCause, NeverRedacted> = { cost: "cost" };

/** And of proposals. */
export const moneyInProposal: MarksOf<Proposal, NeverRedacted> = { lines: { cost: "cost" } };
