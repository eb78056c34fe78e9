// Remedies of an overload: every applicable option is made as edits, tried on a copy of the plan and measured on all of it.
import type { Day } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import { applyEdit } from "../edits/edit.ts";
import { togetherOf } from "../edits/together.ts";
import type { Model } from "../model.ts";
import { rowById } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import { updateModel } from "../update/update.ts";
import { delay, lighten, postpone, spread } from "./delay.ts";
import { give, handOver, share } from "./give.ts";
import { remedyKinds } from "./kinds.ts";
import { type Effect, Measured, measuredOf, peakOverOf } from "./measures.ts";
import { type OverloadCase, overloadCase, type Piece, type Proposal } from "./overloadCase.ts";
import { accept, contractor, overtime, timeOff } from "./ownDays.ts";

/** Something that could be done, and what it results in. */
export interface Remedy extends Proposal {
  effect: Effect;
  /** Minutes that are still too much on the days that were asked about. */
  left: number;
  /** Of a remedy for a margin: the project's margin after it, in hundredths of a percent. */
  marginAfter?: number;
  /** Its steps: one, or two or three if one alone is not enough. */
  steps: Proposal[];
}

export interface Overload {
  personId: string;
  range: Range;
}

export interface RemedyOptions {
  /** Everything before this day stays as it is; null if no day counts as today. */
  today: Day | null;
  /** Begins the ids of rows that are added. */
  idStem: string;
  /** Number of people tried for one piece of work. */
  mostRecipients?: number;
  /** Ends the search once so many have been tried. */
  mostTried?: number;
}

const [MOST_RECIPIENTS, MOST_TRIED, MOST_TOGETHER] = [6, 400, 3];

/** The result of one step of the search; null if the option tried does not help. */
export type Tried = Remedy | null;

const waysOfWork: ((overload: OverloadCase, piece: Piece) => Proposal[])[] = [
  give,
  handOver,
  share,
  delay,
  postpone,
  spread,
  lighten,
  contractor,
];
const waysOfPerson: ((overload: OverloadCase) => Proposal[])[] = [overtime, timeOff, accept];

/** Remedies of an overload, one after the other as they are tried, in no order; combinations where no single one is enough.
 * Each step is one edit tried. Nothing comes where the person is not over on these days. */
export function* searchRemedies(model: Model, { personId, range }: Overload, options: RemedyOptions): Generator<Tried, void> {
  const person = rowById(model.plan.people).get(personId);
  if (person === undefined) return;
  const newId = idsBeside(model.plan, options.idStem);
  const asked = { person, range, today: options.today };
  const overload = overloadCase(model, asked, { newId, mostRecipients: options.mostRecipients ?? MOST_RECIPIENTS });
  if (!overload) return;
  const trial = new Trial(measuredOf(model), overload);
  const found: Remedy[] = [];
  let tried = 0;
  for (const proposal of proposalsOf(overload)) {
    const remedy = trial.run([proposal]);
    if (remedy) found.push(remedy);
    yield remedy;
    if (++tried >= (options.mostTried ?? MOST_TRIED)) break;
  }
  const enough = found.some(({ left, kind }) => left === 0 && kind !== "accept");
  if (!enough) yield* combinations(trial, ranked(found), asked);
}

/** All remedies of an overload, best first. */
export function remediesOf(model: Model, overload: Overload, options: RemedyOptions): Remedy[] {
  return ranked([...searchRemedies(model, overload, options)].filter((remedy) => remedy !== null));
}

/** Proposals of every way in turn: the person who waits soon sees what there is, and where the search is cut off each has been tried. */
function* proposalsOf(overload: OverloadCase): Generator<Proposal> {
  let ways = [...waysOfWork.map((way) => ofPieces(overload, way)), ...waysOfPerson.map((way) => way(overload).values())];
  while (ways.length > 0) {
    const left: typeof ways = [];
    for (const way of ways) {
      const next = way.next();
      if (next.done) continue;
      left.push(way);
      yield next.value;
    }
    ways = left;
  }
}

function* ofPieces(overload: OverloadCase, way: (typeof waysOfWork)[number]): Generator<Proposal, undefined> {
  for (const piece of overload.pieces) yield* way(overload, piece);
}

/** Two or three that are enough together: the best one, and after it the best of what is left. */
function* combinations(trial: Trial, singles: readonly Remedy[], asked: Parameters<typeof overloadCase>[1]): Generator<Tried, void> {
  const starts = singles.filter(({ kind, effect }) => kind !== "accept" && kind !== "timeOff" && effect.peakOver < 0).slice(0, 3);
  for (const start of starts) {
    let steps: Proposal[] = [start];
    let best: Remedy = start;
    while (steps.length < MOST_TOGETHER && best.left > 0) {
      const after = trial.after(steps);
      const overload = after && overloadCase(after, asked, { newId: trial.overload.newId, mostRecipients: 3 });
      if (!overload) break;
      let next: { remedy: Remedy; step: Proposal } | null = null;
      for (const step of proposalsOf({ ...overload, pieces: overload.pieces.slice(0, 4) })) {
        if (step.kind === "accept" || step.kind === "timeOff") continue;
        const remedy = trial.run([...steps, step]);
        yield null;
        if (remedy && remedy.effect.peakOver < best.effect.peakOver && (!next || compareRemedies(remedy, next.remedy) < 0))
          next = { remedy, step };
      }
      if (!next) break;
      best = next.remedy;
      steps = [...steps, next.step];
    }
    if (best !== start && best.left === 0) yield best;
  }
}

/** Tries proposals on a copy of the plan. */
export class Trial<S extends Pick<OverloadCase, "person" | "range"> = OverloadCase> {
  constructor(
    readonly before: Measured,
    readonly overload: S,
  ) {}

  /** The joint effect of proposals; null if the plan does not allow them, or they do not help. */
  run(proposals: readonly Proposal[]): Remedy | null {
    const remedy = this.measured(proposals);
    if (!remedy) return null;
    const { kind, effect } = remedy;
    const isFree = kind === "accept" || (kind === "timeOff" && effect.peakOver === 0);
    return effect.peakOver < 0 || isFree ? remedy : null;
  }

  /** The joint effect of proposals, good or bad; null if the plan does not allow them. */
  measured(proposals: readonly Proposal[]): Remedy | null {
    const after = this.after(proposals);
    if (!after) return null;
    const effect = new Measured(after, this.before).effectSince(this.before);
    const [first] = proposals;
    const left = peakOverOf(after, this.overload.person, this.overload.range);
    return { ...first, edits: proposals.flatMap(({ edits }) => edits), steps: [...proposals], effect, left };
  }

  after(proposals: readonly Proposal[]): Model | null {
    const { model } = this.before;
    const edits = proposals.flatMap(({ edits: own }) => own);
    if (edits.length === 0) return model;
    const outcome = applyEdit(model.plan, togetherOf(edits, "a remedy"));
    return outcome.plan ? updateModel(model, outcome.plan, outcome.changes) : null;
  }
}

/** Best first: most peakOver removed, then least new peakOver elsewhere, then fewest days that finishes move, then least cost;
 * where all that is equal, in the order of the kinds. */
export function compareRemedies(a: Pick<Remedy, "effect" | "kind">, b: Pick<Remedy, "effect" | "kind">): number {
  return (
    a.effect.peakOver - b.effect.peakOver ||
    grownOf(a.effect) - grownOf(b.effect) ||
    movedDays(a.effect) - movedDays(b.effect) ||
    a.effect.cost - b.effect.cost ||
    remedyKinds.indexOf(a.kind) - remedyKinds.indexOf(b.kind)
  );
}

/** The same list in its order. Equal ones stay as they were found. */
export const ranked = (remedies: readonly Remedy[]): Remedy[] => [...remedies].sort(compareRemedies);

/** Minutes over capacity that come up again. */
export const grownOf = ({ grows }: Effect): number => grows.reduce((sum, { minutes }) => sum + minutes, 0);

const movedDays = ({ finishes }: Effect): number => finishes.reduce((sum, { days }) => sum + Math.abs(days), 0);

/** Gives ids that no row of a plan has: numbered from a stem. */
export function idsBeside(plan: Plan, stem: string): () => string {
  const taken = new Set<string>();
  for (const list of [plan.assignments, plan.acceptances]) for (const { id } of list) if (id.startsWith(stem)) taken.add(id);
  for (const { overtime = [] } of plan.people) for (const { id } of overtime) if (id.startsWith(stem)) taken.add(id);
  let number = 0;
  return () => {
    do number++;
    while (taken.has(`${stem}-${number}`));
    return `${stem}-${number}`;
  };
}
