// Whether two rows say the same.

/** Deep equality of plain data; an empty list and a key that is not there are the same. */
export function isSame(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (isAbsent(a) && isAbsent(b)) return true;
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null) return false;
  const [left, right] = [a as Record<string, unknown>, b as Record<string, unknown>];
  return [...new Set([...Object.keys(left), ...Object.keys(right)])].every((key) => isSame(left[key], right[key]));
}

function isAbsent(value: unknown): boolean {
  return value === undefined || (Array.isArray(value) && value.length === 0);
}
