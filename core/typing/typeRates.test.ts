// Rates typed, cleared and raised, as edits of the demo plan.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { applyEdit } from "../edits/edit.ts";
import { rateSubject } from "../plan/rateSubject.ts";
import type { RateEntry } from "../plan/schema.ts";
import { inForce, type RateHistory, raisedRates, typedRates } from "./typeRates.ts";

const plan = fernhollow();
const [studio] = plan.rateTables;
const rowOf = (id: string): RateHistory => {
  const own = studio.entries.filter((entry) => rateSubject(entry) === id);
  const [kind, name] = id.split(" ");
  return { id, of: { [`${kind}Id`]: name }, entries: new Map(own.map((entry) => [entry.from ?? "", entry])) };
};
const rows = [...new Set(studio.entries.map(rateSubject))].map(rowOf);
const after = (edit: ReturnType<typeof typedRates>, of: Partial<RateEntry>) =>
  (edit &&
    applyEdit(plan, edit).plan?.rateTables[0].entries.filter((own) =>
      Object.entries(of).every(([key, value]) => own[key as keyof RateEntry] === value),
    )) ??
  [];

test("what is in force on a day is the last that has begun", () => {
  const designer = rowOf("role designer");
  expect(["", "2026-12-31", "2027-01-01", "2027-03-31", "2028-01-01"].map((date) => inForce(designer, date)?.rate)).toEqual([
    41, 41, 42.23, 42.23, 43.07,
  ]);
  expect(inForce(rowOf("person amadou"), "2026-12-31")).toBeNull();
});

test("a rate typed from a new day takes overtime and the charge per use along; cleared, it is gone", () => {
  const typed = typedRates(studio.id, [{ row: rowOf("role designer"), date: "2027-07-01", figure: "rate", amount: 44 }]);
  expect(after(typed, { roleId: "designer", from: "2027-07-01" })).toEqual([
    { roleId: "designer", from: "2027-07-01", rate: 44, overtimeRate: Math.round(64.61 * (44 / 43.07) * 100) / 100 },
  ]);
  const silvi = typedRates(studio.id, [{ row: rowOf("person silvi"), date: "2027-04-01", figure: "overtimeRate", amount: 70 }]);
  expect(after(silvi, { personId: "silvi", from: "2027-04-01" })).toEqual([
    { personId: "silvi", from: "2027-04-01", rate: 44, overtimeRate: 70, perUse: 25 },
  ]);
  const cleared = typedRates(studio.id, [{ row: rowOf("person mara"), date: "2027-04-01", figure: "rate", amount: null }]);
  expect(after(cleared, { personId: "mara" })).toEqual([{ personId: "mara", rate: 42, overtimeRate: 63 }]);
  expect(typedRates(studio.id, [{ row: rowOf("person mara"), date: "", figure: "rate", amount: 42 }])).toBeNull();
  expect(typedRates(studio.id, [{ row: rowOf("person amadou"), date: "", figure: "perUse", amount: 3 }])).toBeNull();
});

test("a raise from a day on raises what holds then and all that begins later, rounded, and leaves what was before", () => {
  const raise = raisedRates(studio.id, rows, { from: "2027-03-01", percent: 5, round: 0.5, kinds: ["role"] });
  expect(after(raise, { roleId: "designer" }).map(({ from, rate, overtimeRate }) => [from, rate, overtimeRate])).toEqual([
    [undefined, 41, 61.5],
    ["2027-01-01", 42.23, 63.35],
    ["2027-04-01", 45, 67.51],
    ["2027-03-01", 44.5, 66.76],
  ]);
  expect(after(raise, { personId: "mara" })).toHaveLength(2);
  expect(raisedRates(studio.id, rows, { from: "2027-03-01", percent: 5, round: 1, kinds: ["default"] })).toBeNull();
});
