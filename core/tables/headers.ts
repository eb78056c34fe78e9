// Matching the headers of a file to the columns of a table: other names, another order, another language.
import { nearestWord } from "../values/nearestWord.ts";
import { plainText } from "../values/plainText.ts";
import type { TableColumn, TableKind } from "./table.ts";

/** For each column of a table the position of its header in the file, or null. A header serves one column at most;
 * exact names come before aliases, aliases before names that are nearly the same.
 * @param takesNear False to leave those out: they take long to look for. */
export function matchHeaders(columns: readonly TableColumn[], header: readonly string[], takesNear = true): (number | null)[] {
  const said = header.map(plainText);
  const taken = new Set<number>();
  const matched: (number | null)[] = columns.map(() => null);
  const pass = (isMatch: (column: TableColumn, text: string) => boolean) =>
    columns.forEach((column, at) => {
      if (matched[at] !== null) return;
      const found = said.findIndex((text, position) => text !== "" && !taken.has(position) && isMatch(column, text));
      if (found < 0) return;
      matched[at] = found;
      taken.add(found);
    });
  pass(({ name, key }, text) => text === plainText(name) || text === plainText(key));
  pass(({ aliases }, text) => aliases.includes(text));
  if (takesNear) pass(({ name, aliases }, text) => text.length > 4 && nearestWord(text, [plainText(name), ...aliases]) !== null);
  return matched;
}

type Fitted = Pick<TableKind, "columns" | "subjectIn">;

/** The most rows above the header: titles, dates, blank lines. */
const MOST_ABOVE = 20;

/** The position of the row that looks most like a header of one of some tables; the first row where none does. */
export function findHeader(tables: readonly Fitted[], rows: readonly (readonly string[])[]): number {
  let best = { at: 0, fit: 0 };
  for (let at = 0; at < Math.min(rows.length, MOST_ABOVE); at++)
    for (const table of tables) {
      const fit = fitShare(table, rows[at], false);
      if (fit > best.fit) best = { at, fit };
    }
  return best.at;
}

/** Words with which a row begins that adds up those above it. */
const sumWords = new Set(["total", "totals", "sum", "grandtotal", "summe", "gesamt", "soma", "somme", "suma", "kokku", "totale", "totaux"]);

/** True of a row that adds up others rather than saying something of its own. */
export function isSumRow(cells: readonly string[]): boolean {
  const first = cells.find((cell) => cell.trim() !== "");
  return first !== undefined && sumWords.has(plainText(first));
}

/** The fit of a header to a table: the share of its own columns that are found, less a high penalty for each missing needed one.
 * Columns that other tables have as well make no table less likely. */
export function fitShare({ columns, subjectIn }: Fitted, header: readonly string[], takesNear = true): number {
  const matched = matchHeaders(columns, header, takesNear);
  const isSubjectThere = columns.some(({ key }, at) => key === subjectIn && matched[at] !== null);
  const missing = (isNeeded: boolean | undefined, at: number) => (isNeeded && !(at === 0 && isSubjectThere) ? -3 : 0);
  const fit = columns.reduce((sum, { isNeeded }, at) => sum + (matched[at] === null ? missing(isNeeded, at) : 1), 0);
  return fit / columns.filter(({ isOnlyRead }) => !isOnlyRead).length;
}
