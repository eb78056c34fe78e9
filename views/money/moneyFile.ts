// Money as a table of texts, for files: rows, periods and order of the screen, numbers without separators.

import type { Redacted } from "../../client/seen.ts";
import type { MoneyAnswer } from "../../core/answers/money.ts";
import { formatDay } from "../../core/calendar/day.ts";
import type { MoneyQuery } from "../../core/cost/moneyQuery.ts";
import { runningTotal } from "../../core/cost/runningTotal.ts";
import { type Figure, majorOf } from "../../core/plan/moneySides.ts";
import { rangeText } from "../../ui/format.ts";
import { pipelineWords } from "../periods/pipelineWords.ts";
import { groupWords, kindWords, measureWords, rowName } from "./moneyWords.ts";

/** The subject and the days of the figures, as in "Tidepool Hall, 1 Feb – 31 Mar 2027". */
export function moneyFileOf({ places, periods }: Redacted<MoneyAnswer>): string {
  const names = places.flatMap(({ name }) => name ?? []);
  const range = periods.length === 0 ? [] : [rangeText({ start: periods[0].start, stop: periods[periods.length - 1].stop })];
  return [...names, ...range].join(", ");
}

/** The kind of the figures, as in "Cost in EUR by kind of cost". */
export function figuresText({ currency }: Pick<MoneyAnswer, "currency">, { by, measure, kind }: MoneyQuery): string {
  const what = measure === "cost" && kind !== "all" ? `Cost: ${kindWords[kind].toLowerCase()}` : measureWords[measure];
  return `${what} in ${currency} by ${groupWords[by].toLowerCase()}`;
}

/** A header row, a row for each of the table, the sums, and of cost its running total. */
export function moneyFile(money: Redacted<MoneyAnswer>, query: MoneyQuery): string[][] {
  const { rows, periods, totals, total, before, budget } = money;
  const { by, measure, pipeline } = query;
  const head = [
    [figuresText(money, query), moneyFileOf(money)].filter((text) => text !== "").join(": "),
    pipelineWords[pipeline],
    ...periods.map(({ start }) => formatDay(start)),
    "Total",
  ];
  const line = (name: string, side: string, amounts: readonly Figure[], sum: Figure | null) => [
    name,
    side,
    ...amounts.map(plain),
    sum === null ? "" : plain(sum),
  ];
  const reported = [
    head,
    ...rows.map((row) => line(rowName(by, row.key, row.name), row.side, row.periods, row.total)),
    line("All", "", totals, total),
  ];
  if (measure !== "cost") return reported;
  reported.push(line("Running total", before === 0 ? "" : "including earlier spending", runningTotal(totals, before), null));
  if (budget !== null) {
    const whose = budget.projects === budget.of ? "" : `${budget.projects} of ${budget.of} projects`;
    const fixed = periods.map(() => budget.budget);
    reported.push(line("Running total of projects with a budget", whose, budget.running, null), line("Budget", whose, fixed, null));
  }
  return reported;
}

const plain = (minor: Figure): string => majorOf(minor)?.toFixed(2) ?? "";
