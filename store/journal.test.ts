// A damaged journal: every whole line is kept, and lost lines are reported.
import { readdir, readFile, rm, writeFile } from "node:fs/promises";
import { join } from "node:path";
import fc from "fast-check";
import { expect, test } from "vitest";
import { randomFrom } from "../demo/random.ts";
import { give, storeFixture } from "../tests/storeFixture.ts";
import { listCopies } from "./copies.ts";
import { type JournalEntry, lineOf, linesIn } from "./journalLines.ts";

const fixture = storeFixture();
const people = ["rui", "kaspar", "mara", "jonas"];

/** Answered edits of several rows, so that most do not build on each other. */
async function work(count: number): Promise<void> {
  const ids = ["rockpools-mara", "rockpools-jonas", "demo-ines", "neon-ines"];
  for (let at = 0; at < count; at++) await fixture.settle(give(ids[at % 4], people[(at + (at >> 2)) % 4]));
}

const fileOf = async (folder: string) => {
  const name = (await readdir(join(folder, "journal"))).filter((own) => own.endsWith(".jsonl")).at(-1);
  return join(folder, "journal", String(name));
};

/** Changes one byte inside a line of the journal. @param line From 0 on. */
async function damage(folder: string, line: number, seed = 1): Promise<void> {
  const path = await fileOf(folder);
  const lines = (await readFile(path, "utf8")).split("\n");
  const at = 10 + randomFrom(seed).below(lines[line].length - 20);
  lines[line] = `${lines[line].slice(0, at)}\u0001${lines[line].slice(at + 1)}`;
  await writeFile(path, lines.join("\n"));
}

const journalText = async (folder: string) => readFile(await fileOf(folder), "utf8");

const entry = (revision: number, words = "x"): JournalEntry => ({
  revision,
  at: "2027-02-01T09:00:00.000Z",
  actor: "manager",
  kind: "edit",
  of: null,
  words,
  edit: null,
  changes: [],
  key: null,
  maker: null,
});

test("always: one damaged byte costs one line at most, and no line is read that was not written", () => {
  const words = fc.array(fc.string({ maxLength: 12 }), { minLength: 1, maxLength: 8 });
  fc.assert(
    fc.property(words, fc.nat(), fc.integer({ min: 1, max: 255 }), (all, place, change) => {
      const entries = all.map((own, at) => entry(at + 1, own));
      const bytes = Buffer.concat(entries.map(lineOf));
      bytes[place % bytes.length] ^= change;
      const { entries: read, tail } = linesIn(bytes);
      const found = [...read, ...(tail ? [tail] : [])];
      expect(found.length).toBeGreaterThanOrEqual(entries.length - 1);
      for (const own of found) expect(entries).toContainEqual(own);
    }),
    { numRuns: 400 },
  );
});

test("a damaged line is written again from the database, once, and the next start finds nothing", async () => {
  await work(12);
  const before = fixture.store.snapshot();
  const store = await fixture.afterCut((folder) => damage(folder, 5));
  expect(store.snapshot()).toEqual(before);
  expect(store.said).toEqual(["Revision 7 of the journal was damaged; the database has it, and it was written again."]);
  const text = await journalText(fixture.folder);
  await fixture.reopen();
  expect(fixture.store.said).toEqual([]);
  expect(await journalText(fixture.folder)).toBe(text);
  const { damaged, missing, last } = await fixture.store.verifyJournal();
  expect([damaged.length, missing, last]).toEqual([1, [], before.revision]);
  // With the database gone the journal is enough again.
  const again = await fixture.afterCut((folder) => rm(join(folder, "pglite"), { recursive: true }));
  expect(again.snapshot()).toEqual(before);
});

test("with the database gone a damaged line costs itself and what builds on it, and that is said", async () => {
  await work(9);
  const before = fixture.store.snapshot();
  const store = await fixture.afterCut(async (folder) => {
    await damage(folder, 4);
    await rm(join(folder, "pglite"), { recursive: true });
  });
  // Revision 6 gave the first piece away a second time, revision 10 builds on that; all others are there.
  expect(store.said.join(" ")).toMatch(
    /Revision 6 of the journal cannot be read, and neither database nor copies hold it\. Revision 10 builds on what cannot be read and could not be followed\. It is kept in the journal\. The plan goes on from revision 11\./,
  );
  const holders = (own: typeof before.plan) => own.assignments.map(({ id, personId }) => `${id} ${personId}`);
  const [was, is] = [holders(before.plan), holders(store.snapshot().plan)];
  expect(is.filter((own, at) => own !== was[at])).toHaveLength(1);
  await fixture.settle(give("rockpools-mara", "kaspar"));
  await fixture.reopen();
  expect(fixture.store.said).toEqual([]);
  expect(fixture.holder("rockpools-mara")).toBe("kaspar");
});

test("a new plan is never begun over a journal: without database and copies the start is refused, and nothing is changed", async () => {
  await work(3);
  await fixture.store.close();
  const saved = new Map<string, Buffer>();
  for (const { name } of await listCopies(fixture.folder)) saved.set(name, await readFile(join(fixture.folder, "copies", name)));
  await rm(join(fixture.folder, "pglite"), { recursive: true });
  for (const name of saved.keys()) await writeFile(join(fixture.folder, "copies", name), "{}");
  const text = await journalText(fixture.folder);
  for (let start = 0; start < 2; start++)
    await expect(fixture.open()).rejects.toThrow(
      /has a journal of 4 changes, revisions 1 to 4, but no database that can be read\. None of its 2 copies can be read.*Restore the folders copies or pglite from a backup/,
    );
  expect(await journalText(fixture.folder)).toBe(text);
  for (const [name, bytes] of saved) await writeFile(join(fixture.folder, "copies", name), bytes);
  fixture.store = await fixture.open();
  expect(fixture.store.snapshot().revision).toBe(4);
});

test("without a copy, a sound database is followed by the journal, and a copy is made", async () => {
  await work(3);
  const before = fixture.store.snapshot();
  const store = await fixture.afterCut((folder) => rm(join(folder, "copies"), { recursive: true }));
  expect(store.snapshot()).toEqual(before);
  expect((await listCopies(fixture.folder)).map(({ revision }) => revision)).toEqual([4]);
});

test("the journal is kept from the copy before the newest on, and any revision since can be had back", async () => {
  const edit = (at: string, personId: string) =>
    fixture.store.settle(give("rockpools-mara", personId), { actor: "manager", id: null }, fixture.store.snapshot().revision, at);
  const days = Array.from({ length: 6 }, (_, at) => new Date(Date.UTC(2027, 1, 3 + 2 * at, 9)).toISOString());
  for (const [at, day] of days.entries()) {
    await edit(day, people[at % 2]);
    // The copy of the day is made in the background; the next edit goes to a file of its own.
    await fixture.reopen();
  }
  const names = (await readdir(join(fixture.folder, "journal"))).filter((name) => name.endsWith(".jsonl")).sort();
  const copies = (await listCopies(fixture.folder)).map(({ revision }) => revision);
  expect(copies.slice(0, 2)).toEqual([7, 6]);
  expect(Number(names[0].split(".")[0])).toBeGreaterThan(5);
  const { plan } = fixture.store.snapshot();
  expect(await fixture.store.planAt(7)).toEqual(plan);
  // Older ones are in the trail of the database, and each copy is one by itself.
  expect((await fixture.store.planAt(3))?.assignments.find(({ id }) => id === "rockpools-mara")?.personId).toBe("kaspar");
  const again = await fixture.afterCut((folder) => rm(join(folder, "pglite"), { recursive: true }));
  expect(again.snapshot().plan).toEqual(plan);
});
