// The date conflicts, against the dates of tasks and projects.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { formatDay, parseDay } from "../calendar/day.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { buildModel, type Model } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { conflictsOf } from "./conflicts.ts";

const model = buildModel(fernhollow());

function after(edit: Edit): Model {
  const outcome = applyEdit(model.plan, edit);
  if (!outcome.plan) throw new Error(outcome.faults.map(({ message }) => message).join(" "));
  return buildModel(outcome.plan);
}

const kindsOf = ({ schedule }: Model, taskId: string) =>
  conflictsOf(schedule).flatMap((conflict) => (conflict.taskId === taskId ? [`${conflict.kind} ${conflict.ticks / 480}`] : []));

/** Working days of a line that come after one date and not after another. */
function daysBetween({ schedule }: Model, row: number, after_: number, until: number): number {
  const line = schedule.of(row)?.line;
  let days = 0;
  for (let day = after_ + 1; day <= until; day++) if (line?.isWorkingDay(day)) days++;
  return days;
}

/** Ids of tasks and projects that finish on a later day than their deadline. */
function late(plan: Plan): string[] {
  const made = buildModel(plan);
  const tasks = plan.tasks.flatMap(({ id, deadline, finishNotAfter }, row) => {
    const dates = made.schedule.of(row);
    return [deadline, finishNotAfter].flatMap((date) =>
      date !== undefined && dates && daysBetween(made, row, parseDay(date), dates.finish.day) > 0 ? [id] : [],
    );
  });
  return tasks.sort();
}

test("a deadline is missed by the working days from it to the finish, and a later one is not", () => {
  const row = model.plan.tasks.findIndex(({ id }) => id === "tidepool-cases");
  const finish = model.schedule.of(row)?.finish.day as number;
  const days = daysBetween(model, row, finish - 7, finish);
  const missed = after({
    kind: "changeTask",
    id: "tidepool-cases",
    set: { deadline: formatDay(finish - 7), finishNotAfter: formatDay(finish) },
  });
  expect(kindsOf(missed, "tidepool-cases")).toEqual([`deadline ${days}`]);
  expect(kindsOf(after({ kind: "changeTask", id: "tidepool-cases", set: { deadline: formatDay(finish) } }), "tidepool-cases")).toEqual([]);
});

test("a start that is too late is reported with its delay", () => {
  const row = model.plan.tasks.findIndex(({ id }) => id === "tidepool-cases");
  const start = model.schedule.of(row)?.start.day as number;
  const early = after({ kind: "changeTask", id: "tidepool-cases", set: { notAfter: formatDay(start - 7) } });
  expect(kindsOf(early, "tidepool-cases")).toEqual(["notAfter 5"]);
  expect(kindsOf(after({ kind: "changeTask", id: "tidepool-cases", set: { notAfter: formatDay(start) } }), "tidepool-cases")).toEqual([]);
});

test("a project past its deadline says so of the project, not of a task", () => {
  const finish = model.schedule.projects[model.plan.projects.findIndex(({ id }) => id === "slowlight")].finish.day;
  const made = after({ kind: "changeProject", id: "slowlight", set: { deadline: formatDay(finish - 1) } });
  const own = conflictsOf(made.schedule).filter(({ projectId }) => projectId === "slowlight");
  expect(own).toEqual([{ kind: "projectDeadline", projectId: "slowlight", ticks: 480 }]);
});

test("always: the tasks that finish after a deadline are the ones that are named", () => {
  let named = 0;
  for (let seed = 51; seed < 81; seed++) {
    const plan = tangledPlan(seed);
    const found = conflictsOf(buildModel(plan).schedule).filter(({ kind }) => kind === "deadline" || kind === "finishNotAfter");
    const expected = late(plan);
    // Less than a day late is late as well, though it finishes on the day.
    const ids = found.flatMap(({ taskId, ticks }) => (taskId !== undefined && ticks >= 480 ? [taskId] : []));
    for (const id of ids) expect(expected, `seed ${seed}`).toContain(id);
    for (const id of expected)
      expect(
        found.map(({ taskId }) => taskId),
        `seed ${seed}`,
      ).toContain(id);
    named += expected.length;
  }
  expect(named).toBeGreaterThan(30);
});
