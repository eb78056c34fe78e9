// Large results held against each other.
import { isDeepStrictEqual } from "node:util";
import { expect } from "vitest";

/** Compares in one go, which is many times faster; where the two differ, says where. */
export function expectSame(found: unknown, expected: unknown, message: string): void {
  if (!isDeepStrictEqual(found, expected)) expect(found, message).toEqual(expected);
}
