// The trail: what was done, undone and made again, and what others did meanwhile.

import { readFileSync } from "node:fs";
import { expect, test } from "vitest";
import type { Edit } from "../core/edits/edit.ts";
import { give, NOW, storeFixture } from "../tests/storeFixture.ts";
import type { Request } from "./planStore.ts";

const fixture = storeFixture();

test("an edit is undone and redone after the folder was opened again, and says what it undoes", async () => {
  await fixture.settle(give("rockpools-mara", "rui"));
  await fixture.reopen();
  expect(fixture.store.snapshot().history).toEqual({
    undo: { revision: 2, words: 'reassign "Rock pool trial casts" to Rui Monteverde' },
    redo: null,
  });
  await fixture.settle({ kind: "undo" });
  expect(fixture.holder("rockpools-mara")).toBe("mara");
  await fixture.reopen();
  await fixture.settle({ kind: "redo" });
  expect(fixture.holder("rockpools-mara")).toBe("rui");
  expect((await fixture.settle({ kind: "redo" })).faults[0].message).toBe("There is nothing to redo.");
});

test("a deleted task comes back in its place, with its work and links, in memory and in the folder", async () => {
  const before = fixture.store.snapshot().plan;
  await fixture.settle({ kind: "edit", edit: { kind: "deleteTask", id: "tidepool-design" } });
  expect(fixture.store.snapshot().plan.tasks.length).toBeLessThan(before.tasks.length);
  await fixture.settle({ kind: "undo" });
  await fixture.reopen();
  expect(fixture.store.snapshot().plan).toEqual(before);
});

test("an edit of a row that a person changed meanwhile is refused and overwrites nothing; others go through", async () => {
  const base = fixture.store.snapshot().revision;
  await fixture.settle(give("rockpools-mara", "rui"), base);
  const refused = await fixture.settle(give("rockpools-mara", "kaspar"), base);
  expect(refused.faults[0].message).toMatch(/^Someone else has changed this assignment/);
  expect(fixture.holder("rockpools-mara")).toBe("rui");
  const passed = await fixture.settle(give("rockpools-jonas", "kaspar"), base);
  expect(passed.faults).toEqual([]);
  expect(passed.entries?.map(({ revision }) => revision)).toEqual([base + 1, base + 2]);
});

test("every edit is in the trail with its actor, its words and what it changed", async () => {
  await fixture.settle(give("rockpools-mara", "rui"));
  const answer = await fixture.settle({ kind: "undo" }, 1);
  expect(answer.entries?.map(({ kind, actor, of, words }) => ({ kind, actor, of, words }))).toEqual([
    { kind: "edit", actor: "manager", of: null, words: 'reassign "Rock pool trial casts" to Rui Monteverde' },
    { kind: "undo", actor: "manager", of: 2, words: 'reassign "Rock pool trial casts" to Rui Monteverde' },
  ]);
});

test("replacing the plan keeps the old one as a file, and who is behind has to read again", async () => {
  const old = fixture.store.snapshot().plan;
  const { backup, revision } = await fixture.store.replace({ ...old, settings: { ...old.settings, name: "Another" } }, "manager", NOW);
  expect(JSON.parse(readFileSync(backup as string, "utf8"))).toEqual(old);
  expect(fixture.store.snapshot().history).toEqual({ undo: null, redo: null });
  expect((await fixture.settle({ kind: "undo" }, revision - 1)).entries).toBeNull();
  await fixture.reopen();
  expect(fixture.store.snapshot().plan.settings.name).toBe("Another");
});

test("a task moved in the outline goes back to its place, with all that refers to it", async () => {
  const before = fixture.store.snapshot().plan;
  const move: Edit = { kind: "moveTask", id: "tidepool-scenic", parentId: "tidepool-install", next: "tidepool-transport" };
  expect((await fixture.settle({ kind: "edit", edit: move })).faults).toEqual([]);
  expect((await fixture.settle({ kind: "undo" })).faults).toEqual([]);
  expect(fixture.store.snapshot().plan).toEqual(before);
  await fixture.reopen();
  expect(fixture.store.snapshot().plan).toEqual(before);
});

test("an edit that comes again under its key is not made twice, also after the folder was opened again", async () => {
  const request: Request = {
    kind: "edit",
    key: "sent-once-and-again",
    edit: { kind: "changeTask", id: "tidepool-order", set: { durationDays: 7 } },
  };
  const before = fixture.store.snapshot().revision;
  expect((await fixture.settle(request)).revision).toBe(before + 1);
  const again = await fixture.settle(request, before);
  expect(again).toMatchObject({ revision: before + 1, faults: [] });
  expect(again.entries).toHaveLength(1);
  await fixture.reopen();
  expect((await fixture.settle(request)).revision).toBe(before + 1);
  await fixture.settle({ kind: "undo" });
  expect(fixture.store.snapshot().plan.tasks.find(({ id }) => id === "tidepool-order")?.durationDays).toBe(3);
});

const change = (id: string, set: { name?: string; priority?: number }): Edit => ({ kind: "changeTask", id, set });

test("two who change one task meet only where they change the same cell, and it says what each of them made of it", async () => {
  const base = fixture.store.snapshot().revision;
  await fixture.settle({ kind: "edit", edit: change("tidepool-cases", { name: "Theirs", priority: 1 }) }, base);
  expect(
    (await fixture.settle({ kind: "edit", edit: { kind: "changeTask", id: "tidepool-cases", set: { atRisk: true } } }, base)).faults,
  ).toEqual([]);
  expect((await fixture.settle({ kind: "edit", edit: change("tidepool-cases", { priority: 1 }) }, base)).faults).toEqual([]);
  const refused = await fixture.settle({ kind: "edit", edit: change("tidepool-cases", { name: "Mine" }) }, base);
  expect(refused.faults).toHaveLength(1);
  expect(refused.editConflicts).toEqual([
    {
      list: "tasks",
      id: "tidepool-cases",
      name: "Theirs",
      cells: [{ field: "name", saw: "Cases and plinths", yours: "Mine", now: "Theirs" }],
    },
  ]);
});

test("a change counts from the revision it was made on, regardless of later revisions its sender has seen, except for the sender's own", async () => {
  const base = fixture.store.snapshot().revision;
  await fixture.settle({ kind: "edit", edit: change("tidepool-cases", { name: "First of mine" }), key: "first-of-mine" }, base);
  const second = { kind: "edit" as const, edit: change("tidepool-cases", { name: "Second of mine" }), madeOn: base };
  expect((await fixture.settle(second)).editConflicts?.[0].cells[0].now).toBe("First of mine");
  expect((await fixture.settle({ ...second, after: ["first-of-mine"] })).faults).toEqual([]);
});

test("what is no longer at hand is not forgotten: neither what others changed long ago, nor that an edit was made", async () => {
  const base = fixture.store.snapshot().revision;
  const early: Request = { kind: "edit", edit: { kind: "reassign", id: "rockpools-mara", personId: "rui" }, key: "made-long-ago" };
  await fixture.settle(early, base);
  await fixture.reopen({ keptEntries: 2 });
  for (const name of ["One", "Two", "Three", "Four"]) await fixture.settle({ kind: "edit", edit: change("tidepool-order", { name }) });
  const late = await fixture.settle(give("rockpools-mara", "kaspar"), base);
  expect(late.editConflicts?.[0].cells).toEqual([{ field: "personId", saw: "mara", yours: "kaspar", now: "rui" }]);
  expect(fixture.holder("rockpools-mara")).toBe("rui");
  const { revision } = fixture.store.snapshot();
  expect(await fixture.settle(early, base)).toMatchObject({ faults: [], revision });
});

test("a change made before another plan was opened, or on a state the server never had, is refused and says so", async () => {
  const base = fixture.store.snapshot().revision;
  const { plan } = fixture.store.snapshot();
  await fixture.store.replace({ ...plan, settings: { ...plan.settings, name: "Another" } }, "manager", NOW);
  const late: Request = { kind: "edit", edit: { kind: "reassign", id: "rockpools-mara", personId: "rui" }, madeOn: base };
  expect((await fixture.settle(late)).faults[0].message).toMatch(/^Another plan was opened before this change was saved/);
  const ahead = await fixture.settle({ ...late, madeOn: 9_999 });
  expect(ahead.faults[0].message).toMatch(/newer state than the server has/);
  expect(fixture.holder("rockpools-mara")).toBe("mara");
});

test("in one rate table two people meet only in the same figure of the same entry", async () => {
  const { plan, revision } = fixture.store.snapshot();
  const [table] = plan.rateTables;
  const [first, second] = table.entries.filter(({ roleId }) => roleId !== undefined);
  const cell = ({ roleId, from }: typeof first, set: { rate?: number; overtimeRate?: number }): Request => ({
    kind: "edit",
    edit: { kind: "changeRates", tableId: table.id, cells: [{ of: { roleId, from }, set }] },
  });
  await fixture.settle(cell(first, { rate: 88 }), revision);
  expect((await fixture.settle(cell(second, { rate: 55 }), revision)).faults).toEqual([]);
  expect((await fixture.settle(cell(first, { overtimeRate: 99 }), revision)).faults).toEqual([]);
  const refused = await fixture.settle(cell(first, { rate: 47.5 }), revision);
  expect(refused.editConflicts?.[0].cells).toEqual([expect.objectContaining({ saw: first.rate, yours: 47.5, now: 88 })]);
  const now = fixture.store.snapshot().plan.rateTables[0].entries;
  expect(now.find(({ roleId, from }) => roleId === first.roleId && from === first.from)).toMatchObject({ rate: 88, overtimeRate: 99 });
  expect(now.find(({ roleId, from }) => roleId === second.roleId && from === second.from)?.rate).toBe(55);
});
