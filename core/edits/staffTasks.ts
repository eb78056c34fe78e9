// Gives the open work of many tasks to one person: their openings, and the rest of their efforts.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import type { Change } from "./change.ts";
import { changedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("staffTasks"),
  personId: z.string(),
  /** Ids of openings that they take. */
  openings: z.array(z.string()).max(20_000),
  /** New assignments, for what no opening states. */
  assignments: z.array(rowSchemas.assignments).max(20_000),
});

export const staffTasks: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { personId, openings, assignments }) => {
    if (!findRow(plan.people, personId)) return { fault: faultText.gone("person") };
    const changes: Change[] = [];
    for (const id of new Set(openings)) {
      const made = changedRow(plan, "assignments", id, { personId, teamId: null });
      if ("fault" in made) return made;
      changes.push(...made.changes);
    }
    return {
      changes: [
        ...changes,
        ...assignments.map((row): Change => ({ list: "assignments", id: row.id, before: null, after: row, next: null })),
      ],
    };
  },
  words: (plan, { personId }) => `assign unassigned work to ${findRow(plan.people, personId)?.name ?? personId}`,
};
