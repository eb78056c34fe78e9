// Sets keys of a person: name, roles, skills, calendar, patterns, employment.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import { changedRow, type EditKind, settable } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("changePerson"),
  id: z.string(),
  set: z.strictObject(settable(rowSchemas.people, ["id"])),
});

export const changePerson: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id, set }) => changedRow(plan, "people", id, set),
  words: (plan, { id }) => `change ${findRow(plan.people, id)?.name ?? id}`,
};
