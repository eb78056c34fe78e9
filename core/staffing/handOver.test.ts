import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { parseDay } from "../calendar/day.ts";
import { applyEdit } from "../edits/edit.ts";
import { defaultCounting } from "../load/counting.ts";
import { buildModel, type Model } from "../model.ts";
import { placedIn } from "../placing/placements.ts";
import { findRow, membersOf, rowById } from "../plan/rows.ts";
import { type Given, handOverEdit, handOverOf } from "./handOver.ts";

const demo = buildModel(fernhollow());
const from = parseDay("2027-02-15");

function handedOver(model: Model, personId: string, given: readonly Given[]): Model {
  const edit = handOverEdit(model, personId, from, given, "given");
  if (!edit) throw new Error("nothing to hand over");
  const outcome = applyEdit(model.plan, edit);
  if (!outcome.plan) throw new Error(outcome.faults[0].message);
  return buildModel(outcome.plan);
}

/** Minutes that a person works in a span. */
function minutesOf({ plan, work, placements }: Model, personId: string, start: number, stop: number): number {
  const rows = membersOf(work.byPerson, rowById(plan.people).get(personId) as number);
  return rows.reduce((sum, row) => sum + placedIn(placements, row, 10_000, start, stop), 0);
}

test("all that a person has from a day on is listed, the largest first, with who could take it", () => {
  const { lines, minutes } = handOverOf(demo, "mara", from) ?? { lines: [], minutes: 0 };
  expect(lines.length).toBeGreaterThan(5);
  expect(lines.map((line) => line.minutes)).toEqual(lines.map((line) => line.minutes).toSorted((a, b) => b - a));
  expect(minutes).toBe(lines.reduce((sum, line) => sum + line.minutes, 0));
  for (const { start, recipients, minutes: own } of lines) {
    expect(start).toBeGreaterThanOrEqual(from);
    expect(recipients.some(({ personId }) => personId === "mara")).toBe(false);
    for (const { cover } of recipients) expect(cover).toBeLessThanOrEqual(own);
  }
  expect(handOverOf(demo, "nobody", from)).toBeNull();
});

test("handed over to one person, nothing is left after the day, what was before it stays, and the hours go along", () => {
  const lines = handOverOf(demo, "mara", from)?.lines ?? [];
  const given = lines.map(({ assignmentId }) => ({ assignmentId, personId: "rui" }));
  const after = handedOver(demo, "mara", given);
  const end = parseDay(demo.plan.settings.planEnd) + 1;
  const begin = parseDay(demo.plan.settings.planStart);
  const isEffort = ({ assignmentId }: { assignmentId: string }) =>
    findRow(demo.plan.tasks, findRow(demo.plan.assignments, assignmentId)?.taskId)?.sizing === "effort";
  expect(lines.some(isEffort)).toBe(false);
  expect(minutesOf(after, "mara", from, end)).toBeLessThan(60);
  expect(Math.abs(minutesOf(after, "mara", begin, from) - minutesOf(demo, "mara", begin, from))).toBeLessThan(60);
});

test("left open, the work waits as openings in the role it was done in", () => {
  const [line] = handOverOf(demo, "mara", from)?.lines.filter(({ isWhole }) => isWhole) ?? [];
  const after = handedOver(demo, "mara", [{ assignmentId: line.assignmentId, personId: null }]);
  const opening = findRow(after.plan.assignments, line.assignmentId);
  expect(opening?.personId).toBeUndefined();
  expect(opening?.roleId).toBeDefined();
});

test("always: what is proposed makes nobody over on any day who was not", () => {
  for (const { id } of demo.plan.people) {
    const lines = handOverOf(demo, id, from)?.lines ?? [];
    const given = lines.flatMap(({ assignmentId, proposedId }) => (proposedId === null ? [] : [{ assignmentId, personId: proposedId }]));
    if (given.length === 0) continue;
    const after = handedOver(demo, id, given);
    for (const recipient of new Set(given.map(({ personId }) => personId))) {
      const row = rowById(demo.plan.people).get(recipient) as number;
      const [start, stop] = [from, from + 300];
      const own = demo.capacity.of(row, start, stop);
      const before = demo.load(defaultCounting).of(row, start, stop);
      const now = after.load(defaultCounting).of(row, start, stop);
      const over = Array.from({ length: stop - start }, (_, day) => day).filter((day) => {
        const capacity = own.regular[own.at + day] + own.overtime[own.at + day];
        // Hours are stated to the hundredth: a minute may fall on another day.
        return before.minutes[before.at + day] <= capacity && now.minutes[now.at + day] > capacity + 2;
      });
      expect(over, `${id} to ${recipient}`).toEqual([]);
    }
  }
});
