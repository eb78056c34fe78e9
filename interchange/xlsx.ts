// XLSX: sheets as rows of texts, and texts and numbers as sheets.
import readXlsxFile from "read-excel-file/node";
import writeXlsxFile from "write-excel-file/node";
import { safeCell } from "./csv.ts";
import { type TextTable, UnreadableFile } from "./textTable.ts";
import { checkWorkbook } from "./workbookSize.ts";

/** The sheets of a workbook. Formulas come as the values they had when it was saved.
 * @throws {UnreadableFile} */
export async function readXlsx(bytes: Uint8Array): Promise<TextTable[]> {
  try {
    checkWorkbook(bytes);
    const sheets = await readXlsxFile(Buffer.from(bytes));
    return sheets.map(({ sheet, data }) => ({ name: sheet, rows: data.map((row) => row.map(textOf)) }));
  } catch (error) {
    if (error instanceof UnreadableFile) throw error;
    throw new UnreadableFile(
      `This file could not be read as XLSX (${error instanceof Error ? error.message : "no reason given"}). Save it again, or as CSV.`,
    );
  }
}

function textOf(value: unknown): string {
  if (value === null || value === undefined) return "";
  if (value instanceof Date) return value.toISOString().slice(0, 10);
  return String(value);
}

/** Tables as a workbook, a sheet each, with headers that stay in sight. */
export function writeXlsx(tables: readonly TextTable[]): Promise<Buffer> {
  const sheets = tables.map(({ name, rows }) => ({
    sheet: name.slice(0, 31),
    stickyRowsCount: 1,
    columns: (rows[0] ?? []).map((head, column) => ({
      width: Math.min(60, Math.max(head.length, ...rows.slice(0, 200).map((row) => row[column]?.length ?? 0)) + 2),
    })),
    data: rows.map((row, at) => (at === 0 ? row.map(headOf) : row.map(cellOf))),
  }));
  return writeXlsxFile(sheets).toBuffer();
}

const headOf = (cell: string) => ({ value: cell, type: String, fontWeight: "bold" as const });

/** Texts come as strings and amounts as numbers, which is how the package tells them apart. */
function cellOf(cell: string): string | number | null {
  if (cell === "") return null;
  return cell.length < 15 && /^-?\d+(\.\d+)?$/.test(cell) ? Number(cell) : safeCell(cell);
}
