// The roster command: one report on one plan file, JSON on standard output.
import { readFileSync } from "node:fs";
import { faultLine } from "../core/plan/faults.ts";
import { parsePlan } from "../core/plan/parse.ts";
import { type ReportName, reportNames, runReport, UsageError } from "./reports.ts";
import { usage } from "./usage.ts";

const INVALID_PLAN = 1;
const WRONG_USAGE = 2;

function main(args: readonly string[]): number {
  const [report, file, ...options] = args;
  if (report === "--help" || report === "help") {
    process.stdout.write(`${usage}\n`);
    return 0;
  }
  if (!reportNames.includes(report as ReportName))
    return wrongUsage(report === undefined ? "Name a report." : `There is no report "${report}".`);
  if (file === undefined || file.startsWith("--")) return wrongUsage(`Name the plan file: roster ${report} PLAN.json`);
  let text: string;
  try {
    text = readFileSync(file, "utf8");
  } catch (error) {
    return wrongUsage(`${file} cannot be read (${(error as NodeJS.ErrnoException).code}).`);
  }
  const parsed = parsePlan(text);
  if (!parsed.plan) return invalidPlan(report as ReportName, parsed.faults.map(faultLine));
  try {
    process.stdout.write(`${JSON.stringify(runReport(report as ReportName, parsed.plan, options), null, 1)}\n`);
    return 0;
  } catch (error) {
    if (error instanceof UsageError) return wrongUsage(error.message);
    throw error;
  }
}

function invalidPlan(report: ReportName, lines: readonly string[]): number {
  if (report === "check") process.stdout.write(`${JSON.stringify({ errors: lines, signals: [] }, null, 1)}\n`);
  process.stderr.write(`${lines.join("\n")}\n`);
  return INVALID_PLAN;
}

function wrongUsage(message: string): number {
  process.stderr.write(`${message}\n\n${usage}\n`);
  return WRONG_USAGE;
}

process.exitCode = main(process.argv.slice(2));
