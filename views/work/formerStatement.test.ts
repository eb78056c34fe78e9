import { expect, test } from "vitest";
import type { Assignment } from "../../core/plan/schema.ts";
import { statedFields } from "../../core/typing/restate.ts";
import { formerStatement, keepFormer } from "./formerStatement.ts";

const work = (set: Partial<Assignment>): Assignment => ({ id: "w", taskId: "t", personId: "mara", ...set });

test("back through several ways of stating, work says the very same; what was typed in between ends that", () => {
  const hours = statedFields(work({ hours: 118, shape: "peak" }));
  const percent = statedFields(work({ percent: 61.46 }));
  const daily = statedFields(work({ hoursPerDay: 4.92 }));
  keepFormer("w", { from: { way: "hours", set: hours }, to: percent });
  keepFormer("w", { from: { way: "percent", set: percent }, to: daily });
  expect(formerStatement("w", daily, "percent")).toEqual(percent);
  expect(formerStatement("w", daily, "hours")).toEqual(hours);
  expect(formerStatement("w", statedFields(work({ hoursPerDay: 5 })), "hours")).toBeNull();
  expect(formerStatement("another", daily, "hours")).toBeNull();
});
