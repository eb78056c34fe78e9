// Sets what other currencies are worth, from which day on.
import * as z from "zod";
import { SETTINGS_ID } from "../plan/lists.ts";
import { changedSchemas, type Plan } from "../plan/schema.ts";
import { changedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("changeExchange"), rates: changedSchemas.exchange.shape.rates });

export const changeExchange: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { rates }) => {
    const fault = exchangeFault(plan, rates);
    return fault === null ? changedRow(plan, "exchange", SETTINGS_ID, { rates }) : { fault };
  },
  words: () => "change the exchange rates",
};

/** The reason why a plan cannot have these exchange rates; null if it can. */
export function exchangeFault(plan: Plan, rates: Plan["exchangeRates"]): string | null {
  const days = new Set<string>();
  for (const { currency, from } of rates) {
    if (currency === plan.settings.currency) return `The plan is in ${currency}: it needs no exchange rate.`;
    if (days.has(`${currency} ${from}`)) return `${currency} has two exchange rates from ${from}.`;
    days.add(`${currency} ${from}`);
  }
  return null;
}
