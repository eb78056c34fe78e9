// PostgreSQL in this process, on a folder.
import { cpSync, existsSync } from "node:fs";
import { mkdir, readdir, rename, rm } from "node:fs/promises";
import { dirname, join } from "node:path";
import { PGlite, type Transaction } from "@electric-sql/pglite";
import type { Database, Sql } from "./driver.ts";

/** A database with its tables and nothing in them, made when the application is built: copying it takes a small part of the
 * time that making one takes. */
export const FRESH = join(/*turbopackIgnore: true*/ process.cwd(), "dist/fresh-database");

/** Room enough for a large plan; eight times as much is the default, and laying that out takes a third of an opening. */
const BUFFERS = "shared_buffers=16MB";

/** Opens the database in a folder, making it when it is not there. The folder must be locked by the caller. */
export async function openPglite(folder: string): Promise<Database> {
  await copyFresh(folder);
  return openAsIs(folder);
}

/** Opens the database in a folder; one that is not there is made with nothing in it, not even tables. */
export async function openAsIs(folder: string): Promise<Database> {
  await mkdir(folder, { recursive: true });
  const pg = await PGlite.create(folder, { startParams: [...PGlite.defaultStartParams, "-c", BUFFERS] });
  return {
    ...sqlOf(pg),
    run: async (text) => {
      await pg.exec(text);
    },
    transaction: (work) => pg.transaction((tx) => work(sqlOf(tx))) as never,
    close: () => pg.close(),
  };
}

/** A copy that was cut off is next to the folder, never in it. */
async function copyFresh(folder: string): Promise<void> {
  const there = await readdir(folder).catch(() => []);
  if (there.length > 0 || !existsSync(FRESH)) return;
  const copy = `${folder}.fresh`;
  await rm(copy, { recursive: true, force: true });
  await mkdir(dirname(folder), { recursive: true });
  // Hundreds of small files: waiting for each of them takes four times as long.
  cpSync(FRESH, copy, { recursive: true });
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
