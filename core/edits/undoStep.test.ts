import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { largePlan } from "../../demo/large.ts";
import { everyEditFrom } from "../../tests/everyEdit.ts";
import { editsFrom } from "../../tests/randomEdits.ts";
import { rowsOf } from "../plan/rows.ts";
import { isSame } from "../values/same.ts";
import { applyChanges, invert } from "./change.ts";
import { applyEdit, type Edit, type EditTogether, faultsAfter } from "./edit.ts";
import { undoStep } from "./undoStep.ts";

const plan = fernhollow();
const made = (on: typeof plan, edit: Edit) => {
  const outcome = applyEdit(on, edit);
  if (!outcome.plan) throw new Error(outcome.faults[0].message);
  return outcome;
};

test("where nobody has worked since, undoing is the changes reversed (seeds 1 to 6)", () => {
  for (let seed = 1; seed <= 6; seed++) {
    const next = everyEditFrom(seed);
    let now = plan;
    for (let step = 0; step < 40; step++) {
      const outcome = applyEdit(now, next(now));
      if (!outcome.plan) continue;
      const { changes, editConflicts } = undoStep(outcome.plan, outcome.changes);
      expect(editConflicts, `seed ${seed}, step ${step}`).toEqual([]);
      expect(applyChanges(outcome.plan, changes), `seed ${seed}, step ${step}`).toEqual(
        applyChanges(outcome.plan, invert(outcome.changes)),
      );
      now = outcome.plan;
    }
  }
});

test("nothing that others have done since of theirs is overwritten: it goes back, or it is named (seeds 1 to 8)", () => {
  let metCount = 0;
  let backCount = 0;
  for (let seed = 1; seed <= 8; seed++) {
    const next = editsFrom(seed * 17);
    const now = largePlan({ people: 4, projects: 2, tasks: 6, assignments: 8, links: 4 }, seed);
    for (let round = 0; round < 90; round++) {
      const mine = applyEdit(now, next(now));
      if (!mine.plan) continue;
      const theirs = applyEdit(mine.plan, next(mine.plan));
      if (!theirs.plan) continue;
      const { changes, editConflicts } = undoStep(theirs.plan, mine.changes);
      const after = applyChanges(theirs.plan, changes);
      if (editConflicts.length > 0) metCount++;
      else if (changes.length > 0 && faultsAfter(after, changes).length === 0) backCount++;
      const mineRows = new Set(mine.changes.map(({ list, id }) => `${list} ${id}`));
      for (const change of theirs.changes) {
        if (mineRows.has(`${change.list} ${change.id}`)) continue;
        const row = (rowsOf(after, change.list) as readonly { id: string }[]).find(({ id }) => id === change.id);
        expect(isSame(row ?? null, theirs.changes.findLast(({ list, id }) => list === change.list && id === change.id)?.after)).toBe(true);
      }
    }
  }
  expect(metCount).toBeGreaterThan(5);
  expect(backCount).toBeGreaterThan(60);
});

test("of a rate table the figures that still are go back, and what others have entered stays", () => {
  const [table] = plan.rateTables;
  const [first, second] = table.entries.filter(({ roleId }) => roleId !== undefined);
  const cell = (entry: typeof first, set: object): Edit => ({
    kind: "changeRates",
    tableId: table.id,
    cells: [{ of: { roleId: entry.roleId, from: entry.from }, set }],
  });
  const together: Edit = {
    kind: "together",
    words: "raise two rates",
    edits: [cell(first, { rate: 90 }), cell(second, { rate: 91 })] as EditTogether["edits"],
  };
  const mine = made(plan, together);
  const theirs = made(made(mine.plan, cell(second, { rate: 88 })).plan, cell(first, { overtimeRate: 99 }));
  const { changes, editConflicts } = undoStep(theirs.plan, mine.changes);
  expect(editConflicts[0].cells).toEqual([expect.objectContaining({ saw: 91, yours: second.rate, now: 88 })]);
  const entries = applyChanges(theirs.plan, changes).rateTables[0].entries;
  const of = ({ roleId, from }: typeof first) => entries.find((entry) => entry.roleId === roleId && entry.from === from);
  expect(of(first)).toMatchObject({ rate: first.rate, overtimeRate: 99 });
  expect(of(second)).toMatchObject({ rate: 88 });
});

test("a row that was added and that others have filled since is not deleted over their heads", () => {
  const mine = made(plan, { kind: "addTask", task: { id: "extra", projectId: "tidepool", name: "Extra" } } as Edit);
  const theirs = made(mine.plan, { kind: "changeTask", id: "extra", set: { notes: "Ask the museum first." } });
  const { changes, editConflicts } = undoStep(theirs.plan, mine.changes);
  expect(changes).toEqual([]);
  expect(editConflicts[0]).toMatchObject({ list: "tasks", id: "extra", cells: [{ field: "notes", now: "Ask the museum first." }] });
});
