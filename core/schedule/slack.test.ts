// The backward pass, why a date is what it is, links and moves, on the demo plan and on random ones.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { largePlan } from "../../demo/large.ts";
import { whyOf } from "../answers/why.ts";
import { dropOf } from "../bars/drop.ts";
import { formatDay, parseDay } from "../calendar/day.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { buildModel, type Model } from "../model.ts";
import { rowById } from "../plan/rows.ts";
import { scheduleReport } from "../reports/schedule.ts";
import { movesOf } from "./moves.ts";

const model = buildModel(fernhollow());
const rowOf = (from: Model, id: string) => rowById(from.plan.tasks).get(id) as number;

function after(edit: Edit, from: Model = model): Model {
  const outcome = applyEdit(from.plan, edit);
  if (!outcome.plan) throw new Error(outcome.faults.map(({ message }) => message).join(" "));
  return buildModel(outcome.plan);
}

test.each([21, 22, 23])("delaying a task by its slack moves no project, by its free slack moves nothing else (seed %i)", (seed) => {
  const plan = largePlan({ people: 10, projects: 3, tasks: 60, assignments: 80, links: 70 }, seed);
  const from = buildModel(plan);
  let tried = 0;
  plan.tasks.forEach((task, row) => {
    const [dates, slack] = [from.schedule.of(row), from.slack().of(row)];
    if (!dates || !slack || dates.isSummary || task.sizing !== "duration" || task.staggerDays !== undefined || slack.total <= 0) return;
    tried++;
    const delayed = (ticks: number) => after({ kind: "changeTask", id: task.id, set: { staggerDays: ticks / 480 } }, from);
    const late = delayed(slack.total);
    expect(
      late.schedule.projects.map(({ finish }) => finish),
      task.id,
    ).toEqual(from.schedule.projects.map(({ finish }) => finish));
    const moved = movesOf(from, delayed(slack.free), new Set([task.id])).tasks.filter(({ taskId }) => {
      const own = from.plan.tasks[rowOf(from, taskId)];
      return own.sizing !== "effort";
    });
    expect(moved, task.id).toEqual([]);
  });
  expect(tried).toBeGreaterThan(5);
});

test("slack is never less than free slack, and a summary shows the tightest of what is below it", () => {
  const { plan, schedule } = model;
  const slack = model.slack();
  plan.tasks.forEach((task, row) => {
    const own = slack.of(row);
    expect(own === null).toBe(schedule.of(row) === null);
    if (!own) return;
    expect(own.free).toBeGreaterThanOrEqual(0);
    if (own.total >= 0) expect(own.free).toBeLessThanOrEqual(own.total);
    const children = plan.tasks.flatMap((child, at) => (child.parentId === task.id ? [slack.of(at)?.total ?? Infinity] : []));
    if (children.length > 0) expect(own.total).toBe(Math.min(...children));
  });
});

test("the report names what cannot hold, and by how much", () => {
  const { conflicts } = scheduleReport(model);
  expect(conflicts.find(({ taskId }) => taskId === "rivers-opening")).toMatchObject({ kind: "deadline", ticks: 4 * 480 });
  expect(conflicts.find(({ projectId }) => projectId === "rivers")).toMatchObject({ kind: "projectDeadline" });
  expect(conflicts.find(({ kind }) => kind === "link")).toEqual({
    kind: "link",
    taskId: "slowlight-demo",
    linkId: "drawings-fs-demo",
    ticks: 6 * 480,
  });
  expect(model.slack().of(rowOf(model, "rivers-opening"))?.total).toBe(-4 * 480);
});

test("why names every bound, the deciding one first, and what would decide without it", () => {
  const why = whyOf(model, "tidepool-cases");
  expect(why?.bounds[0]).toMatchObject({ kind: "link", isDeciding: true, link: { fromName: "Order materials", kind: "FS" } });
  expect(why?.bounds.filter(({ isDeciding }) => isDeciding)).toHaveLength(1);
  expect(why?.bounds.at(-1)?.kind).toBe("projectStart");
  const without = after({ kind: "deleteLink", id: why?.bounds[0].link?.id as string });
  expect(without.schedule.of(rowOf(without, "tidepool-cases"))?.start.day).toBe(why?.without);
  const pinned = whyOf(model, "tidepool-rockpools");
  expect(pinned?.bounds[0]).toMatchObject({ kind: "pinned", isDeciding: true });
  const staggered = whyOf(after({ kind: "changeTask", id: "tidepool-cases", set: { staggerDays: 2 } }), "tidepool-cases");
  expect(staggered?.bounds[0]).toMatchObject({ kind: "stagger", isDeciding: true });
  expect(whyOf(model, "tidepool-fabrication")).toBeNull();
  expect(whyOf(model, "tidepool-braille")).toBeNull();
});

test("of effort-sized work, why names whose absence stretches it", () => {
  const away = after({
    kind: "setTimeOff",
    personId: "bo",
    timeOff: { id: "x", from: "2027-02-02", to: "2027-02-03", kind: "sick", state: "approved" },
  });
  expect(whyOf(away, "ravenholt-survey")?.stretches).toEqual([{ personName: "Bo Hallberg", days: 2, minutes: 960 }]);
});

test("a link that would close a cycle is refused, with the names of the tasks on it", () => {
  const edit: Edit = { kind: "addLink", link: { id: "x", from: "tidepool-cases", to: "tidepool-order", kind: "FS" } };
  const outcome = applyEdit(model.plan, edit);
  expect(outcome.plan).toBeNull();
  expect(outcome.faults[0].message).toMatch(
    /^This would create a cycle: .*"Order materials".*"Cases and plinths"|"Cases and plinths".*"Order materials"/,
  );
  const nested = applyEdit(model.plan, { kind: "moveTask", id: "tidepool-fabrication", parentId: "tidepool-scenic", next: null });
  expect(nested.plan).toBeNull();
});

test("moves say which dates moved, from when to when, and because of what", () => {
  const next = after({ kind: "changeTask", id: "tidepool-order", set: { durationDays: 6 } });
  const { tasks, projects } = movesOf(model, next, new Set(["tidepool-order"]));
  const cases = tasks.find(({ taskId }) => taskId === "tidepool-cases");
  expect(cases?.because).toEqual({ kind: "link", fromName: "Order materials" });
  expect(cases && [formatDay(cases.before.start), formatDay(cases.after.start)]).toEqual(["2027-02-10", "2027-02-15"]);
  expect(tasks.some(({ taskId }) => taskId === "tidepool-order")).toBe(false);
  expect(projects.every(({ before, after: now }) => before !== now)).toBe(true);
  expect(movesOf(model, model)).toEqual({ tasks: [], projects: [] });
});

test("deleting a task can join its neighbours, so that the order stays", () => {
  const edit: Edit = { kind: "deleteTask", id: "tidepool-scenic", joins: true };
  const next = after(edit);
  const into = model.plan.links.filter(({ to }) => to === "tidepool-scenic").map(({ from }) => from);
  const outOf = model.plan.links.filter(({ from }) => from === "tidepool-scenic").map(({ to }) => to);
  expect(into.length * outOf.length).toBeGreaterThan(0);
  for (const from of into) for (const to of outOf) expect(next.plan.links.some((link) => link.from === from && link.to === to)).toBe(true);
});

test("a task moves below another and before another; one with people on it does not become a summary unseen", () => {
  const next = after({ kind: "moveTask", id: "tidepool-scenic", parentId: "tidepool-fabrication", next: "tidepool-order" });
  const order = next.plan.tasks.map(({ id }) => id);
  expect(order.indexOf("tidepool-scenic")).toBe(order.indexOf("tidepool-order") - 1);
  expect(new Set(order)).toEqual(new Set(model.plan.tasks.map(({ id }) => id)));
  expect(next.schedule.projects).toEqual(model.schedule.projects);
  const nested = applyEdit(model.plan, { kind: "moveTask", id: "tidepool-scenic", parentId: "tidepool-cases", next: null });
  expect(nested.faults[0]?.message).toMatch(/"Cases and plinths" has people assigned/);
});

test("every way a drop offers puts the task on the day, and says what it leaves behind", () => {
  for (const [id, day, ways] of [
    ["tidepool-scenic", "2027-03-03", ["stagger", "link", "pin"]],
    ["tidepool-scenic", "2027-02-17", ["link", "pin"]],
    ["tidepool-rockpools", "2027-02-15", ["move"]],
    ["tidepool-leading", "2026-12-07", ["notBefore", "pin"]],
    ["ravenholt-survey", "2027-02-03", ["notBefore"]],
  ] as const) {
    const drop = dropOf(model, id, parseDay(day));
    expect(
      drop?.options.map(({ way }) => way),
      `${id} ${day}`,
    ).toEqual(ways);
    for (const { edit, way } of drop?.options ?? []) {
      const next = after(edit);
      expect(formatDay(next.schedule.of(rowOf(next, id))?.start.day as number), `${id} by ${way}`).toBe(day);
    }
  }
  expect(dropOf(model, "tidepool-scenic", model.schedule.of(rowOf(model, "tidepool-scenic"))?.start.day as number)).toBeNull();
  expect(dropOf(model, "tidepool-fabrication", parseDay("2027-03-03"))).toBeNull();
});

test("always: what a start would be without what decides it is what comes of taking that away", () => {
  for (const { id } of model.plan.tasks.slice(0, 80)) {
    const why = whyOf(model, id);
    const [first] = why?.bounds ?? [];
    if (!why || !first?.link || why.without === null) continue;
    const without = after({ kind: "deleteLink", id: first.link.id });
    expect(without.schedule.of(rowOf(without, id))?.start.day, id).toBe(why.without);
    expect(why.without, id).toBeLessThanOrEqual(why.start);
    if (first.link.lagDays > 0) expect(why.withoutLag, id).not.toBeNull();
  }
});
