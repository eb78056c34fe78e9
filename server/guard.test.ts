import { expect, test } from "vitest";
import { hostNames, refusalOf, TOKEN_HEADER } from "./guard.ts";

const names = hostNames({ ROSTER_HOSTS: "roster.fernhollow.example" });
const asked = (method: string, headers: Record<string, string>, address = "/api/edits") =>
  refusalOf({ method, address, headers: { host: "localhost:3000", [TOKEN_HEADER]: "token", ...headers } }, names, "token")?.status ?? 200;

test("pages of the application, and programs of this machine, change the plan", () => {
  expect(asked("POST", { origin: "http://localhost:3000", "sec-fetch-site": "same-origin" })).toBe(200);
  expect(asked("POST", { "sec-fetch-site": "same-origin" })).toBe(200);
  expect(asked("POST", {})).toBe(200);
  expect(asked("POST", { host: "roster.fernhollow.example", origin: "https://roster.fernhollow.example" })).toBe(200);
  expect(asked("GET", { "sec-fetch-site": "cross-site" })).toBe(200);
});

test("no other site's page changes anything, no matter what it says of itself", () => {
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

test("without the token nothing is changed, wherever it comes from", () => {
  expect(asked("POST", { [TOKEN_HEADER]: "another one" })).toBe(403);
  expect(asked("POST", { [TOKEN_HEADER]: "" })).toBe(403);
  expect(asked("POST", { origin: "http://localhost:3000", "sec-fetch-site": "same-origin", [TOKEN_HEADER]: "guessed" })).toBe(403);
});

test("an empty token, as of a file that was damaged, lets nobody in", () => {
  const request = { method: "POST", address: "/api/edits", headers: { host: "localhost:3000", [TOKEN_HEADER]: "" } };
  expect(refusalOf(request, names, "")?.status).toBe(403);
});

test("an address that cannot be read is refused", () => {
  const status = (address: string) => asked("GET", {}, address);
  expect(status("/balance?from=2027-01-01&name=a+b%20c")).toBe(200);
  for (const address of ["/%", "/%E0%A4%A", "/work/%ff", "http://elsewhere.example/", "*"]) expect(status(address), address).toBe(400);
  expect(status(`/balance?${"x".repeat(9_000)}`)).toBe(414);
});
