// The checks of the code before a test is run.
import { run, runTool, toolPath } from "./commands.mjs";

/** A build writes types of its own, so that the two cannot be side by side. Four checkers, as by default, are more than two
 * cores can use, and each works out for itself what they share; they are over before clearing away would pay. */
export const checkTypes = () => run(toolPath("tsc"), ["--noEmit", "--checkers", "2"], { GOGC: "off" });

/** All that needs one core alone, after each other. */
export async function checkRest() {
  await runTool("biome", "check", "--error-on-warnings", ".");
  await run(process.execPath, ["scripts/layers.mjs"]);
  await run(process.execPath, ["scripts/habits.mjs"]);
  await runTool("knip");
  await run(process.execPath, ["--import", "tsx", "scripts/plan-schema.ts", "--check"]);
}
