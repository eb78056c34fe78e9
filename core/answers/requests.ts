// Requests for work with their state and history, hours kept apart by project, and the messages that went out.
import type { Day } from "../calendar/day.ts";
import type { Model } from "../model.ts";
import { windowOf } from "../placing/window.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { WorkRequest } from "../plan/schema.ts";
import { isOpening } from "../work/work.ts";

export interface RequestRow {
  request: WorkRequest;
  taskName: string;
  projectId: string;
  projectName: string;
  projectRow: number;
  /** The role or the person that is asked for. */
  wanted: string;
  /** The person offered. */
  offered: string | null;
  /** Null where its work is no longer on the plan, or has no dates. */
  dates: { start: Day; finish: Day } | null;
  /** Waits for the manager, or for the person who asked. */
  isWaiting: boolean;
}

/** Minutes of one project by how sure they are. */
export interface ProjectHours {
  projectId: string;
  name: string;
  projectRow: number;
  asked: number;
  confirmed: number;
  pencilled: number;
  open: number;
}

export interface Requests {
  /** Requests waiting for an answer first, then the newest. */
  rows: RequestRow[];
  /** Of projects that have a person asked for. */
  projects: ProjectHours[];
}

/** All requests for work with state and history, and the hours of their projects by firmness, in minutes. */
export function requestsOf(model: Model): Requests {
  const { plan } = model;
  const rows = plan.requests.map((request) => requestRow(model, request));
  const last = ({ request }: RequestRow) => request.history[request.history.length - 1].at;
  rows.sort((a, b) => Number(b.isWaiting) - Number(a.isWaiting) || last(b).localeCompare(last(a)));
  const concerned = new Set(rows.map(({ projectId }) => projectId));
  return { rows, projects: projectHours(model).filter(({ projectId }) => concerned.has(projectId)) };
}

function requestRow({ plan, schedule, work }: Model, request: WorkRequest): RequestRow {
  const task = findRow(plan.tasks, request.taskId);
  const project = rowById(plan.projects).get(task?.projectId ?? "") ?? -1;
  const row = rowById(plan.assignments).get(request.assignmentId ?? "");
  const dates = row === undefined ? null : schedule.of(work.task[row]);
  const window = dates && row !== undefined ? windowOf(dates, work, row) : null;
  return {
    request,
    taskName: task?.name ?? "",
    projectId: plan.projects[project]?.id ?? "",
    projectName: plan.projects[project]?.name ?? "",
    projectRow: project,
    wanted: findRow(plan.people, request.personId)?.name ?? findRow(plan.roles, request.roleId)?.name ?? "",
    offered: findRow(plan.people, request.offeredId)?.name ?? null,
    dates: window && { start: window.start, finish: window.stop - 1 },
    isWaiting: request.state === "asked" || request.state === "offered",
  };
}

/** The hours of people, teams and openings of every project, by firmness. */
export function projectHours({ plan, work, placements }: Model): ProjectHours[] {
  const hours = plan.projects.map(({ id, name }, projectRow) => ({
    projectId: id,
    name,
    projectRow,
    asked: 0,
    confirmed: 0,
    pencilled: 0,
    open: 0,
  }));
  for (let row = 0; row < work.rows; row++) {
    if (work.isMaterial[row] === 1) continue;
    const firmness = row < work.assignments ? (plan.assignments[row].firmness ?? "confirmed") : "confirmed";
    const key = firmness === "asked" ? "asked" : isOpening(work, row) ? "open" : firmness;
    hours[work.project[row]][key] += placements.asked[row];
  }
  return hours;
}

/** One message of the stand-in for mail. */
export interface Message {
  key: string;
  at: string;
  by: string;
  to: string;
  subject: string;
  text: string;
  /** The request it is a step of; null for a note about a signal. */
  requestId: string | null;
}

const subjects = {
  asked: "Requested",
  offered: "Offered for",
  confirmed: "Confirmed",
  declined: "Declined",
} as const;

/** Every message that a step of a request, or a note about a signal, has sent, the newest first. */
export function outboxOf(model: Model): Message[] {
  const rows = model.plan.requests.map((request) => requestRow(model, request));
  const notes = model.plan.notes.map(({ id, at, by, personId, text }): Message => {
    const [subject, ...rest] = text.split("\n");
    const to = findRow(model.plan.people, personId)?.name ?? personId;
    return { key: `note ${id}`, at, by, to, subject, text: rest.join("\n").trim(), requestId: null };
  });
  const steps = rows.flatMap(({ request, taskName, projectName, wanted }) =>
    request.history.map(({ at, by, to, step, text }, entry) => ({
      key: `${request.id} ${entry}`,
      at,
      by,
      to,
      subject: `${subjects[step]}: ${taskName}, ${projectName}`,
      text: text ?? `${wanted}, ${request.hours} h`,
      requestId: request.id,
    })),
  );
  return [...steps, ...notes, ...enquiryMessages(model)].sort((a, b) => b.at.localeCompare(a.at));
}

const enquirySubjects = {
  received: "We have your enquiry",
  accepted: "We would like to do it",
  approved: "Your enquiry is approved",
  declined: "We cannot take it on",
  reopened: "We are looking at it again",
} as const;

/** The messages sent to those who enquired. */
function enquiryMessages({ plan }: Model): Message[] {
  return plan.enquiries.flatMap(({ id, name, contact, history }) =>
    history.map(({ at, by, step, text }, entry): Message => {
      const to = contact.email === undefined ? contact.name : `${contact.name} <${contact.email}>`;
      const isFromThem = step === "received" && by === contact.name;
      return {
        key: `enquiry ${id} ${entry}`,
        at,
        by: isFromThem ? plan.settings.name : by,
        to,
        subject: `${enquirySubjects[step]}: ${name}`,
        text: text ?? "",
        requestId: null,
      };
    }),
  );
}
