// What a row states.

/** The keys of a row that have a value: one that is undefined is one that is not stated. */
export function stated<T extends object>(row: T): T {
  // Keys go that T allows to be missing.
  return Object.fromEntries(Object.entries(row).filter(([, value]) => value !== undefined)) as T;
}
