// From the decimals of a plan file to the integers of the core, always rounded half up on integers.

/** floor(numerator / divisor + ½) on integers; exact while 2 × numerator stays below 2^53. */
export function roundedQuotient(numerator: number, divisor: number): number {
  return Math.floor((2 * numerator + divisor) / (2 * divisor));
}

/** Hours as whole minutes. */
export const workMinutes = (hours: number): number => scaled(hours, 60);

/** Minutes as hours that come back to the same minutes. */
export const exactHours = (minutes: number): number => Math.round((minutes / 60) * 10_000) / 10_000;

/** Working days as whole ticks, 480 to a day; a lag may be negative. */
export const durationTicks = (days: number): number => scaled(days, 480);

/** Major units as minor units: hundredths, in every currency. */
export const minorUnits = (money: number): number => scaled(money, 100);

/** A rate or unit price in major units as ten-thousandths of a major unit; quantities likewise. */
export const rateUnits = (rate: number): number => scaled(rate, 10_000);

/** A quantity at a price each, both to four decimals, in minor units, rounded half up. */
export function productMinorUnits(quantity: number, unitPrice: number): number {
  return Number(quotientHalfUp(BigInt(rateUnits(quantity)) * BigInt(rateUnits(unitPrice)), 1_000_000n));
}

/** A percentage as hundredths of a percent. */
export const percentHundredths = (percent: number): number => scaled(percent, 100);

/** A share of one, say 0.85, as hundredths of a percent. */
export const shareHundredths = (share: number): number => scaled(share, 10_000);

/** An exchange rate as millionths. */
export const exchangeMillionths = (rate: number): number => scaled(rate, 1_000_000);

/** A decimal times a whole factor, rounded half up as its digits say, not as the float next to them does. */
function scaled(value: number, factor: number): number {
  const product = value * factor;
  if (Number.isInteger(value)) return product;
  const rounded = Math.floor(product + 0.5);
  // The float is off by parts in 10^16: only right next to a half can that decide.
  const isClear = Math.abs(product + 0.5 - Math.round(product + 0.5)) > 1e-9 + Math.abs(product) * 1e-15;
  return isClear ? rounded : scaledDigits(value, factor);
}

/** The same by the shortest digits that name the number, which are those that were typed. */
function scaledDigits(value: number, factor: number): number {
  const [mantissa, exponent = "0"] = String(value).split("e");
  const [whole, fraction = ""] = mantissa.split(".");
  const places = fraction.length - Number(exponent);
  const numerator = BigInt(whole + fraction) * BigInt(factor) * 10n ** BigInt(Math.max(0, -places));
  const divisor = 10n ** BigInt(Math.max(0, places));
  return Number(quotientHalfUp(numerator, divisor));
}

/** numerator / denominator rounded half up, of integers of any size. */
export function quotientHalfUp(numerator: bigint, denominator: bigint): bigint {
  const doubled = 2n * numerator + denominator;
  const quotient = doubled / (2n * denominator);
  return doubled < 0n && quotient * 2n * denominator !== doubled ? quotient - 1n : quotient;
}

/** Minutes as tenths of an hour, as people read them: half a tenth counts away from 0, so that what is missing and what is
 * left over are reported with the same figure. */
export const hourTenths = (minutes: number): number => Math.sign(minutes) * Math.floor(Math.abs(minutes) / 6 + 0.5);

/** part / whole in hundredths of a percent, rounded half up; null where the whole is 0. */
export function shareOf(part: number, whole: number): number | null {
  return whole === 0 ? null : roundedQuotient(part * 10_000, whole);
}
