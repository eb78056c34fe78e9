// Adds a skill that people can have and work can ask for.
import * as z from "zod";
import { rowSchemas } from "../plan/schema.ts";
import { addedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("addSkill"), skill: rowSchemas.skills });

export const addSkill: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { skill }) => addedRow(plan, "skills", skill, null),
  words: (_, { skill }) => `add the skill "${skill.name}"`,
};
