// One process owns a data folder: PGlite does not notice a second one and would lose rows.
import { closeSync, linkSync, openSync, readFileSync, renameSync, rmSync, writeSync } from "node:fs";
import { hostname } from "node:os";
import { join } from "node:path";

interface Holder {
  pid: number;
  /** When the process began, as the system tells it, so that a reused number is not taken for the holder. */
  begun: string;
  host: string;
  since: string;
}

/** Another process has the folder open. */
export class FolderInUse extends Error {
  constructor(folder: string, holder: Holder) {
    super(
      `The data folder ${folder} is in use by process ${holder.pid} on ${holder.host}, since ${holder.since}. ` +
        "Stop that process, or set ROSTER_DATA to another folder.",
    );
    this.name = "FolderInUse";
  }
}

/** Takes the lock of a folder.
 * @returns A function that gives it back.
 * @throws {FolderInUse} where a living process has it. */
export function lockFolder(folder: string, since: string): () => void {
  const path = join(folder, "lock");
  const own: Holder = { pid: process.pid, begun: processStart(process.pid) ?? "", host: hostname(), since };
  for (let tries = 0; tries < 5; tries++) {
    if (create(path, own)) return () => rmSync(path, { force: true });
    const text = read(path);
    if (text === null) continue;
    const holder = parse(text);
    if (holder && isAlive(holder)) throw new FolderInUse(folder, holder);
    takeAway(path, text);
  }
  throw new Error(`The lock ${path} could not be taken; remove it if no other process uses this folder.`);
}

function create(path: string, holder: Holder): boolean {
  try {
    const file = openSync(path, "wx");
    writeSync(file, JSON.stringify(holder));
    closeSync(file);
    return true;
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === "EEXIST") return false;
    throw error;
  }
}

function read(path: string): string | null {
  try {
    return readFileSync(path, "utf8");
  } catch {
    return null;
  }
}

function parse(text: string): Holder | null {
  try {
    return JSON.parse(text) as Holder;
  } catch {
    return null;
  }
}

function isAlive({ pid, begun, host }: Holder): boolean {
  if (host !== hostname()) return true;
  if (pid === process.pid) return begun === (processStart(pid) ?? "");
  try {
    process.kill(pid, 0);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === "ESRCH") return false;
  }
  return begun === "" || processStart(pid) === begun;
}

/** Field 22 of Linux's /proc/PID/stat, the start in clock ticks since boot; null elsewhere. */
function processStart(pid: number): string | null {
  const stat = read(`/proc/${pid}/stat`);
  return stat === null ? null : (stat.slice(stat.lastIndexOf(")") + 2).split(" ")[19] ?? null);
}

// Two processes may find the same dead holder: what was moved away is put back when it is not what was read.
function takeAway(path: string, text: string): void {
  const aside = `${path}.${process.pid}`;
  try {
    renameSync(path, aside);
  } catch {
    return;
  }
  if (read(aside) !== text) {
    try {
      linkSync(aside, path);
    } catch {
      // A third process has taken the lock meanwhile; the next try finds it.
    }
  }
  rmSync(aside, { force: true });
}
