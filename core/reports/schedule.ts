// The schedule report: dates, slack and drivers of every task, dates of projects, conflicts.
import { formatDay } from "../calendar/day.ts";
import type { Model } from "../model.ts";

/** Dates as a person reads them, ticks of their days, and slack in ticks. An unscheduled task has its id alone. */
export function scheduleReport(model: Model) {
  const { plan, schedule } = model;
  const slack = model.slack();
  return {
    tasks: plan.tasks.map(({ id }, row) => {
      const dates = schedule.of(row);
      const room = slack.of(row);
      if (!dates) return { id };
      return {
        id,
        start: formatDay(dates.start.day),
        finish: formatDay(dates.finish.day),
        startTick: dates.start.tick,
        finishTick: dates.finish.tick,
        ...(room && {
          lateStart: formatDay(room.lateStartDay),
          lateFinish: formatDay(room.lateFinishDay),
          totalSlackTicks: room.total,
          freeSlackTicks: room.free,
        }),
        critical: room?.isCritical ?? false,
        driver: dates.driver,
      };
    }),
    projects: plan.projects.map(({ id }, row) => {
      const { start, finish } = schedule.projects[row];
      return { id, start: formatDay(start.day), finish: formatDay(finish.day) };
    }),
    conflicts: model.conflicts(),
  };
}
