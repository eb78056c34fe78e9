// Matching the headers of a file to the columns of a table: other names, another order, another language.
import { nearestWord } from "../plan/nearestWord.ts";
import { plainText } from "./cells.ts";
import type { TableColumn } from "./table.ts";

/** For each column of a table the position of its header in the file, or null. A header serves one column at most;
 * exact names come before aliases, aliases before names that are nearly the same. */
export function matchHeaders(columns: readonly TableColumn[], header: readonly string[]): (number | null)[] {
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
  pass(({ name, aliases }, text) => text.length > 4 && nearestWord(text, [plainText(name), ...aliases]) !== null);
  return matched;
}

/** How well a header fits a table: columns found, less needed ones that are missing counted heavily. */
export function fitOf(columns: readonly TableColumn[], header: readonly string[]): number {
  const matched = matchHeaders(columns, header);
  return columns.reduce((sum, { isNeeded }, at) => sum + (matched[at] === null ? (isNeeded ? -3 : 0) : 1), 0);
}
