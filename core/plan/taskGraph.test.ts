// The order of dating, on plans where everything depends on everything.
import fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { largePlan } from "../../demo/large.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import type { Link, Plan } from "./schema.ts";
import { forFollowers, graphOf, isSummary, isUnscheduled, leavesOf, linkCycle } from "./taskGraph.ts";

/** The place of each task in the order; every task is there once. */
function placesOf(plan: Plan): number[] {
  const { order } = graphOf(plan);
  expect([...order].sort((a, b) => a - b)).toEqual(plan.tasks.map((_, row) => row));
  const places: number[] = [];
  order.forEach((row, at) => {
    places[row] = at;
  });
  return places;
}

test("always: a task is after all it waits for, and a summary after its children", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 10_000 }), (seed) => {
      const plan = tangledPlan(seed);
      const graph = graphOf(plan);
      const places = placesOf(plan);
      plan.tasks.forEach((_, row) => {
        const isOut = (at: number) => isUnscheduled(graph, plan.tasks[at], at);
        if (!isOut(row))
          forFollowers(graph, row, (follower) => {
            if (!isOut(follower)) expect(places[follower]).toBeGreaterThan(places[row]);
          });
        if (graph.parent[row] >= 0) expect(places[graph.parent[row]]).toBeGreaterThan(places[row]);
      });
    }),
    { numRuns: 25 },
  );
});

test("where no task waits for a later one, the order is that of the plan", () => {
  const plan = largePlan({ people: 4, projects: 3, tasks: 60, assignments: 10, links: 90 }, 3);
  expect([...graphOf(plan).order]).toEqual(plan.tasks.map((_, row) => row));
});

test("links read backwards through the plan are followed as well", () => {
  const plan = largePlan({ people: 4, projects: 1, tasks: 30, assignments: 0, links: 0 }, 3);
  const ids = plan.tasks.map(({ id }) => id);
  const links = ids.slice(1).map((id, at): Link => ({ id: `back-${at}`, from: id, to: ids[at], kind: "FS" }));
  expect([...graphOf({ ...plan, links }).order]).toEqual(plan.tasks.map((_, row) => plan.tasks.length - 1 - row));
});

test("the leaves below a summary are all that depend on it, and a leaf is its own", () => {
  const plan = fernhollow();
  const graph = graphOf(plan);
  const below = (id: string): string[] => {
    const children = plan.tasks.filter(({ parentId }) => parentId === id);
    return children.length === 0 ? [id] : children.flatMap((child) => below(child.id));
  };
  plan.tasks.forEach(({ id }, row) => {
    expect(
      leavesOf(graph, row).map((leaf) => plan.tasks[leaf].id),
      id,
    ).toEqual(below(id));
    expect(isSummary(graph, row)).toBe(plan.tasks.some(({ parentId }) => parentId === id));
  });
});

test("tasks on a cycle are named in the direction of the links, those that merely wait for it are not", () => {
  const base = largePlan({ people: 4, projects: 1, tasks: 6, assignments: 0, links: 0 }, 3);
  const [a, b, c, d] = base.tasks.map(({ id }) => id);
  const link = (from: string, to: string): Link => ({ id: `${from}-${to}`, from, to, kind: "SS" });
  const circle = linkCycle({ ...base, links: [link(a, b), link(b, c), link(c, a), link(c, d)] }) ?? [];
  expect(circle[0]).toBe(circle.at(-1));
  expect(new Set(circle)).toEqual(new Set([a, b, c]));
  for (let at = 1; at < circle.length; at++) expect([`${a}${b}`, `${b}${c}`, `${c}${a}`]).toContain(`${circle[at - 1]}${circle[at]}`);
  expect(linkCycle({ ...base, links: [link(a, b), link(b, c), link(c, d)] })).toBeNull();
  const waiting = base.tasks.map((task) => (task.id === b ? { id: b, projectId: task.projectId, name: task.name } : task));
  expect(linkCycle({ ...base, tasks: waiting, links: [link(a, b), link(b, c), link(c, a)] })).toBeNull();
});
