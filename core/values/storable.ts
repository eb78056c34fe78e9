// Text that PostgreSQL can store: no character number 0, and no half of a pair of surrogates.

/** Half of a pair of surrogates on its own. */
const LONE_SURROGATE = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/;

/** True of a text that can be stored. */
export const isStorable = (text: string): boolean => !text.includes("\u0000") && !LONE_SURROGATE.test(text);

/** The path of text in a parsed JSON value that cannot be stored, in a key or a value.
 * @returns The path to the first such place; null where there is none. */
export function unstorableAt(value: unknown): (string | number)[] | null {
  if (typeof value === "string") return isStorable(value) ? null : [];
  if (typeof value !== "object" || value === null) return null;
  const entries: [string | number, unknown][] = Array.isArray(value) ? [...value.entries()] : Object.entries(value);
  for (const [key, own] of entries) {
    if (typeof key === "string" && !isStorable(key)) return [];
    const path = unstorableAt(own);
    if (path) return [key, ...path];
  }
  return null;
}
