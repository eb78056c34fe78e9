// Amounts as people type them.

/** Reads a number with a point or a comma between two bounds. */
export function readAmount(text: string, least: number, most: number): { value: number } | null {
  const value = Number(text.trim().replace(",", "."));
  return text.trim() !== "" && value >= least && value <= most ? { value } : null;
}
