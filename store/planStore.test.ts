import { spawn } from "node:child_process";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { afterEach, beforeEach, expect, inject, test } from "vitest";
import { applyEdit, type Edit } from "../core/edits/edit.ts";
import { parsePlanValue } from "../core/plan/parse.ts";
import { fernhollow } from "../demo/fernhollow.ts";
import { largePlan } from "../demo/large.ts";
import { everyEditFrom } from "../tests/everyEdit.ts";
import { editsFrom } from "../tests/randomEdits.ts";
import { copyTemplate, migrationsFolder } from "../tests/storeTemplate.ts";
import type { Database } from "./driver.ts";
import { FolderInUse } from "./lock.ts";
import { openPglite } from "./pglite.ts";
import { PlanStore, type Request, readMigrations } from "./planStore.ts";

const NOW = "2027-02-01T09:00:00.000Z";
const migrations = await readMigrations(migrationsFolder);
let data: Awaited<ReturnType<typeof copyTemplate>>;
let store: PlanStore;

const open = () => PlanStore.open(data.folder, migrations);
const give = (id: string, personId: string): Request => ({ kind: "edit", edit: { kind: "reassign", id, personId } });
const settle = (request: Request, base = store.snapshot().revision) => store.settle(request, "manager", base, NOW);
const holder = (id: string) => store.snapshot().plan.assignments.find((row) => row.id === id)?.personId;

async function reopen(): Promise<void> {
  await store.close();
  store = await open();
}

beforeEach(async () => {
  data = await copyTemplate(inject("storeTemplate"));
  store = await open();
});

afterEach(async () => {
  await store.close();
  await data.remove();
});

test("a plan comes back from the folder as it went in", async () => {
  expect(store.snapshot().plan).toEqual(fernhollow());
  expect(parsePlanValue(store.snapshot().plan).faults).toEqual([]);
});

test("whatever is edited, the folder holds the same plan as memory", async () => {
  await store.replace(largePlan({ people: 8, projects: 3, tasks: 30, assignments: 60, links: 30 }, 4), "test", NOW);
  const next = editsFrom(21);
  let made = 0;
  for (let step = 0; step < 60; step++) {
    const { plan } = store.snapshot();
    const answer = await settle({ kind: "edit", edit: next(plan) });
    if (answer.faults.length === 0) made++;
    if (step % 7 === 3) expect((await settle({ kind: "undo" })).faults).toEqual([]);
  }
  expect(made).toBeGreaterThan(25);
  const { plan, revision } = store.snapshot();
  await reopen();
  expect(store.snapshot().plan).toEqual(plan);
  expect(store.snapshot().revision).toBe(revision);
});

test("and so it does for edits of every kind, taken back and made again", async () => {
  const next = everyEditFrom(5);
  let made = 0;
  for (let step = 0; step < 90; step++) {
    const answer = await settle({ kind: "edit", edit: next(store.snapshot().plan) });
    if (answer.faults.length === 0) made++;
    if (step % 9 === 4) {
      expect((await settle({ kind: "undo" })).faults).toEqual([]);
      if (step % 2 === 0) expect((await settle({ kind: "redo" })).faults).toEqual([]);
    }
  }
  expect(made).toBeGreaterThan(50);
  const { plan, revision } = store.snapshot();
  expect(parsePlanValue(plan).faults).toEqual([]);
  await reopen();
  expect(store.snapshot()).toMatchObject({ plan, revision });
});

test("an edit is undone and redone after the folder was opened anew, and says what it undoes", async () => {
  await settle(give("rockpools-mara", "rui"));
  await reopen();
  expect(store.snapshot().history).toEqual({ undo: 'give "Rock pool trial casts" to Rui Monteverde', redo: null });
  await settle({ kind: "undo" });
  expect(holder("rockpools-mara")).toBe("mara");
  await reopen();
  await settle({ kind: "redo" });
  expect(holder("rockpools-mara")).toBe("rui");
  expect((await settle({ kind: "redo" })).faults[0].message).toBe("There is nothing to redo.");
});

test("a deleted task comes back in its place, with its work and links, in memory and in the folder", async () => {
  const before = store.snapshot().plan;
  await settle({ kind: "edit", edit: { kind: "deleteTask", id: "tidepool-design" } });
  expect(store.snapshot().plan.tasks.length).toBeLessThan(before.tasks.length);
  await settle({ kind: "undo" });
  await reopen();
  expect(store.snapshot().plan).toEqual(before);
});

test("many rows put in one place keep their order", async () => {
  const task = (at: number): Edit => ({
    kind: "addTask",
    task: { id: `t${at}`, projectId: "tidepool", name: `T${at}` },
    next: "tidepool-cases",
  });
  for (let at = 0; at < 70; at++) await settle({ kind: "edit", edit: task(at) });
  const order = store.snapshot().plan.tasks.map(({ id }) => id);
  await reopen();
  expect(store.snapshot().plan.tasks.map(({ id }) => id)).toEqual(order);
});

test("an edit of a row that somebody changed meanwhile is refused and overwrites nothing; others go through", async () => {
  const base = store.snapshot().revision;
  await settle(give("rockpools-mara", "rui"), base);
  const refused = await settle(give("rockpools-mara", "kaspar"), base);
  expect(refused.faults[0].message).toMatch(/^This assignment was changed by somebody else meanwhile/);
  expect(holder("rockpools-mara")).toBe("rui");
  const passed = await settle(give("rockpools-jonas", "kaspar"), base);
  expect(passed.faults).toEqual([]);
  expect(passed.entries?.map(({ revision }) => revision)).toEqual([base + 1, base + 2]);
});

test("a refused edit leaves no trace", async () => {
  const before = store.snapshot();
  const answer = await settle({ kind: "edit", edit: { kind: "changeTask", id: "gone", set: { name: "x" } } });
  expect(answer.faults).toHaveLength(1);
  expect(store.snapshot()).toEqual(before);
  await reopen();
  expect(store.snapshot()).toEqual(before);
});

test("when the database fails in the middle of an edit, memory and folder stay as they were", async () => {
  await store.close();
  let isFailing = false;
  store = await PlanStore.open(data.folder, migrations, async (folder) => {
    const database = await openPglite(folder);
    const failing: Database["transaction"] = (work) =>
      database.transaction(async (sql) => {
        await work(sql);
        throw new Error("the disk is full");
      });
    return { ...database, transaction: (work) => (isFailing ? failing(work) : database.transaction(work)) };
  });
  const before = store.snapshot();
  isFailing = true;
  await expect(settle(give("rockpools-mara", "rui"))).rejects.toThrow("the disk is full");
  expect(store.snapshot()).toEqual(before);
  isFailing = false;
  expect((await settle(give("rockpools-mara", "kaspar"))).revision).toBe(before.revision + 1);
  await reopen();
  expect(holder("rockpools-mara")).toBe("kaspar");
});

test("every edit stands in the trail with its actor, its words and what it changed", async () => {
  await settle(give("rockpools-mara", "rui"));
  const answer = await settle({ kind: "undo" }, 1);
  expect(answer.entries?.map(({ kind, actor, of, words }) => ({ kind, actor, of, words }))).toEqual([
    { kind: "edit", actor: "manager", of: null, words: 'give "Rock pool trial casts" to Rui Monteverde' },
    { kind: "undo", actor: "manager", of: 2, words: 'give "Rock pool trial casts" to Rui Monteverde' },
  ]);
});

test("replacing the plan keeps the old one as a file, and who is behind has to read anew", async () => {
  const old = store.snapshot().plan;
  const { backup, revision } = await store.replace({ ...old, settings: { ...old.settings, name: "Another" } }, "manager", NOW);
  expect(JSON.parse(readFileSync(backup as string, "utf8"))).toEqual(old);
  expect(store.snapshot().history).toEqual({ undo: null, redo: null });
  expect((await settle({ kind: "undo" }, revision - 1)).entries).toBeNull();
  await reopen();
  expect(store.snapshot().plan.settings.name).toBe("Another");
});

test("a second process that opens the folder is told who holds it, and stops", async () => {
  const script = `import { PlanStore, readMigrations } from "./store/planStore.ts";
    PlanStore.open(${JSON.stringify(data.folder)}, await readMigrations("store/migrations")).then(() => process.exit(0), (error) => { console.error(error.message); process.exit(3); });`;
  const child = spawn(process.execPath, ["--import", "tsx", "--input-type=module", "-e", script], { cwd: join(import.meta.dirname, "..") });
  let said = "";
  child.stderr.on("data", (chunk) => {
    said += chunk;
  });
  const status = await new Promise((resolve) => child.on("exit", resolve));
  expect(status).toBe(3);
  expect(said).toContain(`is in use by process ${process.pid}`);
});

test("the same process cannot open a folder twice either", async () => {
  await expect(open()).rejects.toThrow(FolderInUse);
});

test("a lock whose process is gone is taken over; closing gives it back", async () => {
  await store.close();
  expect(existsSync(join(data.folder, "lock"))).toBe(false);
  writeFileSync(
    join(data.folder, "lock"),
    JSON.stringify({ pid: 2 ** 22 - 3, begun: "1", host: (await import("node:os")).hostname(), since: NOW }),
  );
  store = await open();
  expect(JSON.parse(readFileSync(join(data.folder, "lock"), "utf8")).pid).toBe(process.pid);
});

test("plain SQL answers questions about the plan, and the tables refuse what is not sound", async () => {
  await store.close();
  const database = await openPglite(join(data.folder, "pglite"));
  try {
    const [{ hours }] = await database.query<{ hours: string }>(
      "select sum(hours) as hours from assignments a join tasks t on t.id = a.task_id where t.project_id = 'tidepool' and a.person_id = 'mara'",
    );
    const own = fernhollow().assignments.filter(({ taskId, personId }) => taskId.startsWith("tidepool-") && personId === "mara");
    expect(Number(hours)).toBe(own.reduce((sum, row) => sum + (row.hours ?? 0), 0));
    await expect(database.query("update assignments set person_id = 'nobody' where id = 'rockpools-mara'")).rejects.toThrow(/foreign key/);
    await expect(database.query("update people set kind = 'robot' where id = 'mara'")).rejects.toThrow(/check/);
  } finally {
    await database.close();
    store = await open();
  }
});

test("what applyEdit says and what the store keeps are the same plan", async () => {
  const edit: Edit = {
    kind: "changePerson",
    id: "tomas",
    set: { patterns: [{ from: "2027-02-01", to: "2027-04-30", week: [8, 7.5, 0, 0, 0, 0, 0] }], skills: null, employedTo: "2027-12-31" },
  };
  const outcome = applyEdit(store.snapshot().plan, edit);
  await settle({ kind: "edit", edit });
  await reopen();
  expect(store.snapshot().plan).toEqual(outcome.plan);
});

test("a task moved in the outline goes back to its place, with all that refers to it", async () => {
  const before = store.snapshot().plan;
  const move: Edit = { kind: "moveTask", id: "tidepool-scenic", parentId: "tidepool-install", next: "tidepool-transport" };
  expect((await settle({ kind: "edit", edit: move })).faults).toEqual([]);
  expect((await settle({ kind: "undo" })).faults).toEqual([]);
  expect(store.snapshot().plan).toEqual(before);
  await reopen();
  expect(store.snapshot().plan).toEqual(before);
});

test("thousands of rows of a file are one revision, and one undo takes them back", async () => {
  const before = store.snapshot().plan;
  const rows = Array.from({ length: 3_000 }, (_, at) => ({
    list: "people" as const,
    row: { id: `x${at}`, name: `Person ${at}`, roleIds: ["fabricator"], calendarId: "porto", skills: [{ skillId: "cnc", level: 3 }] },
  }));
  const revision = store.snapshot().revision;
  await settle({ kind: "edit", edit: { kind: "importRows", source: "people.csv", rows } });
  expect(store.snapshot().revision).toBe(revision + 1);
  await reopen();
  expect(store.snapshot().plan.people).toHaveLength(before.people.length + 3_000);
  expect(store.snapshot().plan.people.at(-1)).toEqual(rows.at(-1)?.row);
  await settle({ kind: "undo" });
  await reopen();
  expect(store.snapshot().plan).toEqual(before);
});

test("an edit that comes again under its key is not made twice, also after the folder was opened anew", async () => {
  const request: Request = {
    kind: "edit",
    key: "sent-once-and-again",
    edit: { kind: "changeTask", id: "tidepool-order", set: { durationDays: 7 } },
  };
  const before = store.snapshot().revision;
  expect((await settle(request)).revision).toBe(before + 1);
  const again = await settle(request, before);
  expect(again).toMatchObject({ revision: before + 1, faults: [] });
  expect(again.entries).toHaveLength(1);
  await reopen();
  expect((await settle(request)).revision).toBe(before + 1);
  await settle({ kind: "undo" });
  expect(store.snapshot().plan.tasks.find(({ id }) => id === "tidepool-order")?.durationDays).toBe(3);
});
