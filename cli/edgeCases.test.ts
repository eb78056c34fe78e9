import { expect, test } from "vitest";
import { parsePlan } from "../core/plan/parse.ts";
import { edgeCases } from "../tests/edgeCases.ts";
import { differences } from "../tests/golden.ts";
import { type ReportName, reportNames, runReport, UsageError } from "./reports.ts";

const cases = edgeCases();

test("the cases are read", () => {
  expect(cases.length).toBeGreaterThanOrEqual(38);
});

test.each(cases)("$name: $command", ({ plan, command, expect: expected }) => {
  const [report, ...options] = command.split(" ");
  expect(reportNames).toContain(report);
  const parsed = parsePlan(plan);
  expect(parsed.faults).toEqual([]);
  if (!parsed.plan) return;
  const sound = parsed.plan;
  const run = () => runReport(report as ReportName, sound, options);
  if (expected === "error") expect(run).toThrow(UsageError);
  else expect(differences(run(), expected)).toEqual([]);
});
