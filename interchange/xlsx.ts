// XLSX: sheets as rows of texts, and texts and numbers as sheets.
import readXlsxFile from "read-excel-file/node";
import writeXlsxFile from "write-excel-file/node";
import { isCalendarDate } from "../core/values/calendarDate.ts";
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
    // The parser's message is about XML, which the user of a spreadsheet does not see.
    throw new UnreadableFile(
      "This file could not be read as XLSX: a part of it is damaged or is not what a spreadsheet program writes. Save it again, or as CSV.",
    );
  }
}

function textOf(value: unknown): string {
  if (value === null || value === undefined) return "";
  if (value instanceof Date) return value.toISOString().slice(0, 10);
  return String(value);
}

/** Tables as a workbook, one sheet each. Header rows stay visible; dates and amounts have the types of a spreadsheet. */
export function writeXlsx(tables: readonly TextTable[]): Promise<Buffer> {
  const sheets = tables.map(({ name, rows, isMoney = false }) => ({
    sheet: name.slice(0, 31),
    stickyRowsCount: 1,
    columns: (rows[0] ?? []).map((head, column) => ({
      width: Math.min(60, Math.max(head.length, ...rows.slice(0, 200).map((row) => row[column]?.length ?? 0)) + 2),
    })),
    data: rows.map((row, at) => row.map((cell) => (at === 0 ? headOf(cell) : cellOf(cell, isMoney)))),
  }));
  return writeXlsxFile(sheets).toBuffer();
}

const DATE = { type: Date, format: "yyyy-mm-dd" } as const;
const AMOUNT = "#,##0.00";

const dateOf = (cell: string): Date | null => (isCalendarDate(cell) ? new Date(`${cell}T00:00:00Z`) : null);

function headOf(cell: string) {
  const date = dateOf(cell);
  return date ? { ...DATE, value: date, fontWeight: "bold" as const } : { value: cell, type: String, fontWeight: "bold" as const };
}

/** Texts come as strings, figures as numbers, days as dates. */
function cellOf(cell: string, isMoney: boolean) {
  if (cell === "") return null;
  const date = dateOf(cell);
  if (date) return { ...DATE, value: date };
  if (cell.length >= 15 || !/^-?\d+(\.\d+)?$/.test(cell)) return { value: safeCell(cell), type: String };
  return isMoney ? { value: Number(cell), type: Number, format: AMOUNT } : { value: Number(cell), type: Number };
}
