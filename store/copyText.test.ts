import fc from "fast-check";
import { expect, test } from "vitest";
import { copyText } from "./copyText.ts";

const note = [{ key: "note", type: "text" }];
const idOf = ({ id }: { id: string }) => [id];

test("what is not stated is null, and what would end a value or a line is written with a backslash", () => {
  const rows = copyText(note, [{ id: "a\tb", note: "one\ntwo\\N" }, { id: "c" }], idOf);
  expect(rows).toBe("a\\tb\tone\\ntwo\\\\N\nc\t\\N\n");
});

test("an array is written as SQL writes one, any other structure as JSON", () => {
  const columns = [{ key: "week", type: "numeric[]" }, ...["tasks", "links"].map((key) => ({ key, type: "jsonb" }))];
  const text = copyText(columns, [{ week: [8, 7.5, 0], tasks: [{ id: 'a"b' }], links: [] }], (_, at) => [at]);
  expect(text).toBe('0\t{"8","7.5","0"}\t[{"id":"a\\\\"b"}]\t[]\n');
});

test("an entry of an array keeps its quotes, backslashes and tabs", () => {
  const text = copyText([{ key: "tags", type: "text[]" }], [{ tags: ['a"b', "c\\d", "e\tf"] }], (_, at) => [at]);
  expect(text).toBe('0\t{"a\\\\"b","c\\\\\\\\d","e\\tf"}\n');
});

test("always: a line a row, and what comes out when it is read back is what went in", () => {
  const letters = fc.string({ unit: fc.constantFrom("a", "N", "\\", "\t", "\n", "\r", "ü", ".") });
  fc.assert(
    fc.property(fc.array(fc.record({ id: letters, note: fc.option(letters) }), { maxLength: 5 }), (rows) => {
      const lines = copyText(note, rows, idOf).split("\n");
      expect(lines.pop()).toBe("");
      expect(lines.map((line) => line.split("\t").map(readBack))).toEqual(rows.map(({ id, note: own }) => [id, own]));
    }),
  );
});

const meant: Record<string, string> = { "\\\\": "\\", "\\t": "\t", "\\n": "\n", "\\r": "\r" };
const readBack = (text: string) => (text === "\\N" ? null : text.replaceAll(/\\./g, (pair) => meant[pair]));
