// npm test: installs what is missing, checks, and runs unit, store and browser tests. Prints the counts at the end.
import { mkdirSync, mkdtempSync, rmSync, statfsSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { checkRest, checkTypes } from "./checks.mjs";
import { passes, run, runBehind, toolPath } from "./commands.mjs";
import { installChromium, installPackages } from "./install.mjs";
import { browserResults, tellResults, unitResults } from "./results.mjs";

const UNIT_RESULTS = "test-results/unit.json";
const BROWSER_RESULTS = "test-results/results.json";

const MEMORY = "/dev/shm";
const ROOM_BYTES = 4e9;

/** A folder for what tests write, in memory where that has the room: a data folder is hundreds of files, made for nearly
 * every test of the store. */
function scratchFolder() {
  return mkdtempSync(join(hasRoom() ? MEMORY : tmpdir(), "roster-tests-"));
}

function hasRoom() {
  try {
    const { bavail, bsize } = statfsSync(MEMORY);
    return bavail * bsize > ROOM_BYTES;
  } catch {
    return false;
  }
}

await Promise.all([installPackages(), installChromium()]);
rmSync("test-results", { recursive: true, force: true });
mkdirSync("test-results", { recursive: true });
await checkTypes();
await Promise.all([checkRest(), run("npm", ["run", "build"])]);
const scratch = scratchFolder();
const env = { TMPDIR: scratch };
const [isBrowserPassed, unitRun] = await Promise.all([
  passes(toolPath("playwright"), ["test"], env),
  runBehind(toolPath("vitest"), ["run", "--reporter=default", "--reporter=json", `--outputFile.json=${UNIT_RESULTS}`], env),
]);
console.log(unitRun.said);
rmSync(scratch, { recursive: true, force: true });
const browser = browserResults(BROWSER_RESULTS);
tellResults(unitResults(UNIT_RESULTS), browser);
process.exit(unitRun.isPassed && isBrowserPassed && browser.flaky === 0 ? 0 : 1);
