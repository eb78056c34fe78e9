import fc from "fast-check";
import { expect, test } from "vitest";
import type { Link } from "../plan/schema.ts";
import { readLinkText, writeLinkText } from "./linkText.ts";

const isKnown = (from: string) => from === "12" || from === "Order materials" || from === "Crate SS";
const kinds: Link["kind"][] = ["FS", "SS", "FF", "SF"];

test("always: a written link is read back, in words and with the code of its kind", () => {
  const how = fc.record({ kind: fc.constantFrom(...kinds), lagDays: fc.integer({ min: -9, max: 9 }), elapsed: fc.boolean() });
  fc.assert(
    fc.property(fc.constantFrom("12", "Order materials", "Crate SS"), how, (from, { kind, lagDays, elapsed }) => {
      const link = { from, kind, ...(lagDays !== 0 && { lagDays }), ...(lagDays !== 0 && elapsed && { elapsed }) };
      expect(readLinkText(writeLinkText(from, link), isKnown)).toEqual(link);
      const lag = lagDays === 0 ? "" : `${lagDays > 0 ? "+" : "-"}${Math.abs(lagDays)}${elapsed ? "cd" : "d"}`;
      expect(readLinkText(`${from}${kind}${lag}`, isKnown)).toEqual(link);
    }),
  );
});

test("two letters at the end of a name belong to the name, and an unknown name is no link", () => {
  expect(readLinkText("Crate SS", isKnown)).toEqual({ from: "Crate SS", kind: "FS" });
  expect(readLinkText("13SS", isKnown)).toBeNull();
  expect(readLinkText("with 12 FF", isKnown)).toBeNull();
});
