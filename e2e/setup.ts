// Makes the data folder with the demo plan that every server copies.
import { rm } from "node:fs/promises";
import { makeTemplate } from "../tests/storeTemplate.ts";

export default async function setup(): Promise<() => Promise<void>> {
  const folder = await makeTemplate();
  // Of this run alone: another one beside it has its own.
  process.env.ROSTER_E2E_TEMPLATE = folder;
  return () => rm(folder, { recursive: true, force: true });
}
