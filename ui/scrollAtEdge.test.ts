import fc from "fast-check";
import { expect, test } from "vitest";
import { speedAt } from "./scrollAtEdge.ts";

test("nothing scrolls in the middle, and at an edge it goes towards it, faster the nearer", () => {
  expect(speedAt(300, 0, 600)).toBe(0);
  expect(speedAt(0, 0, 600)).toBe(-16);
  expect(speedAt(600, 0, 600)).toBe(16);
  expect(speedAt(640, 0, 600)).toBe(16);
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 299 }), (at) => {
      expect(speedAt(600 - at, 0, 600)).toBe(-speedAt(at, 0, 600) || 0);
      expect(speedAt(at, 0, 600)).toBeLessThanOrEqual(speedAt(at + 1, 0, 600));
    }),
  );
});
