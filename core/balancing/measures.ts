// The measures of every proposal: the same few figures of the whole plan, before and after.
import type { Day } from "../calendar/day.ts";
import { horizonOf, periodSettingsOf } from "../calendar/horizon.ts";
import { periodsIn, type Range } from "../calendar/periods.ts";
import { moneyOfAll } from "../cost/costs.ts";
import { defaultCounting } from "../load/counting.ts";
import type { LoadBook } from "../load/loadBook.ts";
import { type LevelBand, levelBandOf, overOf, periodState } from "../load/periodSums.ts";
import type { Model } from "../model.ts";
import type { Money } from "../plan/moneySides.ts";
import { rowById } from "../plan/rows.ts";
import { onceFor } from "../values/once.ts";

/** Figures of a whole plan over its horizon, with the default counting. Work in minutes, money in minor units. */
export interface Measures {
  /** The sum over people and days of what they have too much. */
  peakOver: number;
  /** Number of person-weeks overloaded. */
  overWeeks: number;
  /** Minutes that all counted assignments ask for and nobody can work. */
  unplaced: number;
  cost: Money<"cost">;
  /** The revenue of the projects, for the margin. */
  revenue: Money<"bill">;
}

/** A person and a week in which they have more too much than before. */
export interface Growth {
  personId: string;
  week: Range;
  minutes: number;
}

/** The change of the whole plan: after less before. */
export interface Effect extends Measures {
  /** Projects whose finish moves, by how many calendar days, and to when. */
  finishes: { projectId: string; days: number; finish: Day }[];
  grows: Growth[];
}

/** One person's figures, and what they were summed from: known again by the arrays themselves. */
interface PersonFigures {
  load: Int32Array;
  regular: Int32Array;
  overtime: Int32Array;
  /** By week, what single days have too much. */
  peaks: Int32Array;
  peakOver: number;
  overWeeks: number;
  /** The overload on single days of the window. */
  inWindow: number;
}

/** The measures of a model; those of a model an edit later share what the edit left alone. */
export class Measured {
  readonly totals: Measures;
  readonly weeks: readonly Range[];
  /** Minutes over capacity on single days of the window, of everyone. */
  readonly inWindow: number;
  readonly window: Range;
  readonly #people: PersonFigures[];

  /** @param window Days that are summed apart, where there is no former state to take them from; the horizon by default. */
  constructor(
    readonly model: Model,
    former?: Measured,
    window?: Range,
  ) {
    const { plan } = model;
    this.window = former?.window ?? window ?? horizonOf(plan);
    this.weeks = former?.weeks ?? periodsIn(horizonOf(plan), "week", periodSettingsOf(plan));
    const rows = former ? rowById(former.model.plan.people) : null;
    const band = levelBandOf(plan);
    const horizon = horizonOf(plan);
    const load = model.load(defaultCounting);
    this.#people = plan.people.map(({ id }, person) =>
      this.#figuresOf(person, { horizon, load, band }, former ? former.#people[rows?.get(id) ?? -1] : undefined),
    );
    this.inWindow = this.#people.reduce((sum, own) => sum + own.inWindow, 0);
    this.totals = {
      peakOver: this.#people.reduce((sum, own) => sum + own.peakOver, 0),
      overWeeks: this.#people.reduce((sum, own) => sum + own.overWeeks, 0),
      unplaced: unplacedOf(model),
      ...moneyOfAll(plan, model.costsOfHorizon()),
    };
  }

  /** Minutes over capacity of everyone, by week of the horizon. */
  peaksByWeek(): number[] {
    return this.weeks.map((_, week) => this.#people.reduce((sum, { peaks }) => sum + peaks[week], 0));
  }

  /** The change since another state of the same plan. */
  effectSince(before: Measured): Effect {
    const [was, is] = [before.totals, this.totals];
    return {
      peakOver: is.peakOver - was.peakOver,
      overWeeks: is.overWeeks - was.overWeeks,
      unplaced: is.unplaced - was.unplaced,
      cost: is.cost - was.cost,
      revenue: is.revenue - was.revenue,
      finishes: this.#finishesSince(before),
      grows: this.#growsSince(before),
    };
  }

  #figuresOf(
    person: number,
    { horizon: { start, stop }, load: book, band }: { horizon: Range; load: LoadBook; band: LevelBand },
    former: PersonFigures | undefined,
  ): PersonFigures {
    const { model, weeks } = this;
    const { regular, overtime, at } = model.capacity.of(person, start, stop);
    const load = book.of(person, start, stop);
    if (former && former.load === load.minutes && former.regular === regular && former.overtime === overtime) return former;
    const figures: PersonFigures = {
      load: load.minutes,
      regular,
      overtime,
      peaks: new Int32Array(weeks.length),
      peakOver: 0,
      overWeeks: 0,
      inWindow: 0,
    };
    weeks.forEach((week, w) => {
      let [can, does, peak] = [0, 0, 0];
      for (let i = week.start - start; i < week.stop - start; i++) {
        const own = regular[at + i] + overtime[at + i];
        const work = load.minutes[load.at + i];
        can += own;
        does += work;
        if (work <= own) continue;
        peak += work - own;
        if (start + i >= this.window.start && start + i < this.window.stop) figures.inWindow += work - own;
      }
      figures.peaks[w] = peak;
      figures.peakOver += peak;
      if (periodState(can, does, band) === "over") figures.overWeeks++;
    });
    return figures;
  }

  #finishesSince(before: Measured): Effect["finishes"] {
    const [was, is] = [before.model, this.model];
    if (was.schedule === is.schedule) return [];
    const known = rowById(was.plan.projects);
    return is.plan.projects.flatMap(({ id }, row) => {
      const old = was.schedule.projects[known.get(id) ?? -1]?.finish.day;
      const finish = is.schedule.projects[row].finish.day;
      return old === undefined || old === finish ? [] : [{ projectId: id, days: finish - old, finish }];
    });
  }

  #growsSince(before: Measured): Growth[] {
    const known = rowById(before.model.plan.people);
    return this.model.plan.people.flatMap(({ id }, person) => {
      const own = this.#people[person];
      const former = before.#people[known.get(id) ?? -1];
      if (own === former) return [];
      return this.weeks.flatMap((week, w) => {
        const minutes = own.peaks[w] - (former?.peaks[w] ?? 0);
        return minutes > 0 ? [{ personId: id, week, minutes }] : [];
      });
    });
  }
}

/** The measures of a model over its horizon; worked out once for a model. */
export const measuredOf = onceFor((model: Model) => new Measured(model));

/** Minutes over capacity on single days of a range, of one person. */
export function peakOverOf(model: Model, person: number, { start, stop }: Range): number {
  return overDays(model, person, { start, stop }).reduce((sum, minutes) => sum + minutes, 0);
}

/** Minutes over capacity on each day of a range; index is `day − range.start`. */
export function overDays(model: Model, person: number, { start, stop }: Range): Int32Array {
  const { regular, overtime, at } = model.capacity.of(person, start, stop);
  const load = model.load(defaultCounting).of(person, start, stop);
  const over = new Int32Array(Math.max(0, stop - start));
  for (let i = 0; i < over.length; i++) over[i] = overOf(regular[at + i] + overtime[at + i], load.minutes[load.at + i]);
  return over;
}

function unplacedOf(model: Model): number {
  const { work, placements } = model;
  const { shares } = model.load(defaultCounting);
  let sum = 0;
  for (let row = 0; row < work.assignments; row++) if (shares[row] >= 0) sum += placements.unplaced[row];
  return sum;
}
