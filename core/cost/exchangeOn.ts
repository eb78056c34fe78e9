// An amount of one currency in another on a day, by the exchange rates of a plan.
import { type Day, parseDay } from "../calendar/day.ts";
import type { Plan } from "../plan/schema.ts";
import { exchangeMillionths, quotientHalfUp, rateUnits } from "../values/units.ts";

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
  const steps = exchangeSteps(exchangeRates, currency);
  const held = date === "" ? steps[0] : steps.findLast(({ from }) => from <= parseDay(date));
  return held ? held.factor : null;
}

/** The exchange rates of one currency in the order of their days, each in millionths of the plan's. */
export function exchangeSteps(exchangeRates: Plan["exchangeRates"], currency: string): { from: Day; factor: bigint }[] {
  return exchangeRates
    .filter((rate) => rate.currency === currency)
    .map(({ from, rate }) => ({ from: parseDay(from), factor: BigInt(exchangeMillionths(rate)) }))
    .sort((a, b) => a.from - b.from);
}
