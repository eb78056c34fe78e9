// Values as a careless or hostile hand might leave them: parts of a sound one removed, doubled, swapped or replaced.
import type { randomFrom } from "../demo/random.ts";

type Random = ReturnType<typeof randomFrom>;

const oddities: unknown[] = [
  null,
  "",
  0,
  -1,
  1e15,
  0.1 + 0.2,
  "2027-02-30",
  "1900-01-01",
  "2199-12-31",
  [],
  {},
  true,
  "x".repeat(200),
  "\u0000",
];

/** A copy of a JSON value with some of its parts spoilt. @param count How many. */
export function mutated(value: unknown, random: Random, count: number): unknown {
  const copy = structuredClone(value);
  for (let at = 0; at < count; at++) spoil(copy, random);
  return copy;
}

function spoil(root: unknown, random: Random): void {
  let holder = root as Record<string, unknown> | unknown[];
  for (;;) {
    const keys = Object.keys(holder);
    if (keys.length === 0) return;
    const key = random.pick(keys) as keyof typeof holder;
    const child = holder[key] as unknown;
    if (typeof child === "object" && child !== null && random.below(5) > 0) {
      holder = child as typeof holder;
      continue;
    }
    const way = random.below(3);
    if (way === 0) (holder as Record<string, unknown>)[key as string] = random.pick(oddities);
    else if (way === 1 && Array.isArray(holder)) holder.push(structuredClone(child));
    else if (Array.isArray(holder)) holder.splice(Number(key), 1);
    else delete (holder as Record<string, unknown>)[key as string];
    return;
  }
}
