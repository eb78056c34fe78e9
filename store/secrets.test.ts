import { mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterEach, beforeEach, expect, test } from "vitest";
import { feedSecret, isFeedSecret, renewSecret, secretOf } from "./secrets.ts";

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), "roster-secrets-"));
});
afterEach(() => rmSync(folder, { recursive: true }));

test("a secret is made once, no matter who asks first, is the owner's alone, and stays until it is made again", async () => {
  const own = join(folder, "new");
  const [first, ...others] = await Promise.all(Array.from({ length: 8 }, () => secretOf(own, "token")));
  expect(first).toMatch(/^[\w-]{32}$/);
  expect(new Set(others)).toEqual(new Set([first]));
  expect(await secretOf(own, "feed-key")).not.toBe(first);
  expect(statSync(join(own, "token")).mode & 0o777).toBe(0o600);
  await renewSecret(own, "token");
  expect(await secretOf(own, "token")).not.toBe(first);
  expect(statSync(join(own, "token")).mode & 0o777).toBe(0o600);
});

test("each feed has a secret part of its own, which ends when the key is made again", async () => {
  const mara = await feedSecret(folder, "people/mara");
  expect(mara).toMatch(/^[\w-]{32}$/);
  expect(await feedSecret(folder, "people/mara")).toBe(mara);
  expect(await isFeedSecret(folder, "people/mara", mara)).toBe(true);
  for (const given of ["", "x", mara.slice(1), `${mara}x`, await feedSecret(folder, "people/rui")])
    expect(await isFeedSecret(folder, "people/mara", given), given).toBe(false);
  await renewSecret(folder, "feed-key");
  expect(await isFeedSecret(folder, "people/mara", mara)).toBe(false);
});

test("a secret that is empty or cut short is made again, and several calls at once get the same", async () => {
  for (const damaged of ["", "abc", `${"x".repeat(31)} `]) {
    writeFileSync(join(folder, "token"), damaged);
    const [one, ...others] = await Promise.all(Array.from({ length: 6 }, () => secretOf(folder, "token")));
    expect(one).toMatch(/^[\w-]{32}$/);
    expect(new Set([one, ...others, await secretOf(folder, "token")]).size).toBe(1);
  }
  expect(readdirSync(folder)).toEqual(["token"]);
  expect(statSync(join(folder, "token")).mode & 0o777).toBe(0o600);
});
