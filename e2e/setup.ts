// Makes the data folder with the demo plan that every server copies, in a process of its own: here, the whole of core and store
// would be made ready for Playwright first, and in each of its workers again.
import { execFile } from "node:child_process";
import { rm } from "node:fs/promises";
import { join } from "node:path";
import { promisify } from "node:util";
import { planFileOf } from "./server.ts";

export default async function setup(): Promise<() => Promise<void>> {
  const make = ["--import", "tsx", join(import.meta.dirname, "makeDemo.ts")];
  const { stdout } = await promisify(execFile)(process.execPath, make);
  const folder = stdout.trim();
  // Of this run alone: another one next to it has its own.
  process.env.ROSTER_E2E_TEMPLATE = folder;
  return async () => {
    await rm(folder, { recursive: true, force: true });
    await rm(planFileOf(folder), { force: true });
  };
}
