// Looking up what is known to be there.

/** The value of an index under a key that must exist, such as the row of an id in a checked plan.
 * @throws RangeError where it has none. */
export function lookUp<K, V>(index: { get(key: K): V | undefined }, key: K): V {
  const found = index.get(key);
  if (found === undefined) throw new RangeError(`There is nothing under "${String(key)}".`);
  return found;
}

/** A value that is known to be there, by a rule that its type does not report.
 * @param what Its words, for the message. @throws RangeError where it is not there. */
export function known<T>(value: T, what: string): NonNullable<T> {
  if (value === undefined || value === null) throw new RangeError(`There is no ${what}.`);
  return value;
}
