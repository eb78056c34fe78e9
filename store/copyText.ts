// Rows in the text format of PostgreSQL's COPY: a line a row, tabs between values, backslashes before what would be taken for either.

const TAKEN = /[\\\t\n\r]/;
const escapes: Record<string, string> = { "\\": "\\\\", "\t": "\\t", "\n": "\\n", "\r": "\\r" };

export interface CopyColumn {
  /** The value's key in a row. */
  key: string;
  /** As SQL names it. */
  type: string;
}

/** Rows as lines, their values in the order of the columns; what a row does not state is null.
 * @param lead The first values of each line, before those of the columns. */
export function copyText<T extends object>(
  columns: readonly CopyColumn[],
  rows: readonly T[],
  lead: (row: T, at: number) => readonly unknown[],
): string {
  let text = "";
  rows.forEach((row, at) => {
    const values: Readonly<Record<string, unknown>> = Object(row);
    text += lead(row, at)
      .map((value) => valueText(value, "text"))
      .join("\t");
    for (const { key, type } of columns) text += `\t${valueText(values[key], type)}`;
    text += "\n";
  });
  return text;
}

function valueText(value: unknown, type: string): string {
  if (value === undefined || value === null) return "\\N";
  const text = typeof value === "object" ? structureText(value, type) : String(value);
  return TAKEN.test(text) ? text.replaceAll(/[\\\t\n\r]/g, (letter) => escapes[letter]) : text;
}

/** An array as SQL writes one, anything else as JSON. */
function structureText(value: object, type: string): string {
  return type.endsWith("[]")
    ? `{${Object.values(value)
        .map((entry) => `"${String(entry).replaceAll(/["\\]/g, "\\$&")}"`)
        .join(",")}}`
    : JSON.stringify(value);
}
