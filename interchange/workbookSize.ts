// The unpacked size of a workbook and the reach of its cells, counted while it is unpacked piece by piece: a cell at the far
// corner of a sheet makes a table of billions, and a small file can unpack to anything.
import { Unzip, UnzipInflate } from "fflate";
import { FILE_LIMITS } from "../core/plan/limits.ts";
import { UnreadableFile } from "./textTable.ts";

/** Pieces so small that even the best packed one unpacks to some megabytes. */
const PIECE_BYTES = 16_384;

/** A document type comes before the first element. */
const HEAD_LETTERS = 4_000;
const DECLARES =
  "This workbook declares entities of its own, which no spreadsheet program does. Open it in one, save it again, and import that file.";

/** @throws {UnreadableFile} where a workbook declares entities or is larger than is read. */
export function checkWorkbook(bytes: Uint8Array): void {
  let unpacked = 0;
  let sheets = 0;
  let failure: Error | null = null;
  const unzip = new Unzip((file) => {
    const reach = /^xl\/worksheets\/[^/]+\.xml$/.test(file.name) ? new Reach() : null;
    if (reach) sheets++;
    let isHead = true;
    file.ondata = (error, piece) => {
      failure ??= error;
      unpacked += piece?.length ?? 0;
      if (failure || !piece) return;
      if (!reach && !isHead) return;
      const text = Buffer.from(piece.buffer, piece.byteOffset, piece.length).toString("latin1");
      // Spreadsheet programs write no document type; one that declares entities would represent other text than is written.
      if (isHead && text.slice(0, HEAD_LETTERS).includes("<!DOCTYPE")) failure ??= new UnreadableFile(DECLARES);
      isHead = false;
      reach?.read(text);
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  for (let at = 0; at < bytes.length; at += PIECE_BYTES) {
    unzip.push(bytes.subarray(at, at + PIECE_BYTES), at + PIECE_BYTES >= bytes.length);
    if (failure) throw failure;
    if (unpacked > FILE_LIMITS.unpackedBytes)
      throw new UnreadableFile(`This workbook unpacks to more than ${FILE_LIMITS.unpackedBytes / 1e6} MB. Import it in parts.`);
    if (sheets > FILE_LIMITS.sheets)
      throw new UnreadableFile(`This workbook has more than ${FILE_LIMITS.sheets} sheets. Import it in parts.`);
  }
}

/** The reach of the cells of one sheet. */
class Reach {
  #rows = 0;
  #columns = 0;
  /** The end of the last piece, in which a cell may have begun. */
  #rest = "";

  /** @throws {UnreadableFile} at the first cell beyond what is read. */
  read(piece: string): void {
    const text = this.#rest + piece;
    for (const [, letters, digits] of text.matchAll(/<c\b[^>]*?\br="([A-Z]{1,7})(\d{1,9})"/g)) {
      this.#rows = Math.max(this.#rows, Number(digits));
      this.#columns = Math.max(this.#columns, columnOf(letters));
      const isFar = this.#rows > FILE_LIMITS.rows + 1 || this.#columns > FILE_LIMITS.columns;
      if (isFar || this.#rows * this.#columns > FILE_LIMITS.cells)
        throw new UnreadableFile(
          `A sheet of this workbook reaches to cell ${letters}${digits}, further than is read: ${FILE_LIMITS.rows.toLocaleString("en-GB")} rows, ${FILE_LIMITS.columns} columns, ${FILE_LIMITS.cells.toLocaleString("en-GB")} cells in all. Delete what is empty there, or bring it in parts.`,
        );
    }
    this.#rest = text.slice(Math.max(0, text.lastIndexOf("<c")));
    if (this.#rest.length > 1_000) this.#rest = "";
  }
}

/** "A" is 1, "AA" is 27. */
function columnOf(letters: string): number {
  return [...letters].reduce((column, letter) => column * 26 + letter.charCodeAt(0) - 64, 0);
}
