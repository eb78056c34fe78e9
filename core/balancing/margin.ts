// Options to improve a project's margin: its work reassigned to people who cost less, have the role and the skills, and have room
// on those days; several swaps together if one alone does not reach the goal.
import type { Day } from "../calendar/day.ts";
import { costOfMinutes } from "../cost/labour.ts";
import { marginGoal, projectMargin } from "../cost/margin.ts";
import { costRole, rateBookOf } from "../cost/rateBook.ts";
import { defaultCounting } from "../load/counting.ts";
import { fitting, roomDays } from "../load/room.ts";
import type { Model } from "../model.ts";
import { rowById } from "../plan/rows.ts";
import { needOf } from "../staffing/need.ts";
import { splitEdit } from "./give.ts";
import { measuredOf } from "./measures.ts";
import { isOpenToChange, type Proposal, workedDays } from "./overloadCase.ts";
import { mayTake } from "./recipients.ts";
import { compareRemedies, grownOf, idsBeside, type Remedy, type RemedyOptions, Trial, type Tried } from "./remedies.ts";

const [MOST_RECIPIENTS, MOST_TOGETHER] = [4, 4];

/** Swaps that lift a project's margin, as they are tried, each with the margin after it; several together where no single
 * one reaches the goal. `left` is what is missing to the goal, in hundredths of a percent. */
export function* searchForMargin(model: Model, projectId: string, { today, idStem }: RemedyOptions): Generator<Tried, void> {
  const project = rowById(model.plan.projects).get(projectId);
  if (project === undefined) return;
  const now = projectMargin(model, project);
  if (now === null) return;
  const goal = marginGoal(model.plan, project) ?? Number.NEGATIVE_INFINITY;
  const trial = new Trial(measuredOf(model), { person: 0, range: { start: 0, stop: 0 } });
  const newId = idsBeside(model.plan, idStem);
  let best: Remedy | null = null;
  for (let known: readonly Proposal[] = []; known.length < MOST_TOGETHER; known = best.steps) {
    const state = trial.after(known);
    const least: number = best?.marginAfter ?? now;
    let next: Remedy | null = null;
    for (const proposal of state ? swapsOf(state, project, today, newId) : []) {
      const remedy = lifted(trial, [...known, proposal], { project, least, goal });
      // Of several together the best alone is reported: the others differ from it in one step.
      yield known.length === 0 ? remedy : null;
      if (remedy && (!next || compareByMargin(remedy, next) < 0)) next = remedy;
    }
    if (!next) return;
    if (known.length > 0) yield next;
    best = next;
    if (best.left === 0) return;
  }
}

/** Best first: the highest margin after, then least newly over capacity, then as remedies of an overload are. */
export const compareByMargin = (a: Remedy, b: Remedy): number =>
  (b.marginAfter ?? 0) - (a.marginAfter ?? 0) || grownOf(a.effect) - grownOf(b.effect) || compareRemedies(a, b);

/** The joint effect of proposals; null if they do not lift the margin above `least`. */
function lifted(
  trial: Trial<{ person: number; range: { start: number; stop: number } }>,
  proposals: readonly Proposal[],
  { project, least, goal }: { project: number; least: number; goal: number },
): Remedy | null {
  const after = trial.after(proposals);
  const marginAfter = after && projectMargin(after, project);
  if (marginAfter === null || marginAfter <= least) return null;
  const remedy = trial.measured(proposals);
  return remedy && { ...remedy, marginAfter, left: Math.max(0, goal - marginAfter) };
}

/** Each piece of a project's work to each of the few who cost least for it; what has begun from today on. */
function* swapsOf(model: Model, project: number, today: Day | null, newId: () => string): Generator<Proposal> {
  const { plan, work } = model;
  for (let row = 0; row < work.assignments; row++) {
    if (work.project[row] !== project || work.person[row] < 0 || work.isMaterial[row] === 1 || !isOpenToChange(model, row)) continue;
    const task = plan.tasks[work.task[row]];
    const { start, stop } = workedDays(model, row);
    const isUnderWay = today !== null && (start < today || task.state === "underWay" || (task.percentComplete ?? 0) > 0);
    const from = isUnderWay ? Math.max(start, today) : start;
    if (from >= stop || (isUnderWay && task.sizing === "effort")) continue;
    const assignmentId = plan.assignments[row].id;
    for (const recipient of cheaperRecipients(model, row, from)) {
      const recipientId = plan.people[recipient].id;
      if (from === start) {
        yield { kind: "give", edits: [{ kind: "reassign", id: assignmentId, personId: recipientId }], assignmentId, recipientId };
        continue;
      }
      const edit = splitEdit(model, row, { from, personId: recipientId, newId });
      if (edit) yield { kind: "handOver", edits: [edit], assignmentId, recipientId };
    }
  }
}

/** People who may take a row of work from a day on, have room for all of it day by day, and cost less; the cheapest first. */
function cheaperRecipients(model: Model, row: number, from: Day): number[] {
  const { plan, work } = model;
  const table = rateBookOf(plan).table(plan.projects[work.project[row]].costTableId);
  if (!table) return [];
  const { range, minutes } = needOf(model, row);
  const needs = minutes.subarray(Math.max(0, from - range.start));
  const rest = { start: Math.max(from, range.start), stop: range.stop };
  const whole = needs.reduce((sum, own) => sum + own, 0);
  if (whole === 0) return [];
  const book = rateBookOf(plan);
  const exchange = book.exchange(table);
  const costOf = (person: number) =>
    costOfMinutes(book.labour(table, plan.people[person].id, costRole(plan, work.role[row], person)), exchange, rest.start, needs);
  const own = costOf(work.person[row]);
  const load = model.load(defaultCounting);
  return plan.people
    .flatMap((_, recipient) => {
      const cost = costOf(recipient);
      // Work without a rate costs nothing: that is no saving.
      if (cost === 0 || cost >= own || !mayTake(model, row, recipient, rest)) return [];
      return fitting(needs, roomDays(model, load, recipient, rest)) < whole ? [] : [{ recipient, cost }];
    })
    .sort((a, b) => a.cost - b.cost || a.recipient - b.recipient)
    .slice(0, MOST_RECIPIENTS)
    .map(({ recipient }) => recipient);
}
