// npm test: installs what is missing, checks, and runs unit, store and browser tests. Prints the counts at the end.
import { mkdirSync, mkdtempSync, readFileSync, rmSync, statfsSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, relative } from "node:path";
import { checkRest, checkTypes } from "./checks.mjs";
import { installChromium, installPackages, passes, run } from "./install.mjs";

const UNIT_RESULTS = "test-results/unit.json";
const BROWSER_RESULTS = "test-results/results.json";

const MEMORY = "/dev/shm";
const ROOM_BYTES = 4e9;

/** A folder for what tests write, in memory where that has the room: a data folder is a thousand files, made for nearly every
 * test of the store. */
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

await Promise.all([installPackages(), installChromium()]);
rmSync("test-results", { recursive: true, force: true });
mkdirSync("test-results", { recursive: true });
await checkTypes();
await Promise.all([checkRest(), run("npm", ["run", "build"])]);
const scratch = scratchFolder();
const isUnitPassed = await passes(
  "npx",
  ["--no", "--", "vitest", "run", "--reporter=default", "--reporter=json", `--outputFile.json=${UNIT_RESULTS}`],
  { TMPDIR: scratch },
);
const unit = read(UNIT_RESULTS) ?? { numPassedTests: 0, numFailedTests: 1, numPendingTests: 0, testResults: [] };
const isBrowserPassed = await passes("npx", ["--no", "--", "playwright", "test"], { TMPDIR: scratch });
rmSync(scratch, { recursive: true, force: true });
const inBrowser = read(BROWSER_RESULTS) ?? { suites: [], stats: { expected: 0, unexpected: 1, flaky: 0, skipped: 0 } };
const browser = inBrowser.stats;

const own = unit.testResults.flatMap(({ name, assertionResults }) =>
  assertionResults.map(({ title, status, duration = 0 }) => ({ file: relative(process.cwd(), name), title, status, duration })),
);
const specsOf = ({ file, specs = [], suites = [] }) => [
  ...specs.map(({ title, tests }) => ({ file: `e2e/${file}`, title, duration: tests[0]?.results[0]?.duration ?? 0 })),
  ...suites.flatMap(specsOf),
];
console.log("\nThe slowest ten:");
for (const { file, title, duration } of [...own, ...inBrowser.suites.flatMap(specsOf)].sort((a, b) => b.duration - a.duration).slice(0, 10))
  console.log(`${(duration / 1000).toFixed(1).padStart(6)} s  ${file}: ${title}`);
const missing = own.filter(({ status }) => status === "todo");
if (missing.length > 0) console.log("\nMissing:");
for (const { title } of missing) console.log(`  ${title}`);

console.log(`\nunit and store: ${unit.numPassedTests} passed, ${unit.numFailedTests} failed, ${unit.numPendingTests} skipped`);
console.log(`browser: ${browser.expected} passed, ${browser.unexpected + browser.flaky} failed, ${browser.skipped} skipped`);
console.log(`${unit.numPassedTests + browser.expected} passed, ${unit.numFailedTests + browser.unexpected + browser.flaky} failed`);
process.exit(isUnitPassed && isBrowserPassed && browser.flaky === 0 ? 0 : 1);
