// Asks for a role or a person on a task: the request with its first step, and the hours as asked for.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import { addedRow, type EditKind } from "./kind.ts";
import { assigneeName } from "./words.ts";

const schema = z.strictObject({
  kind: z.literal("askWork"),
  request: rowSchemas.requests,
  assignment: rowSchemas.assignments,
});

export const askWork: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { request, assignment }) => {
    const isOne = request.assignmentId === assignment.id && request.taskId === assignment.taskId && assignment.firmness === "asked";
    if (!isOne || request.state !== "asked") return { fault: faultText.notOneRequest() };
    const work = addedRow(plan, "assignments", assignment, null);
    const asked = addedRow(plan, "requests", request, null);
    if ("fault" in work) return work;
    return "fault" in asked ? asked : { changes: [...work.changes, ...asked.changes] };
  },
  words: (plan, { assignment }) => `request ${assigneeName(plan, assignment)} for "${findRow(plan.tasks, assignment.taskId)?.name ?? ""}"`,
};
