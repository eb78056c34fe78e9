// Ways out for hours that nobody can work: someone else for all of it or for the part that falls before or after, other dates,
// leave moved, a contractor. Tried and measured like any remedy; what counts first is how many hours find a place.
import { formatDay, parseDay } from "../calendar/day.ts";
import type { SingleEdit } from "../edits/edit.ts";
import type { Model } from "../model.ts";
import { unplaceableOf } from "../placing/unplaceable.ts";
import { rowById } from "../plan/rows.ts";
import { needOf } from "../staffing/need.ts";
import { measuredOf } from "./measures.ts";
import { isOpenToChange, type Proposal } from "./overloadCase.ts";
import { bestRecipients } from "./recipients.ts";
import { compareRemedies, idsBeside, type Remedy, type RemedyOptions, Trial, type Tried } from "./remedies.ts";

const MOST_RECIPIENTS = 6;

/** Ways out for the hours of an assignment that have no day, as they are tried. */
export function* searchForUnplaced(model: Model, assignmentId: string, { idStem }: RemedyOptions): Generator<Tried, void> {
  const { plan, work, placements } = model;
  const row = rowById(plan.assignments).get(assignmentId);
  if (row === undefined || placements.unplaced[row] === 0 || !isOpenToChange(model, row)) return;
  const before = measuredOf(model);
  const { range } = needOf(model, row);
  const trial = new Trial(before, { person: Math.max(0, work.person[row]), range });
  for (const proposal of proposalsFor(model, row, idsBeside(plan, idStem))) {
    const remedy = trial.measured([proposal]);
    yield remedy && remedy.effect.unplaced < 0 ? remedy : null;
  }
}

/** Best first: most hours placed, then as remedies of an overload are. */
export const compareByUnplaced = (a: Remedy, b: Remedy): number => a.effect.unplaced - b.effect.unplaced || compareRemedies(a, b);

function* proposalsFor(model: Model, row: number, newId: () => string): Generator<Proposal> {
  const { plan, work } = model;
  const assignment = plan.assignments[row];
  const { range } = needOf(model, row);
  const entry = unplaceableOf(model, row);
  const about = { assignmentId: assignment.id };
  const recipients = bestRecipients(model, row, range, MOST_RECIPIENTS).map((recipient) => plan.people[recipient].id);
  for (const recipientId of recipients)
    yield { kind: "give", edits: [{ kind: "reassign", id: assignment.id, personId: recipientId }], ...about, recipientId };
  if (entry.split) {
    const { date, gives, roleId, hours, shiftDays } = entry.split;
    const day = parseDay(date);
    const part = gives === "later" ? { start: day, stop: range.stop } : { start: range.start, stop: day };
    const split = (personId: string | null): SingleEdit => ({
      kind: "splitAssignment",
      id: assignment.id,
      date,
      gives,
      newId: newId(),
      personId,
      ...(roleId !== null && { roleId }),
      ...(hours !== null && { hours }),
      ...(shiftDays !== 0 && { shiftDays }),
    });
    for (const recipient of bestRecipients(model, row, part, MOST_RECIPIENTS)) {
      const recipientId = plan.people[recipient].id;
      yield { kind: "handOver", edits: [split(recipientId)], ...about, recipientId };
    }
    if (roleId !== null) yield { kind: "contractor", edits: [split(null)], ...about };
  }
  if (entry.move) yield { kind: "postpone", edits: [{ kind: "changeTask", id: entry.taskId, set: entry.move.set }], ...about };
  yield* leaveMoved(model, work.person[row], range);
}

const WEEKS_TRIED = [1, 2, 4, 8, 12];

/** Approved leave on the days of the work, some weeks later. */
function* leaveMoved({ plan }: Model, person: number, { start, stop }: { start: number; stop: number }): Generator<Proposal> {
  const own = plan.people[person];
  for (const entry of own?.timeOff ?? []) {
    const [from, to] = [parseDay(entry.from), parseDay(entry.to)];
    if (entry.state !== "approved" || to < start || from >= stop) continue;
    for (const weeks of WEEKS_TRIED) {
      const timeOff = { ...entry, from: formatDay(from + 7 * weeks), to: formatDay(to + 7 * weeks) };
      yield { kind: "timeOff", edits: [{ kind: "setTimeOff", personId: own.id, timeOff }] };
    }
  }
}
