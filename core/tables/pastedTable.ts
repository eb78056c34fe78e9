// A pasted table of tasks with a row of headers, rewritten as the lines that one types: "Crate, 16.5 h, 3 d, Mara".

import { durationCell, numberCell, type Read } from "./cells.ts";
import { matchHeaders } from "./headers.ts";
import { taskColumns } from "./taskColumns.ts";

const DAYS_OF_WEEK = 5;

/** More headers that mean a column in a short list, by the key of the column. */
const moreAliases: Record<string, readonly string[]> = {
  name: ["name", "title", "what"],
  effortHours: ["hours", "h", "stunden", "horas", "tunnid", "heures"],
};

const keys = ["name", "effortHours", "durationDays", "deadline", "role", "start", "finish", "person", "predecessors"];
const columns = taskColumns.flatMap((column) =>
  keys.includes(column.key) ? [{ ...column, aliases: [...column.aliases, ...(moreAliases[column.key] ?? [])] }] : [],
);

type Cells = (key: string) => string;

/** Rewrites a table with tabs between its cells, line by line. Spaces before a name stay, because they are its depth in the outline.
 * @returns Null when the first line is no row of headers. */
export function linesOfTable(text: string): string | null {
  const [header = [], ...rows] = text
    .split(/\r?\n/)
    .filter((line) => line.trim() !== "")
    .map((line) => line.split("\t"));
  if (rows.length === 0 || header.length < 2) return null;
  const matched = matchHeaders(columns, header, false);
  const at = new Map(columns.flatMap(({ key }, column) => (matched[column] === null ? [] : [[key, matched[column]]])));
  const nameAt = at.get("name");
  if (nameAt === undefined || at.size < 2) return null;
  const names = rows.map((cells) => (cells[nameAt] ?? "").trim());
  const lines = rows.map((cells, row) => {
    const [indent] = /^\s*/.exec(cells[nameAt] ?? "") ?? [""];
    const cellsByKey: Cells = (key) => (cells[at.get(key) ?? -1] ?? "").trim();
    // In quotes a part keeps its commas.
    const parts = partsOf(cellsByKey, names).map((part) => `"${part.replaceAll('"', "")}"`);
    return names[row] === "" ? "" : indent + parts.join("\t");
  });
  return lines.filter((line) => line !== "").join("\n");
}

/** The parts of a typed line, in their usual order. */
function partsOf(cell: Cells, names: readonly string[]): string[] {
  const [hours, days, deadline] = [cell("effortHours"), cell("durationDays"), cell("deadline")];
  return [
    cell("name"),
    amount(numberCell(hours), "h", hours),
    amount(durationCell(days, DAYS_OF_WEEK), "d", days),
    deadline && `deadline ${deadline}`,
    cell("role"),
    datesOf(cell),
    ...cell("person").split(/[;|/]|,\s*/),
    ...cell("predecessors")
      .split(/[;|]|,\s*/)
      .map((part) => part && `after ${withName(part, names)}`),
  ].filter((part) => part !== "");
}

const amount = (read: Read<number>, unit: string, cell: string): string => ("value" in read ? `${read.value} ${unit}` : cell);

/** Without a finish a start pins the task to one day; next to a duration it is kept as a note instead. */
function datesOf(cell: Cells): string {
  const [start, finish] = [cell("start"), cell("finish")];
  if (start !== "" && finish === "" && cell("durationDays") !== "") return `start ${start}`;
  return [start, finish].filter((date) => date !== "").join(" – ");
}

/** A predecessor by its name. A number counts the rows of the table. */
function withName(text: string, names: readonly string[]): string {
  const [, row, rest = ""] = /^(\d+)\s*((?:FS|SS|FF|SF)?\s*(?:[+−–-].*)?)$/i.exec(text) ?? [];
  const name = row === undefined ? undefined : names[Number(row) - 1];
  return name === undefined ? text : `${name} ${rest}`.trim();
}
