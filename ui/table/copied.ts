// The text that a spreadsheet reads from the clipboard: tabs between cells, line breaks between rows.
import type { TableColumn } from "./column.ts";

/** The rows as text with their headings, or a single cell as it is. Only columns with a value are copied. */
export function copiedText<R>(columns: readonly TableColumn<R>[], rows: readonly R[]): string {
  const copied = columns.filter(({ value }) => value);
  const head = copied.map(({ head: text }) => plain(text)).join("\t");
  return [head, ...rows.map((row) => copied.map((column) => cellText(column, row)).join("\t"))].join("\n");
}

/** One cell of it. */
export function cellText<R>({ value, copied }: TableColumn<R>, row: R): string {
  return plain(String((copied ?? value)?.(row) ?? ""));
}

const plain = (text: string) => text.replace(/[\t\r\n]+/g, " ");
