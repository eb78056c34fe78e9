// Answers a request for work: offers a person, confirms, or turns it down with a reason. The work on the plan follows.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import { changedRow, deletedRows, type EditKind, type Made, type Settable } from "./kind.ts";

const entry = rowSchemas.requests.shape.history.unwrap();
const schema = z.strictObject({
  kind: z.literal("answerRequest"),
  id: z.string(),
  /** The step, with the message that is sent. */
  entry,
  /** The person offered, or confirmed if nobody was offered or requested by name. */
  personId: z.string().optional(),
});

type Answer = z.infer<typeof schema>;

export const answerRequest: EditKind<Answer> & { schema: typeof schema } = {
  schema,
  changes: (plan, edit) => {
    const request = findRow(plan.requests, edit.id);
    if (!request) return { fault: faultText.gone("request") };
    if (request.state === "confirmed" || request.state === "declined" || request.assignmentId === undefined)
      return { fault: faultText.answered() };
    const history = [...request.history, edit.entry];
    const answered = (set: Settable<"requests">): Made =>
      changedRow(plan, "requests", edit.id, { state: edit.entry.step, history, ...set });
    const together = (work: Made, asked: Made): Made =>
      "fault" in work ? work : "fault" in asked ? asked : { changes: [...work.changes, ...asked.changes] };
    switch (edit.entry.step) {
      case "offered":
        return edit.personId === undefined ? { fault: faultText.nobodyNamed() } : answered({ offeredId: edit.personId });
      case "confirmed": {
        const personId = edit.personId ?? request.offeredId ?? request.personId;
        if (personId === undefined) return { fault: faultText.nobodyNamed() };
        const set: Settable<"assignments"> = { personId, teamId: null, firmness: "confirmed" };
        return together(changedRow(plan, "assignments", request.assignmentId, set), answered({ offeredId: null }));
      }
      case "declined": {
        if (!edit.entry.text?.trim()) return { fault: faultText.noReason() };
        const gone = deletedRows(plan, "assignments", (row) => row.id === request.assignmentId);
        return together({ changes: gone }, answered({ offeredId: null, assignmentId: null }));
      }
      default:
        return { fault: faultText.answered() };
    }
  },
  words: (plan, { id, entry: { step } }) => {
    const task = findRow(plan.tasks, findRow(plan.requests, id)?.taskId)?.name ?? "";
    return `${{ offered: "offer a person for", confirmed: "confirm the request for", declined: "decline the request for", asked: "request" }[step]} "${task}"`;
  },
};
