// npm test: installs what is missing, checks, and runs unit, store and browser tests. Prints the counts at the end.
import { mkdirSync, mkdtempSync, readFileSync, rmSync, statfsSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, relative } from "node:path";
import { checkRest, checkTypes } from "./checks.mjs";
import { passes, run, runBehind, toolPath } from "./commands.mjs";
import { installChromium, installPackages } from "./install.mjs";

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

function read(path) {
  try {
    return JSON.parse(readFileSync(path, "utf8"));
  } catch {
    return null;
  }
}

function tellSlowest(heading, tests) {
  console.log(`\n${heading}:`);
  const slowest = tests.toSorted((a, b) => b.ms - a.ms).slice(0, 10);
  for (const { file, title, ms } of slowest) console.log(`${(ms / 1000).toFixed(1).padStart(6)} s  ${file}: ${title}`);
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
const unit = read(UNIT_RESULTS) ?? { numPassedTests: 0, numFailedTests: 1, numPendingTests: 0, testResults: [] };
rmSync(scratch, { recursive: true, force: true });
const inBrowser = read(BROWSER_RESULTS) ?? { suites: [], stats: { expected: 0, unexpected: 1, flaky: 0, skipped: 0 } };
const browser = inBrowser.stats;

const own = unit.testResults.flatMap(({ name, assertionResults }) =>
  assertionResults.map(({ title, status, meta }) => ({ file: relative(process.cwd(), name), title, status, ms: meta?.processorMs ?? 0 })),
);
const specsOf = ({ file, specs = [], suites = [] }) => [
  ...specs.map(({ title, tests }) => ({ file: `e2e/${file}`, title, ms: tests[0]?.results[0]?.duration ?? 0 })),
  ...suites.flatMap(specsOf),
];
tellSlowest("The slowest ten in the browser", inBrowser.suites.flatMap(specsOf));
tellSlowest("The slowest ten of the others, by what they take of the processor", own);
const missing = own.filter(({ status }) => status === "todo");
if (missing.length > 0) console.log("\nMissing:");
for (const { title } of missing) console.log(`  ${title}`);

console.log(`\nunit and store: ${unit.numPassedTests} passed, ${unit.numFailedTests} failed, ${unit.numPendingTests} skipped`);
console.log(`browser: ${browser.expected} passed, ${browser.unexpected + browser.flaky} failed, ${browser.skipped} skipped`);
console.log(`${unit.numPassedTests + browser.expected} passed, ${unit.numFailedTests + browser.unexpected + browser.flaky} failed`);
process.exit(unitRun.isPassed && isBrowserPassed && browser.flaky === 0 ? 0 : 1);
