// npm run doctor: checks a data folder without changing it, and lists what is damaged.
import { existsSync } from "node:fs";
import { join } from "node:path";
import { messageOf } from "../core/values/errors.ts";
import { copyBytes, listAnnounced, listCopies, readCopy } from "./copies.ts";
import { dataFolder, freeBytes } from "./files.ts";
import { verifyJournal } from "./journal.ts";
import { journalFaults } from "./journalFaults.ts";
import { holderOf } from "./lock.ts";
import { readMigrations } from "./migrate.ts";
import { checkVersion } from "./version.ts";

/** The findings: sentences, and whether anything needs attention. */
export interface Diagnosis {
  lines: string[];
  isSound: boolean;
}

/** Looks at the folder of a server that may be running. */
export async function diagnose(folder: string): Promise<Diagnosis> {
  if (!existsSync(folder)) return { lines: [`${folder}: there is no such folder.`], isSound: false };
  const parts = await Promise.all([versionPart(folder), ownerPart(folder), copiesPart(folder), journalPart(folder), databasePart(folder)]);
  const room = `${Math.floor((await freeBytes(folder)) / 1e6)} MB are free on its disk.`;
  return { lines: [`Data folder ${folder}`, ...parts.flatMap(({ lines }) => lines), room], isSound: parts.every(({ isSound }) => isSound) };
}

async function versionPart(folder: string): Promise<Diagnosis> {
  try {
    await checkVersion(folder, await readMigrations(join(import.meta.dirname, "migrations")));
    return { lines: ["Version: this version can open it."], isSound: true };
  } catch (error) {
    return { lines: [messageOf(error)], isSound: false };
  }
}

async function ownerPart(folder: string): Promise<Diagnosis> {
  const { holder, isAlive } = holderOf(folder);
  if (isAlive) return { lines: [`Owner: process ${holder?.pid}, since ${holder?.since}.`], isSound: true };
  const isLeft = existsSync(join(folder, "lock"));
  return { lines: [isLeft ? "Owner: none that is alive here; the last one did not stop in order." : "Owner: none."], isSound: true };
}

async function copiesPart(folder: string): Promise<Diagnosis> {
  const copies = await listCopies(folder);
  const lines: string[] = [];
  let damaged = 0;
  for (const { name, revision } of copies) {
    if (await readCopy(folder, name)) continue;
    damaged++;
    lines.push(`copies/${name} (revision ${revision}, ${await copyBytes(folder, name)} bytes) is damaged.`);
  }
  const announced = await listAnnounced(folder);
  for (const { name } of announced)
    lines.push(`copies/${name}.announced is left from a replacement that was cut off; the next start settles it.`);
  const newest = copies[0] ? `, the newest of revision ${copies[0].revision}` : "";
  return { lines: [`Copies: ${copies.length}${newest}; ${damaged} damaged.`, ...lines], isSound: copies.length > 0 && damaged === 0 };
}

async function journalPart(folder: string): Promise<Diagnosis> {
  const state = await verifyJournal(join(folder, "journal"));
  const range = state.lines > 0 ? `, revisions ${state.first} to ${state.last}` : "";
  const faults = journalFaults(state);
  return { lines: [`Journal: ${state.files} files, ${state.lines} whole lines${range}.`, ...faults], isSound: state.missing.length === 0 };
}

async function databasePart(folder: string): Promise<Diagnosis> {
  const isThere = existsSync(join(folder, "pglite"));
  return isThere
    ? { lines: ["Database: there. Each start compares it with copies and journal."], isSound: true }
    : { lines: ["Database: gone. The next start makes it again from copies and journal."], isSound: false };
}

if (import.meta.filename === process.argv[1]) {
  diagnose(dataFolder(process.env, process.cwd())).then(
    ({ lines, isSound }) => {
      process.stdout.write(`${lines.join("\n")}\n${isSound ? "Sound." : "Needs attention."}\n`);
      process.exitCode = isSound ? 0 : 1;
    },
    (error: unknown) => {
      process.stderr.write(`${messageOf(error)}\n`);
      process.exitCode = 1;
    },
  );
}
