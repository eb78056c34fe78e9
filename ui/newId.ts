// Ids for rows that are made in the browser.

/** An id that nobody else makes. */
export function newId(stem: string): string {
  return `${stem}-${crypto.getRandomValues(new Uint32Array(3)).join("").slice(0, 18)}`;
}
