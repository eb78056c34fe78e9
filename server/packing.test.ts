import { expect, test } from "vitest";
import { isOfThisMachine } from "./packing.ts";

const asked = (remoteAddress: string | undefined, headers: Record<string, string> = {}) =>
  isOfThisMachine({ headers, socket: { remoteAddress } });

test("only who asks from this very machine, and not through a proxy on it, is of this machine", () => {
  expect(["127.0.0.1", "::1", "::ffff:127.0.0.1"].map((address) => asked(address))).toEqual([true, true, true]);
  expect(["192.168.1.20", "::ffff:10.0.0.4", undefined].map((address) => asked(address))).toEqual([false, false, false]);
  for (const name of ["x-forwarded-for", "forwarded", "via"]) expect(asked("127.0.0.1", { [name]: "for=203.0.113.9" })).toBe(false);
});
