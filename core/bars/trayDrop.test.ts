import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { trayOf } from "../answers/tray.ts";
import type { TrayItem } from "../attention/incompleteWork.ts";
import { formatDay, parseDay } from "../calendar/day.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { buildModel } from "../model.ts";
import { beginOnDay, giveToPerson } from "./trayDrop.ts";

const model = buildModel(fernhollow());
const { items } = trayOf(model);
const itemOf = (kind: TrayItem["kind"], taskId: string) => items.find((item) => item.kind === kind && item.taskId === taskId) as TrayItem;
const newId = (stem: string) => `${stem}-new`;

function after(edit: Edit | null) {
  const outcome = edit && applyEdit(model.plan, edit);
  if (!outcome?.plan) throw new Error("the drop fits the plan");
  return buildModel(outcome.plan);
}

test("an opening given to a person leaves the tray, whether it is stated or the rest of an effort", () => {
  const stated = itemOf("opening", "tidepool-cases");
  const rest = items.find(({ kind, assignmentId }) => kind === "opening" && assignmentId === undefined) as TrayItem;
  for (const item of [stated, rest]) {
    const next = after(giveToPerson(item, "rui", newId));
    expect(trayOf(next).items.some((own) => own.kind === "opening" && own.taskId === item.taskId)).toBe(false);
    expect(trayOf(next).counts.opening).toBe(trayOf(model).counts.opening - 1);
  }
});

test("a task without dates begins on the day it is dropped on and lasts as long as its effort takes one person", () => {
  const braille = itemOf("noDates", "tidepool-braille");
  const next = after(beginOnDay(model.plan, braille, parseDay("2027-03-08")));
  const dates = next.schedule.of(next.plan.tasks.findIndex(({ id }) => id === "tidepool-braille"));
  // 30 hours are four days of eight.
  expect(dates && [formatDay(dates.start.day), formatDay(dates.finish.day)]).toEqual(["2027-03-08", "2027-03-11"]);
  expect(dates?.driver.kind).toBe("notBefore");
});

test("what has dates already is not moved by it, and what cannot hold is nobody's work", () => {
  expect(beginOnDay(model.plan, itemOf("opening", "tidepool-cases"), 20_000)).toBeNull();
  const conflict = itemOf("conflict", "slowlight-demo");
  expect(conflict.conflict).toMatchObject({ kind: "link", ticks: 6 * 480 });
  expect(giveToPerson(conflict, "rui", newId)).toBeNull();
});
