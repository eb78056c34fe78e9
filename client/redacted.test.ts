// Money that may not be seen: no answer reports anything of it, and what may be seen stays.
import { expect, test } from "vitest";
import { parseDay } from "../core/calendar/day.ts";
import { buildModel } from "../core/model.ts";
import { FULL_ACCESS, isHidden } from "../core/plan/moneySides.ts";
import type { Plan } from "../core/plan/schema.ts";
import { tableKinds } from "../core/tables/preview.ts";
import { fernhollow } from "../demo/fernhollow.ts";
import { idsOf, queriesFor } from "../tests/everyQuestion.ts";
import type { Question } from "./questions.ts";
import { answer, search, tableRows } from "./redacted.ts";

const SEES_NOTHING = { cost: false, bill: false, margin: false };

/** The keys of the plan that hold money. */
const amounts = new Set(["rate", "overtimeRate", "perUse", "fee", "budget", "amount", "fixedCost", "value"]);

/** Answers that are edits: they carry what they will write. */
const edits = new Set<Question>(["projectFrom", "acceptEnquiry", "approveEnquiry"]);

/** The same plan with every amount of money times something; exchange rates are none. */
function dearer(value: unknown, times: number, under = ""): unknown {
  if (Array.isArray(value)) return under === "exchangeRates" ? value : value.map((member) => dearer(member, times, under));
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, member]) => {
      const isMoney = typeof member === "number" && (amounts.has(key) || under === "budgetByKind");
      return [key, isMoney ? member * times : dearer(member, times, key)];
    }),
  );
}

const plan = fernhollow();
const model = buildModel(plan);
const questions = Object.entries(queriesFor(idsOf(plan))) as [Question, never[]][];

test("a user who may see no money gets the same answers, regardless of the amounts in the plan", () => {
  const other = buildModel(dearer(plan, 3) as Plan);
  let hidden = 0;
  for (const [question, queries] of questions.filter(([own]) => !edits.has(own)))
    for (const query of queries) {
      const reported = answer(model, question, query, SEES_NOTHING);
      expect(answer(other, question, query, SEES_NOTHING), question).toEqual(reported);
      if (JSON.stringify(reported) !== JSON.stringify(answer(model, question, query, FULL_ACCESS))) hidden++;
    }
  expect(hidden).toBeGreaterThan(20);
});

test("nor does a margin say what work costs to the person who sees the bills alone", () => {
  const costs = plan.rateTables.map((table) => (table.kind === "cost" ? (dearer(table, 1.002) as typeof table) : table));
  const other = buildModel({ ...plan, rateTables: costs });
  expect(answer(other, "margins", { pipeline: "full" }, FULL_ACCESS)).not.toEqual(
    answer(model, "margins", { pipeline: "full" }, FULL_ACCESS),
  );
  const access = { cost: false, bill: true, margin: false };
  for (const [question, queries] of questions.filter(([own]) => !edits.has(own)))
    for (const query of queries) expect(answer(other, question, query, access), question).toEqual(answer(model, question, query, access));
  const { projects } = answer(model, "margins", { pipeline: "full" }, access);
  expect(projects.map(({ revenue }) => revenue)).toEqual(
    answer(model, "margins", { pipeline: "full" }, FULL_ACCESS).projects.map(({ revenue }) => revenue),
  );
  expect(projects.every(({ cost }) => isHidden(cost))).toBe(true);
});

test("remedies say what they do, without the cost", () => {
  const range = { start: parseDay("2027-02-15"), stop: parseDay("2027-02-22") };
  const problem = { about: "overload" as const, personId: "mara", range };
  const newsFor = (access: typeof FULL_ACCESS) => {
    const begun = search(model, "remedies", { problem, today: parseDay("2027-02-01"), idStem: "new" }, access);
    while (begun.steps.next().done !== true);
    return begun.news().lines.map(({ effect }) => effect);
  };
  const [all, some] = [newsFor(FULL_ACCESS), newsFor(SEES_NOTHING)];
  expect(some.map(({ peakOver }) => peakOver)).toEqual(all.map(({ peakOver }) => peakOver));
  expect(all.some(({ cost }) => cost !== 0)).toBe(true);
  expect(some.every(({ cost, revenue }) => isHidden(cost) && isHidden(revenue))).toBe(true);
});

test("tables are exported without amounts that may not be seen, and with everything else", () => {
  const other = dearer(plan, 3) as Plan;
  for (const table of Object.values(tableKinds)) {
    const rows = tableRows(plan, table, SEES_NOTHING);
    expect(tableRows(other, table, SEES_NOTHING), table.title).toEqual(rows);
    expect(rows.length).toBe(table.rows(plan).length);
    expect(rows.flat().join(" ")).not.toMatch(/NaN|\[object/);
  }
});
