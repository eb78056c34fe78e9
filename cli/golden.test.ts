import { expect, test } from "vitest";
import { parsePlan } from "../core/plan/parse.ts";
import { differences, goldenCases } from "../tests/golden.ts";
import { type ReportName, reportNames, runReport } from "./reports.ts";

const cases = goldenCases();

test("the golden cases are read", () => {
  expect(cases.length).toBeGreaterThanOrEqual(26);
});

test.each(cases)("$name: the plan is sound, and the report says what was worked out by hand", ({ plan, command, expect: expected }) => {
  // A report that is not known is a failure.
  expect(reportNames).toContain(command[0]);
  const parsed = parsePlan(plan);
  expect(parsed.faults).toEqual([]);
  if (!parsed.plan) return;
  const answer = runReport(command[0] as ReportName, parsed.plan, command.slice(1));
  expect(differences(answer, expected)).toEqual([]);
});
