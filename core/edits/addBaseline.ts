// Takes a baseline: what projects promise now is kept, and later edits leave it as it is.
import * as z from "zod";
import { parseDay } from "../calendar/day.ts";
import { buildModel } from "../model.ts";
import { faultText } from "../plan/faults.ts";
import { rowById } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import { recordedOf } from "../recorded/recorded.ts";
import { takeBaseline } from "../status/takeBaseline.ts";
import { addedRow, type EditKind } from "./kind.ts";

const { id, name, note, takenOn: date } = rowSchemas.baselines.shape;
const schema = z.strictObject({
  kind: z.literal("addBaseline"),
  id,
  name,
  note,
  /** Left out for all of them, cancelled ones excepted. */
  projectIds: z.array(z.string()).min(1).max(10_000).optional(),
  /** The day it is, where the plan does not state the status date. */
  asOf: date.optional(),
});

export const addBaseline: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id: own, name: called, note: said, projectIds, asOf }) => {
    const rows = rowById(plan.projects);
    const chosen = projectIds ?? plan.projects.flatMap((project) => (project.stage === "cancelled" ? [] : [project.id]));
    const projects = chosen.flatMap((projectId) => rows.get(projectId) ?? []);
    if (projects.length < chosen.length) return { fault: faultText.gone("project") };
    const model = buildModel(plan, recordedOf(plan, asOf === undefined ? undefined : parseDay(asOf)));
    return addedRow(plan, "baselines", takeBaseline(model, { id: own, name: called, note: said }, new Set(projects)), null);
  },
  words: (_, { name: called }) => `take the baseline "${called}"`,
};
