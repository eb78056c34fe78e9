// Sets what the plan says of itself: name, currency, week, horizon, level band, margin goal.
import * as z from "zod";
import { SETTINGS_ID } from "../plan/lists.ts";
import { changedSchemas } from "../plan/schema.ts";
import { changedRow, type EditKind, settable } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("changeSettings"),
  set: z.strictObject(settable(changedSchemas.settings, ["id"])),
});

export const changeSettings: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { set }) => changedRow(plan, "settings", SETTINGS_ID, set),
  words: (_, { set }) => (set.name !== undefined && Object.keys(set).length === 1 ? "rename the plan" : "change the plan’s settings"),
};
