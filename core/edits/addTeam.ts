// Adds a team.
import * as z from "zod";
import { rowSchemas } from "../plan/schema.ts";
import { addedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("addTeam"), team: rowSchemas.teams });

export const addTeam: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { team }) => addedRow(plan, "teams", team, null),
  words: (_, { team }) => `add the team "${team.name}"`,
};
