// The promises of an answer: nothing is answered before it is on the disk; copies are kept; a folder is its owner's.

import { mkdir, readdir, readFile, rm, stat, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { expect, test } from "vitest";
import { filesOf, give, NOW, storeFixture } from "../tests/storeFixture.ts";
import { KEPT_COPIES, listCopies, outdated } from "./copies.ts";

const fixture = storeFixture();

/** Some edits, answered. */
async function work(count: number): Promise<void> {
  for (let at = 0; at < count; at++) await fixture.settle(give("rockpools-mara", at % 2 ? "mara" : "rui"));
}

test("half a line at the journal's end is kept in a file that nothing overwrites, and said", async () => {
  await work(3);
  const before = fixture.store.snapshot();
  const store = await fixture.afterCut(async (folder) => {
    const [file] = (await readdir(join(folder, "journal"))).filter((name) => name.endsWith(".jsonl")).slice(-1);
    await writeFile(join(folder, "journal", file), '1234abcd {"revision":', { flag: "a" });
  });
  expect(store.snapshot()).toEqual(before);
  expect(store.said).toEqual([
    "The journal ended in 21 bytes that are no whole line; they are kept in journal/000000002.jsonl.cut-1. A change is answered only once its whole line is on the disk.",
  ]);
  await fixture.settle(give("rockpools-mara", "kaspar"));
  const again = await fixture.afterCut(async (folder) => writeFile(join(folder, "journal", "000000002.jsonl"), "half", { flag: "a" }));
  expect(again.said.join()).toContain("journal/000000002.jsonl.cut-2");
  expect(fixture.holder("rockpools-mara")).toBe("kaspar");
});

test("a database that is ahead of the journal by a change that was not answered keeps it", async () => {
  await work(3);
  const before = fixture.store.snapshot();
  const store = await fixture.afterCut(async (folder) => {
    const [file] = (await readdir(join(folder, "journal"))).filter((name) => name.endsWith(".jsonl")).slice(-1);
    const path = join(folder, "journal", file);
    const lines = (await readFile(path, "utf8")).split("\n");
    await writeFile(path, `${lines.slice(0, -2).join("\n")}\n`);
  });
  expect(store.snapshot()).toEqual(before);
  expect(store.said).toEqual([]);
  await fixture.reopen();
  expect(fixture.store.snapshot()).toEqual(before);
});

test("nothing is answered before it is on the disk, and those who wait share a flush", async () => {
  await fixture.store.close();
  const waiting: (() => void)[] = [];
  fixture.store = await fixture.open({ flush: () => new Promise((resolve) => waiting.push(resolve)) });
  let answered = 0;
  const edits = ["rui", "kaspar", "mara", "jonas"].map((person, at) =>
    fixture.settle(give(["rockpools-mara", "rockpools-jonas", "demo-ines", "neon-ines"][at], person)).then(() => answered++),
  );
  while (fixture.store.snapshot().revision < 5 || waiting.length === 0) await new Promise((resolve) => setTimeout(resolve, 5));
  expect(answered).toBe(0);
  waiting.shift()?.();
  while (waiting.length === 0 && answered < 4) await new Promise((resolve) => setTimeout(resolve, 5));
  for (const go of waiting.splice(0)) go();
  await Promise.all(edits);
  expect(answered).toBe(4);
  const closing = fixture.store.close();
  while (waiting.length === 0) await new Promise((resolve) => setTimeout(resolve, 5));
  waiting.shift()?.();
  await closing;
  fixture.store = await fixture.open();
});

test("a disk that does not take what was written ends saving, and says so", async () => {
  await fixture.store.close();
  let fails = false;
  fixture.store = await fixture.open({ flush: (file) => (fails ? Promise.reject(new Error("input/output error")) : file.datasync()) });
  fails = true;
  await expect(fixture.settle(give("rockpools-mara", "rui"))).rejects.toThrow(/cannot be written \(input\/output error\)/);
  await expect(fixture.settle(give("rockpools-mara", "kaspar"))).rejects.toThrow(/cannot be written/);
  fails = false;
});

test("a disk without room is noticed before anything is begun: reading goes on, edits and plans are refused with the reason", async () => {
  await fixture.store.close();
  let room = 1e12;
  fixture.store = await fixture.open({ roomOf: async () => room });
  room = 40_000_000;
  const before = fixture.store.snapshot();
  const answer = await fixture.settle(give("rockpools-mara", "rui"));
  expect(answer.faults[0].message).toMatch(/has 40 MB left and needs 96 MB to save this: 56 MB are missing/);
  await expect(fixture.store.replace(before.plan, "manager", NOW)).rejects.toMatchObject({
    code: "noRoom",
    message: expect.stringMatching(/has 40 MB left and needs \d+ MB to save this: \d+ MB are missing/),
  });
  expect(fixture.store.snapshot()).toEqual(before);
  room = 1e12;
  expect((await fixture.settle(give("rockpools-mara", "rui"))).faults).toEqual([]);
});

test("a copy is made after a day of work, and old ones are removed by number and age", async () => {
  const edit = (at: string, personId: string) =>
    fixture.store.settle(give("rockpools-mara", personId), { actor: "manager", id: null }, fixture.store.snapshot().revision, at);
  await edit("2027-02-01T12:00:00.000Z", "rui");
  await edit("2027-02-02T12:00:00.000Z", "mara");
  await fixture.reopen();
  expect((await listCopies(fixture.folder)).map(({ revision }) => revision)).toEqual([3, 1, 1]);

  const day = (back: number, hour: number) => new Date(Date.UTC(2027, 2, 31 - back, hour)).toISOString();
  const copies = Array.from({ length: 80 }, (_, at) => ({
    name: String(at),
    revision: 200 - at,
    at: day(Math.floor(at / 2), at % 2 ? 9 : 17),
  }));
  const gone = new Set(outdated(copies, day(0, 18)).map(({ name }) => Number(name)));
  const kept = copies.map((_, at) => at).filter((at) => !gone.has(at));
  expect(kept.slice(0, KEPT_COPIES)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9]);
  // Of the days before, the last of each, thirty days back.
  expect(kept.slice(KEPT_COPIES).every((at) => at % 2 === 0)).toBe(true);
  expect(kept.at(-1)).toBe(58);
});

test("the folder is its owner's alone, and one of a newer version is left untouched", async () => {
  expect((await stat(fixture.folder)).mode & 0o777).toBe(0o700);
  await fixture.store.close();
  const version = join(fixture.folder, "version.json");
  await writeFile(version, JSON.stringify({ tables: "999-later.sql" }));
  const before = await Promise.all((await filesOf(fixture.folder)).map(async (path) => [path, (await stat(path)).mtimeMs]));
  await expect(fixture.open()).rejects.toThrow(/written by a newer version of Mindful Roster \(999-later\.sql/);
  expect(await Promise.all((await filesOf(fixture.folder)).map(async (path) => [path, (await stat(path)).mtimeMs]))).toEqual(before);
  await rm(version);
  await mkdir(join(fixture.folder, "copies"), { recursive: true });
  fixture.store = await fixture.open();
});
