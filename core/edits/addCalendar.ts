// Adds a calendar.
import * as z from "zod";
import { rowSchemas } from "../plan/schema.ts";
import { addedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("addCalendar"), calendar: rowSchemas.calendars });

export const addCalendar: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { calendar }) => addedRow(plan, "calendars", calendar, null),
  words: (_, { calendar }) => `add the calendar "${calendar.name}"`,
};
