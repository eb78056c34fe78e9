// From the decimals of a plan file to the integers of the core, always rounded half up on integers.

/** floor(numerator / divisor + ½) on integers; exact while 2 × numerator stays below 2^53. */
export function roundedQuotient(numerator: number, divisor: number): number {
  return Math.floor((2 * numerator + divisor) / (2 * divisor));
}

/** Hours as whole minutes. */
export const workMinutes = (hours: number): number => scaled(hours, 60, 1e6);

/** Working days as whole ticks, 480 to a day; a lag may be negative. */
export const durationTicks = (days: number): number => scaled(days, 480, 1e6);

/** Major units as minor units: hundredths, in every currency. */
export const minorUnits = (money: number): number => scaled(money, 100, 1e3);

/** A rate or unit price in major units as ten-thousandths of a major unit. */
export const rateUnits = (rate: number): number => scaled(rate, 10_000, 1e5);

/** A percentage as hundredths of a percent. */
export const percentHundredths = (percent: number): number => scaled(percent, 100, 1e6);

// `precision` is how finely the decimal is read, so that 0.175 h is exactly 10.5 min before it is rounded.
function scaled(value: number, factor: number, precision: number): number {
  return roundedQuotient(Math.round(value * precision) * factor, precision);
}

/** part / whole in hundredths of a percent, rounded half up; null where the whole is 0. */
export function shareOf(part: number, whole: number): number | null {
  return whole === 0 ? null : roundedQuotient(part * 10_000, whole);
}
