// PostgreSQL in this process, on a folder.
import { mkdir } from "node:fs/promises";
import { PGlite, type Transaction } from "@electric-sql/pglite";
import type { Database, Sql } from "./driver.ts";

/** Opens the database in a folder, making it when it is not there. The folder must be locked by the caller. */
export async function openPglite(folder: string): Promise<Database> {
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

function sqlOf(pg: PGlite | Transaction): Sql {
  return {
    query: async (text, params) => (await pg.query(text, params)).rows as never,
    load: async (target, rows) => {
      await pg.query(`copy ${target} from '/dev/blob'`, [], { blob: new Blob([rows]) });
    },
  };
}
