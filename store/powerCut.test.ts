// What is left after a power cut: the journal is on the disk, the database may be behind, torn or gone.

import { cp, mkdir, open, readdir, readFile, rm, stat, truncate, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { expect, test } from "vitest";
import { randomFrom } from "../demo/random.ts";
import { everyEditFrom } from "../tests/everyEdit.ts";
import { give, NOW, storeScene } from "../tests/storeScene.ts";
import { KEPT_COPIES, listCopies, outdated } from "./copies.ts";
import type { PlanStore } from "./planStore.ts";

const scene = storeScene();

/** Edits of every kind, answered; and one undo. */
async function work(count: number, seed: number): Promise<void> {
  const next = everyEditFrom(seed);
  for (let step = 0; step < count; step++) await scene.settle({ kind: "edit", edit: next(scene.store.snapshot().plan) });
  await scene.settle(give("rockpools-mara", "rui"));
  await scene.settle({ kind: "undo" });
}

/** Opens the folder as it would be found after the cut, with what `cut` makes of its files. */
async function afterCut(cut: (folder: string) => Promise<void>): Promise<PlanStore> {
  await scene.store.close();
  await cut(scene.folder);
  scene.store = await scene.open();
  return scene.store;
}

const database = (folder: string) => join(folder, "pglite");

/** Every file below a folder. */
async function filesOf(folder: string): Promise<string[]> {
  const entries = await readdir(folder, { recursive: true, withFileTypes: true });
  return entries.filter((entry) => entry.isFile()).map(({ parentPath, name }) => join(parentPath, name));
}

/** Blocks of the database's files that never reached the disk: zeroes, or cut off. */
async function tear(folder: string, seed: number): Promise<void> {
  const random = randomFrom(seed).next;
  const files = (await filesOf(database(folder))).sort();
  for (const path of files) {
    const { size } = await stat(path);
    if (size === 0 || random() > 0.25) continue;
    if (random() < 0.3) await truncate(path, Math.floor((random() * size) / 8192) * 8192);
    else {
      const file = await open(path, "r+");
      await file.write(Buffer.alloc(8192), 0, Math.min(8192, size), Math.floor((random() * size) / 8192) * 8192);
      await file.close();
    }
  }
}

test("a folder that was closed in order is opened as it is", async () => {
  await work(3, 1);
  await scene.reopen();
  expect(scene.store.said).toEqual([]);
});

test.each([1, 2, 3, 4])("a torn database is made again from copy and journal: nothing answered is lost (seed %i)", async (seed) => {
  await work(12, seed);
  const before = scene.store.snapshot();
  const store = await afterCut((folder) => tear(folder, seed));
  expect(store.snapshot()).toEqual(before);
  // What it holds is sound: it takes edits, opens anew as it is, and the step of before is still one's own.
  await scene.settle({ kind: "redo" });
  expect(scene.holder("rockpools-mara")).toBe("rui");
  await scene.reopen();
  expect(scene.store.said).toEqual([]);
  expect(scene.holder("rockpools-mara")).toBe("rui");
});

test("a database that is behind what was answered is made again, and that is said", async () => {
  const behind = join(scene.folder, "..", `${scene.folder.split("/").at(-1)}-behind`);
  await scene.store.close();
  await cp(database(scene.folder), behind, { recursive: true });
  scene.store = await scene.open();
  await work(8, 20);
  const before = scene.store.snapshot();
  const store = await afterCut(async (folder) => {
    await rm(database(folder), { recursive: true });
    await cp(behind, database(folder), { recursive: true });
    await rm(behind, { recursive: true });
  });
  expect(store.snapshot()).toEqual(before);
  expect(store.said.join(" ")).toMatch(
    /stood at revision 1; it was made again from the copy of revision 1 and the journal up to revision \d+\./,
  );
});

test("a database that is gone is made again, also over a plan that was opened in between", async () => {
  await work(4, 30);
  const { plan } = scene.store.snapshot();
  await scene.store.replace({ ...plan, settings: { ...plan.settings, name: "Another" } }, "manager", NOW);
  await scene.settle(give("rockpools-jonas", "kaspar"));
  const before = scene.store.snapshot();
  const store = await afterCut((folder) => rm(database(folder), { recursive: true }));
  expect(store.snapshot()).toEqual(before);
  expect(store.said.join(" ")).toMatch(/was gone or could not be read; it was made again/);
});

test("where the newest copy is not what was written, the one before is followed", async () => {
  await work(4, 31);
  const { plan } = scene.store.snapshot();
  await scene.store.replace({ ...plan, settings: { ...plan.settings, name: "Another" } }, "manager", NOW);
  await scene.settle(give("rockpools-jonas", "kaspar"));
  const store = await afterCut(async (folder) => {
    await rm(database(folder), { recursive: true });
    const [newest] = await listCopies(folder);
    await writeFile(join(folder, "copies", newest.name), "{}");
  });
  expect(store.snapshot().plan).toEqual(plan);
});

test("half a line at the journal's end was never answered: it is put aside, and said", async () => {
  await work(2, 40);
  const before = scene.store.snapshot();
  const store = await afterCut(async (folder) => {
    const [file] = (await readdir(join(folder, "journal"))).filter((name) => name.endsWith(".jsonl")).slice(-1);
    await writeFile(join(folder, "journal", file), '1234abcd {"revision":', { flag: "a" });
  });
  expect(store.snapshot()).toEqual(before);
  expect(store.said).toEqual(["The journal ended in 21 bytes of a change that was never answered; they were put aside."]);
  await scene.settle({ kind: "redo" });
  await scene.reopen();
  expect(scene.holder("rockpools-mara")).toBe("rui");
});

test("a database that is ahead of the journal by a change that was not answered keeps it", async () => {
  await work(2, 50);
  const before = scene.store.snapshot();
  const store = await afterCut(async (folder) => {
    const [file] = (await readdir(join(folder, "journal"))).filter((name) => name.endsWith(".jsonl")).slice(-1);
    const path = join(folder, "journal", file);
    const lines = (await readFile(path, "utf8")).split("\n");
    await writeFile(path, `${lines.slice(0, -2).join("\n")}\n`);
  });
  expect(store.snapshot()).toEqual(before);
  expect(store.said).toEqual([]);
  await scene.reopen();
  expect(scene.store.snapshot()).toEqual(before);
});

test("nothing is answered before it is on the disk, and those who wait share a flush", async () => {
  await scene.store.close();
  const waiting: (() => void)[] = [];
  scene.store = await scene.open({ flush: () => new Promise((resolve) => waiting.push(resolve)) });
  let answered = 0;
  const edits = ["rui", "kaspar", "mara", "jonas"].map((person, at) =>
    scene.settle(give(["rockpools-mara", "rockpools-jonas", "demo-ines", "neon-ines"][at], person)).then(() => answered++),
  );
  while (scene.store.snapshot().revision < 5 || waiting.length === 0) await new Promise((resolve) => setTimeout(resolve, 5));
  expect(answered).toBe(0);
  waiting.shift()?.();
  while (waiting.length === 0 && answered < 4) await new Promise((resolve) => setTimeout(resolve, 5));
  for (const go of waiting.splice(0)) go();
  await Promise.all(edits);
  expect(answered).toBe(4);
  const closing = scene.store.close();
  while (waiting.length === 0) await new Promise((resolve) => setTimeout(resolve, 5));
  waiting.shift()?.();
  await closing;
  scene.store = await scene.open();
});

test("a disk that does not take what was written ends saving, and says so", async () => {
  await scene.store.close();
  let fails = false;
  scene.store = await scene.open({ flush: (file) => (fails ? Promise.reject(new Error("input/output error")) : file.datasync()) });
  fails = true;
  await expect(scene.settle(give("rockpools-mara", "rui"))).rejects.toThrow(/does not take it \(input\/output error\)/);
  await expect(scene.settle(give("rockpools-mara", "kaspar"))).rejects.toThrow(/does not take it/);
  fails = false;
});

test("a disk without room is noticed before anything is begun: reading goes on, edits and plans are refused with the reason", async () => {
  await scene.store.close();
  let room = 1e12;
  scene.store = await scene.open({ roomOf: async () => room });
  room = 40_000_000;
  const before = scene.store.snapshot();
  const answer = await scene.settle(give("rockpools-mara", "rui"));
  expect(answer.faults[0].message).toMatch(/has 40 MB left and needs 96 MB/);
  await expect(scene.store.replace(before.plan, "manager", NOW)).rejects.toThrow(/has 40 MB left/);
  expect(scene.store.snapshot()).toEqual(before);
  room = 1e12;
  expect((await scene.settle(give("rockpools-mara", "rui"))).faults).toEqual([]);
});

test("a copy is made after a day of work, and old ones are removed by number and age", async () => {
  const edit = (at: string, personId: string) =>
    scene.store.settle(give("rockpools-mara", personId), { actor: "manager", id: null }, scene.store.snapshot().revision, at);
  await edit("2027-02-01T12:00:00.000Z", "rui");
  await edit("2027-02-02T12:00:00.000Z", "mara");
  await scene.reopen();
  expect((await listCopies(scene.folder)).map(({ revision }) => revision)).toEqual([3, 1]);

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
  expect((await stat(scene.folder)).mode & 0o777).toBe(0o700);
  await scene.store.close();
  const version = join(scene.folder, "version.json");
  await writeFile(version, JSON.stringify({ tables: "999-later.sql" }));
  const before = await Promise.all((await filesOf(scene.folder)).map(async (path) => [path, (await stat(path)).mtimeMs]));
  await expect(scene.open()).rejects.toThrow(/written by a newer version of Mindful Roster \(999-later\.sql/);
  expect(await Promise.all((await filesOf(scene.folder)).map(async (path) => [path, (await stat(path)).mtimeMs]))).toEqual(before);
  await rm(version);
  await mkdir(join(scene.folder, "copies"), { recursive: true });
  scene.store = await scene.open();
});
