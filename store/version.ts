// The version that wrote a data folder: an older one does not touch it.
import { readFile } from "node:fs/promises";
import { join } from "node:path";
import { isObject } from "../core/values/isObject.ts";
import { writeWhole } from "./files.ts";
import type { Migration } from "./migrate.ts";

/** The folder was written by a newer version of the application. */
export class NewerFolder extends Error {
  constructor(folder: string, theirs: string, known: string) {
    super(
      `The data folder ${folder} was written by a newer version of Mindful Roster (${theirs}; this one knows ${known}). ` +
        "It was left as it is. Start the newer version, or set ROSTER_DATA to another folder.",
    );
    this.name = "NewerFolder";
  }
}

const pathOf = (folder: string): string => join(folder, "version.json");

/** @throws {NewerFolder} where the folder names tables that this version does not know. */
export async function checkVersion(folder: string, migrations: readonly Migration[]): Promise<void> {
  const text = await readFile(pathOf(folder), "utf8").catch(() => null);
  if (text === null) return;
  const tables = tablesOf(text);
  if (tables === null)
    throw new Error(`The file ${pathOf(folder)} is damaged. Restore it from a backup, or remove it if this version wrote the folder last.`);
  const known = migrations.at(-1)?.name ?? "";
  if (tables > known) throw new NewerFolder(folder, tables, known);
}

/** The newest tables that a version file names; null where the file is damaged. */
function tablesOf(text: string): string | null {
  try {
    const version: unknown = JSON.parse(text);
    return isObject(version) && typeof version.tables === "string" ? version.tables : null;
  } catch {
    return null;
  }
}

/** Writes down which version the folder is at now. */
export async function writeVersion(folder: string, migrations: readonly Migration[]): Promise<void> {
  const text = JSON.stringify({ tables: migrations.at(-1)?.name ?? "" });
  if ((await readFile(pathOf(folder), "utf8").catch(() => null)) !== text) await writeWhole(pathOf(folder), Buffer.from(text));
}
