// An amount of one currency in another on a day, by the exchange rates of a plan.
import type { Plan } from "../plan/schema.ts";
import { exchangeMillionths, quotientHalfUp, rateUnits } from "../plan/units.ts";

export interface Currencies {
  /** The plan's own, which exchange rates are stated in. */
  own: string;
  exchangeRates: Plan["exchangeRates"];
}

/**
 * A rate of one currency in another, as the exchange rates of the day have it.
 * @param rate In major units of `from`, to four decimals.
 * @param date `yyyy-mm-dd`; "" is before all dates, and takes the first exchange rate there is.
 * @returns Major units of `to`, to four decimals rounded half up; null where an exchange rate is missing.
 */
export function rateInCurrency(rate: number, from: string, to: string, date: string, currencies: Currencies): number | null {
  if (from === to) return rate;
  const [factor, divisor] = [millionthsOn(from, date, currencies), millionthsOn(to, date, currencies)];
  if (factor === null || divisor === null) return null;
  return Number(quotientHalfUp(BigInt(rateUnits(rate)) * factor, divisor)) / 10_000;
}

function millionthsOn(currency: string, date: string, { own, exchangeRates }: Currencies): bigint | null {
  if (currency === own) return 1_000_000n;
  const known = exchangeRates.filter((rate) => rate.currency === currency).toSorted((a, b) => a.from.localeCompare(b.from));
  const held = date === "" ? known[0] : known.findLast((rate) => rate.from <= date);
  return held ? BigInt(exchangeMillionths(held.rate)) : null;
}
