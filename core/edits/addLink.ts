// Links two tasks, of one project or of two.
import * as z from "zod";
import { rowSchemas } from "../plan/schema.ts";
import { addedRow, type EditKind } from "./kind.ts";
import { linkName } from "./words.ts";

const schema = z.strictObject({ kind: z.literal("addLink"), link: rowSchemas.links });

export const addLink: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { link }) => addedRow(plan, "links", link, null),
  words: (plan, { link }) => `link ${linkName(plan, link)}`,
};
