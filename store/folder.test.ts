// The folder: who holds it, what its tables refuse, and what a failure leaves.

import { spawn } from "node:child_process";
import { existsSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "vitest";
import { fernhollow } from "../demo/fernhollow.ts";
import { give, storeFixture } from "../tests/storeFixture.ts";
import type { Database } from "./driver.ts";
import { FolderInUse } from "./lock.ts";
import { openPglite } from "./pglite.ts";

const fixture = storeFixture();

test("a refused edit leaves no trace", async () => {
  const before = fixture.store.snapshot();
  const answer = await fixture.settle({ kind: "edit", edit: { kind: "changeTask", id: "gone", set: { name: "x" } } });
  expect(answer.faults).toHaveLength(1);
  expect(fixture.store.snapshot()).toEqual(before);
  await fixture.reopen();
  expect(fixture.store.snapshot()).toEqual(before);
});

test("when the database fails in the middle of an edit, memory and folder stay as they were", async () => {
  await fixture.store.close();
  let isFailing = false;
  fixture.store = await fixture.open({
    openDatabase: async (folder) => {
      const database = await openPglite(folder);
      const failing: Database["transaction"] = (work) =>
        database.transaction(async (sql) => {
          await work(sql);
          throw new Error("the disk is full");
        });
      return { ...database, transaction: (work) => (isFailing ? failing(work) : database.transaction(work)) };
    },
  });
  const before = fixture.store.snapshot();
  isFailing = true;
  await expect(fixture.settle(give("rockpools-mara", "rui"))).rejects.toThrow("the disk is full");
  expect(fixture.store.snapshot()).toEqual(before);
  isFailing = false;
  expect((await fixture.settle(give("rockpools-mara", "kaspar"))).revision).toBe(before.revision + 1);
  await fixture.reopen();
  expect(fixture.holder("rockpools-mara")).toBe("kaspar");
});

test("a second process that opens the folder is refused with the owner's name", async () => {
  const script = `import { PlanStore } from "./store/planStore.ts";
    import { readMigrations } from "./store/migrate.ts";
    PlanStore.open(${JSON.stringify(fixture.folder)}, await readMigrations("store/migrations")).then(() => process.exit(0), (error) => { console.error(error.message); process.exit(3); });`;
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
  await expect(fixture.open()).rejects.toThrow(FolderInUse);
});

test("closing gives the folder back", async () => {
  await fixture.store.close();
  expect(existsSync(join(fixture.folder, "lock"))).toBe(false);
  fixture.store = await fixture.open();
});

test("plain SQL answers questions about the plan, and the tables refuse what is not sound", async () => {
  await fixture.store.close();
  const database = await openPglite(join(fixture.folder, "pglite"));
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
    fixture.store = await fixture.open();
  }
});
