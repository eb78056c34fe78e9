// Makes the data folder with the demo plan that every server copies.
import { rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { makeTemplate } from "../tests/storeTemplate.ts";

export default async function setup(): Promise<() => Promise<void>> {
  const note = join(tmpdir(), "roster-e2e-template");
  const folder = await makeTemplate();
  await writeFile(note, folder);
  return async () => {
    await rm(folder, { recursive: true, force: true });
    await rm(note, { force: true });
  };
}
