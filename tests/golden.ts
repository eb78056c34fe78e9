// Reads the golden cases and says whether an answer contains what a case expects.
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";

const folder = join(import.meta.dirname, "golden");

export interface GoldenCase {
  name: string;
  plan: string;
  command: string[];
  expect: unknown;
}

/** All golden cases, in order of their numbers. */
export function goldenCases(): GoldenCase[] {
  return readdirSync(folder)
    .sort()
    .map((name) => {
      const { command, expect } = JSON.parse(readFileSync(join(folder, name, "expected.json"), "utf8"));
      return { name, plan: readFileSync(join(folder, name, "plan.json"), "utf8"), command: command.split(" "), expect };
    });
}

const idKeys = ["id", "personId", "assignmentId", "taskId", "projectId", "expenseId", "actualCostId", "linkId"];

/** Every difference between an answer and what is expected of it, as `place: found, expected`. */
export function differences(found: unknown, expected: unknown, place = ""): string[] {
  if (Array.isArray(expected)) {
    if (!Array.isArray(found)) return [`${place}: ${show(found)}, expected a list`];
    if (expected.length === 0) return found.length === 0 ? [] : [`${place}: ${show(found)}, expected an empty list`];
    return typeof expected[0] === "object" ? differentRows(found, expected, place) : differentValue(found, expected, place);
  }
  if (typeof expected === "object" && expected !== null) {
    const object = (found ?? {}) as Record<string, unknown>;
    return Object.entries(expected).flatMap(([key, value]) => differences(object[key], value, `${place}.${key}`));
  }
  return differentValue(found, expected, place);
}

function differentRows(found: unknown[], expected: object[], place: string): string[] {
  return expected.flatMap((row, at) => {
    const keys = idKeys.filter((key) => key in row);
    if (keys.length === 0) return differences(found[at], row, `${place}[${at}]`);
    const matches = (other: unknown) =>
      [...idKeys, "kind"].every((key) => (key === "kind" && keys.includes("id")) || sameId(other, row, key));
    const match = found.find(matches);
    return match === undefined ? [`${place}: nothing like ${show(row)}`] : differences(match, row, `${place}[${at}]`);
  });
}

function sameId(a: unknown, b: object, key: string): boolean {
  return (a as Record<string, unknown>)[key] === (b as Record<string, unknown>)[key];
}

function differentValue(found: unknown, expected: unknown, place: string): string[] {
  return show(found) === show(expected) ? [] : [`${place}: ${show(found)}, expected ${show(expected)}`];
}

function show(value: unknown): string {
  return JSON.stringify(value) ?? "nothing";
}
