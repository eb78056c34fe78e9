// Ways out for a deadline that is missed: the tasks that decide the finish, one after the other back from it, done in fewer days,
// shared, given to a person with more time, with overtime, without the delay that was put on them, or pinned to earlier dates.
import { type Day, formatDay } from "../calendar/day.ts";
import { TICKS_PER_DAY } from "../calendar/workingLine.ts";
import type { SingleEdit } from "../edits/edit.ts";
import type { Model } from "../model.ts";
import { findRow, membersOf, rowById } from "../plan/rows.ts";
import type { Task } from "../plan/schema.ts";
import { boundsOf, type StartBound } from "../schedule/bounds.ts";
import { SUM, type TaskDates } from "../schedule/dates.ts";
import { delayEdits, isInTotals } from "./delay.ts";
import { sharedEdits } from "./give.ts";
import { measuredOf } from "./measures.ts";
import { isOpenToChange, type OverloadCase, type Proposal, workedDays } from "./overloadCase.ts";
import { bestRecipients } from "./recipients.ts";
import { compareRemedies, grownOf, idsBeside, type Remedy, type RemedyOptions, Trial, type Tried } from "./remedies.ts";

/** The subject of a missed deadline: a task or a project. */
export type Missed = { taskId: string } | { projectId: string };

const [MOST_TASKS, MOST_RECIPIENTS, MOST_TOGETHER] = [12, 3, 3];

/** Ways out, as they are tried. Each is a way only where the deadline is missed by less; two or three together where no single
 * one keeps it. */
export function* searchForDeadline(model: Model, missed: Missed, { today, idStem }: RemedyOptions): Generator<Tried, void> {
  const by = missedTicks(model, missed);
  if (by === 0) return;
  const trial = new Trial(measuredOf(model), { person: 0, range: { start: 0, stop: 0 } });
  const newId = idsBeside(model.plan, idStem);
  let best: Remedy | null = null;
  for (let known: readonly Proposal[] = []; known.length < MOST_TOGETHER; known = best.steps) {
    const least: number = best?.left ?? by;
    const state = trial.after(known);
    if (!state) return;
    let next: Remedy | null = null;
    for (const row of decidingTasks(state, missed, today))
      for (const proposal of proposalsFor(state, row, today, newId)) {
        const remedy = lessMissed(trial, [...known, proposal], missed, least);
        // Of several together the best alone is reported: the others differ from it in one step.
        yield known.length === 0 ? remedy : null;
        if (remedy && (!next || compareByMissed(remedy, next) < 0)) next = remedy;
      }
    if (!next) return;
    if (known.length > 0) yield next;
    best = next;
    if (best.left === 0) return;
  }
}

/** The joint effect of proposals; null if the deadline is missed by as much as before. */
function lessMissed(
  trial: Trial<Pick<OverloadCase, "person" | "range">>,
  proposals: readonly Proposal[],
  missed: Missed,
  by: number,
): Remedy | null {
  const after = trial.after(proposals);
  const left = after && missedTicks(after, missed);
  if (left === null || left >= by) return null;
  const remedy = trial.measured(proposals);
  return remedy && { ...remedy, left };
}

/** Best first: least missed, then least newly over capacity, then as remedies of an overload are. `left` is in ticks. */
export const compareByMissed = (a: Remedy, b: Remedy): number =>
  a.left - b.left || grownOf(a.effect) - grownOf(b.effect) || compareRemedies(a, b);

/** By how many ticks a deadline is missed; 0 where it is kept. */
function missedTicks(model: Model, missed: Missed): number {
  const ticks = model
    .conflicts()
    .filter(({ kind, taskId, projectId }) =>
      "taskId" in missed ? taskId === missed.taskId && (kind === "deadline" || kind === "finishNotAfter") : projectId === missed.projectId,
    )
    .map((conflict) => conflict.ticks);
  return Math.max(0, ...ticks);
}

/** Rows of the tasks that decide when it finishes, the last first, as far back as they are still to be done. */
function decidingTasks({ plan, schedule }: Model, missed: Missed, today: Day | null): number[] {
  const rows: number[] = [];
  const isOpen = (row: number) => plan.tasks[row].state !== "done" && (today === null || (schedule.of(row)?.finish.day ?? 0) >= today);
  let row = "taskId" in missed ? (rowById(plan.tasks).get(missed.taskId) ?? -1) : lastOf({ plan, schedule }, missed.projectId);
  while (row >= 0 && rows.length < MOST_TASKS && !rows.includes(row) && isOpen(row)) {
    rows.push(row);
    const dates = schedule.of(row);
    // A pin is held to no link; what it could be moved up to depends on the last of them.
    const linkId = dates?.driver.kind === "pinned" ? latestBound(schedule, row, dates).linkId : dates?.driver.linkId;
    row = rowById(plan.tasks).get(findRow(plan.links, linkId)?.from ?? "") ?? -1;
  }
  return rows;
}

function lastOf({ plan, schedule }: Pick<Model, "plan" | "schedule">, projectId: string): number {
  const { state, finishDay } = schedule.columns;
  let last = -1;
  plan.tasks.forEach((task, row) => {
    if (task.projectId !== projectId || state[row] === SUM || !schedule.of(row)) return;
    if (last < 0 || finishDay[row] > finishDay[last]) last = row;
  });
  return last;
}

function* proposalsFor(model: Model, row: number, today: Day | null, newId: () => string): Generator<Proposal> {
  const { plan, work, schedule } = model;
  const task = plan.tasks[row];
  if (task.locked || findRow(plan.projects, task.projectId)?.locked) return;
  const taskId = task.id;
  if (task.staggerDays) yield { kind: "delay", edits: [{ kind: "changeTask", id: taskId, set: { staggerDays: null } }], taskId };
  // Work that has begun is not changed before today.
  if (today !== null && (schedule.of(row)?.start.day ?? today) < today) return;
  if (task.sizing === "dates") yield* pinnedEarlier(model, row, today);
  if (isInTotals(model, row)) yield* inFewerDays(task);
  if (task.sizing !== "effort") return;
  const labour = [...membersOf(work.byTask, row)].filter(
    (own) => own < work.assignments && work.person[own] >= 0 && isOpenToChange(model, own),
  );
  for (const own of labour) {
    const assignment = plan.assignments[own];
    for (const recipient of bestRecipients(model, own, workedDays(model, own), MOST_RECIPIENTS)) {
      const recipientId = plan.people[recipient].id;
      yield { kind: "share", edits: sharedEdits(assignment, 0.5, recipientId, newId), assignmentId: assignment.id, recipientId };
      yield {
        kind: "give",
        edits: [{ kind: "reassign", id: assignment.id, personId: recipientId }],
        assignmentId: assignment.id,
        recipientId,
      };
    }
    const { id, overtime = [] } = plan.people[work.person[own]];
    const { start, stop } = workedDays(model, own);
    const entry = { id: newId(), from: formatDay(start), to: formatDay(stop - 1), hoursPerDay: 2 };
    yield { kind: "overtime", edits: [{ kind: "changePerson", id, set: { overtime: [...overtime, entry] } }] };
  }
}

/** Pinned dates moved up, as far as links, constraints and today let them, or half as far. */
function* pinnedEarlier(model: Model, row: number, today: Day | null): Generator<Proposal> {
  const dates = model.schedule.of(row);
  if (!dates || dates.isIdlePin) return;
  const { line, startAt } = dates;
  const least = Math.max(latestBound(model.schedule, row, dates).at, today === null ? 0 : line.place(today, 0));
  const most = Math.floor((startAt - least) / TICKS_PER_DAY);
  for (const days of new Set([most, Math.ceil(most / 2)])) {
    const edits = days > 0 ? delayEdits(model, row, dates, -days) : null;
    if (edits) yield { kind: "delay", edits, taskId: model.plan.tasks[row].id };
  }
}

/** Of all that bounds a task the bound that asks for the latest start, as a start. */
function latestBound(schedule: Model["schedule"], row: number, { startAt, finishAt }: TaskDates): Pick<StartBound, "at" | "linkId"> {
  const asked = boundsOf(schedule, row).map(({ at, linkId, ofFinish }) => ({ at: ofFinish ? at - (finishAt - startAt) : at, linkId }));
  return asked.reduce((latest, own) => (own.at > latest.at ? own : latest), { at: 0, linkId: undefined });
}

/** The same work in three quarters or half of the days. */
function* inFewerDays({ id, sizing, durationDays = 0 }: Task): Generator<Proposal> {
  if (sizing !== "duration") return;
  for (const part of [0.75, 0.5]) {
    const days = Math.ceil(durationDays * part);
    if (days > 0 && days < durationDays) {
      const edits: SingleEdit[] = [{ kind: "changeTask", id, set: { durationDays: days } }];
      yield { kind: "spread", edits, taskId: id };
    }
  }
}
