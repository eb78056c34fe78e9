// From an enquiry to a project: its tasks from a template or from hours by role, its places open; and to another start once it
// is approved.
import { parseDay } from "../calendar/day.ts";
import { lineFinder } from "../calendar/lines.ts";
import { applyEdit, type EditTogether, type SingleEdit } from "../edits/edit.ts";
import { movedDatesEdit } from "../edits/movedDates.ts";
import { movedProject } from "../forecast/movedProject.ts";
import type { Model } from "../model.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { Assignment, Enquiry, Plan, Project, Task } from "../plan/schema.ts";
import { updateModel } from "../update/update.ts";
import { lookUp } from "../values/lookUp.ts";
import { projectFrom } from "./copyProject.ts";

/** The details of accepting an enquiry. */
export interface AcceptOptions {
  enquiryId: string;
  /** Percent. */
  probability: number;
  /** The first day; the requested one where nothing is said, else `today`. */
  start?: string;
  today: string;
  /** Begins the ids of what is made. */
  idStem: string;
  by: string;
  at: string;
  /** The message that is sent. */
  text?: string;
}

/** Hours of a day, where only hours say how long work takes. */
const DAY_HOURS = 8;

/** The edit that accepts an enquiry into the pipeline: a client where it names one that is not there, a project with its tasks
 * and openings, and the step. Null where there is no such enquiry, or no calendar. */
export function acceptEdit(model: Model, options: AcceptOptions): EditTogether | null {
  const { plan } = model;
  const enquiry = findRow(plan.enquiries, options.enquiryId);
  const [calendar] = plan.calendars;
  if (!enquiry || !calendar) return null;
  const start = options.start ?? enquiry.wishedStart ?? options.today;
  const client = clientOf(plan, enquiry, options.idStem);
  const table = (kind: "cost" | "bill") => plan.rateTables.find((own) => own.kind === kind)?.id;
  const [costTableId, billTableId] = [table("cost"), table("bill")];
  const project: Project = {
    id: `${options.idStem}-p`,
    name: enquiry.name,
    calendarId: findRow(plan.templates, enquiry.templateId)?.calendarId ?? calendar.id,
    stage: "pipeline",
    probability: options.probability,
    start,
    ...(client && { clientId: client.id }),
    ...(costTableId !== undefined && { costTableId }),
    ...(billTableId !== undefined && { billTableId }),
    ...(enquiry.wishedFinish !== undefined && enquiry.wishedFinish >= start && { deadline: enquiry.wishedFinish }),
    ...(enquiry.purpose !== undefined && { description: enquiry.purpose }),
    ...(enquiry.value !== undefined && { billing: { kind: "fixedFee", fee: enquiry.value } }),
  };
  const { idStem, by, at, text } = options;
  const template = findRow(plan.templates, enquiry.templateId);
  const entry = { at, by, step: "accepted" as const, ...(text !== undefined && { text }) };
  const edits: SingleEdit[] = [
    ...(client?.isNew ? [{ kind: "addNamed" as const, list: "clients" as const, row: { id: client.id, name: client.name } }] : []),
    template
      ? projectFrom(model, { project, source: { templateId: template.id }, keepsPeople: false, idStem })
      : { kind: "addProject", project, ...workOf(model, enquiry, project, idStem), links: [] },
    { kind: "stepEnquiry", id: enquiry.id, projectId: project.id, entry },
  ];
  return { kind: "together", words: `accept the enquiry "${enquiry.name}"`, edits };
}

/** The client it is for: the one chosen, one of the name that was written, or a new one of that name. */
function clientOf(plan: Plan, { clientId, contact }: Enquiry, idStem: string): { id: string; name: string; isNew: boolean } | null {
  const chosen = findRow(plan.clients, clientId);
  if (chosen) return { ...chosen, isNew: false };
  const { organisation } = contact;
  if (organisation === undefined) return null;
  const known = plan.clients.find(({ name }) => name.toLowerCase() === organisation.toLowerCase());
  return known ? { ...known, isNew: false } : { id: `${idStem}-c`, name: organisation, isNew: true };
}

export interface AsProjectQuery {
  enquiryId: string;
  /** The first day; as requested, or as its project is, where nothing is said. */
  start?: string;
  today: string;
}

/** The project an enquiry would be if it came for certain: of an accepted one its project as it is now, of another one as it
 * would be made, in a plan of its own. Null where there is no such enquiry, or it has been declined. */
export function enquiryAsProject(model: Model, { enquiryId, start, today }: AsProjectQuery): { model: Model; row: number } | null {
  const enquiry = findRow(model.plan.enquiries, enquiryId);
  if (!enquiry || enquiry.state === "declined") return null;
  const known = rowById(model.plan.projects).get(enquiry.projectId ?? "");
  if (known !== undefined) return { model, row: known };
  const [idStem, at] = [`as-if-${enquiryId}`, enquiry.history[0].at];
  const edit = acceptEdit(model, { enquiryId, probability: 100, start, today, idStem, by: enquiry.contact.name, at });
  const outcome = edit && applyEdit(model.plan, edit);
  if (!outcome?.plan) return null;
  const next = updateModel(model, outcome.plan, outcome.changes);
  return { model: next, row: lookUp(rowById(next.plan.projects), `${idStem}-p`) };
}

/** A task and an opening for each role, over the requested days, or as long as one person would take. */
function workOf(
  { plan, lines }: Model,
  { hours = [], wishedFinish }: Enquiry,
  { id, start, calendarId }: Project,
  idStem: string,
): { tasks: Task[]; assignments: Assignment[] } {
  const line = lineFinder(plan, lines)(calendarId);
  const requestedTicks = wishedFinish === undefined ? 0 : line.indexOf(parseDay(wishedFinish) + 1) - line.indexOf(parseDay(start));
  const known = hours.filter(({ roleId }) => rowById(plan.roles).has(roleId));
  const tasks = known.map(
    ({ roleId, hours: own }, at): Task => ({
      id: `${idStem}-t${at + 1}`,
      projectId: id,
      name: findRow(plan.roles, roleId)?.name ?? roleId,
      sizing: "duration",
      durationDays: requestedTicks > 0 ? requestedTicks : Math.max(1, Math.ceil(own / DAY_HOURS)),
      roleId,
    }),
  );
  const assignments = known.map(
    ({ roleId, hours: own }, at): Assignment => ({ id: `${idStem}-a${at + 1}`, taskId: tasks[at].id, roleId, hours: own }),
  );
  return { tasks, assignments };
}

export interface ApproveOptions {
  enquiryId: string;
  /** The first day of the work; as it is now where nothing is said. */
  start?: string;
  by: string;
  at: string;
  text?: string;
}

/** The edit that approves an accepted enquiry: its project moves to the start as a whole, and is approved. Null where it has
 * none. */
export function approveEdit({ plan }: Model, { enquiryId, start, by, at, text }: ApproveOptions): EditTogether | null {
  const enquiry = findRow(plan.enquiries, enquiryId);
  const row = rowById(plan.projects).get(enquiry?.projectId ?? "");
  if (!enquiry || row === undefined) return null;
  const days = start === undefined ? 0 : parseDay(start) - parseDay(plan.projects[row].start);
  const entry = { at, by, step: "approved" as const, ...(text !== undefined && { text }) };
  const edits = [...movedProject(plan, row, days).flatMap(movedDatesEdit), { kind: "stepEnquiry" as const, id: enquiryId, entry }];
  return { kind: "together", words: `approve the enquiry "${enquiry.name}"`, edits };
}
