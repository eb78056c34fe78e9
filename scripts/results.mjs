// The results of the two kinds of tests, and the end of `npm test`: the slowest, the missing, the failed with their reasons, and
// the counts. Of a long run, only the end may be kept.
import { readFileSync } from "node:fs";
import { relative } from "node:path";
import { stripVTControlCharacters } from "node:util";

const [WHY_LINES, WHY_LETTERS] = [24, 300];

function read(path) {
  try {
    return JSON.parse(readFileSync(path, "utf8"));
  } catch {
    return null;
  }
}

/** The unit and store tests, from the results that Vitest has written; none of them, and one failed, when it has not. */
export function unitResults(path) {
  const results = read(path) ?? { numPassedTests: 0, numFailedTests: 1, numPendingTests: 0, testResults: [] };
  const tests = results.testResults.flatMap(({ name, status, message, assertionResults }) => {
    const file = relative(process.cwd(), name);
    const own = assertionResults.map((test) => ({
      file,
      title: test.title,
      status: test.status,
      ms: test.meta?.processorMs ?? 0,
      why: test.failureMessages,
    }));
    // A file that cannot be read, or prepared, has failed without a test.
    const isAlone = status === "failed" && own.every((test) => test.status !== "failed");
    return isAlone ? [...own, { file, title: "the file itself", status, ms: 0, why: [message] }] : own;
  });
  return { tests, passed: results.numPassedTests, failed: results.numFailedTests, skipped: results.numPendingTests };
}

/** The browser tests, from the results that Playwright has written; none of them, and one failed, when it has not. */
export function browserResults(path) {
  const results = read(path) ?? { suites: [], stats: { expected: 0, unexpected: 1, flaky: 0, skipped: 0 } };
  const { expected, unexpected, flaky, skipped } = results.stats;
  const around = (results.errors ?? []).map(({ message }) => ({
    file: "e2e",
    title: "the whole run",
    status: "failed",
    ms: 0,
    why: [message],
  }));
  return { tests: [...around, ...results.suites.flatMap(specsOf)], passed: expected, failed: unexpected + flaky, skipped, flaky };
}

function specsOf({ file, specs = [], suites = [] }) {
  const own = specs.map(({ title, ok, tests }) => {
    const { duration = 0, errors = [] } = tests[0]?.results[0] ?? {};
    return { file: `e2e/${file}`, title, status: ok ? "passed" : "failed", ms: duration, why: errors.map(({ message }) => message) };
  });
  return [...own, ...suites.flatMap(specsOf)];
}

function tellSlowest(heading, tests) {
  console.log(`\n${heading}:`);
  const slowest = tests.toSorted((a, b) => b.ms - a.ms).slice(0, 10);
  for (const { file, title, ms } of slowest) console.log(`${(ms / 1000).toFixed(1).padStart(6)} s  ${file}: ${title}`);
}

function tellFailed(tests) {
  const failed = tests.filter(({ status }) => status === "failed");
  if (failed.length > 0) console.log("\nFailed:");
  for (const { file, title, why } of failed) {
    console.log(`  ${file}: ${title}`);
    const lines = why.flatMap((message) => stripVTControlCharacters(message ?? "").split("\n"));
    for (const line of lines.slice(0, WHY_LINES)) console.log(`      ${line.slice(0, WHY_LETTERS)}`);
  }
}

/** Prints the end of `npm test`. */
export function tellResults(unit, browser) {
  tellSlowest("The slowest ten in the browser", browser.tests);
  tellSlowest("The slowest ten of the others, by what they take of the processor", unit.tests);
  const missing = unit.tests.filter(({ status }) => status === "todo");
  if (missing.length > 0) console.log("\nMissing:");
  for (const { title } of missing) console.log(`  ${title}`);
  tellFailed([...browser.tests, ...unit.tests]);
  console.log(`\nunit and store: ${unit.passed} passed, ${unit.failed} failed, ${unit.skipped} skipped`);
  console.log(`browser: ${browser.passed} passed, ${browser.failed} failed, ${browser.skipped} skipped`);
  console.log(`${unit.passed + browser.passed} passed, ${unit.failed + browser.failed} failed`);
}
