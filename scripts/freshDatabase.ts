// Makes the database that a new data folder begins with: its tables are there, and nothing is in them.
import { createHash } from "node:crypto";
import { readFile, rename, rm, writeFile } from "node:fs/promises";
import { join } from "node:path";
import type { Database } from "../store/driver.ts";
import { migrate, readMigrations } from "../store/migrate.ts";
import { FRESH, openAsIs } from "../store/pglite.ts";

/** Templates for further databases: nobody creates one, and they are half of the files. */
async function dropPatterns(database: Database): Promise<void> {
  for (const name of ["template0", "template1"]) {
    await database.run(`update pg_database set datistemplate = false where datname = '${name}'`);
    await database.run(`drop database ${name}`);
  }
}

const note = `${FRESH}.version`;
const migrations = await readMigrations(join(import.meta.dirname, "../store/migrations"));
const version = createHash("sha256")
  .update(await readFile("node_modules/@electric-sql/pglite/package.json"))
  .update(await readFile(import.meta.filename))
  .update(JSON.stringify(migrations))
  .digest("hex");

if ((await readFile(note, "utf8").catch(() => "")) !== version) {
  const half = `${FRESH}.new`;
  await rm(half, { recursive: true, force: true });
  await rm(note, { force: true });
  const database = await openAsIs(half);
  await migrate(database, migrations);
  await dropPatterns(database);
  await database.close();
  await rm(FRESH, { recursive: true, force: true });
  await rename(half, FRESH);
  await writeFile(note, version);
}
