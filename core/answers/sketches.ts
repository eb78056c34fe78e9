// Sketches: what each holds and what of it can still be made; and the plan beside some of them, by the same figures.
import { measuredOf } from "../balancing/measures.ts";
import { horizonOf } from "../calendar/horizon.ts";
import { marginOf } from "../cost/costs.ts";
import { shortageByRole } from "../forecast/shortage.ts";
import { defaultCounting } from "../load/counting.ts";
import { utilizationPercent } from "../load/totals.ts";
import type { Model } from "../model.ts";
import { copyName } from "../plan/names.ts";
import { findRow } from "../plan/rows.ts";
import type { ChangedList, Sketch } from "../plan/schema.ts";
import { movesOf } from "../schedule/moves.ts";
import { sketched, sketchedModel } from "../sketch/sketch.ts";

export interface SketchRow {
  id: string;
  name: string;
  by: string;
  at: string;
  changes: number;
  /** How many of them cannot be made any longer. */
  lost: number;
}

/** All sketches, the newest first. */
export function sketchesOf({ plan }: Pick<Model, "plan">): SketchRow[] {
  return plan.sketches
    .map(({ id, name, by, at, edits }): SketchRow => {
      const lost = sketched(plan, { edits }).faults.filter((fault) => fault !== null).length;
      return { id, name, by, at, changes: edits.length, lost };
    })
    .sort((a, b) => b.at.localeCompare(a.at));
}

export interface SketchEntry {
  id: string;
  words: string;
  /** Why it cannot be made any longer; null where it can. */
  fault: string | null;
}

/** The changes of a sketch in their order; null where there is no such sketch. */
export function sketchEntries({ plan }: Pick<Model, "plan">, sketchId: string): SketchEntry[] | null {
  const sketch = findRow(plan.sketches, sketchId);
  if (!sketch) return null;
  const { faults } = sketched(plan, sketch);
  return sketch.edits.map(({ id, words }, at) => ({ id, words, fault: faults[at] }));
}

/** A sketch of the same changes under ids of its own; null where there is no such sketch. */
export function sketchCopy(
  { plan }: Pick<Model, "plan">,
  { sketchId, ...own }: { sketchId: string } & Pick<Sketch, "id" | "by" | "at">,
): Sketch | null {
  const sketch = findRow(plan.sketches, sketchId);
  if (!sketch) return null;
  return {
    ...sketch,
    ...own,
    name: copyName(sketch.name, plan.sketches),
    edits: sketch.edits.map((entry, at) => ({ ...entry, id: `${own.id}-${at + 1}` })),
  };
}

/** Rows that a sketch adds or changes, for marking them. */
export function sketchMarks({ plan }: Pick<Model, "plan">, sketchId: string): { list: ChangedList; id: string }[] {
  const sketch = findRow(plan.sketches, sketchId);
  if (!sketch) return [];
  const marks = new Map<string, { list: ChangedList; id: string }>();
  const mark = (list: ChangedList, id: string | undefined) => {
    if (id !== undefined) marks.set(`${list} ${id}`, { list, id });
  };
  for (const { list, id, before, after } of sketched(plan, sketch).changes) {
    mark(list, id);
    for (const row of [before, after]) {
      // Work stands in the rows of its task and of whoever has it.
      if (row && "taskId" in row) mark("tasks", row.taskId);
      if (row && "personId" in row) mark("people", row.personId);
    }
  }
  return [...marks.values()];
}

/** The figures of the plan, or of the plan with a sketch on top of it. Minutes, minor units, hundredths of a percent. */
export interface SketchFigures {
  /** Null of the plan itself. */
  id: string | null;
  name: string;
  peakOver: number;
  overWeeks: number;
  /** Load of everybody over their capacity, over the horizon. */
  used: number | null;
  unplaced: number;
  cost: number;
  revenue: number;
  margin: number | null;
  /** What roles lack, week by week, summed over the horizon; roles that lack nothing are left out. */
  shortage: { roleName: string; minutes: number }[];
  /** Projects that finish on another day than in the plan. */
  finishes: { name: string; before: number; after: number }[];
}

/** The plan and some sketches side by side. Ids of sketches that are gone are left out. */
export function compareSketches(model: Model, ids: readonly string[]): SketchFigures[] {
  const sketches = ids.flatMap((id) => findRow(model.plan.sketches, id) ?? []);
  return [
    figuresOf(model, model, { id: null, name: model.plan.settings.name }),
    ...sketches.map((sketch) => figuresOf(sketchedModel(model, sketch), model, sketch)),
  ];
}

function figuresOf(model: Model, before: Model, { id, name }: Pick<SketchFigures, "id" | "name">): SketchFigures {
  const { plan } = model;
  const { peakOver, overWeeks, unplaced, cost, revenue } = measuredOf(model).totals;
  const lacking = shortageByRole(model, horizonOf(plan));
  const shortage = plan.roles.flatMap((role, row) => (lacking[row] > 0 ? [{ roleName: role.name, minutes: lacking[row] }] : []));
  const finishes =
    model === before ? [] : movesOf(before, model).projects.map(({ name: own, before: was, after }) => ({ name: own, before: was, after }));
  return {
    id,
    name,
    peakOver,
    overWeeks,
    used: utilizationPercent(model, model.load(defaultCounting), horizonOf(plan)),
    unplaced,
    cost,
    revenue,
    margin: marginOf(revenue, cost),
    shortage,
    finishes,
  };
}
