import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { emptyPlan } from "../../store/emptyPlan.ts";
import { applyEdit } from "../edits/edit.ts";
import { buildModel } from "../model.ts";
import { frameOf } from "./frame.ts";
import { locksOf, savedViews, taskOf } from "./planRows.ts";

const plan = fernhollow();

test("the frame counts what is waiting in the demo plan, and its rows", () => {
  expect(frameOf({ plan })).toMatchObject({
    planName: "Fernhollow Exhibit Works",
    currency: "EUR",
    enquiries: 2,
    requests: 2,
    counts: { people: plan.people.length, tasks: plan.tasks.length, hasRates: true, hasHolidays: true, hasLeave: true },
  });
});

test("a request waits while it is asked or offered and its work is in the plan", () => {
  const waiting = (changed: object) => frameOf({ plan: { ...plan, requests: [{ ...plan.requests[0], ...changed }] } }).asked;
  expect(waiting({ state: "asked", assignmentId: "tidepool-leading-ilka" })).toBe(1);
  expect(waiting({ state: "offered", assignmentId: "tidepool-leading-ilka" })).toBe(1);
  expect(waiting({ state: "confirmed", assignmentId: "tidepool-leading-ilka" })).toBe(0);
  expect(waiting({ state: "asked", assignmentId: undefined })).toBe(0);
});

test("an empty plan has nothing waiting, and none of the first steps done", () => {
  const frame = frameOf({ plan: emptyPlan(new Date("2027-02-01T09:00:00.000Z")) });
  expect([frame.enquiries, frame.requests, frame.asked]).toEqual([0, 0, 0]);
  expect(Object.values(frame.counts).every((count) => count === 0 || count === false)).toBe(true);
});

test("rows come as they are in the plan, and a task that is gone is null", () => {
  const model = buildModel(plan);
  expect(taskOf(model, { taskId: "tidepool-cases" })?.name).toBe("Cases and plinths");
  expect(taskOf(model, { taskId: "gone" })).toBeNull();
  const saved = applyEdit(plan, { kind: "saveView", view: { id: "v", name: "Mine", screen: "balance", query: "rows=team" } });
  expect(saved.plan && savedViews({ plan: saved.plan }, { screen: "balance" }).map(({ name }) => name)).toEqual(["Mine"]);
  expect(saved.plan && savedViews({ plan: saved.plan }, { screen: "horizon" })).toEqual([]);
  const locked = applyEdit(plan, { kind: "changePerson", id: "mara", set: { locked: true } });
  expect(locked.plan && locksOf({ plan: locked.plan }).people).toEqual([{ id: "mara", name: "Mara Ellingsen" }]);
});
