// Two containers of one name cannot own a folder together: neither sees the other's process, but each sees the lease.
import { mkdirSync, mkdtempSync, readFileSync, rmSync, utimesSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { migrations, NOW, storeFixture } from "../tests/storeFixture.ts";
import { takeFolder } from "./lease.ts";
import { FolderInUse, lockFolder } from "./lock.ts";
import { PlanStore } from "./planStore.ts";

const times = { stale: 2_000, renew: 1_000 };
const PATIENCE = { timeout: 20_000, interval: 50 };
let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), "roster-lease-"));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** An owner of the same host name, whose process number is nobody's here; in another container unless its processes are ours. */
async function other(space = "pid:[another]") {
  const own = join(folder, "own");
  mkdirSync(own);
  const giveBack = lockFolder(own, NOW);
  const lock = JSON.parse(readFileSync(join(own, "lock"), "utf8"));
  giveBack();
  writeFileSync(join(folder, "lock"), JSON.stringify({ ...lock, pid: 2 ** 22 - 3, ...(space !== "" && { space }) }));
  mkdirSync(join(folder, "lease"));
}

/** Renews the other owner's lease while something is tried. */
async function whileRenewed(attempt: () => Promise<void>): Promise<void> {
  const renewing = setInterval(() => utimesSync(join(folder, "lease"), new Date(), new Date()), 300);
  await attempt().finally(() => clearInterval(renewing));
}

test("a lease that is renewed is another owner's, even where its process cannot be seen; one that is not is free after a while", async () => {
  await other();
  await whileRenewed(() => expect(takeFolder(folder, NOW, () => undefined, times)).rejects.toThrow(FolderInUse));
  const giveBack = await takeFolder(folder, NOW, () => undefined, times);
  await expect(takeFolder(folder, NOW, () => undefined, times)).rejects.toThrow(/in use by process/);
  await giveBack();
  await (await takeFolder(folder, NOW, () => undefined, times))();
});

test("the lease of a process of this machine that is gone is free at once", async () => {
  await other("");
  const start = Date.now();
  await (await takeFolder(folder, NOW, () => undefined, { stale: 60_000, renew: 1_000 }))();
  expect(Date.now() - start).toBeLessThan(30_000);
});

test("a damaged lock is named where a person has the lease", async () => {
  await other();
  writeFileSync(join(folder, "lock"), '{"pid": 12');
  await whileRenewed(() =>
    expect(takeFolder(folder, NOW, () => undefined, times)).rejects.toThrow(/because the file .*lock is missing or damaged/),
  );
});

test("an owner is notified when another process takes its lease", async () => {
  let isLost = false;
  const giveBack = await takeFolder(
    folder,
    NOW,
    () => {
      isLost = true;
    },
    times,
  );
  rmSync(join(folder, "lease"), { recursive: true });
  await vi.waitFor(() => expect(isLost).toBe(true), PATIENCE);
  await giveBack();
});

const fixture = storeFixture();

test("a damaged version file and a folder that is none are named, with the way out", async () => {
  await fixture.store.close();
  const path = join(fixture.folder, "version.json");
  writeFileSync(path, "{");
  await expect(fixture.open()).rejects.toThrow(/The file .*version\.json is damaged\. Restore it from a backup/);
  await expect(PlanStore.open(join(path, "inside"), migrations)).rejects.toThrow(
    /The data folder .*inside cannot be written .*Give this user the right to write there/,
  );
  rmSync(path);
  fixture.store = await fixture.open();
});
