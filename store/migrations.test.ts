// Databases of every earlier version, filled, are brought up to date and read.
import { cp, mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, expect, inject, test } from "vitest";
import { checkPlan } from "../core/plan/check.ts";
import { fernhollow } from "../demo/fernhollow.ts";
import { migrations } from "../tests/storeFixture.ts";
import type { Database } from "./driver.ts";
import { migrate } from "./migrate.ts";
import { openPglite } from "./pglite.ts";
import { PlanStore } from "./planStore.ts";

let folder: string;
let database: Database;

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), "roster-versions-"));
  await cp(join(inject("storeTemplate"), "pglite"), join(folder, "pglite"), { recursive: true });
  database = await openPglite(join(folder, "pglite"));
});

afterAll(async () => {
  await database.close();
  await rm(folder, { recursive: true, force: true });
});

/** Makes a schema as the first `count` migrations leave it, and puts into it all of today's rows that it has room for. */
async function oldVersion(schema: string, count: number): Promise<void> {
  await database.run(`create schema ${schema}; set search_path to ${schema}`);
  await migrate(database, migrations.slice(0, count));
  const known = await database.query<{ name: string }>(
    "select table_name as name from information_schema.tables where table_schema = $1 and table_name <> 'migrations'",
    [schema],
  );
  await database.transaction(async (sql) => {
    await sql.query("set constraints all deferred");
    for (const { name } of known)
      await sql.query(
        `insert into ${schema}.${name} select * from json_populate_recordset(null::${schema}.${name}, (select coalesce(json_agg(t), '[]') from public.${name} t))`,
      );
  });
}

test.each(migrations.map(({ name }, at) => ({ name, count: at + 1 })))(
  "a database as $name left it opens with its plan",
  async ({ count }) => {
    const schema = `version${count}`;
    await oldVersion(schema, count);
    const own = join(folder, schema);
    const store = await PlanStore.open(own, migrations, { openDatabase: async () => ({ ...database, close: async () => {} }) });
    const { plan, revision } = store.snapshot();
    expect(revision).toBe(1);
    expect(checkPlan(plan)).toEqual([]);
    const today = fernhollow();
    for (const list of ["people", "tasks", "links", "assignments", "rateTables"] as const)
      expect(plan[list].map(({ id }) => id)).toEqual(today[list].map(({ id }) => id));
    expect(plan.assignments).toEqual(today.assignments);
    const answer = await store.settle(
      { kind: "edit", edit: { kind: "reassign", id: "rockpools-mara", personId: "rui" } },
      { actor: "manager", id: null },
      revision,
      "2027-02-01T09:00:00.000Z",
    );
    expect(answer).toMatchObject({ revision: 2, faults: [] });
    await store.close();
  },
);
