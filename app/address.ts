// The time window and single values in the address of a page.
import "server-only";
import { createLoader } from "nuqs/server";
import { currentDay } from "../client/clock.ts";
import { horizonOf, periodSettingsOf, todayOf } from "../core/calendar/horizon.ts";
import { windowFrom } from "../ui/timeWindow.ts";
import { type MoneyParams, moneyParams, moneyQueryOf } from "../views/money/moneyParams.ts";
import { currentAnswer, shownPlan } from "./host.ts";

export type SearchParams = Promise<Record<string, string | string[] | undefined>>;

/** The time window that a page's URL states. */
export async function windowOfPage(searchParams: SearchParams) {
  const plan = await shownPlan();
  const { from, to, by } = await searchParams;
  const one = (value: string | string[] | undefined) => (typeof value === "string" ? value : null);
  return windowFrom(one(from), one(to), one(by), todayOf(plan, currentDay()), horizonOf(plan), periodSettingsOf(plan));
}

/** One value of a page's URL. */
export async function oneParam(searchParams: SearchParams, name: string): Promise<string | null> {
  const value = (await searchParams)[name];
  return typeof value === "string" ? value : null;
}

const loadMoney = createLoader(moneyParams);

/** The query of money in a page's URL. */
export async function moneyAskedBy(searchParams: SearchParams, set: Partial<MoneyParams> = {}) {
  const plan = await shownPlan();
  const params = { ...loadMoney(await searchParams), ...set };
  return moneyQueryOf(params, await windowOfPage(searchParams), horizonOf(plan));
}

/** The money that a page's URL asks for. */
export async function moneyAnswerOf(searchParams: SearchParams, set: Partial<MoneyParams> = {}) {
  return currentAnswer("money", await moneyAskedBy(searchParams, set));
}
