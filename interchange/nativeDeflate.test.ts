import { unzipSync, Zip } from "fflate";
import { expect, test } from "vitest";
import { ZipDeflate } from "./nativeDeflate.ts";

test("what is packed by Node.js is unpacked as it was, in any pieces it came", () => {
  const text = new TextEncoder().encode("7.5;0;8;".repeat(20_000));
  const pieces: Uint8Array[] = [];
  const zip = new Zip((error, piece) => {
    if (error) throw error;
    pieces.push(piece);
  });
  for (const [name, cuts] of [
    ["whole.xml", [text]],
    ["parts.xml", [text.subarray(0, 77), text.subarray(77)]],
    ["empty.xml", [new Uint8Array()]],
  ] as const) {
    const file = new ZipDeflate(name);
    zip.add(file);
    for (const [at, cut] of cuts.entries()) file.push(cut, at === cuts.length - 1);
  }
  zip.end();
  const archive = Buffer.concat(pieces);
  expect(archive.length).toBeLessThan(text.length / 10);
  const files = unzipSync(new Uint8Array(archive));
  expect(Object.keys(files)).toEqual(["whole.xml", "parts.xml", "empty.xml"]);
  expect(Buffer.compare(files["whole.xml"], text)).toBe(0);
  expect(Buffer.compare(files["parts.xml"], text)).toBe(0);
  expect(files["empty.xml"]).toHaveLength(0);
});
