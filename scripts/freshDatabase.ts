// Makes the database that a new data folder begins with: its tables are there, and nothing is in them.
import { createHash } from "node:crypto";
import { readFile, rename, rm, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { migrate, readMigrations } from "../store/migrate.ts";
import { FRESH, openAsIs } from "../store/pglite.ts";

const note = `${FRESH}.version`;
const migrations = await readMigrations(join(import.meta.dirname, "../store/migrations"));
const version = createHash("sha256")
  .update(await readFile("node_modules/@electric-sql/pglite/package.json"))
  .update(JSON.stringify(migrations))
  .digest("hex");

if ((await readFile(note, "utf8").catch(() => "")) !== version) {
  const half = `${FRESH}.new`;
  await rm(half, { recursive: true, force: true });
  await rm(note, { force: true });
  const database = await openAsIs(half);
  await migrate(database, migrations);
  await database.close();
  await rm(FRESH, { recursive: true, force: true });
  await rename(half, FRESH);
  await writeFile(note, version);
}
