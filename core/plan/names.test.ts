// The order of names.
import fc from "fast-check";
import { expect, test } from "vitest";
import { compareCodePoints } from "./names.ts";

const codePoints = (text: string) => Array.from(text, (letter) => letter.codePointAt(0) ?? 0);

/** The same, read off the definition. */
function compareByHand(a: string, b: string): number {
  const [left, right] = [codePoints(a), codePoints(b)];
  const at = left.findIndex((point, place) => point !== right[place]);
  if (at < 0 || at >= right.length) return left.length - right.length;
  return left[at] - right[at];
}

test("always: names are ordered by their code points, also where letters are pairs, or halves of one", () => {
  const halves = ["a", "b", "\u{1F3A8}", "\u{1F3AA}", "\u{10437}", "\uD83C", "\uDFA8", "\uFB01", "\uE000"];
  const name = fc.array(fc.constantFrom(...halves), { maxLength: 5 }).map((parts) => parts.join(""));
  fc.assert(
    fc.property(name, name, (a, b) => {
      expect(Math.sign(compareCodePoints(a, b)), JSON.stringify([a, b])).toBe(Math.sign(compareByHand(a, b)));
    }),
    { numRuns: 2_000 },
  );
  // By halves of letters, the second would come first.
  expect(compareCodePoints("\uFB01", "\u{1F3A8}")).toBeLessThan(0);
});
