// npm test: installs what is missing, checks, and runs unit, store and browser tests. Prints the counts at the end.
import { spawnSync } from "node:child_process";
import { mkdirSync, readFileSync, rmSync } from "node:fs";
import { installChromium, installPackages, run } from "./install.mjs";

const UNIT_RESULTS = "test-results/unit.json";
const BROWSER_RESULTS = "test-results/results.json";

/** Runs a test command with its output shown; says whether it passed. */
function passes(command, args) {
  const { status } = spawnSync(command, args, { stdio: "inherit", env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1" } });
  return status === 0;
}

function read(path) {
  try {
    return JSON.parse(readFileSync(path, "utf8"));
  } catch {
    return null;
  }
}

installPackages();
installChromium();
rmSync("test-results", { recursive: true, force: true });
mkdirSync("test-results", { recursive: true });
run(process.execPath, ["scripts/check.mjs"]);
run("npm", ["run", "build"]);
const isUnitPassed = passes("npx", [
  "--no",
  "--",
  "vitest",
  "run",
  "--reporter=default",
  "--reporter=json",
  `--outputFile.json=${UNIT_RESULTS}`,
]);
const unit = read(UNIT_RESULTS) ?? { numPassedTests: 0, numFailedTests: 1, numPendingTests: 0 };
const isBrowserPassed = passes("npx", ["--no", "--", "playwright", "test"]);
const browser = read(BROWSER_RESULTS)?.stats ?? { expected: 0, unexpected: 1, flaky: 0, skipped: 0 };

console.log(`\nunit and store: ${unit.numPassedTests} passed, ${unit.numFailedTests} failed, ${unit.numPendingTests} skipped`);
console.log(`browser: ${browser.expected} passed, ${browser.unexpected + browser.flaky} failed, ${browser.skipped} skipped`);
console.log(`${unit.numPassedTests + browser.expected} passed, ${unit.numFailedTests + browser.unexpected + browser.flaky} failed`);
process.exit(isUnitPassed && isBrowserPassed && browser.flaky === 0 ? 0 : 1);
