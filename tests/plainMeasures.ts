// The figures that proposals are judged by, read off the printed reports: slow, and with nothing of the balancing in it.
import { parseDay } from "../core/calendar/day.ts";
import { defaultCounting } from "../core/load/counting.ts";
import { buildModel } from "../core/model.ts";
import type { Plan } from "../core/plan/schema.ts";
import { costReport } from "../core/reports/cost.ts";
import { loadReport } from "../core/reports/load.ts";
import { scheduleReport } from "../core/reports/schedule.ts";

export interface PlainMeasures {
  peakOver: number;
  overWeeks: number;
  unplaced: number;
  cost: number;
  /** Last day of each project, by id. */
  finishes: Map<string, string>;
  /** Minutes over capacity by person id and first day of the week. */
  peaks: Map<string, number>;
}

/** Everything measured from a plan that is calculated again. */
export function plainMeasures(plan: Plan): PlainMeasures {
  const model = buildModel(plan);
  const range = { start: parseDay(plan.settings.planStart), stop: parseDay(plan.settings.planEnd) + 1 };
  const load = loadReport(model, { range, grain: "week" }, defaultCounting);
  const peaks = new Map<string, number>();
  for (const { id, peakOver } of load.people)
    peakOver.forEach((minutes, week) => void peaks.set(`${id} ${load.periods[week].start}`, minutes));
  return {
    peakOver: [...peaks.values()].reduce((sum, minutes) => sum + minutes, 0),
    overWeeks: load.people.flatMap(({ state }) => state).filter((state) => state === "over").length,
    unplaced: load.assignments.reduce((sum, { unplaced }) => sum + unplaced, 0),
    cost: costReport(model, { range, grain: "year" }).projects.reduce((sum, { total }) => sum + total, 0),
    finishes: new Map(scheduleReport(model).projects.map(({ id, finish }) => [id, finish])),
    peaks,
  };
}

/** The effect of a change, in the shape that the command line prints. */
export function plainEffect(before: PlainMeasures, after: PlainMeasures, plan: Plan) {
  const weeks = [...after.peaks].flatMap(([key, minutes]) => {
    const grown = minutes - (before.peaks.get(key) ?? 0);
    const [personId, from] = [key.slice(0, key.lastIndexOf(" ")), key.slice(key.lastIndexOf(" ") + 1)];
    return grown > 0 ? [{ personId, from, minutes: grown }] : [];
  });
  return {
    peakOver: after.peakOver - before.peakOver,
    overWeeks: after.overWeeks - before.overWeeks,
    unplaced: after.unplaced - before.unplaced,
    cost: after.cost - before.cost,
    finishes: plan.projects.flatMap(({ id }) => {
      const [was, is] = [before.finishes.get(id) as string, after.finishes.get(id) as string];
      return was === is ? [] : [{ projectId: id, days: parseDay(is) - parseDay(was) }];
    }),
    grows: weeks,
  };
}
