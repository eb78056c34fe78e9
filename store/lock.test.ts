// One process owns a data folder, no matter how the one before ended.

import { spawn } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from "node:fs";
import { hostname, tmpdir } from "node:os";
import { join } from "node:path";
import { afterEach, beforeEach, expect, test } from "vitest";
import { NOW } from "../tests/storeFixture.ts";
import { dataFolder } from "./files.ts";
import { FolderInUse, lockFolder } from "./lock.ts";

let folder: string;
let lock: string;

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), "roster-lock-"));
  lock = join(folder, "lock");
});
afterEach(() => rmSync(folder, { recursive: true }));

const holder = { pid: 2 ** 22 - 3, begun: "1", boot: "", host: hostname(), since: NOW };

test("a lock whose process is gone is taken over, and given back in the end", () => {
  writeFileSync(lock, JSON.stringify(holder));
  const giveBack = lockFolder(folder, NOW);
  expect(JSON.parse(readFileSync(lock, "utf8"))).toMatchObject({ pid: process.pid, host: hostname() });
  expect(statSync(lock).mode & 0o777).toBe(0o600);
  expect(() => lockFolder(folder, NOW)).toThrow(FolderInUse);
  giveBack();
  expect(existsSync(lock)).toBe(false);
});

test("a lock from before the machine was started again is nobody's, though its number is that of a living process", () => {
  writeFileSync(lock, JSON.stringify({ ...holder, pid: process.ppid, begun: "", boot: "another start" }));
  lockFolder(folder, NOW)();
  writeFileSync(lock, JSON.stringify({ ...holder, pid: process.ppid, begun: "" }));
  expect(() => lockFolder(folder, NOW)).toThrow(FolderInUse);
});

test("a lock of another host is taken over only on request, and the message says how", () => {
  const theirs = JSON.stringify({ ...holder, host: "former-name" });
  writeFileSync(lock, theirs);
  expect(() => lockFolder(folder, NOW, false)).toThrow(/by process \d+ on former-name.*start once with ROSTER_TAKE_OVER=1/);
  const giveBack = lockFolder(folder, NOW, true);
  // The person who takes it over in turn has it, and keeps it.
  writeFileSync(lock, theirs);
  giveBack();
  expect(readFileSync(lock, "utf8")).toBe(theirs);
});

test("of many who take a folder at once, one has it", async () => {
  const script = `import { lockFolder } from "./store/lock.ts";
    try { lockFolder(${JSON.stringify(folder)}, "now"); process.stdout.write("has it"); await new Promise((resolve) => process.stdin.on("end", resolve).resume()); } catch (error) { process.stdout.write(error.name); }`;
  const children = Array.from({ length: 4 }, () =>
    spawn(process.execPath, ["--import", "tsx", "--input-type=module", "-e", script], { cwd: join(import.meta.dirname, "..") }),
  );
  const said = await Promise.all(
    children.map((child) => new Promise<string>((resolve) => child.stdout.once("data", (chunk) => resolve(String(chunk))))),
  );
  for (const child of children) child.stdin.end();
  await Promise.all(children.map((child) => child.exitCode ?? new Promise((resolve) => child.once("exit", resolve))));
  expect(said.sort()).toEqual(["FolderInUse", "FolderInUse", "FolderInUse", "has it"]);
});

test("a data folder named by an empty text is a mistake, not the usual folder", () => {
  expect(() => dataFolder({ ROSTER_DATA: " " }, "/root")).toThrow(/ROSTER_DATA is empty/);
  expect(dataFolder({}, "/root")).toBe("/root/.data");
  expect(dataFolder({ ROSTER_DATA: "/elsewhere" }, "/root")).toBe("/elsewhere");
});
