// The effect of the selected moves of evening out: measured again one after the other.
import { Measured, type Measures } from "../balancing/measures.ts";
import { type NamedEffect, namedEffect } from "../balancing/namedEffect.ts";
import type { Range } from "../calendar/periods.ts";
import { applyEdit, type SingleEdit } from "../edits/edit.ts";
import { togetherOf } from "../edits/together.ts";
import { defaultCounting } from "../load/counting.ts";
import { peopleSums } from "../load/periodSums.ts";
import type { Model } from "../model.ts";
import { allRows } from "../plan/rows.ts";
import { updateModel } from "../update/update.ts";
import { shareOf } from "../values/units.ts";

export interface EvenedQuery {
  lines: readonly { edits: readonly SingleEdit[] }[];
  window: Range;
}

/** Figures of a plan with what is too much by week, and how evenly people are used. */
export interface EvenedFigures extends Measures {
  window: number;
  /** Minutes over capacity by week of the horizon. */
  byWeek: number[];
  /** Utilization of people in the window, in hundredths of a percent: of the tenth person of a hundred, the middle one, the
   * ninetieth; null where nobody has capacity. */
  spread: { low: number; middle: number; high: number } | null;
}

export interface Evened {
  weeks: readonly Range[];
  before: EvenedFigures;
  after: EvenedFigures;
  /** By line; null for one that can no longer be made without those left out. */
  effects: (NamedEffect | null)[];
  /** Projects whose finish moves. */
  finishes: NamedEffect["finishes"];
}

/** Measures lines on the plan as it is, one after the other. */
export function evenedLines(model: Model, { lines, window }: EvenedQuery): Evened {
  const before = new Measured(model, undefined, window);
  let state = before;
  const effects = lines.map(({ edits }): NamedEffect | null => {
    const outcome = applyEdit(state.model.plan, togetherOf(edits, "even out"));
    if (!outcome.plan) return null;
    const next = new Measured(updateModel(state.model, outcome.plan, outcome.changes), state);
    const effect = namedEffect(outcome.plan, next.effectSince(state));
    state = next;
    return effect;
  });
  return {
    weeks: before.weeks,
    before: figuresOf(before),
    after: figuresOf(state),
    effects,
    finishes: namedEffect(model.plan, state.effectSince(before)).finishes,
  };
}

function figuresOf(measured: Measured): EvenedFigures {
  return { ...measured.totals, window: measured.inWindow, byWeek: measured.peaksByWeek(), spread: spreadOf(measured) };
}

function spreadOf({ model, window }: Measured): EvenedFigures["spread"] {
  const everyone = allRows(model.plan.people);
  const { capacity, load } = peopleSums(model, model.load(defaultCounting), everyone, [window]);
  const shares = [...load].flatMap((minutes, person) => shareOf(minutes, capacity[person]) ?? []);
  if (shares.length === 0) return null;
  shares.sort((a, b) => a - b);
  const at = (part: number) => shares[Math.min(shares.length - 1, Math.floor(part * shares.length))];
  return { low: at(0.1), middle: at(0.5), high: at(0.9) };
}
