// Deletes a calendar that nobody and nothing uses.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import { deletedRows, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("deleteCalendar"), id: z.string() });

export const deleteCalendar: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id }) => {
    if (!findRow(plan.calendars, id)) return { fault: faultText.gone("calendar") };
    const goesBy = (row: { calendarId?: string }) => row.calendarId === id;
    const user = plan.people.find(goesBy) ?? plan.projects.find(goesBy) ?? plan.tasks.find(goesBy);
    if (user) return { fault: faultText.calendarHeld(user.name) };
    return { changes: deletedRows(plan, "calendars", (row) => row.id === id) };
  },
  words: (plan, { id }) => `delete the calendar "${findRow(plan.calendars, id)?.name ?? id}"`,
};
