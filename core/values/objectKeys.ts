// The keys of a record whose keys are known.

/** The keys of a record, by the names of its type: for records that have no others, such as tables of words. */
export const objectKeys = <T extends object>(record: T) => Object.keys(record) as (keyof T & string)[];

/** The same with their values. */
export const entriesOf = <K extends string, V>(record: Readonly<Partial<Record<K, V>>>) => Object.entries(record) as [K, V][];

/** A record with a value for each of some keys. */
export const recordOf = <K extends string, V>(keys: readonly K[], make: (key: K) => V) =>
  Object.fromEntries(keys.map((key) => [key, make(key)])) as Record<K, V>;
