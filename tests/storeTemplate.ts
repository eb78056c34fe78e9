// A data folder with the demo plan in it, made once a test run.
import { mkdtemp } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { fernhollow } from "../demo/fernhollow.ts";
import { readMigrations } from "../store/migrate.ts";
import { PlanStore } from "../store/planStore.ts";
import { missingColumns } from "./missingColumns.ts";

export const migrationsFolder = join(import.meta.dirname, "../store/migrations");

/** Makes the folder, because a fresh database takes seconds to open. A failure names the migrations that are missing, if any are. */
export async function makeTemplate(): Promise<string> {
  const folder = await mkdtemp(join(tmpdir(), "roster-template-"));
  const store = await PlanStore.open(folder, await readMigrations(migrationsFolder));
  const failure = await store.replace(fernhollow(), "test", "2027-02-01T08:00:00.000Z").then(() => null, String);
  await store.close();
  if (failure !== null) throw new Error([failure, ...(await missingColumns(folder))].join("\n"));
  return folder;
}
