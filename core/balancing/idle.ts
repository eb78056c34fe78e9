// What somebody with room could take: openings that fit their role and skills, and work of those who have too much in the same
// weeks. Tried and measured like any remedy.
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
import { idsBeside, type Overload, type RemedyOptions, Trial, type Tried } from "./remedies.ts";
import { type Proposal, sceneOf } from "./scene.ts";
import { mayTake } from "./takers.ts";

/** Openings that are tried at most, those first of which most fits. */
const MOST_OPENINGS = 12;
/** People with too much whose work is tried. */
const MOST_GIVERS = 5;

/** Work that somebody could take in some weeks, as it is tried; each step is one edit. What an opening
 * makes over anew is told with it. */
export function* searchForIdle(model: Model, { personId, range }: Overload, { today, idStem }: RemedyOptions): Generator<Tried, void> {
  const person = rowById(model.plan.people).get(personId);
  if (person === undefined) return;
  const newId = idsBeside(model.plan, idStem);
  const before = measuredOf(model);
  const taking = new Trial(before, { person, range });
  for (const proposal of openingsFor(model, person, range, newId)) yield taking.measured([proposal]);
  for (const giver of giversFor(model, person, range)) {
    const scene = sceneOf(model, { person: giver, range, today }, { newId, mostTakers: Number.POSITIVE_INFINITY });
    if (!scene) continue;
    const trial = new Trial(before, scene);
    for (const piece of scene.pieces)
      for (const way of [give, handOver, share])
        for (const proposal of way({ ...scene, onlyTaker: person }, piece)) yield trial.run([proposal]);
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
    // All of it, or as many hours as there is room for; spread over its days they may need less than the room in all.
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
              takerId: own.id,
              taskId: plan.tasks[work.task[row]].id,
            },
          ]
        : [];
    });
  });
}

/** Those with too much in the range whose work the person may take, the worst first. */
function giversFor(model: Model, person: number, range: Range): number[] {
  const { plan, work } = model;
  const over = new Map<number, number>();
  for (let row = 0; row < work.assignments; row++) {
    const giver = work.person[row];
    if (giver < 0 || over.has(giver) || !mayTake(model, row, person, { start: range.start, stop: range.start + 1 })) continue;
    const minutes = peakOverOf(model, giver, range);
    if (minutes > 0) over.set(giver, minutes);
  }
  return [...over]
    .sort((a, b) => b[1] - a[1] || a[0] - b[0])
    .slice(0, MOST_GIVERS)
    .map(([giver]) => giver)
    .filter((giver) => !plan.people[giver].locked);
}
