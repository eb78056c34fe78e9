// Remedies as a screen lists them: what each step does, to whose work, what it results in and who has to agree.

import type { RemedyKind } from "../balancing/kinds.ts";
import { type NamedEffect, namedEffect } from "../balancing/namedEffect.ts";
import type { Proposal } from "../balancing/overloadCase.ts";
import type { Remedy } from "../balancing/remedies.ts";
import { type Day, parseDay } from "../calendar/day.ts";
import type { EditOf, SingleEdit } from "../edits/edit.ts";
import type { Model } from "../model.ts";
import { placedIn } from "../placing/placements.ts";
import type { Money } from "../plan/moneySides.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { Assignment, Person, Plan, Task, TimeOff } from "../plan/schema.ts";

/** One step in the terms of the plan; what does not apply to its kind is null. */
export interface RemedyStep {
  kind: RemedyKind;
  taskName: string | null;
  projectName: string | null;
  recipientName: string | null;
  /** The day from which on it holds, and the last. */
  from: Day | null;
  to: Day | null;
  /** Working days that work begins later; of overtime, on how many days it is. */
  days: number | null;
  /** The stated value and the new one: working days of a task, a share of the day, hours reassigned of all. */
  before: number | null;
  after: number | null;
  /** The unit of both values. */
  unit: "days" | "percent" | "hours" | "hoursPerDay" | null;
  /** Of leave: how a request is answered; null where days are moved. */
  answer: TimeOff["state"] | null;
  /** True if the work is unassigned. */
  isOpening: boolean;
  donorName: string | null;
  /** Of work that is opened to a contractor: minutes that are unassigned then. */
  unassigned: number | null;
}

export interface RemedyLine {
  kind: RemedyKind;
  steps: RemedyStep[];
  edits: SingleEdit[];
  effect: NamedEffect;
  left: number;
  /** Of a remedy for a margin: the margin after it, in hundredths of a percent. */
  marginAfter?: Money<"margin">;
  /** The people whose approval it needs: leads of the work, and people whose days it changes. */
  agree: string[];
  /** The people who give and receive work, and its tasks. */
  donorIds: string[];
  recipientIds: string[];
  taskIds: string[];
}

/** A remedy in names. */
export function remedyLine(
  model: Model,
  { kind, steps, edits, effect, left, marginAfter }: Pick<Remedy, "kind" | "steps" | "edits" | "effect" | "left" | "marginAfter">,
): RemedyLine {
  const { plan } = model;
  return {
    kind,
    steps: steps.map((step) => stepOf(model, step)),
    edits,
    effect: namedEffect(plan, effect),
    left,
    ...(marginAfter !== undefined && { marginAfter }),
    agree: [...new Set(steps.flatMap((step) => whoAgrees(plan, step)))],
    donorIds: [...new Set(steps.flatMap(({ assignmentId }) => findRow(plan.assignments, assignmentId)?.personId ?? []))],
    recipientIds: [...new Set(steps.flatMap(({ recipientId }) => recipientId ?? []))],
    taskIds: [...new Set(steps.flatMap(({ assignmentId }) => findRow(plan.assignments, assignmentId)?.taskId ?? []))],
  };
}

function stepOf(model: Model, { kind, edits, assignmentId, recipientId, taskId }: Proposal): RemedyStep {
  const { plan } = model;
  const assignment = findRow(plan.assignments, assignmentId);
  const task = findRow(plan.tasks, assignment?.taskId ?? taskId);
  const step: RemedyStep = {
    kind,
    taskName: task?.name ?? null,
    projectName: findRow(plan.projects, task?.projectId)?.name ?? null,
    recipientName: findRow(plan.people, recipientId)?.name ?? null,
    from: null,
    to: null,
    days: null,
    before: null,
    after: null,
    unit: null,
    answer: null,
    isOpening: kind === "give" && taskId !== undefined && assignment?.personId === undefined && assignment?.teamId === undefined,
    donorName: findRow(plan.people, assignment?.personId)?.name ?? null,
    unassigned: null,
  };
  Object.assign(step, ...edits.map((edit) => stepDetails(plan, edit, assignment, task)));
  return kind === "contractor" ? { ...step, unassigned: minutesFrom(model, assignment, step.from) } : step;
}

/** The minutes of an assignment from a day on; all of them if no day is stated. */
function minutesFrom({ plan, placements }: Model, assignment: Assignment | undefined, from: Day | null): number {
  const row = rowById(plan.assignments).get(assignment?.id ?? "");
  if (row === undefined) return 0;
  return placements.asked[row] - (from === null ? 0 : placedIn(placements, row, 10_000, Number.NEGATIVE_INFINITY, from));
}

/** The description of the step of an edit. */
function stepDetails(plan: Plan, edit: SingleEdit, assignment: Assignment | undefined, task: Task | undefined): Partial<RemedyStep> {
  switch (edit.kind) {
    case "splitAssignment":
      return { from: parseDay(edit.date) };
    case "addAssignment":
      if (assignment?.hours !== undefined && edit.assignment.hours !== undefined)
        return { before: assignment.hours, after: edit.assignment.hours, unit: "hours" };
      return assignment?.percent !== undefined ? { before: assignment.percent, after: edit.assignment.percent ?? 0, unit: "percent" } : {};
    case "changeAssignment":
      if (edit.id !== assignment?.id) return {};
      if (edit.set.personId === null) return {};
      if (edit.set.from) return { from: parseDay(edit.set.from) };
      return edit.set.percent ? { before: assignment.percent ?? 100, after: edit.set.percent, unit: "percent" } : {};
    case "changeTask":
      return taskStep(edit.set, task);
    case "changePerson":
      return overtimeStep(findRow(plan.people, edit.id), edit.set.overtime ?? []);
    case "setTimeOff":
      return { from: parseDay(edit.timeOff.from), to: parseDay(edit.timeOff.to) };
    case "answerTimeOff": {
      const entry = findRow(plan.people, edit.personId)?.timeOff?.find(({ id }) => id === edit.id);
      const dates = edit.suggested ?? entry;
      return { ...(dates && { from: parseDay(dates.from), to: parseDay(dates.to) }), answer: edit.state };
    }
    case "acceptOverload":
      return { from: parseDay(edit.acceptance.from), to: parseDay(edit.acceptance.to) };
    default:
      return {};
  }
}

/** The entries of overtime that a person does not have yet, as one: from the first day to the last, the most hours a day. */
function overtimeStep(person: Person | undefined, overtime: NonNullable<Person["overtime"]>): Partial<RemedyStep> {
  const known = new Set(person?.overtime?.map(({ id }) => id));
  const added = overtime.filter(({ id }) => !known.has(id));
  if (added.length === 0) return {};
  const days = added.map(({ from, to }) => ({ from: parseDay(from), to: parseDay(to) }));
  return {
    donorName: person?.name ?? null,
    from: Math.min(...days.map(({ from }) => from)),
    to: Math.max(...days.map(({ to }) => to)),
    days: days.reduce((sum, { from, to }) => sum + to + 1 - from, 0),
    after: Math.max(...added.map(({ hoursPerDay }) => hoursPerDay)),
    unit: "hoursPerDay",
  };
}

type TaskSet = EditOf<"changeTask">["set"];

function taskStep(set: TaskSet, task: Task | undefined): Partial<RemedyStep> {
  if (set.staggerDays !== undefined) return { days: (set.staggerDays ?? 0) - (task?.staggerDays ?? 0) };
  if (set.notBefore) return { from: parseDay(set.notBefore) };
  if (set.durationDays) return { before: task?.durationDays ?? null, after: set.durationDays, unit: "days" };
  if (set.start) return { from: parseDay(set.start) };
  return set.finish ? { to: parseDay(set.finish) } : {};
}

function whoAgrees(plan: Plan, { kind, edits, assignmentId, recipientId, taskId }: Proposal): string[] {
  const task = findRow(plan.tasks, findRow(plan.assignments, assignmentId)?.taskId ?? taskId);
  const lead = findRow(plan.people, findRow(plan.projects, task?.projectId)?.leadId)?.name;
  const recipient = findRow(plan.people, recipientId)?.name;
  const own = kind === "overtime" || kind === "timeOff" ? edits.flatMap((edit) => personOf(plan, edit) ?? []) : [];
  return [lead, recipient, ...own].filter((name) => name !== undefined);
}

function personOf(plan: Plan, edit: SingleEdit): string | undefined {
  if (edit.kind === "changePerson") return findRow(plan.people, edit.id)?.name;
  return edit.kind === "setTimeOff" || edit.kind === "answerTimeOff" ? findRow(plan.people, edit.personId)?.name : undefined;
}
