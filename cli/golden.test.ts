import { expect, test } from "vitest";
import { parsePlan } from "../core/plan/parse.ts";
import { differences, goldenCases } from "../tests/golden.ts";
import { type ReportName, reportNames, runReport } from "./reports.ts";

const covered = goldenCases().filter(({ command }) => reportNames.includes(command[0] as ReportName));

test("the golden cases of every report there is are read", () => {
  expect(covered.length).toBeGreaterThanOrEqual(12);
});

test.each(covered)("$name: the report says what was worked out by hand", ({ plan, command, expect: expected }) => {
  const parsed = parsePlan(plan);
  expect(parsed.faults).toEqual([]);
  if (!parsed.plan) return;
  const answer = runReport(command[0] as ReportName, parsed.plan, command.slice(1));
  expect(differences(answer, expected)).toEqual([]);
});

test.each(goldenCases())("$name: the plan is sound", ({ plan }) => {
  expect(parsePlan(plan).faults).toEqual([]);
});
