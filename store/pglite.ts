// PostgreSQL in this process, on a folder.
import { mkdir } from "node:fs/promises";
import { PGlite } from "@electric-sql/pglite";
import type { Database } from "./driver.ts";

/** Opens the database in a folder, making it when it is not there. The folder must be locked by the caller. */
export async function openPglite(folder: string): Promise<Database> {
  await mkdir(folder, { recursive: true });
  const pg = await PGlite.create(folder);
  return {
    query: async (text, params) => (await pg.query(text, params)).rows as never,
    run: async (text) => {
      await pg.exec(text);
    },
    transaction: (work) =>
      pg.transaction((tx) => work({ query: async (text, params) => (await tx.query(text, params)).rows as never })) as never,
    close: () => pg.close(),
  };
}
