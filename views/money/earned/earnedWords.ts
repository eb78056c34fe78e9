// Earned value in sentences: each figure with what it was calculated from.
import type { Redacted } from "../../../client/seen.ts";
import type { EarnedRow } from "../../../core/answers/earned.ts";
import { type Figure, figureFrom, isHidden, isNegative, lessFigure } from "../../../core/plan/moneySides.ts";
import { countText, hoursText, marginText, moneyText, shortDay } from "../../../ui/format.ts";

/** A difference with its sign: "+3 d", "−2 d"; empty for none. */
export const daysText = (days: number | null): string => (days === null || days === 0 ? "" : `${days > 0 ? "+" : "−"}${Math.abs(days)} d`);

/** A difference of minutes in hours, with its sign; empty for none. */
export const moreHours = (minutes: number): string => (minutes === 0 ? "" : `${minutes > 0 ? "+" : "−"}${hoursText(Math.abs(minutes))} h`);

/** A difference of money with its sign. */
export const moreMoney = (minor: Figure): string => (isHidden(minor) || minor <= 0 ? moneyText(minor, 0) : `+${moneyText(minor, 0)}`);

/** An index in ten-thousandths, with two decimals; a dash where there is none. */
export const indexText = (index: Figure | null): string =>
  index === null ? "–" : isHidden(index) ? moneyText(index) : (index / 10_000).toFixed(2);

interface Sentence {
  name: string;
  figure: string;
  says: string;
  isBad?: boolean;
}

/** The figures of a project on the status date, in the order in which one follows from the other. @param status A day. */
export function sentencesOf({ promised, percent, actualCost, remainingCost }: Redacted<EarnedRow>, status: number): Sentence[] {
  if (!promised) return [];
  const day = shortDay(status);
  const { cost, plannedValue, earnedValue, scheduleVariance, costVariance, atCompletion, varianceAtCompletion, spi, cpi, tcpi } = promised;
  const amount = (minor: Figure) => moneyText(minor, 0);
  return [
    { name: "Budget", figure: amount(cost), says: "The cost that the baseline promised." },
    { name: "Planned value", figure: amount(plannedValue), says: `Of the budget, what was planned for the days before ${day}.` },
    { name: "Earned value", figure: amount(earnedValue), says: `Of the budget, what is done: ${marginText(percent)} of the hours.` },
    { name: "Actual cost", figure: amount(actualCost), says: `The cost of the days before ${day}.` },
    {
      name: "Schedule variance",
      figure: moreMoney(scheduleVariance),
      isBad: isNegative(scheduleVariance),
      says: `Earned less planned value${behind(scheduleVariance, "behind the baseline", "ahead of the baseline")}.`,
    },
    {
      name: "Cost variance",
      figure: moreMoney(costVariance),
      isBad: isNegative(costVariance),
      says: `Earned value less actual cost${behind(costVariance, "the work cost more than promised", "the work cost less than promised")}.`,
    },
    { name: "Schedule index", figure: indexText(spi), says: "Earned ÷ planned value; below 1.00 is behind.", isBad: isBelowOne(spi) },
    { name: "Cost index", figure: indexText(cpi), says: "Earned value ÷ actual cost; below 1.00 is over cost.", isBad: isBelowOne(cpi) },
    {
      name: "At completion",
      figure: amount(atCompletion),
      says: `Actual cost and ${amount(remainingCost)} still to come, as planned now.`,
    },
    {
      name: "Variance at completion",
      figure: moreMoney(varianceAtCompletion),
      isBad: isNegative(varianceAtCompletion),
      says: `Budget less cost at completion${behind(varianceAtCompletion, "over the budget", "within the budget")}.`,
    },
    {
      name: "At completion by index",
      figure: promised.atCompletionByIndex === null ? "–" : amount(promised.atCompletionByIndex),
      says: "If the rest costs as much for its value as the past did.",
    },
    { name: "Index to complete", figure: indexText(tcpi), says: "The cost index that the rest needs to end within the budget." },
  ];
}

const isBelowOne = (index: Figure | null): boolean => index !== null && isNegative(lessFigure(index, 10_000));

const behind = (minor: Figure, under: string, over: string): string =>
  isHidden(minor) || minor === 0 ? "" : `: ${minor < 0 ? under : over}`;

/** A finish against the one that was promised. */
export function finishSentence({ finish, promised }: Redacted<EarnedRow>): string {
  if (finish === null || !promised || promised.finish === null || promised.finishDays === null) return "";
  const { finishDays } = promised;
  if (finishDays === 0) return `Finishes on ${shortDay(finish)}, as promised.`;
  const by = countText(Math.abs(finishDays), "working day");
  return `Finishes on ${shortDay(finish)}, ${by} ${finishDays > 0 ? "later" : "earlier"} than promised.`;
}

/** The difference between what a row costs at completion and what was promised; hidden with its cost. */
export const overPromise = ({ promised, actualCost, remainingCost }: Redacted<EarnedRow>): Figure =>
  promised ? promised.costDifference : figureFrom(actualCost, (spent) => (isHidden(remainingCost) ? spent : spent + remainingCost));
