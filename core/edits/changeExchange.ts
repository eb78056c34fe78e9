// Sets what other currencies are worth, from which day on.
import * as z from "zod";
import { SETTINGS_ID } from "../plan/lists.ts";
import { changedSchemas } from "../plan/schema.ts";
import { changedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("changeExchange"), rates: changedSchemas.exchange.shape.rates });

export const changeExchange: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { rates }) => {
    const days = new Set<string>();
    for (const { currency, from } of rates) {
      if (currency === plan.settings.currency) return { fault: `The plan is in ${currency}: it needs no exchange rate.` };
      if (days.has(`${currency} ${from}`)) return { fault: `${currency} has two exchange rates from ${from}.` };
      days.add(`${currency} ${from}`);
    }
    return changedRow(plan, "exchange", SETTINGS_ID, { rates });
  },
  words: () => "change the exchange rates",
};
