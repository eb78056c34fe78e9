// Reads the small plans at the edges of the rules: of each the plan, its commands, and the part of an answer that must be so.
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";

const folder = join(import.meta.dirname, "cases");
const ENDING = ".plan.json";

export interface EdgeCase {
  name: string;
  command: string;
  plan: string;
  /** `"error"` where the command has to refuse. */
  expect: unknown;
}

/** A case for every command that a plan has an answer to. */
export function edgeCases(): EdgeCase[] {
  return readdirSync(folder)
    .filter((file) => file.endsWith(ENDING))
    .sort()
    .flatMap((file) => {
      const name = file.slice(0, -ENDING.length);
      const plan = readFileSync(join(folder, file), "utf8");
      const { expect } = JSON.parse(readFileSync(join(folder, `${name}.expect.json`), "utf8")) as { expect: Record<string, unknown> };
      return Object.entries(expect).map(([command, answer]) => ({ name, command, plan, expect: answer }));
    });
}
