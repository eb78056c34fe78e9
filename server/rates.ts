// How much one address may ask for: far more than a room full of people does, far less than a program that runs wild.

export interface Rate {
  aSecond: number;
  atOnce: number;
}

/** As many addresses as are remembered; beyond that those that have not asked for long are forgotten. */
const MOST_ADDRESSES = 10_000;

/** Counts what each address asks for (a token bucket each). */
export class RequestRates {
  readonly #left = new Map<string, { count: number; at: number }>();

  constructor(private readonly rate: Rate) {}

  /** True where an address may ask once more. @param now Milliseconds. */
  takes(address: string, now: number): boolean {
    const { aSecond, atOnce } = this.rate;
    const known = this.#left.get(address) ?? { count: atOnce, at: now };
    const count = Math.min(atOnce, known.count + ((now - known.at) / 1000) * aSecond);
    this.#left.delete(address);
    this.#left.set(address, { count: Math.max(0, count - 1), at: now });
    if (this.#left.size > MOST_ADDRESSES) this.#left.delete(this.#left.keys().next().value as string);
    return count >= 1;
  }
}
