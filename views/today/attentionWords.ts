// Signals in words: what is the matter, its figure, and the one step to what can be done about it.

import type { Redacted } from "../../client/seen.ts";
import { formatDay } from "../../core/calendar/day.ts";
import { TICKS_PER_DAY } from "../../core/calendar/workingLine.ts";
import { lessFigure } from "../../core/plan/moneySides.ts";
import { type Attention, type AttentionGroup, type AttentionKind, WEEKS_AHEAD } from "../../core/signals/kinds.ts";
import { countText, hoursText, lowerFirst, marginText, pointsText, shortDay } from "../../ui/format.ts";
import { conflictText } from "../effect/conflictText.ts";

export const groupWords: Record<AttentionGroup, string> = { people: "People", work: "Work", dates: "Dates", money: "Money" };

/** Every kind as the settings name it. */
export const kindNames: Record<AttentionKind, string> = {
  over: "People over capacity in a week",
  badDay: "People over capacity on single days",
  unbalancedRole: "Roles with overloaded and idle people",
  leaveWaiting: "Leave waiting for an answer",
  leaveClash: "Leave that clashes with work",
  notYetHere: "Work planned before a person joins",
  gone: "Work planned after a person leaves",
  weekMissing: "Weeks without recorded hours",
  hoursWaiting: "Recorded hours waiting for approval",
  openingSoon: "Openings that begin soon",
  requestWaiting: "Requests for people waiting for an answer",
  unplaced: "Hours that cannot be worked",
  noPerson: "Tasks with no person",
  noEstimate: "Tasks with no estimate",
  noDates: "Tasks with no dates",
  noRole: "Tasks with no role",
  nothingLeft: "Tasks with no hours left that are not marked as done",
  missedDeadline: "Deadlines that are missed",
  cannotHold: "Date conflicts",
  startDue: "Tasks that should have started",
  finishDue: "Tasks that should have finished",
  finishAhead: "Tasks marked as done on a day to come",
  slipping: "Projects that finish later than their baseline",
  missingRate: "Work without a rate",
  missingExchangeRate: "Rates without an exchange rate",
  thinMargin: "Margins under their goal",
};

const h = (minutes = 0): string => `${hoursText(minutes)} h`;
const day = (own: number | undefined): string => (own === undefined ? "" : shortDay(own));
const span = ({ from, to }: Redacted<Attention>): string => (from === to ? day(from) : `${day(from)} – ${day(to)}`);
const taskIn = ({ task, project }: Redacted<Attention>): string => `${task} (${project})`;

/** The sentence of a signal. */
export function sentenceOf(signal: Redacted<Attention>): string {
  const { kind, person, minutes, count = 0 } = signal;
  switch (kind) {
    case "over":
      return `${person} is ${h(minutes)} over capacity ${count === 1 ? `in the week of ${day(signal.from)}` : `in ${count} of ${WEEKS_AHEAD} weeks`}.`;
    case "badDay":
      return `${person} is ${h(minutes)} over capacity on single days, week of ${day(signal.from)}.`;
    case "unbalancedRole":
      return `${signal.role}: ${person} is over capacity, ${countText(count, "other is", "others are")} nearly idle.`;
    case "leaveWaiting":
      return `${person} asks for leave, ${span(signal)}. Nothing is planned then.`;
    case "leaveClash":
      return signal.requestId === undefined
        ? `${person} is away until ${day(signal.from)}, with ${h(minutes)} of work.`
        : `${person} asks for leave, ${span(signal)}, with ${h(minutes)} of work.`;
    case "notYetHere":
      return `${person} has ${h(minutes)} of work before joining on ${day(signal.from)}.`;
    case "gone":
      return `${person} has ${h(minutes)} of work after leaving on ${day(signal.from)}.`;
    case "weekMissing":
      return `${person} has recorded no hours in the week of ${day(signal.from)}.`;
    case "hoursWaiting":
      return `Hours of ${countText(count, "week wait", "weeks wait")} for approval, since ${day(signal.from)}.`;
    case "openingSoon":
      return `${taskIn(signal)} has ${h(minutes)} of ${signal.role} unassigned, from ${day(signal.from)}.`;
    case "requestWaiting":
      return `${person} is waiting for an answer about ${signal.role}: ${h(minutes)} of ${taskIn(signal)}.`;
    case "unplaced":
      return `${h(minutes)} of ${taskIn(signal)} fall on days without working time.`;
    case "noPerson":
      return `${taskIn(signal)}: ${h(minutes)} unassigned${alsoText(signal)}.`;
    case "noEstimate":
      return `${taskIn(signal)} has no estimate${alsoText(signal)}.`;
    case "noDates":
      return `${taskIn(signal)} has no dates${alsoText(signal)}.`;
    case "noRole":
      return `${taskIn(signal)} has an effort and no role${alsoText(signal)}.`;
    case "missedDeadline":
    case "cannotHold":
      return `${signal.task === undefined ? signal.project : taskIn(signal)}: ${heldText(signal)}${signal.also ? `, and ${countText(signal.also.length, "more date")}` : ""}`;
    case "nothingLeft":
      return `${taskIn(signal)} has no hours left and is not marked as done.`;
    case "startDue":
      return `${taskIn(signal)} should have started by now.`;
    case "finishDue":
      return `${taskIn(signal)} should have finished on ${day(signal.from)}.`;
    case "finishAhead":
      return `${taskIn(signal)} is marked as done on ${day(signal.from)}, a day to come.`;
    case "slipping":
      return `${signal.project} now finishes on ${day(signal.from)}, ${countText(signal.days ?? 0, "working day")} later than its baseline.`;
    case "missingRate":
      return `${signal.project}: ${countText(count, "assignment has", "assignments have")} no rate${peopleText(signal)}.`;
    case "missingExchangeRate":
      return `${signal.project}: ${countText(count, "assignment has", "assignments have")} a rate in a currency without an exchange rate${peopleText(signal)}.`;
    case "thinMargin":
      return `${signal.project} makes a margin of ${marginText(signal.share ?? 0)}; its goal is ${marginText(signal.goal ?? 0)}.`;
  }
}

function heldText({ conflict, days = 0 }: Redacted<Attention>): string {
  return conflict ? lowerFirst(conflictText({ kind: conflict, ticks: days * TICKS_PER_DAY })) : "";
}

const lackWords: Partial<Record<AttentionKind, string>> = { noPerson: "unassigned", noEstimate: "no estimate", noRole: "no role" };

/** The other missing fields of a task: ", no estimate and no role". */
function alsoText({ also = [] }: Redacted<Attention>): string {
  const words = also.flatMap((kind) => lackWords[kind] ?? []);
  const last = words.pop();
  if (last === undefined) return "";
  return words.length > 0 ? `, ${words.join(", ")} and ${last}` : ` and ${last}`;
}

const workText = ({ task, project, count = 1 }: Redacted<Attention>): string =>
  count > 1 ? `${task} and ${countText(count - 1, "other assignment", "other assignments")}` : `${task} (${project})`;

/** The subject of a signal in more words, if the sentence leaves it out; else empty. */
export function detailOf(signal: Redacted<Attention>): string {
  const { kind, others = [], count = 0, requestId } = signal;
  if (kind === "notYetHere" || kind === "gone" || (kind === "leaveClash" && requestId === undefined)) return workText(signal);
  if (kind !== "unbalancedRole") return "";
  const more = count > others.length ? `, and ${count - others.length} more` : "";
  return `${others.map(({ name, minutes }) => `${name}: ${h(minutes)} free`).join(", ")}${more}`;
}

function peopleText({ others = [] }: Redacted<Attention>): string {
  if (others.length === 0) return "";
  return `: ${others
    .slice(0, 3)
    .map(({ name }) => name)
    .join(", ")}${others.length > 3 ? " and others" : ""}`;
}

/** The figure that a signal is weighed by; empty where it has none. */
export function figureOf({ kind, minutes, days, share, goal, count }: Redacted<Attention>): string {
  if (kind === "thinMargin") return `−${pointsText(lessFigure(goal ?? 0, share ?? 0))}`;
  if (kind === "missingRate" || kind === "missingExchangeRate") return String(count);
  if (days !== undefined && days > 0) return countText(days, "day");
  return minutes === undefined ? "" : h(minutes);
}

/** One step: what it is called, and where it leads. */
export interface SignalStep {
  text: string;
  path: string;
  more: Record<string, string>;
}

export function stepOf(signal: Redacted<Attention>): SignalStep {
  const { kind, personId = "", taskId, projectId = "", assignmentId = "", requestId = "" } = signal;
  const person = `/people/person/${encodeURIComponent(personId)}`;
  const cell = signal.from !== undefined && signal.to !== undefined ? `${personId}@${formatDay(signal.from)}_${formatDay(signal.to)}` : "";
  switch (kind) {
    case "over":
    case "badDay":
      return { text: "Options", path: "/balance", more: { cell } };
    case "unbalancedRole":
      return { text: "Even out", path: "/balance", more: { even: `role:${signal.roleId}` } };
    case "leaveWaiting":
      return { text: "Answer", path: "/people/leave", more: { request: `${personId}:${requestId}` } };
    case "leaveClash":
      return requestId !== ""
        ? { text: "Answer", path: "/people/leave", more: { request: `${personId}:${requestId}` } }
        : waysOut(person, assignmentId);
    case "notYetHere":
    case "gone":
      return waysOut(person, assignmentId);
    case "unplaced":
      return personId === "" ? task(projectId, taskId) : waysOut(person, assignmentId);
    case "openingSoon":
      return { text: "Find people", path: "/openings", more: { opening: assignmentId || (taskId ?? "") } };
    case "requestWaiting":
      return { text: "Answer", path: "/openings/requests", more: { request: requestId } };
    case "weekMissing":
      return { text: "Open the week", path: "/week", more: { person: personId, week: formatDay(signal.from ?? 0) } };
    case "hoursWaiting":
      return { text: "Approve", path: "/week/approval", more: {} };
    case "slipping":
      return { text: "See the causes", path: "/money/earned", more: { row: projectId } };
    case "missingRate":
    case "missingExchangeRate":
      return { text: "Rates", path: "/rates", more: {} };
    case "thinMargin":
      return { text: "Options to improve it", path: "/money/margin", more: { project: projectId } };
    case "missedDeadline":
      return { ...task(projectId, taskId ?? "project"), text: "Options" };
    default:
      return task(projectId, taskId);
  }
}

const waysOut = (path: string, assignmentId: string): SignalStep => ({
  text: "Options",
  path,
  more: { part: `unplaced:${assignmentId}` },
});

function task(projectId: string, taskId: string | undefined): SignalStep {
  const path = `/work/${encodeURIComponent(projectId)}`;
  return taskId === undefined ? { text: "Open the project", path, more: {} } : { text: "Open the task", path, more: { task: taskId } };
}
