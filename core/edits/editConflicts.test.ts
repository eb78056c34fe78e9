import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { everyEditFrom } from "../../tests/everyEdit.ts";
import { rateKey, rateSubject } from "../plan/rateSubject.ts";
import type { Change } from "./change.ts";
import { applyEdit, type Edit, type EditOf } from "./edit.ts";
import { findEditConflicts } from "./editConflicts.ts";

const plan = fernhollow();
const changesOf = (edit: Edit, on = plan): { changes: Change[]; plan: typeof plan } => {
  const outcome = applyEdit(on, edit);
  if (!outcome.plan) throw new Error(outcome.faults[0].message);
  return outcome;
};
const rename = (name: string): Edit => ({ kind: "changeTask", id: "tidepool-cases", set: { name } });

test("what others did elsewhere, or to the same end, meets nothing", () => {
  const theirs = changesOf(rename("Theirs"));
  expect(findEditConflicts([], changesOf(rename("Mine")).changes)).toEqual([]);
  expect(
    findEditConflicts(theirs.changes, changesOf({ kind: "changeTask", id: "tidepool-order", set: { name: "Mine" } }, theirs.plan).changes),
  ).toEqual([]);
  expect(
    findEditConflicts(theirs.changes, changesOf({ kind: "changeTask", id: "tidepool-cases", set: { priority: 1 } }, theirs.plan).changes),
  ).toEqual([]);
});

test("several changes of one cell count from what was there before all of them", () => {
  const first = changesOf(rename("One"));
  const second = changesOf(rename("Two"), first.plan);
  const own = changesOf(rename("Mine"), second.plan);
  expect(findEditConflicts([...first.changes, ...second.changes], own.changes)[0].cells).toEqual([
    { field: "name", saw: "Cases and plinths", yours: "Mine", now: "Two" },
  ]);
});

test("taking a row away meets what others have changed in it", () => {
  const theirs = changesOf(rename("Theirs"));
  const own = changesOf({ kind: "deleteTask", id: "tidepool-cases" }, theirs.plan);
  expect(findEditConflicts(theirs.changes, own.changes)).toEqual([
    {
      list: "tasks",
      id: "tidepool-cases",
      name: "Theirs",
      cells: [{ field: "name", saw: "Cases and plinths", yours: null, now: "Theirs" }],
    },
  ]);
});

test("an edit never meets itself, and meets every other one in cells that both change alone (seeds 1 to 8)", () => {
  for (let seed = 1; seed <= 8; seed++) {
    const next = everyEditFrom(seed);
    let current = plan;
    for (let step = 0; step < 40; step++) {
      const theirs = applyEdit(current, next(current));
      if (!theirs.plan) continue;
      const own = applyEdit(theirs.plan, next(theirs.plan));
      if (!own.plan) continue;
      expect(findEditConflicts([], own.changes), `seed ${seed}`).toEqual([]);
      const theirRows = new Set(theirs.changes.map(({ list, id }) => `${list} ${id}`));
      for (const { list, id, cells } of findEditConflicts(theirs.changes, own.changes)) {
        expect(theirRows.has(`${list} ${id}`), `seed ${seed}`).toBe(true);
        for (const { saw, now, yours } of cells) {
          expect(now, `seed ${seed}`).not.toEqual(saw);
          expect(yours, `seed ${seed}`).not.toEqual(now);
        }
      }
      current = theirs.plan;
    }
  }
});

test("rates are changed cell by cell: the others of the entry, and the other entries, stay", () => {
  const [table] = plan.rateTables;
  const known = table.entries[0];
  const of = { personId: known.personId, roleId: known.roleId, materialId: known.materialId, from: known.from };
  const entriesAfter = (edit: Partial<EditOf<"changeRates">>) =>
    changesOf({ kind: "changeRates", tableId: table.id, ...edit }).plan.rateTables[0].entries;
  const changed = entriesAfter({ cells: [{ of, set: { rate: 99, overtimeRate: null } }] });
  const { overtimeRate: _, ...others } = known;
  expect(changed).toEqual([{ ...others, rate: 99 }, ...table.entries.slice(1)]);
  expect(entriesAfter({ cells: [{ of, set: null }] })).toEqual(table.entries.slice(1));
  expect(entriesAfter({ added: [{ rate: 7, from: "2031-01-01" }] })).toEqual([...table.entries, { rate: 7, from: "2031-01-01" }]);
  const gone = applyEdit(plan, {
    kind: "changeRates",
    tableId: table.id,
    cells: [{ of: { ...of, from: "1999-01-01" }, set: { rate: 1 } }],
  });
  expect(gone.faults[0]?.message).toMatch(/^This rate is no longer in the plan/);
  expect(rateSubject({})).toBe("default");
  expect(rateKey({ roleId: "fab", from: "2027-01-01" })).toBe("role fab 2027-01-01");
});
