// Sets keys of a team: name, handle, the team above it, members, project, description.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import { changedRow, type EditKind, settable } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("changeTeam"),
  id: z.string(),
  set: z.strictObject(settable(rowSchemas.teams, ["id"])),
});

export const changeTeam: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id, set }) => changedRow(plan, "teams", id, set),
  words: (plan, { id }) => `change the team "${findRow(plan.teams, id)?.name ?? id}"`,
};
