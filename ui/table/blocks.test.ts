import fc from "fast-check";
import { expect, test } from "vitest";
import { cellsOfText, markedBetween, textOfBlock } from "./blocks.ts";
import type { TableColumn } from "./column.ts";

const keys = ["a", "b", "c", "d"];
const columns = ["x", "y", "z"];

test("always: a block is the same from either corner, and holds both", () => {
  const corner = fc.record({ key: fc.constantFrom(...keys), column: fc.constantFrom(...columns) });
  fc.assert(
    fc.property(corner, corner, (one, other) => {
      const marked = markedBetween(keys, columns, one, other);
      expect(markedBetween(keys, columns, other, one)).toEqual(marked);
      for (const { key, column } of [one, other]) {
        const [row, at] = [keys.indexOf(key), columns.indexOf(column)];
        expect(marked && marked.top <= row && row <= marked.bottom && marked.left <= at && at <= marked.right).toBe(true);
      }
    }),
  );
});

test("without an anchor a block is the active cell, and a row that is gone has none", () => {
  expect(markedBetween(keys, columns, null, { key: "c", column: "y" })).toEqual({ top: 2, bottom: 2, left: 1, right: 1 });
  expect(markedBetween(keys, columns, { key: "gone", column: "x" }, { key: "a", column: "x" })).toBeNull();
  expect(markedBetween(keys, columns, null, { key: "a", column: null })).toBeNull();
});

test("always: cells that are copied as a block come back as they were", () => {
  const cell = fc.string({ unit: fc.constantFrom("a", "1", ".", " ", "é") });
  const named = columns.map(
    (id, at): TableColumn<string[]> => ({ id, head: id, width: 10, value: (row) => row[at], cell: (row) => row[at] }),
  );
  fc.assert(
    fc.property(fc.array(fc.tuple(cell, cell, fc.constant("end")), { minLength: 1, maxLength: 6 }), (rows) => {
      expect(cellsOfText(`${textOfBlock(rows, named)}\r\n`)).toEqual(rows);
    }),
  );
});
