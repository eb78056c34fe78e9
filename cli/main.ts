// The roster command: one report on one plan file, JSON on standard output.
import { readFileSync, writeFileSync, writeSync } from "node:fs";
import { codeOf, messageOf } from "../core/plan/errors.ts";
import { faultLine } from "../core/plan/faults.ts";
import { isOneOf } from "../core/plan/oneOf.ts";
import { parsePlan } from "../core/plan/parse.ts";
import { type Outside, type ReportName, reportNames, runReport, UsageError } from "./reports.ts";
import { usage } from "./usage.ts";

const INVALID_PLAN = 1;
const WRONG_USAGE = 2;
/** What was worked out could not be written, or not be worked out: neither the plan's nor the usage's fault. */
const FAILED = 3;

interface Printed {
  status: number;
  out: string;
  err: string;
}

function main(args: readonly string[]): Printed {
  const [report, file, ...options] = args;
  if (report === "--help" || report === "help") return { status: 0, out: `${usage}\n`, err: "" };
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
    return { status: 0, out: `${JSON.stringify(runReport(report, parsed.plan, options, outside), null, 1)}\n`, err: "" };
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
};

function invalidPlan(report: ReportName, lines: readonly string[]): Printed {
  const out = report === "check" ? `${JSON.stringify({ errors: lines, signals: [] }, null, 1)}\n` : "";
  return { status: INVALID_PLAN, out, err: `${lines.join("\n")}\n` };
}

const wrongUsage = (message: string): Printed => ({ status: WRONG_USAGE, out: "", err: `${message}\n\n${usage}\n` });

/** Writes all of a text to a file that may be a pipe; one that nobody reads any longer needs no more. */
function write(file: number, text: string): void {
  const bytes = Buffer.from(text);
  for (let done = 0; done < bytes.length; ) {
    try {
      done += writeSync(file, bytes, done);
    } catch (error) {
      const code = codeOf(error);
      if (code === "EPIPE") return;
      // The reader of a pipe is slower than this writes: wait a moment, for its sake alone.
      if (code === "EAGAIN") Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 5);
      else throw error;
    }
  }
}

function run(): number {
  try {
    const { status, out, err } = main(process.argv.slice(2));
    if (err) write(2, err);
    if (out) write(1, out);
    return status;
  } catch (error) {
    const isFull = codeOf(error) === "ENOSPC";
    write(2, isFull ? "The report could not be written: the disk is full.\n" : `The report could not be made (${messageOf(error)}).\n`);
    return FAILED;
  }
}

process.exitCode = run();
