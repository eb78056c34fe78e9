// Options for a short role: their figures are those of the plan with the option in it, made by hand or tried in a sketch.
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
import { forecastGroups } from "./groups.ts";
import { helpChanges, helpMeasured, helpsFor } from "./helps.ts";

const plan = fernhollow();
const model = buildModel(plan);
const asked = { range: { start: parseDay("2027-02-01"), stop: horizonOf(plan).stop }, grain: "month" as const };
const target = { by: "role", level: 1, key: "lighting" } as const;
const lighting = plan.roles.findIndex(({ id }) => id === "lighting");

/** Expected shortage of a role and of all, of a plan calculated again. */
function shortageIn(own: Plan, role: number): [number, number] {
  const { groups: roles } = forecastOf(buildModel(own), asked);
  const sums = roles.map(({ expectedShortage }) => expectedShortage.reduce((sum, one) => sum + one, 0));
  return [sums[role], sums.reduce((sum, one) => sum + one, 0)];
}

const hired = { kind: "hire", people: 1, rate: null, learningWeeks: 4 } as const;

test("each help reduces the shortage as it says; the best of every kind comes first, then the others", () => {
  const helps = helpsFor(model, target, asked);
  expect(new Set(helps.map(({ help }) => help.kind))).toEqual(new Set(["later", "hire"]));
  for (const { help, before, after } of helps) {
    expect([before.own, before.all]).toEqual(shortageIn(plan, lighting));
    const next = applyChanges(plan, helpChanges(model, target, help));
    expect(checkPlan(next), JSON.stringify(help)).toEqual([]);
    expect([after.own, after.all], JSON.stringify(help)).toEqual(shortageIn(next, lighting));
    expect(after.own).toBeLessThan(before.own);
  }
  const kinds = new Set(helps.map(({ help }) => help.kind));
  const [best, others] = [helps.slice(0, kinds.size), helps.slice(kinds.size)];
  expect(new Set(best.map(({ help }) => help.kind))).toEqual(kinds);
  for (const part of [best, others]) expect(part).toEqual(part.toSorted((a, b) => a.after.own - b.after.own));
  for (const { help, after } of best)
    for (const other of others) if (other.help.kind === help.kind) expect(other.after.own).toBeGreaterThanOrEqual(after.own);
});

test("a help with another number, rate and learning time has another effect, and its rate is kept with the people", () => {
  const from = parseDay("2027-05-03");
  const help = { ...hired, people: 2, from, to: from + 20, rate: 50, learningWeeks: 1 };
  const measured = helpMeasured(model, target, asked, help);
  // Two people for 15 weekdays of eight hours.
  expect(measured?.cost).toBe(2 * 15 * 8 * 5_000);
  expect(measured?.after.own).toBeLessThan(measured?.before.own ?? 0);
  const next = applyChanges(plan, helpChanges(model, target, help));
  expect(checkPlan(next)).toEqual([]);
  const added = next.people.slice(plan.people.length).map(({ id }) => id);
  const rates = next.rateTables.flatMap(({ entries }) => entries.filter(({ personId = "" }) => added.includes(personId)));
  expect(rates).toEqual(added.map((personId) => ({ personId, rate: 50 })));
});

test("a contractor without a price is not offered, and nobody is trained while the skill is short", () => {
  const unpriced = { ...plan, rateTables: plan.rateTables.map((own) => ({ ...own, entries: [] })) };
  const helps = helpsFor(buildModel(unpriced), target, asked);
  expect(helps.some(({ help }) => help.kind === "hire" && help.to !== null)).toBe(false);
  expect(helps.some(({ help, cost }) => help.kind === "hire" && help.to === null && cost === null)).toBe(true);
  const shown = { ...asked, grain: "week" as const };
  for (const { id } of plan.skills) {
    const skill = { by: "skill", level: 2, key: id } as const;
    const groups = forecastGroups(model, "skill", 2);
    const { groups: forecast, periods } = forecastOf(model, shown, groups);
    const { expectedShortage } = forecast[groups.keys.indexOf(id)];
    for (const { help } of helpsFor(model, skill, shown)) {
      if (help.kind !== "train") continue;
      const stop = help.from + help.weeks * 7;
      const short = periods.filter((period, p) => expectedShortage[p] > 0 && period.start < stop && period.stop > help.from);
      expect(short, `${id} ${JSON.stringify(help)}`).toEqual([]);
    }
  }
});

test("tried in a sketch, it results in the same", () => {
  for (const { help, after } of horizonHelps(model, { ...asked, ...target, cases: [] }).helps) {
    const edit = helpEdit(model, { ...target, help, idStem: "made", words: "try it" });
    const outcome = edit && applyEdit(plan, edit);
    if (!outcome?.plan) throw new Error("a help is an edit that can be made");
    expect(shortageIn(outcome.plan, lighting)[0], JSON.stringify(help)).toBe(after.own);
  }
});

test("the person who is hired for good has half of their time in the first four weeks; for a while, all of it and an end", () => {
  const from = parseDay("2027-05-03");
  const [good] = helpChanges(model, target, { ...hired, from, to: null });
  const [while_] = helpChanges(model, target, { ...hired, from, to: from + 60, learningWeeks: 0 });
  const minutesOn = (change: typeof good, days: number) => {
    const own = buildModel(applyChanges(plan, [change]));
    return own.capacity.on(plan.people.length, from + days);
  };
  expect([minutesOn(good, 0), minutesOn(good, 21), minutesOn(good, 28), minutesOn(good, 200)]).toEqual([240, 240, 480, 480]);
  expect([minutesOn(while_, -3), minutesOn(while_, 0), minutesOn(while_, 58), minutesOn(while_, 63)]).toEqual([0, 480, 480, 0]);
});

test("a role without a shortage, or one that does not exist, has no options", () => {
  const writer = plan.roles.findIndex(({ id }) => id === "writer");
  expect(shortageIn(plan, writer)[0]).toBe(0);
  expect(helpsFor(model, { ...target, key: "writer" }, asked)).toEqual([]);
  expect(helpEdit(model, { ...target, key: "nobody", help: { ...hired, from: 20_000, to: null }, idStem: "x", words: "x" })).toBeNull();
  expect(helpChanges(model, target, { kind: "later", projectId: "nothing", days: 7 })).toEqual([]);
});
