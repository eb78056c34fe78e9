import { expect, test } from "vitest";
import { contentPolicy } from "./contentPolicy.ts";

test("a page loads nothing from outside and is in no frame", () => {
  const policy = contentPolicy("abc");
  expect(policy).toContain("script-src 'self' 'nonce-abc'");
  expect(policy).toContain("frame-ancestors 'none'");
  expect(policy).not.toMatch(/https?:|unsafe-eval|\*/);
});
