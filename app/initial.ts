// What the address of a page says: its time window, and single values.
import "server-only";
import { horizonOf, periodSettingsOf, todayOf } from "../core/calendar/horizon.ts";
import { windowFrom } from "../ui/timeWindow.ts";
import { clockDay, currentModel } from "./host.ts";

export type SearchParams = Promise<Record<string, string | string[] | undefined>>;

/** The time window that a page's URL states. */
export async function windowOfPage(searchParams: SearchParams) {
  const { model } = await currentModel();
  const { from, to, by } = await searchParams;
  const one = (value: string | string[] | undefined) => (typeof value === "string" ? value : null);
  return windowFrom(one(from), one(to), one(by), todayOf(model.plan, clockDay()), horizonOf(model.plan), periodSettingsOf(model.plan));
}

/** One value of a page's URL. */
export async function oneParam(searchParams: SearchParams, name: string): Promise<string | null> {
  const value = (await searchParams)[name];
  return typeof value === "string" ? value : null;
}
