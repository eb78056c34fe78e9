// Hours of a period typed over, where the rest goes, and work stated in another way.
import fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { parseDay } from "../calendar/day.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { buildModel, type Model } from "../model.ts";
import { placedIn } from "../placing/placements.ts";
import type { Plan } from "../plan/schema.ts";
import type { Way } from "../plan/workStated.ts";
import { restate } from "./restate.ts";
import { type Rest, type TypedPeriod, typePeriod, untype } from "./typePeriod.ts";

const plan = fernhollow();
const model = buildModel(plan);
const clock = parseDay("2027-02-01");
const march = { start: parseDay("2027-03-08"), stop: parseDay("2027-03-15") };
const scenic = plan.assignments.find(({ taskId, personId }) => taskId === "tidepool-scenic" && personId === "rui")?.id as string;

function made(edit: Edit | undefined, from: Model): Model {
  if (!edit) throw new Error("there is an edit");
  const outcome = applyEdit(from.plan, edit);
  if (!outcome.plan) throw new Error(JSON.stringify(outcome.faults));
  return buildModel(outcome.plan);
}

function typed(from: Model, id: string, hours: number, period = march): TypedPeriod {
  const change = typePeriod(from, id, period, hours, { clock, newId: "rest" });
  if ("fault" in change) throw new Error(change.fault);
  return change;
}

const rowOf = (from: Model, id: string) => from.plan.assignments.findIndex((own) => own.id === id);
const minutesIn = (from: Model, id: string, { start, stop } = { start: 0, stop: 60_000 }) =>
  placedIn(from.placements, rowOf(from, id), 10_000, start, stop);
/** The minutes that a task needs, with its unassigned ones. */
const askedOn = (from: Model, taskId: string) =>
  from.work.task.reduce((sum, task, row) => sum + (from.plan.tasks[task].id === taskId ? from.placements.asked[row] : 0), 0);
const ways: Rest[] = ["later", "open", "dropped"];

test("fewer hours typed over a period: the total stays, the rest goes to what is still to come, and can go elsewhere", () => {
  const before = minutesIn(model, scenic, march);
  const change = typed(model, scenic, 5);
  expect(change.minutes).toBe(before - 5 * 60);
  expect(change.usual).toBe("later");
  const later = made(change.edits.later, model);
  expect(minutesIn(later, scenic, march)).toBe(5 * 60);
  expect(minutesIn(later, scenic)).toBe(minutesIn(model, scenic));
  // In place of it, as if it had been chosen from the start.
  const open = made(change.edits.open, model);
  expect(minutesIn(open, scenic)).toBe(minutesIn(model, scenic) - change.minutes);
  expect(askedOn(open, "tidepool-scenic")).toBe(askedOn(model, "tidepool-scenic"));
  const dropped = made(change.edits.dropped, model);
  expect(minutesIn(dropped, scenic)).toBe(minutesIn(open, scenic));
  expect(askedOn(dropped, "tidepool-scenic")).toBe(askedOn(model, "tidepool-scenic") - change.minutes);
});

test("in the last period to come nothing is left to take the rest: it stays open on the task", () => {
  const first = typePeriod(model, scenic, { start: clock, stop: clock + 90 }, 10, { clock, newId: "rest" });
  expect(first).toMatchObject({ usual: "open" });
  expect(Object.keys((first as TypedPeriod).edits)).not.toContain("later");
});

test("more hours than before are what was typed, and nothing else changes; given back, the total is spread again", () => {
  const change = typed(model, scenic, 60);
  expect(change).toMatchObject({ minutes: 0, usual: "dropped" });
  const more = made(change.edits.dropped, model);
  expect(minutesIn(more, scenic) - 60 * 60).toBe(minutesIn(model, scenic) - minutesIn(model, scenic, march));
  const back = untype(more, scenic);
  const again = made("edit" in back ? back.edit : undefined, more);
  expect(minutesIn(again, scenic)).toBe(minutesIn(more, scenic));
  expect(again.plan.assignments[rowOf(again, scenic)].custom).toBeUndefined();
});

test("always: wherever the rest goes, nothing is lost on the way: what the task asks for stays, or drops by just that", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 80 }), (seed, hours, at) => {
      const from = buildModel(tangledPlan(seed));
      const period = { start: parseDay("2027-01-04") + at * 7, stop: parseDay("2027-01-04") + at * 7 + 7 };
      for (const { id, taskId, personId } of from.plan.assignments.slice(0, 10)) {
        const change = typePeriod(from, id, period, hours, { clock, newId: "rest" });
        if ("fault" in change || personId === undefined) continue;
        const outside = (own: Model) => minutesIn(own, id) - minutesIn(own, id, period);
        for (const rest of ways) {
          const edit = change.edits[rest];
          if (!edit) continue;
          const next = made(edit, from);
          expect(outside(next), `${id} ${rest}`).toBe(outside(from) + (rest === "later" ? change.minutes : 0));
          if (rest === "open" && change.minutes > 0) expect(askedOn(next, taskId), `${id} open`).toBe(askedOn(from, taskId));
        }
      }
    }),
    { numRuns: 15 },
  );
});

const statements: Way[] = ["hours", "percent", "hoursPerDay", "hoursPerWeek", "custom"];
const asked = (from: Model, id: string) => from.placements.asked[rowOf(from, id)];

test("work stated in another way asks for the same hours, as near as that way can say them", () => {
  const cases = plan.assignments.find(({ taskId, personId }) => taskId === "tidepool-cases" && personId === "jonas")?.id as string;
  const before = asked(model, cases);
  expect(before).toBe(118 * 60);
  for (const way of statements) {
    const change = restate(model, cases, way);
    const next = made({ kind: "changeAssignment", id: cases, set: change?.set ?? {} }, model);
    expect(asked(next, cases), way).toBe(change?.asked);
    // Hundredths of an hour a day, over some weeks, result in minutes; hours and weeks are exact.
    expect(Math.abs(asked(next, cases) - before), way).toBeLessThanOrEqual(way === "hours" || way === "custom" ? 0 : 15);
  }
});

test("always: stated in hours or week by week, work asks for the very same minutes", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
      const from = buildModel(tangledPlan(seed));
      for (const { id, materialId } of from.plan.assignments.slice(0, 12)) {
        if (materialId !== undefined) continue;
        for (const way of ["hours", "custom"] as const) {
          const change = restate(from, id, way);
          // Hundredths of an hour are more than a minute only beyond a man-century.
          if (change) expect(change.asked, `${id} ${way}`).toBe(Math.max(asked(from, id), from.placements.placed[rowOf(from, id)]));
        }
      }
    }),
    { numRuns: 20 },
  );
});

test("who has no working day in the window has none to state work by", () => {
  const idle: Plan = {
    ...plan,
    people: plan.people.map((person) => (person.id === "rui" ? { ...person, employedFrom: "2028-01-01" } : person)),
  };
  expect(restate(buildModel(idle), "gone", "percent")).toBeNull();
  expect(restate(buildModel(idle), scenic, "custom")).toBeNull();
});
