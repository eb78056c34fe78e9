// Every key of the plan's schema has a column and comes through no matter what happens to a plan.
import { expect, test } from "vitest";
import { applyChanges } from "../core/edits/change.ts";
import type { Edit } from "../core/edits/edit.ts";
import { parsePlan } from "../core/plan/parse.ts";
import { planText } from "../core/plan/planText.ts";
import type { Plan } from "../core/plan/schema.ts";
import { randomFrom } from "../demo/random.ts";
import { statedRows, unstatedKeys } from "../tests/everyKey.ts";
import { missingColumns } from "../tests/missingColumns.ts";
import { storeFixture } from "../tests/storeFixture.ts";

const fixture = storeFixture();

test("the database has the column of every key, with its type", async () => {
  await fixture.store.close();
  const missing = await missingColumns(fixture.folder);
  fixture.store = await fixture.open();
  expect(missing).toEqual([]);
});

test("some row of the test plan states every key of the schema", () => {
  expect(unstatedKeys(fixture.store.snapshot().plan)).toEqual([]);
});

/** The plan after everything that was answered since, as a browser that follows along arrives at it. */
async function settleAndFollow(plan: Plan, edit: Edit | "undo" | "redo"): Promise<Plan> {
  const answer = await fixture.settle(typeof edit === "string" ? { kind: edit } : { kind: "edit", edit });
  expect(answer.faults).toEqual([]);
  return (answer.entries ?? []).reduce((followed, { changes }) => applyChanges(followed, changes), plan);
}

test.each([1, 2, 3])(
  "every key comes through an edit, the live stream, undo, redo, a restart, the trail and a file (seed %i)",
  async (seed) => {
    const first = fixture.store.snapshot().plan;
    let followed = first;
    for (const edit of inRandomOrder(statedRows(first), seed)) {
      followed = await settleAndFollow(followed, edit);
      expect(fixture.store.snapshot().plan).toEqual(followed);
      const undone = await settleAndFollow(followed, "undo");
      followed = await settleAndFollow(undone, "redo");
      expect(fixture.store.snapshot().plan).toEqual(followed);
    }
    const { plan, revision } = fixture.store.snapshot();
    await fixture.reopen();
    expect(fixture.store.snapshot().plan).toEqual(plan);
    expect(await fixture.store.planAt(revision)).toEqual(plan);
    expect(await fixture.store.planAt(1)).toEqual(first);
    expect(parsePlan(planText(plan)).plan).toEqual(plan);
    await fixture.store.replace(first, "manager", "2027-02-02T09:00:00.000Z");
    await fixture.store.replace(plan, "manager", "2027-02-02T10:00:00.000Z");
    await fixture.reopen();
    expect(fixture.store.snapshot().plan).toEqual(plan);
  },
);

function inRandomOrder(edits: readonly Edit[], seed: number): Edit[] {
  const random = randomFrom(seed);
  return edits
    .map((edit) => ({ edit, at: random.below(1_000_000) }))
    .sort((a, b) => a.at - b.at)
    .map(({ edit }) => edit);
}
