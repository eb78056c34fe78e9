// The names of money on screen and in files.

import type { Redacted } from "../../client/seen.ts";
import type { Grain } from "../../core/calendar/periods.ts";
import type { MoneyPart, MoneyWhy } from "../../core/cost/explainMoney.ts";
import { type MoneyBy, NONE } from "../../core/cost/moneyKeys.ts";
import type { MoneyMeasure } from "../../core/cost/moneyQuery.ts";
import { type Figure, isHidden } from "../../core/plan/moneySides.ts";
import { hoursText, longDay, moneyText, shortDay } from "../../ui/format.ts";
import type { moneyKinds, spans } from "./moneyParams.ts";

export const groupWords: Record<MoneyBy, string> = {
  project: "Project",
  client: "Client",
  category: "Category",
  phase: "Phase",
  task: "Task",
  person: "Person",
  role: "Role",
  kind: "Kind of cost",
  supplier: "Supplier",
  costType: "Cost type",
  treatment: "Capital or operating",
};

export const measureWords: Record<MoneyMeasure, string> = {
  cost: "Cost",
  revenue: "Revenue",
  margin: "Margin",
  left: "Budget remaining",
};

export const kindWords: Record<(typeof moneyKinds)[number], string> = {
  all: "All cost",
  labour: "Labour",
  material: "Material",
  fixed: "Fixed costs",
  expense: "Expenses",
};

export const grainWords: Record<Grain, string> = {
  day: "By day",
  week: "By week",
  month: "By month",
  quarter: "By quarter",
  year: "By year",
};

export const spanWords: Record<(typeof spans)[number], string> = { window: "In the window", plan: "The whole plan" };

const lineWords: Record<string, string> = {
  labour: "Labour",
  material: "Material",
  fixed: "Fixed costs",
  expense: "Expenses",
  tax: "Tax",
  revenue: "Revenue",
};

export const costTypeWords = {
  externalLabour: "External labour",
  software: "Software",
  hardware: "Hardware",
  travel: "Travel",
  material: "Bought material",
  other: "Other",
} as const;

export const stateWords = { planned: "Planned", committed: "Committed", paid: "Paid" } as const;

export const treatmentWords = { capital: "Capital", operating: "Operating" } as const;

const wordsOfExpense: Record<string, string> = { ...costTypeWords, ...treatmentWords };

const nobody: Partial<Record<MoneyBy, string>> = { client: "Own work", category: "No category", person: "Unassigned, or a team" };

/** The name of a row of the table. */
export function rowName(by: MoneyBy, key: string, name: string | null): string {
  if (name !== null) return name;
  if (!key.startsWith(NONE)) return (by === "kind" ? lineWords : wordsOfExpense)[key] ?? key;
  const kind = key.slice(NONE.length);
  if (kind === "" || (by === "person" && kind === "labour")) return nobody[by] ?? "None";
  if (kind === "expense" && (by === "supplier" || by === "treatment")) return by === "supplier" ? "No supplier" : "Not stated";
  return lineWords[kind] ?? kind;
}

/** A rate in ten-thousandths, with as many decimals as it has: two at least. */
export function rateText(rate: Figure): string {
  if (isHidden(rate)) return "hidden";
  const text = (rate / 10_000).toFixed(4);
  return text.replace(/0{1,2}$/, "");
}

const daysText = (days: number): string => String(Math.round(days * 100) / 100);

/** Units in ten-thousandths. */
const unitsText = (units: number): string => String(Math.round(units) / 10_000);

/** One step of a sum, as it would be worked out with a pencil. @param own The plan's currency. */
export function partText(part: Redacted<MoneyPart>, why: Pick<Redacted<MoneyWhy>, "currency" | "unit">, own: string): string {
  const days = part.start === part.last ? shortDay(part.start) : `${shortDay(part.start)} – ${shortDay(part.last)}`;
  return `${days}: ${exchanged(termText(part, why), part, why.currency, own)}`;
}

/** A product or sum in the table's currency, before it is exchanged. */
function termText(part: Redacted<MoneyPart>, { currency, unit }: Pick<Redacted<MoneyWhy>, "currency" | "unit">): string {
  const whole = moneyText(part.whole ?? 0);
  const { own = 1, all = 1 } = part.part ?? {};
  const priceOf = (rate: Figure | undefined) => `${currency} ${rateText(rate ?? 0)}/${unit ?? "h"}`;
  switch (part.what) {
    case "hours": {
      const regular = `${hoursText(part.minutes ?? 0)} h × ${priceOf(part.rate)}`;
      return part.overtime ? `${regular} + ${hoursText(part.overtime)} h overtime × ${priceOf(part.overtimeRate)}` : regular;
    }
    case "units":
      return `${quantityText(part, unit)} × ${priceOf(part.rate)}`;
    case "perUse":
      return unit === "h" ? `call-out charge, ${currency} ${whole}` : `delivery charge, ${currency} ${whole}`;
    case "share":
      return own === all ? whole : `${daysText(own)} of ${daysText(all)} working days of ${whole}`;
    case "fee":
      return `${hoursText(part.minutes ?? 0)} of ${hoursText(all)} h of the fee of ${whole}`;
    case "noRate":
      return `${amountOf(part, unit ?? "")} without a rate`;
    case "noExchange":
      return `${amountOf(part, unit ?? "")} without an exchange rate for ${currency}`;
    case "rounding":
      return "rounded with the rest of the project";
  }
}

/** "11 m²", or with its waste "(10 m² + 10% waste)". */
function quantityText({ units = 0, plainUnits, waste = 0 }: Redacted<MoneyPart>, unit: string | null): string {
  if (plainUnits === undefined) return `${unitsText(units)} ${unit ?? ""}`;
  return `(${unitsText(plainUnits)} ${unit ?? ""} + ${waste / 100}% waste)`;
}

/** A term times its exchange rate, in brackets where the term is a sum. */
function exchanged(term: string, { what, overtime, exchange, exchangeSince }: Redacted<MoneyPart>, currency: string, own: string): string {
  if (exchange === undefined || exchangeSince === undefined) return term;
  const inBrackets = what === "hours" && overtime ? `(${term})` : term;
  return `${inBrackets} × ${exchange / 1_000_000} ${own}/${currency}, rate from ${longDay(exchangeSince)}`;
}

const amountOf = ({ minutes, units }: Redacted<MoneyPart>, unit: string) =>
  minutes === undefined ? `${unitsText(units ?? 0)} ${unit}` : `${hoursText(minutes)} h`;

/** The subject of the rate, and its first day. */
export function sourceText({ of, since }: Redacted<MoneyPart>, names: Redacted<MoneyWhy>["names"]): string | null {
  if (of === undefined) return null;
  const whose = of === "default" ? "everyone else" : (names[of] ?? of);
  return `rate of ${whose}${since === null || since === undefined ? "" : `, from ${longDay(since)}`}`;
}
