import { readFileSync } from "node:fs";
import { expect, test } from "vitest";
import { codeOf, messageOf } from "./errors.ts";

const thrownBy = (act: () => unknown): unknown => {
  try {
    return act();
  } catch (error) {
    return error;
  }
};

test("errors of the system have a code, others a message alone, and anything can be thrown", () => {
  const system = thrownBy(() => readFileSync("/nowhere at all"));
  expect(codeOf(system)).toBe("ENOENT");
  expect(messageOf(system)).toMatch(/no such file/);
  expect(codeOf(new Error("late"))).toBeUndefined();
  expect(messageOf(new Error("late"))).toBe("late");
  expect([codeOf("torn"), messageOf("torn")]).toEqual([undefined, "torn"]);
});
