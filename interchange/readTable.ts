// Reading a file that people keep a table in: CSV in any encoding and delimiter, XLSX, iCalendar.
import { FILE_LIMITS } from "../core/plan/limits.ts";
import { delimiterOf, readCsv } from "./csv.ts";
import { eventsTable } from "./ical.ts";
import { type TextTable, UnreadableFile } from "./textTable.ts";
import { readXlsx } from "./xlsx.ts";

/** Reads a file by what it holds; its name only helps where the content leaves it open.
 * @returns Its sheets, and what is worth knowing of how it was read.
 * @throws {UnreadableFile} */
export async function readTable(bytes: Uint8Array, name: string): Promise<{ tables: TextTable[]; note: string | null }> {
  if (bytes.length === 0) throw new UnreadableFile("This file is empty.");
  const isZip = bytes[0] === 0x50 && bytes[1] === 0x4b;
  if (isZip) return { tables: within(await readXlsx(bytes)), note: null };
  const { text, note } = decode(bytes);
  if (text.includes("\u0000"))
    throw new UnreadableFile("This is neither a text nor an XLSX file. Save the sheet as CSV or XLSX and import it again.");
  if (/^\s*BEGIN:VCALENDAR/i.test(text)) return { tables: within([eventsTable(text, name)]), note };
  const delimiter = delimiterOf(text);
  return { tables: within([{ name, rows: readCsv(text, delimiter), delimiter }]), note };
}

function within(tables: TextTable[]): TextTable[] {
  const filled = tables.filter(({ rows }) => rows.some((row) => row.some((cell) => cell.trim() !== "")));
  if (filled.length === 0) throw new UnreadableFile("This file has no rows.");
  const long = filled.find(({ rows }) => rows.length > FILE_LIMITS.rows + 1);
  if (long) throw new UnreadableFile(`"${long.name}" has more than ${FILE_LIMITS.rows.toLocaleString("en-GB")} rows. Import it in parts.`);
  return filled;
}

function decode(bytes: Uint8Array): { text: string; note: string | null } {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return { text: new TextDecoder("utf-16le").decode(bytes), note: null };
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return { text: new TextDecoder("utf-16be").decode(bytes), note: null };
  try {
    return { text: new TextDecoder("utf-8", { fatal: true }).decode(bytes), note: null };
  } catch {
    return {
      text: new TextDecoder("windows-1252").decode(bytes),
      note: "The file is not UTF-8 and was read as Windows-1252. Look at names with accents before importing it.",
    };
  }
}
