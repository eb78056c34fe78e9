// Selecting and deselecting: an id in the list is removed, another one is added.

/** A set with one more or one fewer. */
export function toggledSet<T>(known: ReadonlySet<T>, one: T): ReadonlySet<T> {
  const next = new Set(known);
  if (!next.delete(one)) next.add(one);
  return next;
}

/** A list with one more at its end, or without it. */
export function toggledList<T>(known: readonly T[], one: T): T[] {
  return known.includes(one) ? known.filter((own) => own !== one) : [...known, one];
}
