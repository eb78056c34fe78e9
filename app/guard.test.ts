import { expect, test } from "vitest";
import { contentPolicy, hostNames, refusalOf } from "./guard.ts";

const names = hostNames({ ROSTER_HOSTS: "roster.fernhollow.example" });
const asked = (method: string, headers: Record<string, string>) =>
  refusalOf(method, new Headers({ host: "localhost:3000", ...headers }), names)?.status ?? 200;

test("pages of the application, and programs of this machine, change the plan", () => {
  expect(asked("POST", { origin: "http://localhost:3000", "sec-fetch-site": "same-origin" })).toBe(200);
  expect(asked("POST", { "sec-fetch-site": "same-origin" })).toBe(200);
  expect(asked("POST", {})).toBe(200);
  expect(asked("POST", { host: "roster.fernhollow.example", origin: "https://roster.fernhollow.example" })).toBe(200);
  expect(asked("GET", { "sec-fetch-site": "cross-site" })).toBe(200);
});

test("no other site's page changes anything, whatever it says of itself", () => {
  expect(asked("POST", { origin: "https://elsewhere.example" })).toBe(403);
  expect(asked("POST", { origin: "null" })).toBe(403);
  expect(asked("POST", { origin: "http://localhost:4000" })).toBe(403);
  expect(asked("POST", { origin: "http://localhost:3000.elsewhere.example" })).toBe(403);
  expect(asked("POST", { "sec-fetch-site": "cross-site" })).toBe(403);
  expect(asked("POST", { "sec-fetch-site": "same-site" })).toBe(403);
});

test("a foreign name that points here reads nothing; other methods are not used", () => {
  expect(asked("GET", { host: "elsewhere.example:3000" })).toBe(421);
  expect(asked("GET", { host: "localhost.elsewhere.example" })).toBe(421);
  expect(asked("GET", { host: "" })).toBe(421);
  for (const method of ["PUT", "DELETE", "PATCH", "TRACE", "OPTIONS"]) expect(asked(method, {}), method).toBe(405);
  expect(hostNames({ HOST: "0.0.0.0" })).toEqual(hostNames({}));
});

test("a page loads nothing from outside and stands in no frame", () => {
  const policy = contentPolicy("abc");
  expect(policy).toContain("script-src 'self' 'nonce-abc'");
  expect(policy).toContain("frame-ancestors 'none'");
  expect(policy).not.toMatch(/https?:|unsafe-eval|\*/);
});
