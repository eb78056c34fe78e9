// The plan as a sketch would have it: its changes made in their order on top of the plan, those that no longer can be left out.
import type { Change } from "../edits/change.ts";
import { applyEdit, type Edit, type EditTogether, editSchema, type SingleEdit } from "../edits/edit.ts";
import { stepRows } from "../edits/stepRows.ts";
import { singleEdits } from "../edits/together.ts";
import type { Model } from "../model.ts";
import type { Fault } from "../plan/faults.ts";
import { MOST_WITHIN } from "../plan/limits.ts";
import { findRow } from "../plan/rows.ts";
import type { Plan, Sketch } from "../plan/schema.ts";
import { updateModel } from "../update/update.ts";
import { known } from "../values/lookUp.ts";
import { onceFor } from "../values/once.ts";

/** The result of a sketch's changes. */
export interface Sketched {
  plan: Plan;
  changes: Change[];
  /** By change of the sketch, what it changes. */
  byEntry: Change[][];
  /** By change, why it can no longer be made; null where it can. */
  faults: (string | null)[];
}

/** Kinds of edits that are about the plan's own book-keeping: they are made at once, no matter which sketch is open. */
const ownKinds: ReadonlySet<Edit["kind"]> = new Set<Edit["kind"]>([
  "addSketch",
  "renameSketch",
  "deleteSketch",
  "drawInSketch",
  "eraseFromSketch",
  "snoozeSignal",
  "wakeSignal",
  "sendNote",
  "addBaseline",
  "deleteBaseline",
  "saveView",
  "deleteView",
]);

/** True of an edit that is made in the plan itself while a sketch is open. */
export const isOfPlanItself = (edit: Edit): boolean => singleEdits(edit).some(({ kind }) => ownKinds.has(kind));

/** An edit that was recorded; null for what is none, or is about sketches itself. */
export function readEdit(written: Sketch["edits"][number]["edit"]): Edit | null {
  const checked = editSchema.safeParse(written);
  return checked.success && !isOfPlanItself(checked.data) ? checked.data : null;
}

/** Makes the changes of a sketch on a plan, which stays as it is. The same sketch on the same plan is worked out once. */
export const sketched = (plan: Plan, { edits }: Pick<Sketch, "edits">): Sketched => sketchedOf(plan)(edits);

const sketchedOf = onceFor((plan: Plan) => onceFor((edits: Sketch["edits"]) => applied(plan, edits)));

function applied(plan: Plan, edits: Sketch["edits"]): Sketched {
  const result: Sketched = { plan, changes: [], byEntry: [], faults: [] };
  for (const { edit: written } of edits) {
    const edit = readEdit(written);
    const outcome = edit && applyEdit(result.plan, edit);
    const changes = outcome?.plan ? [...outcome.changes] : [];
    result.plan = outcome?.plan ?? result.plan;
    result.changes.push(...changes);
    result.byEntry.push(changes);
    result.faults.push(outcome === null ? NOT_READ : (outcome.faults[0]?.message ?? null));
  }
  return result;
}

const NOT_READ = "Another version of the application wrote it, and this version cannot read it.";

/** The model of a plan with a sketch on top of it; worked out once, too. */
export const sketchedModel = (model: Model, { edits }: Pick<Sketch, "edits">): Model => modelsOf(model)(edits);

const modelsOf = onceFor((model: Model) =>
  onceFor((edits: Sketch["edits"]) => {
    const { plan, changes } = sketched(model.plan, { edits });
    return changes.length === 0 ? model : updateModel(model, plan, changes);
  }),
);

/** The model with one of the plan's own sketches on top, by its id; the model itself for null, and where there is no such sketch. */
export function modelUnder(model: Model, sketchId: string | null): Model {
  const sketch = findRow(model.plan.sketches, sketchId ?? undefined);
  return sketch ? sketchedModel(model, sketch) : model;
}

/** The edit that records another edit in a sketch, and its changes there; or why it cannot be made there.
 * @param entryId The id of what is recorded. */
export function recordedEdit(
  plan: Plan,
  sketch: Sketch,
  edit: Edit,
  entryId: string,
): { edit: Edit; changes: readonly Change[] } | { faults: readonly Fault[] } {
  const outcome = applyEdit(sketched(plan, sketch).plan, edit);
  if (!outcome.plan) return { faults: outcome.faults };
  const seen = stepRows(outcome.changes).flatMap(({ list, id, cells }) =>
    cells.map(({ field, before }) => ({ list, id, field, value: before })),
  );
  // Fields without a value are left out, as they are in a file.
  const [written, saw] = JSON.parse(JSON.stringify([edit, seen.slice(0, MOST_WITHIN.seen)]));
  const entry = { id: entryId, words: outcome.words.slice(0, 300), edit: written, ...(saw.length > 0 && { saw }) };
  return { edit: { kind: "drawInSketch", id: sketch.id, entry }, changes: outcome.changes };
}

/** The edit that adopts changes of a sketch: they are made in the plan, and taken out of the sketch; and how many they are. Null
 * where none of them can be made.
 * @param entryIds Ids of the changes; those that cannot be made stay in the sketch. */
export function adoptEdit(plan: Plan, sketchId: string, entryIds: ReadonlySet<string>): { edit: EditTogether; count: number } | null {
  const sketch = findRow(plan.sketches, sketchId);
  if (!sketch) return null;
  const wanted = sketch.edits.filter(({ id }) => entryIds.has(id));
  const { faults } = sketched(plan, { edits: wanted });
  const made = wanted.filter((_, at) => faults[at] === null);
  if (made.length === 0) return null;
  const edits = made.flatMap(({ edit }) => singleEdits(known(readEdit(edit), "edit of a change that can be made")));
  const words = made.length === 1 ? made[0].words : `adopt ${made.length} changes of the sketch "${sketch.name}"`;
  const erased: SingleEdit = { kind: "eraseFromSketch", id: sketchId, entryIds: made.map(({ id }) => id) };
  return { edit: { kind: "together", words: words.slice(0, 300), edits: [...edits, erased] }, count: made.length };
}
