// Sets keys of a calendar: its name, its week, its exceptions.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import { changedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("changeCalendar"),
  id: z.string(),
  set: rowSchemas.calendars.omit({ id: true }).partial(),
});

export const changeCalendar: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id, set }) => changedRow(plan, "calendars", id, { ...findRow(plan.calendars, id), ...set }),
  words: (plan, { id }) => `change the calendar "${findRow(plan.calendars, id)?.name ?? id}"`,
};
