// Work for a person with room: openings for their role and skills, and work of people who are overloaded in the same weeks. Tried
// and measured like any remedy.
import type { Range } from "../calendar/periods.ts";
import { defaultCounting } from "../load/counting.ts";
import { needsSomebody, openingIdOf } from "../load/openings.ts";
import { fitting, roomDays } from "../load/room.ts";
import type { Model } from "../model.ts";
import { rowById } from "../plan/rows.ts";
import { fillOpening } from "../staffing/fillOpening.ts";
import { missingOf } from "../staffing/match.ts";
import { needOf } from "../staffing/need.ts";
import { give, handOver, share } from "./give.ts";
import { measuredOf, peakOverOf } from "./measures.ts";
import { overloadCase, type Proposal } from "./overloadCase.ts";
import { mayTake } from "./recipients.ts";
import { idsBeside, type Overload, type RemedyOptions, Trial, type Tried } from "./remedies.ts";

/** Openings that are tried at most, those first of which most fits. */
const MOST_OPENINGS = 12;
/** People with too much whose work is tried. */
const MOST_GIVERS = 5;

/** Work that a person could take in some weeks, as it is tried; each step is one edit. What an opening
 * replaces is reported with it. */
export function* searchForIdle(model: Model, { personId, range }: Overload, { today, idStem }: RemedyOptions): Generator<Tried, void> {
  const person = rowById(model.plan.people).get(personId);
  if (person === undefined) return;
  const newId = idsBeside(model.plan, idStem);
  const before = measuredOf(model);
  const taking = new Trial(before, { person, range });
  for (const proposal of openingsFor(model, person, range, newId)) yield taking.measured([proposal]);
  for (const donor of donorsFor(model, person, range)) {
    const overload = overloadCase(model, { person: donor, range, today }, { newId, mostRecipients: Number.POSITIVE_INFINITY });
    if (!overload) continue;
    const trial = new Trial(before, overload);
    for (const piece of overload.pieces)
      for (const way of [give, handOver, share])
        for (const proposal of way({ ...overload, onlyRecipient: person }, piece)) yield trial.run([proposal]);
  }
}

/** Openings whose days meet the range, which the person may take and has room for. */
function openingsFor(model: Model, person: number, { start, stop }: Range, newId: () => string): Proposal[] {
  const { plan, work } = model;
  const load = model.load(defaultCounting);
  const own = plan.people[person];
  const takeable: { row: number; fits: number }[] = [];
  for (let row = 0; row < work.rows; row++) {
    if (load.shares[row] <= 0 || !needsSomebody(model, row)) continue;
    const task = plan.tasks[work.task[row]];
    const need = needOf(model, row);
    if (need.range.start >= stop || need.range.stop <= start || task.locked || missingOf(plan, own, task, work.role[row]).length > 0)
      continue;
    const room = roomDays(model, load, person, need.range);
    const fits = fitting(need.minutes, room);
    if (fits > 0) takeable.push({ row, fits });
  }
  takeable.sort((a, b) => b.fits - a.fits || a.row - b.row);
  return takeable.slice(0, MOST_OPENINGS).flatMap(({ row, fits }): Proposal[] => {
    const assignmentId = plan.assignments[row]?.id;
    const openingId = openingIdOf(model, row);
    const whole = needOf(model, row).minutes.reduce((sum, minutes) => sum + minutes, 0);
    // All of it, or as many hours as there is room for; spread over its days they may need less than the room in total.
    const some = [1, 0.75, 0.5].map((part) => Math.floor((part * fits) / 15) / 4);
    const parts = fits === whole ? [null, ...some.slice(1)] : some;
    return parts.flatMap((hours): Proposal[] => {
      const shares = [hours === null ? { personId: own.id } : { personId: own.id, hours }];
      const edits = fillOpening(model, { openingId, shares, isPencilled: false, idStem: newId() });
      return edits
        ? [
            {
              kind: "give",
              edits,
              ...(assignmentId !== undefined && { assignmentId }),
              recipientId: own.id,
              taskId: plan.tasks[work.task[row]].id,
            },
          ]
        : [];
    });
  });
}

/** Overloaded people in the range whose work the person may take, the worst first. */
function donorsFor(model: Model, person: number, range: Range): number[] {
  const { plan, work } = model;
  const over = new Map<number, number>();
  for (let row = 0; row < work.assignments; row++) {
    const donor = work.person[row];
    if (donor < 0 || over.has(donor) || !mayTake(model, row, person, { start: range.start, stop: range.start + 1 })) continue;
    const minutes = peakOverOf(model, donor, range);
    if (minutes > 0) over.set(donor, minutes);
  }
  return [...over]
    .sort((a, b) => b[1] - a[1] || a[0] - b[0])
    .slice(0, MOST_GIVERS)
    .map(([donor]) => donor)
    .filter((donor) => !plan.people[donor].locked);
}
