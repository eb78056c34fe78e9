// Brings a database up to the newest migration; each runs once, in the order of its number.
import { readdir, readFile } from "node:fs/promises";
import { join } from "node:path";
import type { Database } from "./driver.ts";

export interface Migration {
  name: string;
  sql: string;
}

/** Runs the migrations that have not run yet, each in one transaction with the note that it ran. */
export async function migrate(database: Database, migrations: readonly Migration[]): Promise<void> {
  await database.run("create table if not exists migrations (name text primary key, at timestamptz not null default now())");
  const done = new Set((await database.query<{ name: string }>("select name from migrations")).map(({ name }) => name));
  for (const { name, sql } of migrations) {
    if (done.has(name)) continue;
    await database.run(`begin;\n${sql}\ninsert into migrations (name) values ('${name}');\ncommit;`);
  }
}

/** Reads the numbered migrations of a folder in order. */
export async function readMigrations(folder: string): Promise<Migration[]> {
  const files = (await readdir(folder)).filter((file) => file.endsWith(".sql")).sort();
  return Promise.all(files.map(async (name) => ({ name, sql: await readFile(join(folder, name), "utf8") })));
}
