// Demand that may come or not: the hours that independent projects ask for, each won with its own probability. The distribution
// is exact by convolution of whole hours (a Poisson binomial distribution with weights); nothing is sampled. It is computed in
// doubles with a bound on their error, and in integers where a comparison falls within that bound.
import { roundedQuotient } from "../values/units.ts";

/** Hours of one project and the probability that they come, in hundredths of a percent. */
export interface Chance {
  hours: number;
  probability: number;
}

/** A probability of 1. */
export const CERTAIN = 10_000;

/** An exact distribution: weight of each number of hours, out of `whole`. */
interface ExactDistribution {
  hours: readonly number[];
  weights: readonly bigint[];
  whole: bigint;
}

/** Rounding error of one operation on doubles, relative. */
const ULP = 2 ** -52;

/** The distribution of the hours that some chances add up to. */
export class HoursDistribution {
  /** probability[h]: of `certain + h` hours. */
  readonly #probability: Float64Array;
  /** Hours of the chances that are certain. */
  readonly #certain: number;
  readonly #open: readonly Chance[];
  /** Bound on the relative error of a sum of probabilities. */
  readonly #error: number;
  #exact: ExactDistribution | null = null;

  constructor(chances: readonly Chance[]) {
    this.#open = chances.filter(({ hours, probability }) => hours > 0 && probability > 0 && probability < CERTAIN);
    this.#certain = chances.reduce((sum, { hours, probability }) => (probability >= CERTAIN ? sum + hours : sum), 0);
    this.#probability = convolve(this.#open);
    this.#error = (4 * this.#open.length + this.#probability.length + 8) * ULP;
  }

  /** The probability of each number of hours, from 0 on, in doubles. */
  probabilities(): Float64Array {
    const all = new Float64Array(this.#certain + this.#probability.length);
    all.set(this.#probability, this.#certain);
    return all;
  }

  /** The least number of hours whose cumulative probability reaches a share. @param share In hundredths of a percent. */
  percentile(share: number): number {
    const wanted = share / CERTAIN;
    let sum = 0;
    for (let hours = 0; hours < this.#probability.length; hours++) {
      sum += this.#probability[hours];
      if (Math.abs(sum - wanted) <= this.#error) return this.#exactPercentile(share);
      if (sum > wanted) return this.#certain + hours;
    }
    return this.#exactPercentile(share);
  }

  /** The probability that demand exceeds capacity, and the expected minutes by which it does.
   * @param free Minutes of capacity next to the demand that is certain anyhow; negative where that demand exceeds capacity.
   * @returns The probability in hundredths of a percent and the shortage in minutes, both rounded half up. */
  shortage(free: number): { probability: number; minutes: number } {
    let [probability, minutes] = [0, 0];
    for (let hours = 0; hours < this.#probability.length; hours++) {
      const over = 60 * (this.#certain + hours) - free;
      if (over <= 0) continue;
      probability += this.#probability[hours];
      minutes += this.#probability[hours] * over;
    }
    const isDecided = this.#isClear(probability * CERTAIN) && this.#isClear(minutes);
    return isDecided
      ? { probability: Math.floor(probability * CERTAIN + 0.5), minutes: Math.floor(minutes + 0.5) }
      : this.#exactShortage(free);
  }

  /** True where the error cannot change how a value is rounded. */
  #isClear(value: number): boolean {
    const error = (this.#error + 4 * ULP) * Math.max(1, value);
    return Math.floor(value + 0.5 - error) === Math.floor(value + 0.5 + error);
  }

  #exactPercentile(share: number): number {
    const { hours, weights, whole } = this.#inIntegers();
    let sum = 0n;
    for (let at = 0; at < hours.length; at++) {
      sum += weights[at];
      if (sum * BigInt(CERTAIN) >= BigInt(share) * whole) return this.#certain + hours[at];
    }
    throw new Error("the weights of a distribution add up to the whole");
  }

  #exactShortage(free: number): { probability: number; minutes: number } {
    const { hours, weights, whole } = this.#inIntegers();
    let [probability, minutes] = [0n, 0n];
    hours.forEach((own, at) => {
      const over = 60 * (this.#certain + own) - free;
      if (over <= 0) return;
      probability += weights[at];
      minutes += weights[at] * BigInt(over);
    });
    const rounded = (numerator: bigint) => Number((2n * numerator + whole) / (2n * whole));
    return { probability: rounded(probability * BigInt(CERTAIN)), minutes: rounded(minutes) };
  }

  #inIntegers(): ExactDistribution {
    this.#exact ??= convolveExactly(this.#open);
    return this.#exact;
  }
}

function convolve(chances: readonly Chance[]): Float64Array {
  const distribution = new Float64Array(chances.reduce((sum, { hours }) => sum + hours, 0) + 1);
  distribution[0] = 1;
  let reach = 0;
  for (const { hours, probability } of chances) {
    const [won, lost] = [probability / CERTAIN, (CERTAIN - probability) / CERTAIN];
    for (let own = reach; own >= 0; own--) {
      const was = distribution[own];
      if (was === 0) continue;
      distribution[own + hours] += was * won;
      distribution[own] = was * lost;
    }
    reach += hours;
  }
  return distribution;
}

/** Each probability in lowest terms, so that the whole stays short. */
function convolveExactly(chances: readonly Chance[]): ExactDistribution {
  let weightOf = new Map<number, bigint>([[0, 1n]]);
  let whole = 1n;
  for (const { hours, probability } of chances) {
    const divisor = greatestCommonDivisor(probability, CERTAIN);
    const [won, all] = [BigInt(probability / divisor), BigInt(CERTAIN / divisor)];
    const next = new Map<number, bigint>();
    const add = (own: number, weight: bigint) => next.set(own, (next.get(own) ?? 0n) + weight);
    for (const [own, weight] of weightOf) {
      add(own, weight * (all - won));
      add(own + hours, weight * won);
    }
    weightOf = next;
    whole *= all;
  }
  const sorted = [...weightOf].sort(([a], [b]) => a - b);
  return { hours: sorted.map(([own]) => own), weights: sorted.map(([, weight]) => weight), whole };
}

function greatestCommonDivisor(a: number, b: number): number {
  return b === 0 ? a : greatestCommonDivisor(b, a % b);
}

/** The expected minutes, rounded half up. */
export function expectedMinutes(chances: readonly Chance[]): number {
  const weighted = chances.reduce((sum, { hours, probability }) => sum + 60 * hours * probability, 0);
  return roundedQuotient(weighted, CERTAIN);
}
