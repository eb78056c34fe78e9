// One process owns a data folder: PGlite does not notice a second one and would lose rows.
import { linkSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { hostname } from "node:os";
import { join } from "node:path";
import { codeOf } from "../core/plan/errors.ts";

interface Holder {
  pid: number;
  /** When the process began, as the system tells it, so that a reused number is not taken for the holder. */
  begun: string;
  /** The machine's start: after another one, no process of before is alive. Empty where the system does not tell. */
  boot: string;
  host: string;
  since: string;
}

/** Another process has the folder open. */
export class FolderInUse extends Error {
  constructor(folder: string, holder: Holder, isElsewhere: boolean) {
    super(
      `The data folder ${folder} is in use by process ${holder.pid} on ${holder.host}, since ${holder.since}. ` +
        (isElsewhere
          ? `This machine calls itself ${hostname()}, so it cannot tell whether that process is still there. If it is not, ` +
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
  const own: Holder = { pid: process.pid, begun: processStart(process.pid) ?? "", boot: bootId(), host: hostname(), since };
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

/** A lock that somebody has taken over is theirs. */
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
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** What is known of a holder; "elsewhere" where that cannot be told from here. */
function stateOf({ pid, begun, boot, host }: Holder): "alive" | "gone" | "elsewhere" {
  if (host !== hostname()) return "elsewhere";
  if (boot && boot !== bootId()) return "gone";
  if (pid === process.pid) return begun === (processStart(pid) ?? "") ? "alive" : "gone";
  try {
    process.kill(pid, 0);
  } catch (error) {
    if (codeOf(error) === "ESRCH") return "gone";
  }
  return begun === "" || processStart(pid) === begun ? "alive" : "gone";
}

/** What Linux calls this start of the machine; empty elsewhere. */
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
