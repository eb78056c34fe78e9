import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { type Outline, outlineOf } from "../answers/outline.ts";
import { applyEdit } from "../edits/edit.ts";
import { buildModel } from "../model.ts";
import { fillDown } from "./fillDown.ts";

const model = buildModel(fernhollow());
const outline = outlineOf(model, "tidepool") as Outline;
const pick = (...ids: string[]) => ids.map((id) => outline.tasks.find(({ task }) => task.id === id) as Outline["tasks"][number]);
let made = 0;
const newId = (stem: string) => `${stem}-${++made}`;

function after(edits: ReturnType<typeof fillDown>) {
  const outcome = applyEdit(model.plan, { kind: "together", words: "fill down", edits });
  if (!outcome.plan) throw new Error(JSON.stringify(outcome.faults));
  return outcome;
}

test("role, days and priority of the first are those of the others after it, in one edit", () => {
  const [first] = pick("tidepool-scenic");
  const edits = fillDown(pick("tidepool-scenic", "tidepool-cases", "tidepool-order"), ["role", "days", "priority"], newId);
  const { plan, words } = after(edits);
  expect(words).toBe("fill down");
  for (const id of ["tidepool-cases", "tidepool-order"]) {
    const task = plan.tasks.find((own) => own.id === id);
    expect([task?.roleId, task?.durationDays]).toEqual([first.task.roleId, first.task.durationDays]);
  }
});

test("people take what is open in equal parts, and come with the same amount where nothing is", () => {
  const [source, cases] = pick("tidepool-rockpools", "tidepool-cases");
  const joining = source.work.filter(
    ({ kind, assignment }) => kind === "person" && !cases.work.some((own) => own.assignment.personId === assignment.personId),
  );
  expect(cases.open).toBe(40 * 60);
  const { plan } = after(fillDown([source, cases], ["who"], newId));
  const next = outlineOf(buildModel(plan), "tidepool")?.tasks.find(({ task }) => task.id === "tidepool-cases");
  expect(next?.open).toBe(0);
  expect(next?.asked).toBe(cases.asked);
  for (const { assignment } of joining)
    expect(next?.work.find((own) => own.assignment.personId === assignment.personId)?.asked).toBe((40 * 60) / joining.length);
});

test("there is nothing to fill below a single task, nor into summaries", () => {
  expect(fillDown(pick("tidepool-scenic"), ["role"], newId)).toEqual([]);
  expect(fillDown(pick("tidepool-scenic", "tidepool-fabrication"), ["role"], newId)).toEqual([]);
});

test("a line of material goes down to many tasks in the same quantity, with its waste, and once each", () => {
  const tasks = pick("tidepool-scenic", "tidepool-cases", "tidepool-order");
  const { plan } = after(fillDown(tasks, ["material"], newId));
  for (const { task } of tasks) {
    const lines = plan.assignments.filter((own) => own.taskId === task.id && own.materialId === "birch");
    expect(
      lines.map(({ quantity, wastePercent }) => [quantity, wastePercent]),
      task.id,
    ).toEqual([[48, 12]]);
  }
  // Existing work stays; filled once more, nothing is there twice.
  expect(plan.assignments.some(({ taskId, materialId }) => taskId === "tidepool-cases" && materialId === "tube")).toBe(true);
  const next = outlineOf(buildModel(plan), "tidepool") as Outline;
  const again = fillDown(
    tasks.map(({ task }) => next.tasks.find((own) => own.task.id === task.id) as Outline["tasks"][number]),
    ["material"],
    newId,
  );
  expect(again.every(({ kind }) => kind === "changeAssignment")).toBe(true);
});
