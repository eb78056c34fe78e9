// The tasks of a plan as a graph: outline, links, and an order in which they can be dated (Kahn 1962).
import { columnOf, flagsOf, type Grouping, groupRows, rowById } from "./rows.ts";
import type { Plan, Task } from "./schema.ts";

/** Outline and links by row number; −1 represents none. */
export interface TaskGraph {
  /** By task row: the summary it lies in. */
  parent: Int32Array;
  children: Grouping;
  /** By link row: the task rows at its ends. */
  from: Int32Array;
  to: Int32Array;
  /** Link rows by the task they lead into, and by the one they come from. */
  into: Grouping;
  outOf: Grouping;
  /** Task rows, each after all it waits for: a leaf for the predecessors of its links and of its summaries' links, a
   * summary for its children. A leaf without sizing waits for nothing, and no link waits for it. Shorter than the plan's tasks when links run in a cycle. */
  order: Int32Array;
}

/** Lays out the graph of a plan whose references all lead somewhere. */
export function graphOf({ tasks, links }: Plan): TaskGraph {
  const rows = rowById(tasks);
  const row = (id: string | undefined) => (id === undefined ? -1 : (rows.get(id) ?? -1));
  const parent = columnOf(tasks, ({ parentId }) => row(parentId));
  const from = columnOf(links, (link) => row(link.from));
  const to = columnOf(links, (link) => row(link.to));
  const graph = {
    parent,
    children: groupRows(parent, tasks.length),
    from,
    to,
    into: groupRows(to, tasks.length),
    outOf: groupRows(from, tasks.length),
    order: new Int32Array(0),
  };
  const ignored = flagsOf(tasks, (task, at) => isUnscheduled(graph, task, at));
  return { ...graph, order: orderOf(graph, ignored) };
}

/** True of a leaf without sizing: it has no dates, and links to and from it are ignored. */
export function isUnscheduled(graph: Pick<TaskGraph, "children">, { sizing }: Task, row: number): boolean {
  return sizing === undefined && !isSummary(graph, row);
}

/** True if the task of a row has subtasks. */
export function isSummary({ children }: Pick<TaskGraph, "children">, row: number): boolean {
  return children.first[row] < children.first[row + 1];
}

/** Calls back for the rows of the leaves below a task; for a leaf, with itself. */
export function forLeaves(graph: TaskGraph, row: number, visit: (leaf: number) => void): void {
  const { first, members } = graph.children;
  if (first[row] === first[row + 1]) visit(row);
  else for (let at = first[row]; at < first[row + 1]; at++) forLeaves(graph, members[at], visit);
}

/** The rows of the leaves below a task; for a leaf, itself. */
export function leavesOf(graph: TaskGraph, row: number): number[] {
  const leaves: number[] = [];
  forLeaves(graph, row, (leaf) => leaves.push(leaf));
  return leaves;
}

/** Calls back for every task that waits for this one: its summary, and the leaves its links lead to. */
export function forFollowers(graph: TaskGraph, row: number, visit: (follower: number) => void): void {
  const { parent, outOf, to, children } = graph;
  if (parent[row] >= 0) visit(parent[row]);
  for (let at = outOf.first[row]; at < outOf.first[row + 1]; at++) {
    const next = to[outOf.members[at]];
    if (children.first[next] === children.first[next + 1]) visit(next);
    else forLeaves(graph, next, visit);
  }
}

/** Calls back likewise, except for what links at unscheduled leaves would lead to. */
function forWaiting(graph: TaskGraph, isIgnored: (row: number) => boolean, row: number, visit: (follower: number) => void): void {
  if (!isIgnored(row))
    forFollowers(graph, row, (follower) => {
      if (!isIgnored(follower)) visit(follower);
    });
  else if (graph.parent[row] >= 0) visit(graph.parent[row]);
}

/** @param ignored By task row 1 where it has no dates. */
function orderOf(graph: TaskGraph, ignored: Uint8Array): Int32Array {
  const count = graph.parent.length;
  const isIgnored = (row: number) => ignored[row] === 1;
  const waits = new Int32Array(count);
  for (let row = 0; row < count; row++)
    forWaiting(graph, isIgnored, row, (follower) => {
      waits[follower]++;
    });
  const order = new Int32Array(count);
  let [length, done] = [0, 0];
  for (let row = 0; row < count; row++) {
    if (waits[row] > 0) continue;
    order[length++] = row;
    // Rows that become ready behind this row follow at once, rows ahead are reached later: the order stays close to that of the
    // rows, and a pass reads its columns from one end to the other.
    for (; done < length; done++)
      forWaiting(graph, isIgnored, order[done], (follower) => {
        if (--waits[follower] === 0 && follower < row) order[length++] = follower;
      });
  }
  return order.subarray(0, length);
}

/** The ids of tasks on a cycle of links, first one repeated at the end; null when there is none. */
export function linkCycle(plan: Plan): string[] | null {
  const graph = graphOf(plan);
  if (graph.order.length === plan.tasks.length) return null;
  const done = new Uint8Array(plan.tasks.length);
  for (const row of graph.order) done[row] = 1;
  // Everything that is left waits for something that is left too: going back from any of them must come round.
  const waitsFor = new Int32Array(plan.tasks.length).fill(-1);
  let row = -1;
  for (let from = 0; from < done.length; from++) {
    if (done[from] === 1) continue;
    forFollowers(graph, from, (follower) => {
      waitsFor[follower] = from;
    });
    row = from;
  }
  const path: number[] = [];
  while (!path.includes(row)) {
    path.push(row);
    row = waitsFor[row];
  }
  return [...path.slice(path.indexOf(row)), row].reverse().map((at) => plan.tasks[at].id);
}
