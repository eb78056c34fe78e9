// Several needs at once: who, how split, from when.
import fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { formatDay, parseDay } from "../calendar/day.ts";
import { applyEdit } from "../edits/edit.ts";
import { defaultCounting } from "../load/counting.ts";
import { roomOver } from "../load/room.ts";
import { buildModel } from "../model.ts";
import { freeTeam, pencilTeam, type TeamNeed } from "./freeTeam.ts";

const model = buildModel(fernhollow());
const [from, until] = [parseDay("2027-02-22"), parseDay("2027-03-14")];
const needs: TeamNeed[] = [
  { roleId: "lighting", skills: [], minutes: 80 * 60 },
  { roleId: "fabricator", skills: [], minutes: 40 * 60 },
];

test("needs of two roles are split over as few as have the room, and pencilled in they leave nothing over", () => {
  const { shares, short, later } = freeTeam(model, { needs, from, until });
  expect(short).toEqual([0, 0]);
  expect(later?.from).toBe(from);
  for (const [need, { minutes }] of needs.entries())
    expect(shares.filter((own) => own.need === need).reduce((sum, own) => sum + own.minutes, 0)).toBe(minutes);
  const edit = pencilTeam({
    projectId: "tidepool",
    name: "Night build",
    start: formatDay(from),
    finish: formatDay(until),
    needs,
    shares,
    idStem: "p",
  });
  const outcome = applyEdit(model.plan, edit);
  if (!outcome.plan) throw new Error(JSON.stringify(outcome.faults));
  const made = outcome.plan.assignments.filter(({ taskId }) => taskId === "p-task");
  expect(made.every(({ firmness }) => firmness === "pencilled")).toBe(true);
  expect(made.reduce((sum, { hours = 0 }) => sum + hours, 0)).toBe(120);
});

test("what does not fit then says how much is short, and the first day from which all of it does", () => {
  const large: TeamNeed[] = [{ roleId: "lighting", skills: [], minutes: 260 * 60 }];
  const { short, shares, later } = freeTeam(model, { needs: large, from, until });
  expect(short[0] + shares.reduce((sum, { minutes }) => sum + minutes, 0)).toBe(260 * 60);
  expect(short[0]).toBeGreaterThan(0);
  if (!later) throw new Error("there is room later");
  expect(later.from).toBeGreaterThan(from);
  expect(freeTeam(model, { needs: large, from: later.from, until: later.from + until - from }).short).toEqual([0]);
  expect(freeTeam(model, { needs: large, from: later.from - 1, until: later.from - 1 + until - from }).short[0]).toBeGreaterThan(0);
});

test("always: nobody is given more than their room of those days, no matter what they are given it for", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 1e6 }),
      fc.integer({ min: 0, max: 200 }),
      fc.integer({ min: 1, max: 40 }),
      (seed, start, days) => {
        const own = buildModel(tangledPlan(seed));
        const range = { start: parseDay("2027-01-04") + start, stop: parseDay("2027-01-04") + start + days };
        const roles = own.plan.roles.map(({ id }) => id);
        const asked: TeamNeed[] = [null, ...roles].slice(0, 3).map((roleId) => ({ roleId, skills: [], minutes: 3_000 }));
        const { shares, short } = freeTeam(own, { needs: asked, from: range.start, until: range.stop - 1 });
        const load = own.load(defaultCounting);
        const given = new Map<string, number>();
        for (const { personId, minutes } of shares) given.set(personId, (given.get(personId) ?? 0) + minutes);
        own.plan.people.forEach(({ id }, row) => {
          expect(given.get(id) ?? 0).toBeLessThanOrEqual(roomOver(own, load, row, range));
        });
        expect(shares.reduce((sum, { minutes }) => sum + minutes, 0) + short.reduce((sum, minutes) => sum + minutes, 0)).toBe(
          asked.length * 3_000,
        );
      },
    ),
    { numRuns: 25 },
  );
});
