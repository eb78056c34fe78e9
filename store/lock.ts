// One process owns a data folder: PGlite does not notice a second one and would lose rows.
import { linkSync, readFileSync, readlinkSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { hostname } from "node:os";
import { join } from "node:path";
import { codeOf } from "../core/values/errors.ts";
import { isObject } from "../core/values/isObject.ts";

interface Holder {
  pid: number;
  /** When the process began, as the system reports it, so that a reused number is not taken for the holder. */
  begun: string;
  /** The machine's start: after another one, no process of before is alive. Empty if the system does not show it. */
  boot: string;
  host: string;
  /** The process numbers that it shares, as Linux calls them: those of two containers differ. Empty if the system does not show it. */
  space?: string;
  since: string;
}

/** Another process has the folder open. */
export class FolderInUse extends Error {
  constructor(folder: string, holder: Holder | null, isElsewhere: boolean) {
    const owner = holder
      ? `process ${holder.pid} on ${holder.host}, since ${holder.since}`
      : `a process that cannot be named, because the file ${join(folder, "lock")} is missing or damaged`;
    super(
      `The data folder ${folder} is in use by ${owner}. ` +
        (isElsewhere
          ? `This machine calls itself ${hostname()} and cannot see whether that process is still there. If it is not, ` +
            "because a container or machine was renamed, start once with ROSTER_TAKE_OVER=1; else stop it, or set ROSTER_DATA to another folder."
          : "Stop that process, or set ROSTER_DATA to another folder."),
    );
    this.name = "FolderInUse";
  }
}

/** Takes the lock of a folder.
 * @param takesOver True to take it from a process of another host name, which cannot be asked.
 * @returns A function that gives it back.
 * @throws {FolderInUse} where a living process has it. */
export function lockFolder(folder: string, since: string, takesOver = process.env.ROSTER_TAKE_OVER === "1"): () => void {
  const path = join(folder, "lock");
  const own: Holder = {
    pid: process.pid,
    begun: processStart(process.pid) ?? "",
    boot: bootId(),
    host: hostname(),
    space: ownSpace(),
    since,
  };
  for (let tries = 0; tries < 5; tries++) {
    if (create(path, own)) return () => giveBack(path, own);
    const text = read(path);
    if (text === null) continue;
    const holder = parse(text);
    const state = holder ? stateOf(holder) : "gone";
    if (holder && (state === "alive" || (state === "elsewhere" && !takesOver)))
      throw new FolderInUse(folder, holder, state === "elsewhere");
    takeAway(path, text);
  }
  throw new Error(`The lock ${path} could not be taken; remove it if no other process uses this folder.`);
}

/** The holder of a folder's lock. `isSeenToBeGone` is true only for a process of this machine since its last start, in the same
 * process namespace: only there does a missing process number prove that it has ended. */
export function holderOf(folder: string): { holder: Holder | null; isAlive: boolean; isSeenToBeGone: boolean } {
  const text = read(join(folder, "lock"));
  const holder = text === null ? null : parse(text);
  if (!holder) return { holder, isAlive: false, isSeenToBeGone: false };
  const state = stateOf(holder);
  const isHere = holder.host === hostname() && holder.boot === bootId() && (holder.space ?? "") === ownSpace();
  return { holder, isAlive: state === "alive", isSeenToBeGone: state === "gone" && isHere };
}

/** Made aside and put in place in one step: nobody ever reads half a lock. */
function create(path: string, holder: Holder): boolean {
  const aside = `${path}.${process.pid}.new`;
  writeFileSync(aside, JSON.stringify(holder), { mode: 0o600 });
  try {
    linkSync(aside, path);
    return true;
  } catch (error) {
    if (codeOf(error) === "EEXIST") return false;
    throw error;
  } finally {
    rmSync(aside, { force: true });
  }
}

/** A lock that a person has taken over is theirs. */
function giveBack(path: string, own: Holder): void {
  if (read(path) === JSON.stringify(own)) rmSync(path, { force: true });
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
    const holder: unknown = JSON.parse(text);
    return isObject(holder) && typeof holder.pid === "number" && typeof holder.host === "string" ? (holder as unknown as Holder) : null;
  } catch {
    return null;
  }
}

/** The state of a lock's holder; "elsewhere" if it cannot be determined from here. */
function stateOf({ pid, begun, boot, host, space }: Holder): "alive" | "gone" | "elsewhere" {
  if (host !== hostname()) return "elsewhere";
  if (boot && boot !== bootId()) return "gone";
  if (space && space !== ownSpace()) return "elsewhere";
  if (pid === process.pid) return begun === (processStart(pid) ?? "") ? "alive" : "gone";
  try {
    process.kill(pid, 0);
  } catch (error) {
    if (codeOf(error) === "ESRCH") return "gone";
  }
  return begun === "" || processStart(pid) === begun ? "alive" : "gone";
}

/** The process numbers of this process, as Linux calls them; empty elsewhere. */
function ownSpace(): string {
  try {
    return readlinkSync("/proc/self/ns/pid");
  } catch {
    return "";
  }
}

/** The id of this start of the machine in Linux; empty elsewhere. */
function bootId(): string {
  return read("/proc/sys/kernel/random/boot_id")?.trim() ?? "";
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
