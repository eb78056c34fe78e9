// The lists of people and projects, and the ribbon above them, against the reports, on the demo plan and on irregular ones.
import { describe, expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { irregular } from "../../tests/randomPeople.ts";
import { withTeams } from "../../tests/randomTeams.ts";
import { parseDay } from "../calendar/day.ts";
import { horizonOf } from "../calendar/horizon.ts";
import { defaultCounting } from "../load/counting.ts";
import { buildModel } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { capacityReport } from "../reports/capacity.ts";
import { loadReport } from "../reports/load.ts";
import { scheduleReport } from "../reports/schedule.ts";
import { portfolioOf } from "./portfolio.ts";
import { ribbonOf } from "./ribbon.ts";
import { rosterOf } from "./roster.ts";
import { trayOf } from "./tray.ts";

const demo = fernhollow();
const oddSettings = (plan: Plan): Plan => ({
  ...plan,
  settings: { ...plan.settings, weekStartsOn: 7, levelBand: { low: 0.7, high: 1.15 } },
});
const plans: [string, Plan][] = [
  ["the demo plan", demo],
  ["irregular people", irregular(demo, 11)],
  ["other weeks and bands, teams within teams", oddSettings(withTeams(irregular(demo, 12), 5))],
];
const windows = [
  { start: parseDay("2027-02-01"), stop: parseDay("2027-03-29") },
  { start: parseDay("2027-05-03"), stop: parseDay("2027-05-04") },
];
const sum = (amounts: readonly number[]) => amounts.reduce((all, own) => all + own, 0);

describe.each(plans)("%s", (_, plan) => {
  const model = buildModel(plan);

  test.each(windows)("the roster says what the reports say of a window, %o", (range) => {
    const asked = { range, grain: "year" as const };
    const capacity = capacityReport(model, asked);
    const load = loadReport(model, asked, defaultCounting);
    const rows = rosterOf(model, asked);
    expect(rows.map(({ person }) => person.id)).toEqual(plan.people.map(({ id }) => id));
    rows.forEach((row, at) => {
      expect([row.capacity, row.load]).toEqual([sum(capacity.people[at].capacity), sum(load.people[at].load)]);
      if (load.periods.length === 1) expect(row.state).toBe(load.people[at].state[0]);
      expect(row.weeks.length).toBeGreaterThanOrEqual(1);
      expect(row.teamNames).toEqual(plan.teams.filter(({ memberIds }) => memberIds.includes(row.person.id)).map(({ name }) => name));
    });
    // The unplaced minutes of a person's own counted work.
    const unplaced = new Map(load.assignments.map((own) => [own.id, own.unplaced]));
    for (const { person, unplaced: minutes } of rows) {
      const own = plan.assignments.filter(({ personId, firmness, taskId }) => {
        const task = plan.tasks.find(({ id }) => id === taskId);
        const stage = plan.projects.find(({ id }) => id === task?.projectId)?.stage;
        return personId === person.id && firmness !== "asked" && stage !== "pipeline" && stage !== "idea";
      });
      expect(minutes, person.name).toBeGreaterThanOrEqual(sum(own.map(({ id }) => unplaced.get(id) ?? 0)));
    }
  });

  test("the projects have the dates of the schedule, and hours that add up to the demand", () => {
    const rows = portfolioOf(model);
    const schedule = scheduleReport(model);
    rows.forEach(({ project, lateDays, finish, tasks }, at) => {
      expect(project.id).toBe(schedule.projects[at].id);
      expect(tasks).toBe(plan.tasks.filter(({ projectId }) => projectId === project.id).length);
      const missed = schedule.conflicts.some((conflict) => conflict.projectId === project.id);
      expect(lateDays > 0 || missed).toBe(
        lateDays > 0 || (project.deadline !== undefined && finish > parseDay(project.deadline)) || missed,
      );
      if (lateDays > 0) expect(missed).toBe(true);
    });
    const asked = Array.from(model.work.project.keys(), (row) => model.placements.asked[row]);
    expect(sum(rows.map((row) => row.asked))).toBe(sum(asked));
    for (const { open, asked: all, unplaced, progress } of rows) {
      expect(open).toBeLessThanOrEqual(all);
      expect(unplaced).toBeLessThanOrEqual(all);
      if (progress !== null) expect(progress).toBeGreaterThanOrEqual(0);
      expect(progress === null).toBe(all === 0);
    }
  });

  test("the ribbon has every week of the horizon once, with everyone in it", () => {
    const horizon = horizonOf(plan);
    const ribbon = ribbonOf(model, parseDay("2027-02-01"));
    const asked = { range: horizon, grain: "week" as const };
    const [capacity, load] = [capacityReport(model, asked), loadReport(model, asked, defaultCounting)];
    expect(ribbon.weeks).toHaveLength(capacity.periods.length);
    expect(ribbon.weeks[0]).toBe(horizon.start);
    ribbon.weeks.forEach((_, week) => {
      expect(ribbon.capacity[week]).toBe(sum(capacity.people.map((own) => own.capacity[week])));
      expect(ribbon.load[week]).toBe(sum(load.people.map((own) => own.load[week])));
      const over = load.people.map((own, at) => Math.max(0, own.load[week] - capacity.people[at].capacity[week]));
      expect(ribbon.over[week]).toBe(sum(over));
    });
  });

  test("the tray lists as many of each kind as it counts, up to what a list holds", () => {
    const { counts, items } = trayOf(model);
    for (const [kind, count] of Object.entries(counts)) {
      const listed = items.filter((item) => item.kind === kind);
      expect(listed).toHaveLength(Math.min(60, count));
      expect(new Set(listed.map((item) => JSON.stringify(item))).size).toBe(listed.length);
    }
  });
});
