// fflate as the package that writes workbooks uses it, with the deflating done by Node.js itself: a workbook of a million
// cells is packed several times faster so. The bundle of the thread that writes files puts this in fflate's place.
import { deflateRawSync } from "node:zlib";
import { ZipPassThrough } from "fflate";

export * from "fflate";

/** The method number of DEFLATE in a ZIP archive (APPNOTE.TXT, 4.4.5). */
const DEFLATE = 8;
/** Figures of a board pack almost as well at this level as at higher ones, in half of the time. */
const LEVEL = 3;

/** A file of an archive, which is packed once all of it has come. */
export class ZipDeflate extends ZipPassThrough {
  override compression = DEFLATE;
  readonly #chunks: Uint8Array[] = [];

  protected override process(chunk: Uint8Array, isLast: boolean): void {
    this.#chunks.push(chunk);
    if (isLast) this.ondata(null, deflateRawSync(Buffer.concat(this.#chunks), { level: LEVEL }), true);
  }
}
