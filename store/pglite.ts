// PostgreSQL in this process, on a folder.
import { existsSync } from "node:fs";
import { cp, mkdir, readdir, rename, rm } from "node:fs/promises";
import { dirname, join } from "node:path";
import { PGlite, type Transaction } from "@electric-sql/pglite";
import type { Database, Sql } from "./driver.ts";

/** A database with nothing in it, made when the application is built: copying it takes a tenth of the time that making one
 * takes. */
const FRESH = join(/*turbopackIgnore: true*/ process.cwd(), "dist/fresh-database");

/** Opens the database in a folder, making it when it is not there. The folder must be locked by the caller. */
export async function openPglite(folder: string): Promise<Database> {
  await copyFresh(folder);
  await mkdir(folder, { recursive: true });
  const pg = await PGlite.create(folder);
  return {
    ...sqlOf(pg),
    run: async (text) => {
      await pg.exec(text);
    },
    transaction: (work) => pg.transaction((tx) => work(sqlOf(tx))) as never,
    close: () => pg.close(),
  };
}

/** A copy that was cut off stands beside the folder, never in it. */
async function copyFresh(folder: string): Promise<void> {
  const there = await readdir(folder).catch(() => []);
  if (there.length > 0 || !existsSync(FRESH)) return;
  const copy = `${folder}.fresh`;
  await rm(copy, { recursive: true, force: true });
  await mkdir(dirname(folder), { recursive: true });
  await cp(FRESH, copy, { recursive: true });
  await rm(folder, { recursive: true, force: true });
  await rename(copy, folder);
}

function sqlOf(pg: PGlite | Transaction): Sql {
  return {
    query: async (text, params) => (await pg.query(text, params)).rows as never,
    load: async (target, rows) => {
      await pg.query(`copy ${target} from '/dev/blob'`, [], { blob: new Blob([rows]) });
    },
  };
}
