// Makes the data folder that store tests copy.
import { rm } from "node:fs/promises";
import type { TestProject } from "vitest/node";
import { makeTemplate } from "./storeTemplate.ts";

export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const folder = await makeTemplate();
  project.provide("storeTemplate", folder);
  return () => rm(folder, { recursive: true, force: true });
}

declare module "vitest" {
  export interface ProvidedContext {
    storeTemplate: string;
  }
}
