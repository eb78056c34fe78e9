import fc from "fast-check";
import { expect, test } from "vitest";
import { goldenCases } from "../../tests/golden.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { formatDay } from "../calendar/day.ts";
import { buildModel } from "../model.ts";
import { parsePlan } from "../plan/parse.ts";
import type { Plan } from "../plan/schema.ts";
import { durationTicks } from "../values/units.ts";
import { boundsOf } from "./bounds.ts";

interface ExpectedTask {
  id: string;
  start?: string;
  finish?: string;
  startTick?: number;
  finishTick?: number;
  driver?: { kind: string; linkId?: string };
}

const scheduled = goldenCases().filter(({ command }) => command[0] === "schedule");

test.each(scheduled)("$name: starts, finishes and drivers are those worked out by hand", ({ plan, expect: expected }) => {
  const model = buildModel(parsePlan(plan).plan as Plan);
  const { tasks, projects = [] } = expected as { tasks: ExpectedTask[]; projects?: { id: string; start: string; finish: string }[] };
  for (const { id, ...wanted } of tasks) {
    const dates = model.schedule.of(model.plan.tasks.findIndex((task) => task.id === id));
    const found = dates && {
      start: formatDay(dates.start.day),
      finish: formatDay(dates.finish.day),
      startTick: dates.start.tick,
      finishTick: dates.finish.tick,
      driver: dates.driver,
    };
    for (const key of ["start", "finish", "startTick", "finishTick", "driver"] as const)
      if (wanted[key] !== undefined) expect(found?.[key], `${id}.${key}`).toEqual(wanted[key]);
  }
  for (const { id, start, finish } of projects) {
    const dates = model.schedule.projects[model.plan.projects.findIndex((project) => project.id === id)];
    expect([formatDay(dates.start.day), formatDay(dates.finish.day)], id).toEqual([start, finish]);
  }
});

test("every task that is not pinned starts at the greatest of its bounds, and its driver asks for just that", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
      const { plan, schedule } = buildModel(tangledPlan(seed));
      plan.tasks.forEach(({ id, staggerDays, sizing }, row) => {
        const dates = schedule.of(row);
        if (!dates || dates.isSummary || sizing === "dates") return;
        const free = dates.startAt - durationTicks(staggerDays ?? 0);
        const bounds = boundsOf(schedule, row);
        const duration = dates.finishAt - dates.startAt;
        if (sizing === "duration") expect(free, id).toBe(Math.max(...bounds.map(({ at, ofFinish }) => (ofFinish ? at - duration : at))));
        expect(
          bounds.filter(({ at, ofFinish }) => (ofFinish ? dates.finishAt : free) < at),
          id,
        ).toEqual([]);
        if (staggerDays) expect(dates.driver.kind, id).toBe("stagger");
        if (staggerDays) return;
        const own = bounds.filter(({ kind, linkId }) => kind === dates.driver.kind && linkId === dates.driver.linkId);
        expect(own.length, id).toBeGreaterThan(0);
        if (sizing === "duration")
          expect(
            own.some(({ at, ofFinish }) => (ofFinish ? at - duration : at) === free),
            id,
          ).toBe(true);
      });
    }),
    { numRuns: 60 },
  );
});
