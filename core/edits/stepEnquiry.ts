// A step of an enquiry: accepted into the pipeline, approved into work, declined with a reason, or reopened. The project
// it has become follows.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import { type Enquiry, rowSchemas } from "../plan/schema.ts";
import { changedRow, type EditKind, type Made, type Settable } from "./kind.ts";

const entry = rowSchemas.enquiries.shape.history.unwrap();
const schema = z.strictObject({
  kind: z.literal("stepEnquiry"),
  id: z.string(),
  /** The step, with the message that is sent. */
  entry,
  /** Of an enquiry that is accepted: the project it has become. */
  projectId: z.string().optional(),
});

type Step = Enquiry["history"][number]["step"];

/** The states in which each step can be made. */
const from: Record<Step, readonly Enquiry["state"][]> = {
  received: [],
  accepted: ["received"],
  approved: ["accepted"],
  declined: ["received", "accepted"],
  reopened: ["declined"],
};

export const stepEnquiry: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id, entry: made, projectId }) => {
    const enquiry = findRow(plan.enquiries, id);
    if (!enquiry) return { fault: faultText.gone("enquiry") };
    if (!from[made.step].includes(enquiry.state)) return { fault: faultText.enquiryAnswered() };
    const history = [...enquiry.history, made];
    const stepped = (set: Settable<"enquiries">): Made => changedRow(plan, "enquiries", id, { history, ...set });
    // An accepted enquiry is about its project, even if the step names another one.
    const project = findRow(plan.projects, made.step === "accepted" ? projectId : enquiry.projectId);
    const withProject = (own: Made, set: Settable<"projects">): Made => {
      const work: Made = project ? changedRow(plan, "projects", project.id, set) : { changes: [] };
      return "fault" in own ? own : "fault" in work ? work : { changes: [...work.changes, ...own.changes] };
    };
    switch (made.step) {
      case "accepted":
        return project ? stepped({ state: "accepted", projectId: project.id }) : { fault: faultText.gone("project") };
      case "approved":
        if (!project) return { fault: faultText.gone("project") };
        return withProject(stepped({ state: "approved" }), { stage: "approved", probability: null });
      case "declined":
        if (!made.text?.trim()) return { fault: faultText.noReason() };
        return withProject(stepped({ state: "declined" }), { stage: "cancelled", probability: null });
      default:
        return stepped({ state: "received", projectId: null });
    }
  },
  words: (plan, { id, entry: { step } }) => `${stepWords[step]} the enquiry "${findRow(plan.enquiries, id)?.name ?? id}"`,
};

const stepWords: Record<Step, string> = {
  received: "receive",
  accepted: "accept",
  approved: "approve",
  declined: "decline",
  reopened: "reopen",
};
