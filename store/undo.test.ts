// Everyone undoes their own steps, never over what others have made since.

import { expect, test } from "vitest";
import type { Edit } from "../core/edits/edit.ts";
import { NOW, storeFixture } from "../tests/storeFixture.ts";
import type { Request } from "./planStore.ts";

const fixture = storeFixture();
const NORA = "the-browser-of-nora";
const LEE = "the-browser-of-lee";

const rename = (id: string, name: string): Edit => ({ kind: "changeTask", id, set: { name } });
const as = (maker: string, request: Request) => fixture.settle(request, undefined, maker);
const edit = (maker: string, own: Edit) => as(maker, { kind: "edit", edit: own });
const nameOf = (id: string) => fixture.store.snapshot().plan.tasks.find((task) => task.id === id)?.name;

test("undo reverts the user's own last step, even if others have worked since; never another user's", async () => {
  await edit(NORA, rename("tidepool-cases", "Nora's"));
  await edit(LEE, rename("tidepool-order", "Lee's"));
  expect(fixture.store.snapshot(NORA).history.undo?.revision).toBe(2);
  await as(NORA, { kind: "undo" });
  expect([nameOf("tidepool-cases"), nameOf("tidepool-order")]).toEqual(["Cases and plinths", "Lee's"]);
  expect((await as(NORA, { kind: "undo" })).faults[0].message).toBe("There is nothing to undo.");
  expect((await as(NORA, { kind: "undo", of: 3 })).faults[0].message).toMatch(/not yours/);
  await fixture.reopen();
  await as(NORA, { kind: "redo" });
  await as(LEE, { kind: "undo" });
  expect([nameOf("tidepool-cases"), nameOf("tidepool-order")]).toEqual(["Nora's", "Order materials"]);
});

test("cells of one row that others have changed stay theirs; the cell that is one's own goes back", async () => {
  await edit(NORA, { kind: "changeTask", id: "tidepool-cases", set: { name: "Nora's", priority: 1 } });
  await edit(LEE, { kind: "changeTask", id: "tidepool-cases", set: { atRisk: true } });
  expect((await as(NORA, { kind: "undo" })).faults).toEqual([]);
  const task = fixture.store.snapshot().plan.tasks.find(({ id }) => id === "tidepool-cases");
  expect(task).toMatchObject({ name: "Cases and plinths", atRisk: true });
});

test("where the same cell was changed since it says so, and the other rows can still be undone", async () => {
  const together: Edit = {
    kind: "together",
    words: "rename two tasks",
    edits: [
      { kind: "changeTask", id: "tidepool-cases", set: { name: "Nora's cases" } },
      { kind: "changeTask", id: "tidepool-order", set: { name: "Nora's order" } },
    ],
  };
  await edit(NORA, together);
  await edit(LEE, rename("tidepool-cases", "Lee's cases"));
  const before = fixture.store.snapshot().plan;
  const refused = await as(NORA, { kind: "undo" });
  expect(refused.faults[0].message).toBe("Someone else has changed the same fields since, so “rename two tasks” was not undone.");
  expect(refused.editConflicts).toEqual([
    {
      list: "tasks",
      id: "tidepool-cases",
      name: "Lee's cases",
      cells: [{ field: "name", saw: "Nora's cases", yours: "Cases and plinths", now: "Lee's cases" }],
    },
  ]);
  expect(refused.undoableRows).toBe(1);
  expect(fixture.store.snapshot().plan).toEqual(before);
  expect((await as(NORA, { kind: "undo", of: 2, partly: true })).faults).toEqual([]);
  expect([nameOf("tidepool-cases"), nameOf("tidepool-order")]).toEqual(["Lee's cases", "Order materials"]);
  // A redo makes again the part that was undone.
  await as(NORA, { kind: "redo" });
  expect([nameOf("tidepool-cases"), nameOf("tidepool-order")]).toEqual(["Lee's cases", "Nora's order"]);
});

test("a step is named by the key of its edit too, no matter what was made after it", async () => {
  await as(NORA, { kind: "edit", key: "key-of-the-first", edit: rename("tidepool-cases", "First") });
  await edit(NORA, rename("tidepool-order", "Second"));
  expect((await as(LEE, { kind: "undo", ofKey: "key-of-the-first" })).faults[0].message).toMatch(/not yours/);
  await as(NORA, { kind: "undo", ofKey: "key-of-the-first" });
  expect([nameOf("tidepool-cases"), nameOf("tidepool-order")]).toEqual(["Cases and plinths", "Second"]);
  expect((await as(NORA, { kind: "undo", ofKey: "no-such-key" })).faults[0].message).toMatch(/not yours/);
});

test("a step that is asked for again under its key is undone once", async () => {
  await edit(NORA, rename("tidepool-cases", "First"));
  await edit(NORA, rename("tidepool-cases", "Second"));
  const request: Request = { kind: "undo", of: 3, key: "undo-the-second" };
  await as(NORA, request);
  expect((await as(NORA, request)).faults).toEqual([]);
  expect(nameOf("tidepool-cases")).toBe("First");
});

test("all steps of the trail can be reached, however many there are", async () => {
  const count = 120;
  await fixture.reopen({ keptEntries: 20, flush: async () => {} });
  for (let at = 0; at < count; at++) await edit(NORA, rename("tidepool-cases", `Name ${at}`));
  await fixture.reopen({ keptEntries: 20, flush: async () => {} });
  for (let at = count; at > 0; at--) {
    expect(fixture.store.snapshot(NORA).history.undo?.revision).toBe(at + 1);
    await fixture.store.settle({ kind: "undo" }, { actor: "manager", id: NORA }, fixture.store.snapshot().revision, NOW);
  }
  expect(nameOf("tidepool-cases")).toBe("Cases and plinths");
  expect(fixture.store.snapshot(NORA).history.undo).toBeNull();
});
