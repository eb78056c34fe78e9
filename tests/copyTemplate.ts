// A copy of the data folder with the demo plan in it, for each test that needs a store. Apart from the making of that folder,
// which loads the store and the core.
import { cpSync } from "node:fs";
import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";

/** A copy of the template for one test, and how to remove it. */
export async function copyTemplate(template: string): Promise<{ folder: string; remove: () => Promise<void> }> {
  const folder = await mkdtemp(join(tmpdir(), "roster-data-"));
  // Hundreds of small files: waiting for each of them takes four times as long.
  cpSync(template, folder, { recursive: true });
  return { folder, remove: () => rm(folder, { recursive: true, force: true }) };
}
