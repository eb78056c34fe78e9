// Splits an assignment at a date: one side stays, the other goes to someone else or waits as an opening.
import * as z from "zod";
import { formatDay, parseDay } from "../calendar/day.ts";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import { type Assignment, rowSchemas } from "../plan/schema.ts";
import { stated } from "../values/stated.ts";
import { addedRow, changedRow, type EditKind } from "./kind.ts";
import { taskNameOf } from "./words.ts";

const { from, hours } = rowSchemas.assignments.shape;
const schema = z.strictObject({
  kind: z.literal("splitAssignment"),
  id: z.string(),
  /** First day of the later side. */
  date: from.unwrap(),
  gives: z.enum(["earlier", "later"]),
  newId: z.string(),
  /** The person who gets the reassigned side; null leaves it unassigned. */
  personId: z.string().nullable(),
  /** Role of the side that is left open. */
  roleId: z.string().optional(),
  /** Calendar days by which typed periods have moved with their task since they were typed. */
  shiftDays: z.int().min(-100_000).max(100_000).optional(),
  /** Of work stated as a total, how much of it goes along. */
  hours: hours.optional(),
});

type Split = z.infer<typeof schema>;

export const splitAssignment: EditKind<Split> & { schema: typeof schema } = {
  schema,
  changes: (plan, edit) => {
    const assignment = findRow(plan.assignments, edit.id);
    if (!assignment) return { fault: faultText.gone("assignment") };
    if (assignment.materialId !== undefined) return { fault: faultText.notHere("a material") };
    if (findRow(plan.tasks, assignment.taskId)?.sizing === "effort") return { fault: faultText.notSplit() };
    const roleId = edit.roleId ?? assignment.roleId;
    const total = assignment.hours;
    if (total !== undefined && (edit.hours === undefined || edit.hours > total)) return { fault: faultText.splitHours(total) };
    const [kept, given] = edit.gives === "later" ? sidesOf(assignment, edit) : sidesOf(assignment, edit).reverse();
    // The stated remaining hours belong to the side that has begun.
    const { personId: _, teamId: __, remaining: ___, ...rest } = { ...assignment, ...given };
    const added = {
      ...rest,
      id: edit.newId,
      ...(edit.personId !== null && { personId: edit.personId }),
      ...(roleId !== undefined && { roleId }),
      ...(total !== undefined && { hours: edit.hours }),
    };
    const stays = changedRow(plan, "assignments", edit.id, {
      ...kept,
      ...(total !== undefined && { hours: round(total - (edit.hours ?? 0)), ...remainingAfter(assignment, edit.hours ?? 0) }),
    });
    const comes = addedRow(plan, "assignments", stated(added), null);
    if ("fault" in stays) return stays;
    return "fault" in comes ? comes : { changes: [...stays.changes, ...comes.changes] };
  },
  words: (plan, { id, date }) => `split "${taskNameOf(plan, id)}" on ${date}`,
};

/** The stated remaining hours without those that are given. */
function remainingAfter({ remaining }: Assignment, given: number): Pick<Assignment, "remaining"> {
  return remaining ? { remaining: { ...remaining, hours: Math.max(0, round(remaining.hours - given)) } } : {};
}

/** The dates of the two sides: before `date`, and from it on. Typed buckets go to the side in which they start. */
function sidesOf({ custom, to, from }: Assignment, { date, shiftDays = 0 }: Split): Pick<Assignment, "from" | "to" | "custom">[] {
  const before = formatDay(parseDay(date) - 1);
  if (!custom)
    return [
      { from, to: before },
      { from: date, to },
    ];
  const asTyped = formatDay(parseDay(date) - shiftDays);
  return [{ custom: custom.filter((bucket) => bucket.from < asTyped) }, { custom: custom.filter((bucket) => bucket.from >= asTyped) }];
}

const round = (value: number) => Math.round(value * 100) / 100;
