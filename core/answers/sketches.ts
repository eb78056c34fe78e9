// Sketches: what each holds and what of it can still be made; and the plan next to some of them, by the same figures.
import { measuredOf } from "../balancing/measures.ts";
import type { Day } from "../calendar/day.ts";
import { horizonOf, wholePeriods } from "../calendar/horizon.ts";
import { marginOf } from "../cost/costs.ts";
import { costOfUnassignedTime } from "../cost/paidTime.ts";
import type { Change } from "../edits/change.ts";
import { stepRows } from "../edits/stepRows.ts";
import { forecastOf } from "../forecast/forecast.ts";
import { defaultCounting } from "../load/counting.ts";
import { utilizationPercent } from "../load/totals.ts";
import type { Model } from "../model.ts";
import type { Money } from "../plan/moneySides.ts";
import { copyName } from "../plan/names.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { ChangedList, Plan, Sketch } from "../plan/schema.ts";
import { movesOf } from "../schedule/moves.ts";
import { sketched, sketchedModel } from "../sketch/sketch.ts";
import { isSame } from "../values/same.ts";

export interface SketchRow {
  id: string;
  name: string;
  by: string;
  at: string;
  changes: number;
  /** Number of changes that can no longer be made. */
  lost: number;
  /** Number of changes whose fields the plan has changed since they were recorded. */
  editConflicts: number;
}

/** All sketches, the newest first. */
export function sketchesOf({ plan }: Pick<Model, "plan">): SketchRow[] {
  return plan.sketches
    .map(({ id, name, by, at, edits }): SketchRow => {
      const entries = sketchEntries({ plan }, id) ?? [];
      const lost = entries.filter(({ fault }) => fault !== null).length;
      return { id, name, by, at, changes: edits.length, lost, editConflicts: entries.filter(isChangedSince).length };
    })
    .sort((a, b) => b.at.localeCompare(a.at));
}

/** A field that a change of a sketch sets. Values are undefined where a row does not state the field. */
export interface SketchCell {
  field: string;
  /** In the plan when the change was recorded, in the plan as it is now, and in the sketch. */
  saw: unknown;
  now: unknown;
  yours: unknown;
  /** True where the plan has another value than when the change was recorded. */
  isChangedSince: boolean;
}

export interface SketchRowChange {
  list: ChangedList;
  id: string;
  name: string;
  sort: "added" | "changed" | "deleted";
  /** Of a changed row. */
  cells: SketchCell[];
}

export interface SketchEntry {
  id: string;
  words: string;
  /** The reason why it can no longer be made; null if it can. */
  fault: string | null;
  /** The rows that it changes, from one value to another; the first ones of many. */
  rows: SketchRowChange[];
  /** Number of rows that it changes. */
  count: number;
}

/** Rows of one change that are listed. */
const MOST_ROWS = 12;

/** The changes of a sketch in their order; null where there is no such sketch. */
export function sketchEntries({ plan }: Pick<Model, "plan">, sketchId: string): SketchEntry[] | null {
  const sketch = findRow(plan.sketches, sketchId);
  if (!sketch) return null;
  const { faults, byEntry } = sketched(plan, sketch);
  return sketch.edits.map(({ id, words, saw = [] }, at) => ({
    id,
    words,
    fault: faults[at],
    rows: rowChanges(plan, byEntry[at].slice(0, MOST_ROWS), saw),
    count: byEntry[at].length,
  }));
}

function rowChanges(plan: Plan, changes: readonly Change[], saw: NonNullable<Sketch["edits"][number]["saw"]>): SketchRowChange[] {
  const seen = new Map(saw.map((cell) => [`${cell.list} ${cell.id} ${cell.field}`, cell.value]));
  return stepRows(changes).map(({ cells, ...row }, at) => ({
    ...row,
    name: nameOfWork(plan, changes[at]) ?? row.name,
    cells: cells.map(({ field, before, after }): SketchCell => {
      const key = `${row.list} ${row.id} ${field}`;
      const former = seen.has(key) ? seen.get(key) : before;
      return { field, saw: former, now: before, yours: after, isChangedSince: !isSame(former, before) };
    }),
  }));
}

/** Work has no name of its own: it is called as its task. */
function nameOfWork({ tasks }: Plan, { before, after }: Change): string | undefined {
  const row = after ?? before;
  return row && "taskId" in row ? findRow(tasks, row.taskId)?.name : undefined;
}

const isChangedSince = ({ rows }: SketchEntry): boolean => rows.some(({ cells }) => cells.some((cell) => cell.isChangedSince));

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
      // Work is in the rows of its task and of the person who has it.
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
  /** Load of everyone over their capacity, over the horizon. */
  used: number | null;
  unplaced: number;
  /** Cost of all projects, with what the unassigned time of added people costs at their rate. */
  cost: Money<"cost">;
  /** That unassigned time alone. */
  addedPeople: Money<"cost">;
  revenue: Money<"bill">;
  margin: Money<"margin"> | null;
  /** By role, as the horizon shows it by month from today on, pipeline by its probability: the expected shortage, and the
   * shortage at the 80th percentile of demand; roles without either are left out. Minutes. */
  shortage: { roleName: string; expected: number; at80: number }[];
  /** Projects that finish on another day than in the plan. */
  finishes: { name: string; before: number; after: number }[];
}

/** The plan and some sketches side by side. Ids of sketches that are gone are left out. @param today The forecast's first day. */
export function compareSketches(model: Model, { ids, today }: { ids: readonly string[]; today: Day }): SketchFigures[] {
  const sketches = ids.flatMap((id) => findRow(model.plan.sketches, id) ?? []);
  return [
    figuresOf(model, model, today, { id: null, name: model.plan.settings.name }),
    ...sketches.map((sketch) => figuresOf(sketchedModel(model, sketch), model, today, sketch)),
  ];
}

/** The forecast shortage of each role from a day on, by month. */
function shortageByRole(model: Model, today: Day): SketchFigures["shortage"] {
  const { start, stop } = horizonOf(model.plan);
  const range = { start: Math.min(Math.max(start, today), stop - 1), stop };
  const { groups } = forecastOf(model, wholePeriods(model.plan, { range, grain: "month" }));
  return groups.flatMap(({ expectedShortage, p80, capacity }, role) => {
    const expected = expectedShortage.reduce((sum, own) => sum + own, 0);
    const at80 = p80.reduce((sum, own, p) => sum + Math.max(0, own - capacity[p]), 0);
    return expected + at80 > 0 ? [{ roleName: model.plan.roles[role].name, expected, at80 }] : [];
  });
}

/** Time of people that the plan before does not have, where nothing is assigned to it. */
function costOfAddedPeople(model: Model, before: Model): number {
  const known = rowById(before.plan.people);
  const horizon = horizonOf(model.plan);
  return model.plan.people.reduce((sum, { id }, row) => (known.has(id) ? sum : sum + costOfUnassignedTime(model, row, horizon)), 0);
}

function figuresOf(model: Model, before: Model, today: Day, { id, name }: Pick<SketchFigures, "id" | "name">): SketchFigures {
  const { plan } = model;
  const { peakOver, overWeeks, unplaced, cost: ofProjects, revenue } = measuredOf(model).totals;
  const addedPeople = costOfAddedPeople(model, before);
  const cost = ofProjects + addedPeople;
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
    addedPeople,
    revenue,
    margin: marginOf(revenue, cost),
    shortage: shortageByRole(model, today),
    finishes,
  };
}
