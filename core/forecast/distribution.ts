// Demand that may come or not: what independent projects, each won with its probability, ask for together. Exact by
// convolution of whole hours (a Poisson binomial distribution with weights); nothing is sampled.

/** Hours that come with a probability from 0 to 1. */
export interface Chance {
  hours: number;
  probability: number;
}

/** Sums of doubles are off by less: what is that close to a bound has reached it. */
const NEAR = 1e-9;

/** The probability of each whole number of hours, from 0 to all of them. They add up to one. */
export function distributionOf(chances: readonly Chance[]): Float64Array {
  const most = chances.reduce((sum, { hours, probability }) => sum + (probability > 0 ? hours : 0), 0);
  const distribution = new Float64Array(most + 1);
  distribution[0] = 1;
  let reach = 0;
  for (const { hours, probability } of chances) {
    if (probability <= 0 || hours <= 0) continue;
    for (let own = reach; own >= 0; own--) {
      const was = distribution[own];
      if (was === 0) continue;
      distribution[own + hours] += was * probability;
      distribution[own] = was * (1 - probability);
    }
    reach += hours;
  }
  return distribution;
}

/** The least number of hours whose cumulative probability reaches a share. */
export function percentile(distribution: Float64Array, share: number): number {
  let sum = 0;
  for (let hours = 0; hours < distribution.length; hours++) {
    sum += distribution[hours];
    if (sum >= share - NEAR) return hours;
  }
  return distribution.length - 1;
}

/** The expected hours. */
export const expectedHours = (chances: readonly Chance[]): number =>
  chances.reduce((sum, { hours, probability }) => sum + hours * probability, 0);

/** Rounded half up, with what is off in the last digits of a double. */
export const roundedNear = (value: number): number => Math.floor(value + 0.5 + NEAR);
