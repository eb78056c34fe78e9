// What money is called on screen and in files.

import type { Grain } from "../../core/calendar/periods.ts";
import type { MoneyPart, MoneyWhy } from "../../core/cost/explainMoney.ts";
import { type MoneyBy, NONE } from "../../core/cost/moneyKeys.ts";
import type { MoneyMeasure } from "../../core/cost/moneyQuery.ts";
import { countText, hoursText, longDay, moneyText, shortDay, wholeText } from "../../ui/format.ts";
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
  left: "Budget left",
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

const nobody: Partial<Record<MoneyBy, string>> = { client: "Own work", category: "No category", person: "Nobody yet, or a team" };

/** What a row of the table is called. */
export function rowName(by: MoneyBy, key: string, name: string | null): string {
  if (name !== null) return name;
  if (!key.startsWith(NONE)) return (by === "kind" ? lineWords : wordsOfExpense)[key] ?? key;
  const kind = key.slice(NONE.length);
  if (kind === "" || (by === "person" && kind === "labour")) return nobody[by] ?? "None";
  if (kind === "expense" && (by === "supplier" || by === "treatment")) return by === "supplier" ? "No supplier" : "Neither stated";
  return lineWords[kind] ?? kind;
}

/** A rate in ten-thousandths, with as many decimals as it has: two at least. */
export function rateText(rate: number): string {
  const text = (rate / 10_000).toFixed(4);
  return text.replace(/0{1,2}$/, "");
}

/** Units in ten-thousandths. */
const unitsText = (units: number): string => String(Math.round(units) / 10_000);

/** One step of a sum, as a sentence with its figures. */
export function partText(part: MoneyPart, { currency }: Pick<MoneyWhy, "currency">, unit = ""): string {
  const days = part.start === part.last ? shortDay(part.start) : `${shortDay(part.start)} – ${shortDay(part.last)}`;
  const exchange = part.exchange === undefined ? "" : ` × ${part.exchange / 1_000_000}`;
  const whole = moneyText(part.whole ?? 0);
  const { own = 1, all = 1 } = part.part ?? {};
  switch (part.what) {
    case "hours": {
      const overtime = part.overtime ? ` + ${hoursText(part.overtime)} h overtime × ${rateText(part.overtimeRate ?? 0)}` : "";
      return `${days}: ${hoursText(part.minutes ?? 0)} h × ${rateText(part.rate ?? 0)}${overtime}${exchange}`;
    }
    case "units":
      return `${days}: ${unitsText(part.units ?? 0)} ${unit} × ${rateText(part.rate ?? 0)}${exchange}`.replace("  ", " ");
    case "perUse":
      return `${days}: once for each use, ${currency} ${whole}${exchange}`;
    case "share":
      return own === all ? `${days}: ${whole}` : `${days}: ${countText(own, "part")} of ${wholeText(all)} of ${whole}`;
    case "fee":
      return `${days}: ${hoursText(part.minutes ?? 0)} of ${hoursText(all)} h of the fee of ${whole}`;
    case "noRate":
      return `${days}: ${amountOf(part, unit)} without a rate`;
    case "noExchange":
      return `${days}: ${amountOf(part, unit)} without an exchange rate for ${currency}`;
    case "rounding":
      return "Rounded together with the rest of the project";
  }
}

const amountOf = ({ minutes, units }: MoneyPart, unit: string) =>
  minutes === undefined ? `${unitsText(units ?? 0)} ${unit}` : `${hoursText(minutes)} h`;

/** Whose rate it is and since when. */
export function sourceText({ of, since }: MoneyPart, names: MoneyWhy["names"]): string | null {
  if (of === undefined) return null;
  const whose = of === "default" ? "everybody else" : (names[of] ?? of);
  return `rate of ${whose}${since === null || since === undefined ? "" : `, from ${longDay(since)}`}`;
}
