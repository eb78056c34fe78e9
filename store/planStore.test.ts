// The plan in its folder: after any edit, memory and database hold the same.

import { expect, test } from "vitest";
import type { Edit } from "../core/edits/edit.ts";
import { applyEdit } from "../core/edits/edit.ts";
import { parsePlanValue } from "../core/plan/parse.ts";
import { fernhollow } from "../demo/fernhollow.ts";
import { largePlan } from "../demo/large.ts";
import { everyEditFrom } from "../tests/everyEdit.ts";
import { hostileEditsFrom } from "../tests/hostileEdits.ts";
import { editsFrom } from "../tests/randomEdits.ts";
import { NOW, storeFixture } from "../tests/storeFixture.ts";

const fixture = storeFixture();

test("a plan comes back from the folder as it went in", async () => {
  expect(fixture.store.snapshot().plan).toEqual(fernhollow());
  expect(parsePlanValue(fixture.store.snapshot().plan).faults).toEqual([]);
});

test("after any edit, the folder holds the same plan as memory", async () => {
  await fixture.store.replace(largePlan({ people: 8, projects: 3, tasks: 30, assignments: 60, links: 30 }, 4), "test", NOW);
  const next = editsFrom(21);
  let made = 0;
  for (let step = 0; step < 60; step++) {
    const { plan } = fixture.store.snapshot();
    const answer = await fixture.settle({ kind: "edit", edit: next(plan) });
    if (answer.faults.length === 0) made++;
    if (step % 7 === 3) expect((await fixture.settle({ kind: "undo" })).faults).toEqual([]);
  }
  expect(made).toBeGreaterThan(25);
  const { plan, revision } = fixture.store.snapshot();
  await fixture.reopen();
  expect(fixture.store.snapshot().plan).toEqual(plan);
  expect(fixture.store.snapshot().revision).toBe(revision);
});

test("and so it does for edits of every kind, undone and made again", async () => {
  const next = everyEditFrom(5);
  let made = 0;
  for (let step = 0; step < 90; step++) {
    const answer = await fixture.settle({ kind: "edit", edit: next(fixture.store.snapshot().plan) });
    if (answer.faults.length === 0) made++;
    if (step % 9 === 4) {
      expect((await fixture.settle({ kind: "undo" })).faults).toEqual([]);
      if (step % 2 === 0) expect((await fixture.settle({ kind: "redo" })).faults).toEqual([]);
    }
  }
  expect(made).toBeGreaterThan(50);
  const { plan, revision } = fixture.store.snapshot();
  expect(parsePlanValue(plan).faults).toEqual([]);
  await fixture.reopen();
  expect(fixture.store.snapshot()).toMatchObject({ plan, revision });
});

test("a plan opened in place of one like it is the plan, whichever of its lists differ", async () => {
  const first = fixture.store.snapshot().plan;
  const next = everyEditFrom(9);
  for (let step = 0; step < 25; step++) await fixture.settle({ kind: "edit", edit: next(fixture.store.snapshot().plan) });
  const edited = fixture.store.snapshot().plan;
  expect(edited).not.toEqual(first);
  for (const plan of [first, edited, { ...first, people: edited.people, skills: edited.skills, calendars: edited.calendars }]) {
    await fixture.store.replace(plan, "manager", NOW);
    await fixture.reopen();
    expect(fixture.store.said).toEqual([]);
    expect(fixture.store.snapshot().plan).toEqual(plan);
  }
});

test("and so it does for edits that a person made up: ids of other rows, rows twice, keys that are not theirs (seeds 1 to 3)", async () => {
  let made = 0;
  for (let seed = 1; seed <= 3; seed++) {
    const next = hostileEditsFrom(seed);
    for (let step = 0; step < 90; step++) {
      const edit = next(fixture.store.snapshot().plan);
      const answer = await fixture.settle({ kind: "edit", edit }).catch((error: unknown) => {
        throw new Error(`seed ${seed}, step ${step}: ${JSON.stringify(edit).slice(0, 600)}`, { cause: error });
      });
      if (answer.faults.length === 0) made++;
    }
    const { plan } = fixture.store.snapshot();
    expect(parsePlanValue(plan).faults, `seed ${seed}`).toEqual([]);
    await fixture.reopen();
    expect(fixture.store.said).toEqual([]);
    expect(fixture.store.snapshot().plan).toEqual(plan);
  }
  expect(made).toBeGreaterThan(40);
});

test("many rows put in one place keep their order", async () => {
  const task = (at: number): Edit => ({
    kind: "addTask",
    task: { id: `t${at}`, projectId: "tidepool", name: `T${at}` },
    next: "tidepool-cases",
  });
  for (let at = 0; at < 70; at++) await fixture.settle({ kind: "edit", edit: task(at) });
  const order = fixture.store.snapshot().plan.tasks.map(({ id }) => id);
  await fixture.reopen();
  expect(fixture.store.snapshot().plan.tasks.map(({ id }) => id)).toEqual(order);
});

test("what applyEdit says and what the store keeps are the same plan", async () => {
  const edit: Edit = {
    kind: "changePerson",
    id: "tomas",
    set: { patterns: [{ from: "2027-02-01", to: "2027-04-30", week: [8, 7.5, 0, 0, 0, 0, 0] }], skills: null, employedTo: "2027-12-31" },
  };
  const outcome = applyEdit(fixture.store.snapshot().plan, edit);
  await fixture.settle({ kind: "edit", edit });
  await fixture.reopen();
  expect(fixture.store.snapshot().plan).toEqual(outcome.plan);
});

test("thousands of rows of a file are one revision, and one undo takes them back", async () => {
  const before = fixture.store.snapshot().plan;
  const rows = Array.from({ length: 2_100 }, (_, at) => ({
    list: "people" as const,
    row: { id: `x${at}`, name: `Person ${at}`, roleIds: ["fabricator"], calendarId: "porto", skills: [{ skillId: "cnc", level: 3 }] },
  }));
  const revision = fixture.store.snapshot().revision;
  await fixture.settle({ kind: "edit", edit: { kind: "importRows", source: "people.csv", rows } });
  expect(fixture.store.snapshot().revision).toBe(revision + 1);
  await fixture.reopen();
  expect(fixture.store.snapshot().plan.people).toHaveLength(before.people.length + 2_100);
  expect(fixture.store.snapshot().plan.people.at(-1)).toEqual(rows.at(-1)?.row);
  await fixture.settle({ kind: "undo" });
  await fixture.reopen();
  expect(fixture.store.snapshot().plan).toEqual(before);
  await fixture.settle({ kind: "redo" });
  await fixture.store.replace(before, "manager", NOW);
  await fixture.reopen();
  expect(fixture.store.snapshot().plan).toEqual(before);
});
