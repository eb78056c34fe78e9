// What could be done with a request for leave on days with work: granted as it is, granted with the work given away, done later
// or shared, other dates suggested, or declined. What is granted is measured together with what makes room for it.
import { type Day, formatDay, parseDay } from "../calendar/day.ts";
import { defaultCounting } from "../load/counting.ts";
import type { Model } from "../model.ts";
import { findRow, rowById } from "../plan/rows.ts";
import { delay } from "./delay.ts";
import { give, handOver, share } from "./give.ts";
import { measuredOf } from "./measures.ts";
import { daysToIdle } from "./ownDays.ts";
import { compareRemedies, idsBeside, type Remedy, type RemedyOptions, Trial, type Tried } from "./remedies.ts";
import { type Proposal, piecesOn, type Scene } from "./scene.ts";

const MOST_TAKERS = 4;

/** What could be done with a request, as it is tried. Nothing comes where it is not a request any longer. */
export function* searchForLeave(
  model: Model,
  { personId, timeOffId }: { personId: string; timeOffId: string },
  options: RemedyOptions,
): Generator<Tried, void> {
  const person = rowById(model.plan.people).get(personId);
  const entry = findRow(model.plan.people, personId)?.timeOff?.find(({ id }) => id === timeOffId);
  if (person === undefined || entry?.state !== "requested") return;
  const range = { start: parseDay(entry.from), stop: parseDay(entry.to) + 1 };
  const scene = sceneOfLeave(model, person, range, options);
  const trial = new Trial(measuredOf(model), scene);
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
  for (const piece of scene.pieces)
    for (const way of [give, handOver, share, delay])
      for (const proposal of way(scene, piece)) {
        const remedy = trial.measured([approve, proposal]);
        yield remedy && alone && harmOf(remedy) < harmOf(alone) ? remedy : null;
      }
  if (entry.kind === "sick") return;
  const by = daysToIdle(scene, range.start, range.stop - 1);
  if (by !== null)
    yield trial.measured([answer("requested", { suggested: { from: formatDay(range.start + by), to: formatDay(range.stop - 1 + by) } })]);
  yield trial.measured([answer("declined", { reason: "The work of these days cannot be done by anybody else." })]);
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
function sceneOfLeave(model: Model, person: number, range: { start: Day; stop: Day }, { today, idStem }: RemedyOptions): Scene {
  const load = model.load(defaultCounting).of(person, range.start, range.stop);
  const over = load.minutes.slice(load.at, load.at + range.stop - range.start);
  const pieces = piecesOn(model, person, range, over);
  return { model, person, range, over, today, pieces, mostTakers: MOST_TAKERS, newId: idsBeside(model.plan, idStem) };
}
