// True if two rows state the same.
import { isObject } from "./isObject.ts";

/** Deep equality of plain data; an empty list and a key that is not there are the same. */
export function isSame(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (isAbsent(a) && isAbsent(b)) return true;
  if (!isObject(a) || !isObject(b)) return false;
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((key) => isSame(a[key], b[key]));
}

function isAbsent(value: unknown): boolean {
  return value === undefined || (Array.isArray(value) && value.length === 0);
}
