// The state after a power cut: the journal is on the disk, the database may be behind, torn or gone.

import { cp, open, rename, rm, stat, truncate, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { expect, test } from "vitest";
import { randomFrom } from "../demo/random.ts";
import { everyEditFrom } from "../tests/everyEdit.ts";
import { filesOf, give, NOW, storeFixture } from "../tests/storeFixture.ts";
import { listCopies } from "./copies.ts";
import type { Database } from "./driver.ts";
import { openPglite } from "./pglite.ts";

const fixture = storeFixture();

/** Edits of every kind, answered; and one undo. */
async function work(count: number, seed: number): Promise<void> {
  const next = everyEditFrom(seed);
  for (let step = 0; step < count; step++) await fixture.settle({ kind: "edit", edit: next(fixture.store.snapshot().plan) });
  await fixture.settle(give("rockpools-mara", "rui"));
  await fixture.settle({ kind: "undo" });
}

const database = (folder: string) => join(folder, "pglite");

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
  await fixture.reopen();
  expect(fixture.store.said).toEqual([]);
});

test.each([1, 2, 3])("a torn database is made again from copy and journal: nothing answered is lost (seed %i)", async (seed) => {
  await work(12, seed);
  const before = fixture.store.snapshot();
  const store = await fixture.afterCut((folder) => tear(folder, seed));
  expect(store.snapshot()).toEqual(before);
  // The plan in it is sound: it takes edits, opens again, and the former step can still be undone.
  await fixture.settle({ kind: "redo" });
  expect(fixture.holder("rockpools-mara")).toBe("rui");
  await fixture.reopen();
  expect(fixture.store.said).toEqual([]);
  expect(fixture.holder("rockpools-mara")).toBe("rui");
});

test("a database that is behind what was answered is made again, and that is said", async () => {
  const behind = join(fixture.folder, "..", `${fixture.folder.split("/").at(-1)}-behind`);
  await fixture.store.close();
  await cp(database(fixture.folder), behind, { recursive: true });
  fixture.store = await fixture.open();
  await work(8, 20);
  const before = fixture.store.snapshot();
  const store = await fixture.afterCut(async (folder) => {
    await rm(database(folder), { recursive: true });
    await cp(behind, database(folder), { recursive: true });
    await rm(behind, { recursive: true });
  });
  expect(store.snapshot()).toEqual(before);
  expect(store.said.join(" ")).toMatch(
    /was at revision 1; it was made again from the copy of revision 1 and the journal up to revision \d+\./,
  );
});

test("a database that is gone is made again, also over a plan that was opened in between", async () => {
  await work(4, 30);
  const { plan } = fixture.store.snapshot();
  await fixture.store.replace({ ...plan, settings: { ...plan.settings, name: "Another" } }, "manager", NOW);
  await fixture.settle(give("rockpools-jonas", "kaspar"));
  const before = fixture.store.snapshot();
  const store = await fixture.afterCut((folder) => rm(database(folder), { recursive: true }));
  expect(store.snapshot()).toEqual(before);
  expect(store.said.join(" ")).toMatch(/was gone or could not be read; it was made again/);
});

test("a plan that has just been opened has two copies: where one is damaged, the other is followed", async () => {
  await work(2, 32);
  const { plan } = fixture.store.snapshot();
  await fixture.store.replace({ ...plan, settings: { ...plan.settings, name: "Another" } }, "manager", NOW);
  await fixture.settle(give("rockpools-jonas", "kaspar"));
  const before = fixture.store.snapshot();
  const store = await fixture.afterCut(async (folder) => {
    await rm(database(folder), { recursive: true });
    const [newest] = await listCopies(folder);
    await writeFile(join(folder, "copies", newest.name), "{}");
  });
  expect(store.snapshot()).toEqual(before);
});

test("where no copy of the newest plan is what was written, the one before is followed", async () => {
  await work(4, 31);
  const { plan } = fixture.store.snapshot();
  await fixture.store.replace({ ...plan, settings: { ...plan.settings, name: "Another" } }, "manager", NOW);
  await fixture.settle(give("rockpools-jonas", "kaspar"));
  const store = await fixture.afterCut(async (folder) => {
    await rm(database(folder), { recursive: true });
    for (const { name } of (await listCopies(folder)).slice(0, 2)) await writeFile(join(folder, "copies", name), "{}");
  });
  expect(store.snapshot().plan).toEqual(plan);
  expect(store.said.join(" ")).toMatch(/Revision \d+ builds on what cannot be read and could not be followed/);
  // It goes on after all that the journal holds, and what is answered from then on is as safe as ever.
  const { revision } = store.snapshot();
  await fixture.settle(give("rockpools-jonas", "rui"));
  expect(fixture.store.snapshot().revision).toBe(revision + 1);
  const again = await fixture.afterCut((folder) => rm(database(folder), { recursive: true }));
  expect(again.snapshot().revision).toBe(revision + 1);
  expect(fixture.holder("rockpools-jonas")).toBe("rui");
});

test("a plan that the database refuses leaves nothing behind that could be taken for the plan", async () => {
  await fixture.store.close();
  let isFailing = false;
  fixture.store = await fixture.open({
    openDatabase: async (folder) => {
      const opened = await openPglite(folder);
      const refuse: Database["transaction"] = () => Promise.reject(new Error("refused"));
      return { ...opened, transaction: (work) => (isFailing ? refuse(work) : opened.transaction(work)) };
    },
  });
  const { plan } = fixture.store.snapshot();
  isFailing = true;
  const other = { ...plan, settings: { ...plan.settings, name: "Refused" } };
  await expect(fixture.store.replace(other, "manager", NOW)).rejects.toThrow("refused");
  isFailing = false;
  await fixture.settle(give("rockpools-jonas", "kaspar"));
  const before = fixture.store.snapshot();
  await fixture.reopen();
  expect(fixture.store.said).toEqual([]);
  expect(fixture.store.snapshot()).toEqual(before);
});

test("a plan whose copy was written, and the journal with it, but not yet confirmed, is the plan", async () => {
  const { plan } = fixture.store.snapshot();
  await fixture.store.replace({ ...plan, settings: { ...plan.settings, name: "Another" } }, "manager", NOW);
  const before = fixture.store.snapshot();
  const store = await fixture.afterCut(async (folder) => {
    const [{ name }] = await listCopies(folder);
    await rename(join(folder, "copies", name), join(folder, "copies", `${name}.announced`));
    await rm(database(folder), { recursive: true });
  });
  expect(store.snapshot()).toEqual(before);
});

test("a folder from before there was a journal is taken over, with the steps of before to undo, and made again from then on", async () => {
  await fixture.settle(give("rockpools-mara", "rui"));
  await fixture.store.close();
  for (const name of ["journal", "copies", "version.json"]) await rm(join(fixture.folder, name), { recursive: true });
  fixture.store = await fixture.open();
  await fixture.settle({ kind: "undo" });
  await fixture.settle(give("rockpools-jonas", "kaspar"));
  const before = fixture.store.snapshot();
  const store = await fixture.afterCut((folder) => rm(database(folder), { recursive: true }));
  expect(store.snapshot()).toMatchObject({ plan: before.plan, revision: before.revision });
  await fixture.settle({ kind: "undo" });
  expect(fixture.holder("rockpools-jonas")).toBe("jonas");
});
