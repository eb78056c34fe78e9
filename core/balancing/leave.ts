// Options for a request for leave on days with work: granted as it is, granted with the work reassigned, done later or shared,
// other dates suggested, or declined. A grant is measured together with the moves that make room for it.
import { type Day, formatDay, parseDay } from "../calendar/day.ts";
import { defaultCounting } from "../load/counting.ts";
import type { Model } from "../model.ts";
import { findRow, rowById } from "../plan/rows.ts";
import { delay } from "./delay.ts";
import { give, handOver, share } from "./give.ts";
import { measuredOf } from "./measures.ts";
import { type OverloadCase, type Proposal, piecesOn } from "./overloadCase.ts";
import { daysToIdle } from "./ownDays.ts";
import { compareRemedies, idsBeside, type Remedy, type RemedyOptions, Trial, type Tried } from "./remedies.ts";

const MOST_RECIPIENTS = 4;

/** The options for a request, as each is tried. Nothing is yielded once it is no longer a request. */
export function* searchForLeave(
  model: Model,
  { personId, timeOffId }: { personId: string; timeOffId: string },
  options: RemedyOptions,
): Generator<Tried, void> {
  const person = rowById(model.plan.people).get(personId);
  const entry = findRow(model.plan.people, personId)?.timeOff?.find(({ id }) => id === timeOffId);
  if (person === undefined || entry?.state !== "requested") return;
  const range = { start: parseDay(entry.from), stop: parseDay(entry.to) + 1 };
  const overload = overloadOfLeave(model, person, range, options);
  const trial = new Trial(measuredOf(model), overload);
  const answer = (
    state: "approved" | "declined" | "requested",
    more: { reason?: string; suggested?: { from: string; to: string } } = {},
  ): Proposal => ({
    kind: "timeOff",
    edits: [{ kind: "answerTimeOff", personId, id: timeOffId, state, ...more }],
  });
  const approve = answer("approved");
  const alone = trial.measured([approve]);
  yield alone;
  for (const piece of overload.pieces)
    for (const way of [give, handOver, share, delay])
      for (const proposal of way(overload, piece)) {
        const remedy = trial.measured([approve, proposal]);
        yield remedy && alone && harmOf(remedy) < harmOf(alone) ? remedy : null;
      }
  if (entry.kind === "sick") return;
  const by = daysToIdle(overload, range.start, range.stop - 1);
  if (by !== null)
    yield trial.measured([answer("requested", { suggested: { from: formatDay(range.start + by), to: formatDay(range.stop - 1 + by) } })]);
  yield trial.measured([answer("declined", { reason: "Nobody else can do the work of these days." })]);
}

/** Best first: granted before other dates, these before declined; among those granted, least too much and least left undone. */
export function compareForLeave(a: Remedy, b: Remedy): number {
  return rankOf(a) - rankOf(b) || harmOf(a) - harmOf(b) || compareRemedies(a, b);
}

/** Minutes that are too much or that nobody can work because of it. */
const harmOf = ({ effect }: Remedy): number => effect.peakOver + effect.unplaced;

function rankOf({ edits: [first] }: Remedy): number {
  const states = ["approved", "requested", "declined"] as const;
  return first.kind === "answerTimeOff" ? states.indexOf(first.state) : 0;
}

/** The days of the leave as if all that is planned on them were too much. */
function overloadOfLeave(model: Model, person: number, range: { start: Day; stop: Day }, { today, idStem }: RemedyOptions): OverloadCase {
  const load = model.load(defaultCounting).of(person, range.start, range.stop);
  const over = load.minutes.slice(load.at, load.at + range.stop - range.start);
  const pieces = piecesOn(model, person, range, over);
  return { model, person, range, over, today, pieces, mostRecipients: MOST_RECIPIENTS, newId: idsBeside(model.plan, idStem) };
}
