// Requests from asking to their answer: the state, the work on the plan, the messages.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { buildModel, type Model } from "../model.ts";
import { outboxOf, projectHours, requestsOf } from "./requests.ts";

const model = buildModel(fernhollow());

function after(edit: Edit, from: Model): Model {
  const outcome = applyEdit(from.plan, edit);
  if (!outcome.plan) throw new Error(outcome.faults.map(({ message }) => message).join(" "));
  return buildModel(outcome.plan);
}

const at = (minute: number) => `2027-02-01T10:${String(minute).padStart(2, "0")}:00.000Z`;
const ask: Edit = {
  kind: "askWork",
  assignment: { id: "asked", taskId: "tidepool-scenic", roleId: "fabricator", hours: 24, firmness: "asked" },
  request: {
    id: "r1",
    taskId: "tidepool-scenic",
    assignmentId: "asked",
    roleId: "fabricator",
    hours: 24,
    state: "asked",
    note: "Two more hands.",
    history: [{ at: at(1), by: "Ilka Sandmere", to: "Nora Okafor", step: "asked", text: "Two more hands." }],
  },
};
const answer = (step: "offered" | "confirmed" | "declined", minute: number, more: { personId?: string; text?: string } = {}): Edit => {
  const { personId, text } = more;
  return {
    kind: "answerRequest",
    id: "r1",
    entry: { at: at(minute), by: "Nora Okafor", to: "Ilka Sandmere", step, ...(text && { text }) },
    ...(personId && { personId }),
  };
};
const tidepool = (from: Model) => projectHours(from).find(({ projectId }) => projectId === "tidepool");

test("hours asked for are kept apart from open and confirmed ones, and become the person's once confirmed", () => {
  const before = tidepool(model);
  const asked = after(ask, model);
  expect(tidepool(asked)).toEqual({ ...before, asked: (before?.asked ?? 0) + 24 * 60 });
  expect(requestsOf(asked).rows[0]).toMatchObject({ isWaiting: true, wanted: "Fabricator", taskName: "Scenic surfaces" });
  const offered = after(answer("offered", 2, { personId: "rui" }), asked);
  expect(requestsOf(offered).rows[0]).toMatchObject({ offered: "Rui Monteverde", request: { state: "offered" } });
  expect(tidepool(offered)).toEqual(tidepool(asked));
  const confirmed = after(answer("confirmed", 3), offered);
  expect(confirmed.plan.assignments.find(({ id }) => id === "asked")).toMatchObject({ personId: "rui", firmness: "confirmed" });
  expect(tidepool(confirmed)).toEqual({ ...before, confirmed: (before?.confirmed ?? 0) + 24 * 60 });
  expect(requestsOf(confirmed).rows.find(({ request }) => request.id === "r1")?.isWaiting).toBe(false);
});

test("turned down, it needs a reason, and its hours leave the plan; nothing can be answered twice", () => {
  const asked = after(ask, model);
  expect(applyEdit(asked.plan, answer("declined", 2)).faults[0]?.message).toBe("Enter the reason for declining.");
  expect(applyEdit(asked.plan, answer("confirmed", 2)).faults[0]?.message).toBe("Choose a person.");
  const declined = after(answer("declined", 2, { text: "Not in March." }), asked);
  expect(tidepool(declined)).toEqual(tidepool(model));
  expect(applyEdit(declined.plan, answer("confirmed", 3, { personId: "rui" })).faults[0]?.message).toMatch(/answered already/);
});

test("work that is removed from the plan leaves its request without it, and deleting the task takes the request along", () => {
  const asked = after(ask, model);
  const gone = after({ kind: "deleteAssignment", id: "asked" }, asked);
  expect(gone.plan.requests.find(({ id }) => id === "r1")?.assignmentId).toBeUndefined();
  const without = after({ kind: "deleteTask", id: "tidepool-scenic" }, asked);
  expect(without.plan.requests.some(({ id }) => id === "r1")).toBe(false);
});

test("every step writes one message, the newest first", () => {
  const done = after(answer("confirmed", 3, { personId: "rui", text: "Rui has the time." }), after(ask, model));
  const messages = outboxOf(done);
  expect(messages).toHaveLength(outboxOf(model).length + 2);
  expect(messages[0]).toMatchObject({
    by: "Nora Okafor",
    to: "Ilka Sandmere",
    subject: "Confirmed: Scenic surfaces, Tidepool Hall",
    text: "Rui has the time.",
  });
});
