// Repeatable randomness for made-up plans (Lehmer's generator, Park and Miller 1988).

/** A source of numbers from a seed: the same seed gives the same numbers everywhere. */
export function randomFrom(seed: number) {
  let state = (seed % 2_147_483_646) + 1;
  const next = () => {
    state = (state * 48_271) % 2_147_483_647;
    return state / 2_147_483_647;
  };
  const below = (count: number) => Math.floor(next() * count);
  return { next, below, pick: <T>(list: readonly T[]): T => list[below(list.length)] };
}
