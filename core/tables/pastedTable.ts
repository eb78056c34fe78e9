// A pasted table of tasks with a row of headers, rewritten as the lines that one types: "Crate, 16.5 h, 3 d, Mara".

import { durationCell, numberCell } from "./cells.ts";
import { matchHeaders } from "./headers.ts";
import type { TableColumn } from "./table.ts";
import { taskColumns } from "./taskColumns.ts";

const DAYS_OF_WEEK = 5;

/** What the cells of a column say in a line; in the order of a line. */
const columns: { column: TableColumn; write: (cell: string) => string }[] = [
  {
    column: own("effortHours", ["hours", "h", "stunden", "horas", "tunnid", "heures"]),
    write: (cell) => amount(numberCell(cell), "h", cell),
  },
  { column: own("durationDays"), write: (cell) => amount(durationCell(cell, DAYS_OF_WEEK), "d", cell) },
  { column: own("deadline"), write: (cell) => `deadline ${cell}` },
  { column: own("role"), write: (cell) => cell },
];

/** A column of the table of tasks, with more headers that mean it in a short list. */
function own(key: string, more: readonly string[] = []): TableColumn {
  const found = taskColumns.find((column) => column.key === key);
  if (!found) throw new Error(`no column ${key}`);
  return { ...found, aliases: [...found.aliases, ...more] };
}

/** Position of the working days among these. */
const DAYS_AT = 1;

/** What a task follows, in words. A number counts the rows of the table. */
function followed(text: string, names: readonly string[]): string {
  const [, row, code = "FS", lag = ""] = /^(\d+)\s*(FS|SS|FF|SF)?\s*([+−–-].*)?$/i.exec(text) ?? [];
  const called = row === undefined ? undefined : names[Number(row) - 1];
  if (called === undefined) return `after ${text}`;
  const words = { FS: "after", SS: "with", FF: "finishes with", SF: "until" }[code.toUpperCase()] ?? "after";
  return `${words} ${called}${lag === "" ? "" : ` ${lag}`}`;
}

const amount = (read: ReturnType<typeof numberCell>, unit: string, cell: string): string =>
  "value" in read ? `${read.value} ${unit}` : cell;

const [nameColumn, startColumn, finishColumn, personColumn, followsColumn] = ["name", "start", "finish", "person", "predecessors"].map(
  (key) => own(key, key === "name" ? ["name", "title", "what"] : []),
);

/** Rewrites a table with tabs between its cells, line by line; null where its first line names no columns, so that its lines are read
 * as they are. Spaces before a name stay: they say how deep a task stands in the outline. */
export function linesOfTable(text: string): string | null {
  const rows = text.split(/\r?\n/).filter((line) => line.trim() !== "");
  const header = rows[0]?.split("\t") ?? [];
  if (rows.length < 2 || header.length < 2) return null;
  const all = [nameColumn, startColumn, finishColumn, personColumn, followsColumn, ...columns.map(({ column }) => column)];
  const [name, start, finish, person, follows, ...others] = matchHeaders(all, header, false);
  if (name === null || [start, finish, person, follows, ...others].every((at) => at === null)) return null;
  const names = rows.slice(1).map((row) => (row.split("\t")[name] ?? "").trim());
  return rows
    .slice(1)
    .map((row) => {
      const cells = row.split("\t");
      const cell = (at: number | null) => (at === null ? "" : (cells[at] ?? "").trim());
      const [, indent, title] = /^(\s*)(.*?)\s*$/.exec(cells[name] ?? "") ?? [];
      // A start alone pins the task to one day where nothing says how long it lasts; else it is kept as a note.
      const isStartAlone = cell(finish) === "" && cell(others[DAYS_AT]) !== "" && cell(start) !== "";
      const dates = isStartAlone ? `start ${cell(start)}` : [cell(start), cell(finish)].filter((date) => date !== "").join(" – ");
      const written = columns.map(({ write }, at) => (cell(others[at]) === "" ? "" : write(cell(others[at]))));
      const people = cell(person).split(/[;|/]|,\s*/);
      const after = cell(follows)
        .split(/[;|]|,\s*/)
        .map((part) => (part === "" ? "" : followed(part, names)));
      const parts = [title, ...written, dates, ...people, ...after].filter((part) => part !== "");
      // In quotes a part keeps its commas.
      return title === "" ? "" : `${indent}${parts.map((part) => `"${part.replaceAll('"', "")}"`).join("\t")}`;
    })
    .filter((line) => line !== "")
    .join("\n");
}
