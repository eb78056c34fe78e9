// What the code is held to before a test is run.
import { run } from "./install.mjs";

/** A build writes types of its own, so that the two cannot stand side by side. Four checkers, as by default, are more than two
 * cores can use, and each works out for itself what they share. */
export const checkTypes = () => run("npx", ["--no", "--", "tsc", "--noEmit", "--checkers", "2"]);

/** All that needs one core alone, after one another. */
export async function checkRest() {
  await run("npx", ["--no", "--", "biome", "check", "--error-on-warnings", "."]);
  await run(process.execPath, ["scripts/layers.mjs"]);
  await run(process.execPath, ["scripts/habits.mjs"]);
  await run("npx", ["--no", "--", "knip"]);
  await run(process.execPath, ["--import", "tsx", "scripts/plan-schema.ts", "--check"]);
}
