// The stated keys of a row, and how a key is stated or removed.

/** The keys of a row that have a value: one that is undefined is one that is not stated. */
export function stated<T extends object>(row: T): T {
  // Keys go that T allows to be missing.
  return Object.fromEntries(Object.entries(row).filter(([, value]) => value !== undefined)) as T;
}

/** A row with other values for some keys; a key that is set to null is removed. */
export function withSet<T extends object>(row: T, set: { readonly [K in Exclude<keyof T, "id">]?: T[K] | null }): T {
  const values = Object.entries({ ...row, ...set }).map(([key, value]) => [key, value ?? undefined]);
  return stated(Object.fromEntries(values));
}
