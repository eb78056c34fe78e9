// Gives a way of looking at a screen a name; one of the same name on that screen is replaced.
import * as z from "zod";
import { rowSchemas } from "../plan/schema.ts";
import { addedRow, changedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("saveView"), view: rowSchemas.views });

export const saveView: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { view }) => {
    const known = plan.views.find(({ name, screen }) => name === view.name && screen === view.screen);
    return known ? changedRow(plan, "views", known.id, { query: view.query }) : addedRow(plan, "views", view, null);
  },
  words: (_, { view }) => `save the view "${view.name}"`,
};
