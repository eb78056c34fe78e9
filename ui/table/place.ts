// The current place in a table: a row, or a cell of it.

/** A row, or a cell of it; the column is null where the focus is on the row itself. */
export interface Place {
  key: string;
  column: string | null;
}

export function placeId(table: string, { key, column }: Place): string {
  return column === null ? `${table}-${key}` : `${table}-${key}-${column}`;
}

/** The place of an element in the table: its row, and its cell. */
export function placeAt(target: EventTarget): Place | null {
  if (!(target instanceof HTMLElement)) return null;
  const key = target.closest("tr")?.dataset.key;
  return key === undefined ? null : { key, column: target.closest<HTMLElement>("td,th")?.dataset.column ?? null };
}

/** True within something that answers to a press by itself. */
export function isControl(target: EventTarget, controls: string): boolean {
  return target instanceof HTMLElement && target.closest(controls) !== null;
}
