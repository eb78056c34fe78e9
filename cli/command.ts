// The roster command: one report on one plan file, as JSON.
import { readFileSync, writeFileSync } from "node:fs";
import { dayOfDate } from "../core/calendar/day.ts";
import { faultLine } from "../core/plan/faults.ts";
import { parsePlan } from "../core/plan/parse.ts";
import { codeOf, messageOf } from "../core/values/errors.ts";
import { isOneOf } from "../core/values/oneOf.ts";
import { type Outside, type ReportName, reportNames, runReport, UsageError } from "./reports.ts";
import { usage } from "./usage.ts";

const INVALID_PLAN = 1;
const WRONG_USAGE = 2;
/** The report could not be computed or written: neither the plan's nor the usage's fault. */
export const FAILED = 3;

/** Exit status and output of the command. */
interface Printed {
  status: number;
  stdout: string;
  stderr: string;
}

/** Runs the command. @param args As typed behind its name. Every failure is reported in a sentence. */
export function runCommand(args: readonly string[]): Printed {
  try {
    return answered(args);
  } catch (error) {
    return { status: FAILED, stdout: "", stderr: `The report could not be made (${messageOf(error)}).\n` };
  }
}

function answered(args: readonly string[]): Printed {
  const [report, file, ...options] = args;
  if (report === "--help" || report === "help") return { status: 0, stdout: `${usage}\n`, stderr: "" };
  if (!isOneOf(reportNames, report)) return wrongUsage(report === undefined ? "Name a report." : `There is no report "${report}".`);
  if (file === undefined || file.startsWith("--")) return wrongUsage(`Name the plan file: roster ${report} PLAN.json`);
  let text: string;
  try {
    text = readFileSync(file, "utf8");
  } catch (error) {
    return wrongUsage(`${file} cannot be read (${codeOf(error)}).`);
  }
  const parsed = parsePlan(text);
  if (!parsed.plan) return invalidPlan(report, parsed.faults.map(faultLine));
  try {
    return { status: 0, stdout: `${JSON.stringify(runReport(report, parsed.plan, options, outside), null, 1)}\n`, stderr: "" };
  } catch (error) {
    if (error instanceof UsageError) return wrongUsage(error.message);
    throw error;
  }
}

const outside: Outside = {
  writeFile: (path, text) => {
    try {
      writeFileSync(path, text);
    } catch (error) {
      throw new UsageError(`--out: ${path} cannot be written (${codeOf(error)}).`);
    }
  },
  now: () => performance.now(),
  today: () => {
    const now = new Date();
    return dayOfDate(now.getFullYear(), now.getMonth() + 1, now.getDate());
  },
};

function invalidPlan(report: ReportName, lines: readonly string[]): Printed {
  const stdout = report === "check" ? `${JSON.stringify({ errors: lines, signals: [] }, null, 1)}\n` : "";
  return { status: INVALID_PLAN, stdout, stderr: `${lines.join("\n")}\n` };
}

const wrongUsage = (message: string): Printed => ({ status: WRONG_USAGE, stdout: "", stderr: `${message}\n\n${usage}\n` });
