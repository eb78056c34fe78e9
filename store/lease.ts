// The lease of a data folder: its owner renews it every few seconds, so that processes that cannot see each other, as in two
// containers, do not own one folder at the same time. The lock with the process number is a second check.
import { rm, stat } from "node:fs/promises";
import { join } from "node:path";
import { lock } from "proper-lockfile";
import { codeOf } from "../core/values/errors.ts";
import { FolderInUse, holderOf, lockFolder } from "./lock.ts";

export interface LeaseTimes {
  /** A lease that has not been renewed for so long is free, in milliseconds; at least 2,000. */
  stale: number;
  /** How often it is renewed. */
  renew: number;
}

/** Longer than a large plan ever keeps the server from renewing it. */
const TIMES: LeaseTimes = { stale: 12_000, renew: 3_000 };
const LOOK_MS = 250;

/** Takes a folder for this process.
 * @param onLost Called where another process has taken the lease all the same; nothing may be written after that.
 * @returns Gives it back.
 * @throws {FolderInUse} where another process owns it. */
export async function takeFolder(folder: string, since: string, onLost: () => void, times = TIMES): Promise<() => Promise<void>> {
  const { release, wasLeft } = await takeLease(folder, onLost, times);
  try {
    const giveBack = lockFolder(folder, since, wasLeft || process.env.ROSTER_TAKE_OVER === "1");
    return async () => {
      giveBack();
      await release();
    };
  } catch (error) {
    await release();
    throw error;
  }
}

/** @returns `wasLeft` is true where the lease of another process was there and was no longer renewed. */
async function takeLease(
  folder: string,
  onLost: () => void,
  times: LeaseTimes,
): Promise<{ release: () => Promise<void>; wasLeft: boolean }> {
  const lockfilePath = join(folder, "lease");
  const until = Date.now() + times.stale + LOOK_MS * 4;
  let wasLeft = false;
  for (let renewed = await renewedAt(lockfilePath); ; await new Promise((resolve) => setTimeout(resolve, LOOK_MS))) {
    wasLeft ||= renewed !== null;
    const release = await tryLock(folder, lockfilePath, onLost, times);
    if (release) return { release, wasLeft };
    const { holder, isAlive, isSeenToBeGone } = holderOf(folder);
    // Its lease need not run out.
    if (isSeenToBeGone) await rm(lockfilePath, { recursive: true, force: true });
    const now = await renewedAt(lockfilePath);
    const isRenewed = renewed !== null && now !== null && now !== renewed;
    if (isAlive || isRenewed || Date.now() > until) throw new FolderInUse(folder, holder, !isAlive);
    renewed ??= now;
  }
}

/** @returns Gives the lease back; null where another process has it. */
async function tryLock(
  folder: string,
  lockfilePath: string,
  onLost: () => void,
  { stale, renew }: LeaseTimes,
): Promise<(() => Promise<void>) | null> {
  try {
    const release = await lock(folder, { lockfilePath, realpath: false, stale, update: renew, onCompromised: onLost });
    // A lease that was lost is no longer this process's to give back.
    return () => release().catch(() => undefined);
  } catch (error) {
    if (codeOf(error) === "ELOCKED") return null;
    throw error;
  }
}

const renewedAt = (path: string): Promise<number | null> =>
  stat(path).then(
    ({ mtimeMs }) => mtimeMs,
    () => null,
  );
