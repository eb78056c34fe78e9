// What would help a short role: the figures said are those of the plan with the help in it, made by hand or tried in a sketch.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { helpEdit, horizonHelps } from "../answers/horizon.ts";
import { parseDay } from "../calendar/day.ts";
import { horizonOf } from "../calendar/horizon.ts";
import { applyChanges } from "../edits/change.ts";
import { applyEdit } from "../edits/edit.ts";
import { buildModel } from "../model.ts";
import { checkPlan } from "../plan/check.ts";
import type { Plan } from "../plan/schema.ts";
import { forecastOf } from "./forecast.ts";
import { helpChanges, helpsFor } from "./helps.ts";

const plan = fernhollow();
const model = buildModel(plan);
const asked = { range: { start: parseDay("2027-02-01"), stop: horizonOf(plan).stop }, grain: "month" as const };
const target = { by: "role", level: 1, key: "lighting" } as const;
const lighting = plan.roles.findIndex(({ id }) => id === "lighting");

/** Expected shortage of a role and of all, of a plan worked out anew. */
function shortageIn(own: Plan, role: number): [number, number] {
  const { groups: roles } = forecastOf(buildModel(own), asked);
  const sums = roles.map(({ expectedShortage }) => expectedShortage.reduce((sum, one) => sum + one, 0));
  return [sums[role], sums.reduce((sum, one) => sum + one, 0)];
}

test("each help takes off what it says, and the most helpful comes first", () => {
  const helps = helpsFor(model, target, asked);
  expect(new Set(helps.map(({ help }) => help.kind))).toEqual(new Set(["later", "hire"]));
  for (const { help, before, after } of helps) {
    expect([before.own, before.all]).toEqual(shortageIn(plan, lighting));
    const next = applyChanges(plan, helpChanges(model, target, help));
    expect(checkPlan(next), JSON.stringify(help)).toEqual([]);
    expect([after.own, after.all], JSON.stringify(help)).toEqual(shortageIn(next, lighting));
    expect(after.own).toBeLessThan(before.own);
  }
  expect(helps.map(({ after }) => after.own)).toEqual([...helps.map(({ after }) => after.own)].sort((a, b) => a - b));
});

test("tried in a sketch, it comes to the same", () => {
  for (const { help, after } of horizonHelps(model, { ...asked, ...target, cases: [] }).helps) {
    const edit = helpEdit(model, { ...target, help, idStem: "made", words: "try it" });
    const outcome = edit && applyEdit(plan, edit);
    if (!outcome?.plan) throw new Error("a help is an edit that can be made");
    expect(shortageIn(outcome.plan, lighting)[0], JSON.stringify(help)).toBe(after.own);
  }
});

test("whoever is hired for good has half of their time in the first four weeks; for a while, all of it and an end", () => {
  const from = parseDay("2027-05-03");
  const [good] = helpChanges(model, target, { kind: "hire", people: 1, from, to: null });
  const [while_] = helpChanges(model, target, { kind: "hire", people: 1, from, to: from + 60 });
  const minutesOn = (change: typeof good, days: number) => {
    const own = buildModel(applyChanges(plan, [change]));
    return own.capacity.on(plan.people.length, from + days);
  };
  expect([minutesOn(good, 0), minutesOn(good, 21), minutesOn(good, 28), minutesOn(good, 200)]).toEqual([240, 240, 480, 480]);
  expect([minutesOn(while_, -3), minutesOn(while_, 0), minutesOn(while_, 58), minutesOn(while_, 63)]).toEqual([0, 480, 480, 0]);
});

test("a role that lacks nothing, or is not there, is not helped", () => {
  const writer = plan.roles.findIndex(({ id }) => id === "writer");
  expect(shortageIn(plan, writer)[0]).toBe(0);
  expect(helpsFor(model, { ...target, key: "writer" }, asked)).toEqual([]);
  expect(
    helpEdit(model, { ...target, key: "nobody", help: { kind: "hire", people: 1, from: 20_000, to: null }, idStem: "x", words: "x" }),
  ).toBeNull();
  expect(helpChanges(model, target, { kind: "later", projectId: "nothing", days: 7 })).toEqual([]);
});
