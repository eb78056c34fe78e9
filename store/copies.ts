// Whole copies of the plan as files: plan files like any other, whose names say when, of which revision, and a checksum.
import { readdir, readFile, rename, rm, stat } from "node:fs/promises";
import { join } from "node:path";
import type { Plan } from "../core/plan/schema.ts";
import { checksum, flushFolder, makeFolder, writeWhole } from "./files.ts";

/** A copy as its name reports it. */
export interface Copy {
  name: string;
  revision: number;
  /** When it was made: an instant, as ISO text. */
  at: string;
}

/** As many of the newest copies as are kept, and for how many days one a day. */
export const KEPT_COPIES = 10;
export const KEPT_DAYS = 30;

const DAY_MS = 86_400_000;
const NAME = /^plan-(\d{4}-\d{2}-\d{2})T(\d{2})-(\d{2})-(\d{2})-(\d{3})Z-revision-(\d+)-([0-9a-f]{8})\.json$/;

export const copiesFolder = (folder: string): string => join(folder, "copies");

/** Writes a copy, whole and flushed. @returns Its name. */
export async function writeCopy(folder: string, plan: Plan, revision: number, at: string): Promise<string> {
  const name = await announceCopy(folder, plan, revision, at);
  await confirmCopy(folder, name);
  return name;
}

/** Writes a copy of what may yet be refused: nobody reads it by itself before it is confirmed. @returns Its name. */
export async function announceCopy(folder: string, plan: Plan, revision: number, at: string): Promise<string> {
  await makeFolder(copiesFolder(folder));
  const bytes = Buffer.from(JSON.stringify(plan));
  const name = `plan-${new Date(at).toISOString().replaceAll(/[:.]/g, "-")}-revision-${revision}-${checksum(bytes)}.json`;
  await writeWhole(announced(folder, name), bytes);
  return name;
}

export async function confirmCopy(folder: string, name: string): Promise<void> {
  await rename(announced(folder, name), join(copiesFolder(folder), name));
  await flushFolder(copiesFolder(folder));
}

/** Undoes a copy that was announced. */
export const withdrawCopy = (folder: string, name: string): Promise<void> => rm(announced(folder, name), { force: true });

/** Copies that were announced and neither confirmed nor withdrawn. */
export async function listAnnounced(folder: string): Promise<Copy[]> {
  const names = await readdir(copiesFolder(folder)).catch(() => []);
  return names.flatMap((name) => (name.endsWith(ANNOUNCED) ? (copyOf(name.slice(0, -ANNOUNCED.length)) ?? []) : []));
}

const ANNOUNCED = ".announced";

const announced = (folder: string, name: string): string => join(copiesFolder(folder), `${name}${ANNOUNCED}`);

/** The copies of a data folder, the newest first. */
export async function listCopies(folder: string): Promise<Copy[]> {
  const names = await readdir(copiesFolder(folder)).catch(() => []);
  return names.flatMap((name) => copyOf(name) ?? []).sort((a, b) => b.revision - a.revision || b.at.localeCompare(a.at));
}

function copyOf(name: string): Copy | null {
  const [, day, hour, minute, second, part, revision] = NAME.exec(name) ?? [];
  return day === undefined ? null : { name, revision: Number(revision), at: `${day}T${hour}:${minute}:${second}.${part}Z` };
}

/** The plan of a copy; null where the file is not there or not as it was written. A journal that names it has confirmed
 * it, no matter what came in between. */
export async function readCopy(folder: string, name: string): Promise<Plan | null> {
  const bytes = await readFile(join(copiesFolder(folder), name))
    .catch(() => readFile(announced(folder, name)))
    .catch(() => null);
  if (!bytes || checksum(bytes) !== NAME.exec(name)?.[7]) return null;
  return JSON.parse(bytes.toString("utf8"));
}

/** The plan of a copy, or of another copy of the same revision. */
export async function readCopyOf(folder: string, name: string, revision: number): Promise<Plan | null> {
  const named = await readCopy(folder, name);
  if (named) return named;
  for (const other of await listCopies(folder)) {
    const plan = other.revision === revision && other.name !== name ? await readCopy(folder, other.name) : null;
    if (plan) return plan;
  }
  return null;
}

/** How large a copy is, in bytes. */
export async function copyBytes(folder: string, name: string): Promise<number> {
  return (await stat(join(copiesFolder(folder), name))).size;
}

/** Removes the copies that are neither among the newest nor the last of one of the last days.
 * @param now An instant as ISO text. */
export async function pruneCopies(folder: string, now: string): Promise<void> {
  for (const { name } of outdated(await listCopies(folder), now)) await rm(join(copiesFolder(folder), name), { force: true });
}

/** The copies that are no longer kept, of some copies with the newest first. */
export function outdated(copies: readonly Copy[], now: string): Copy[] {
  const oldest = new Date(new Date(now).getTime() - KEPT_DAYS * DAY_MS).toISOString();
  const days = new Set<string>();
  return copies.filter(({ at }, place) => {
    const day = at.slice(0, 10);
    const isLastOfDay = at >= oldest && !days.has(day);
    days.add(day);
    return place >= KEPT_COPIES && !isLastOfDay;
  });
}
