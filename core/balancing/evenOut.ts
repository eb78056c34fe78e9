// Evening out: a search over small moves that takes minutes off what is too much. The worst person first, their best move, and
// where no single one helps two that only work together; every step is checked on the model before it counts.
import type { Day } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import { applyEdit, type SingleEdit } from "../edits/edit.ts";
import { togetherOf } from "../edits/together.ts";
import { defaultCounting } from "../load/counting.ts";
import type { Model } from "../model.ts";
import { membersOf, rowById } from "../plan/rows.ts";
import { updateModel } from "../update/update.ts";
import { Best, type Rank } from "./best.ts";
import { type RemedyKind, usualEvenOutKinds } from "./kinds.ts";
import { Loads, type PersonParts } from "./loads.ts";
import { type Effect, Measured, type Measures } from "./measures.ts";
import { byPerson, type Move, Moves } from "./moves.ts";
import { isOpenToChange, type Proposal, workedDays } from "./overloadCase.ts";
import { idsBeside } from "./remedies.ts";
import { keepsRules, leavesLocked } from "./rules.ts";
import { type Transfer, type TransferProgram, transferProgram } from "./transferProgram.ts";
import { TrialPlacer } from "./trialPlacer.ts";

export interface EvenOutOptions {
  /** The days whose overload is to go. */
  window: Range;
  kinds?: readonly RemedyKind[];
  /** Rows of the people whose overload is looked at; everyone by default. */
  people?: ReadonlySet<number>;
  /** Rows of the projects whose work may be touched; all by default. */
  projects?: ReadonlySet<number>;
  /** How far a task may be delayed, in working days. */
  mostDelayDays?: number;
  /** Lines that remove less than so many minutes are not made. */
  leastMinutes?: number;
  /** Leaves confirmed work as it is. */
  isPencilledOnly?: boolean;
  /** Everything before this day stays as it is; null if no day counts as today. */
  today: Day | null;
  /** Begins the ids of rows that are added. */
  idStem: string;
  /** A number for a restart: the search first skips about three moves in ten, and tries all moves once it finds no improvement
   * without them. Each number skips other moves, so the search ends elsewhere. */
  passesOver?: number;
  /** Ends the search once so many moves have been tried. */
  mostSteps: number;
  /** Ends it at any moment: what is there then is valid. */
  isOver?: () => boolean;
}

/** One line of the result: edits that belong together, measured after the lines before it. */
export interface EvenOutLine {
  kind: RemedyKind;
  edits: SingleEdit[];
  effect: Effect;
  /** By how much it lowers what is too much in the window. */
  window: number;
  /** The moves that it is made of, for the person who describes them. */
  steps: Proposal[];
}

export interface EvenOutResult {
  before: Measures & { window: number };
  after: Measures & { window: number };
  lines: EvenOutLine[];
  /** Moves tried. */
  steps: number;
}

/** How far the search is. */
export interface EvenOutProgress {
  steps: number;
  lines: number;
  /** Minutes over capacity in the window: at first, and now. */
  before: number;
  now: number;
}

const USUAL_DELAY_DAYS = 60;
/** How often the search says how far it is, in moves tried. */
const PAUSE = 500;
/** The most transfers to a person without room that are tried with a second move, and the most moves tried for each. */
const [MOST_CHAINS, MOST_ROWS] = [12, 8];

/** The result of the whole search. The same plan and options give the same, byte for byte, unless `isOver` ended it. */
export function evenOut(model: Model, options: EvenOutOptions): EvenOutResult {
  const search = new EvenOutSearch(model, options);
  for (const _ of search.run());
  return search.result();
}

/** The search, to be run in pieces. What it has found is valid at any moment. */
export class EvenOutSearch {
  readonly #first: Measured;
  readonly #loads: Loads;
  readonly #newId: () => string;
  readonly #kinds: ReadonlySet<RemedyKind>;
  readonly #lines: EvenOutLine[] = [];
  /** Ids of assignments, of tasks and of people with overtime that a line has touched: each is touched once, so that lines can be
   * left out. */
  readonly #touched = new Set<string>();
  /** Moves that the rules did not allow. */
  readonly #refused = new Set<string>();
  #measured: Measured;
  #moves: Moves;
  #steps = 0;
  #isPassing: boolean;

  constructor(
    model: Model,
    private readonly options: EvenOutOptions,
  ) {
    this.#first = new Measured(model, undefined, options.window);
    this.#measured = this.#first;
    this.#loads = new Loads(model, options.window);
    this.#newId = idsBeside(model.plan, options.idStem);
    this.#kinds = new Set(options.kinds ?? usualEvenOutKinds);
    this.#moves = this.#movesOf(model);
    this.#isPassing = options.passesOver !== undefined;
  }

  get #model(): Model {
    return this.#measured.model;
  }

  get #isOver(): boolean {
    return this.#steps >= this.options.mostSteps || this.options.isOver?.() === true;
  }

  /** Each pause says how far it is. */
  *run(): Generator<EvenOutProgress> {
    if (this.#isPassing) {
      yield* this.#downhill();
      this.#isPassing = false;
    }
    yield* this.#downhill();
  }

  /** Makes the best move again and again until no move is better. */
  *#downhill(): Generator<EvenOutProgress> {
    for (let isBetter = true; isBetter && !this.#isOver; ) {
      isBetter = false;
      for (const find of [this.#bestSingle, this.#bestChain, this.#bestOvertime]) {
        for (const person of this.#worstFirst()) {
          while (!this.#isOver) {
            const found = yield* find.call(this, person);
            if (!found) break;
            if (this.#accept(found)) isBetter = true;
          }
          if (this.#isOver) return;
        }
        // Moves that work only together are looked for where no single one helps, and overtime where no work can move.
        if (isBetter) break;
      }
    }
  }

  /** The assignment of work as an integer program over all work of the people considered; null if reassigning is not among the
   * kinds, or nothing can be reassigned.
   * @param mostRows Work that is looked at, what falls on days that are over first. */
  transferProgram(mostRows: number): TransferProgram | null {
    if (!this.#kinds.has("give")) return null;
    const { window } = this.options;
    const rows = this.#rowsToGive().slice(0, mostRows);
    const transfers = rows.flatMap((row) =>
      [...this.#moves.givesOf(row)].flatMap((move) => (move.unplaced <= 0 ? [{ move, transfer: this.#giftOf(move) }] : [])),
    );
    return transferProgram({
      transfers,
      loadOn: (person, day) => this.#loads.loadOn(person, day),
      capacityOn: (person, day) => this.#loads.capacityOn(person, day),
      isMeant: (day) => day >= window.start && day < window.stop,
    });
  }

  /** Starts with the transfers that a program has chosen: each as its own line if it reduces the overload by itself, the
   * others with those that they need. */
  beginWith(transfers: readonly Transfer[]): void {
    let left = [...transfers];
    while (left.length > 0) {
      const moves = left.flatMap((transfer) => this.#moveOf(transfer) ?? []);
      const best = this.#bestOf(moves.map((move) => [move])) ?? this.#bestOf(pairsOf(moves)) ?? (moves.length > 2 ? moves : null);
      if (!best || !this.#accept(best)) return;
      const made = new Set(best.map((move) => move.id));
      left = left.filter(({ assignmentId }) => !made.has(assignmentId));
    }
  }

  #giftOf = ({ row, recipient }: Move): Transfer => ({
    assignmentId: this.#model.plan.assignments[row].id,
    personId: this.#model.plan.people[recipient].id,
  });

  #moveOf({ assignmentId, personId }: Transfer): Move | null {
    const row = rowById(this.#model.plan.assignments).get(assignmentId) ?? -1;
    for (const move of this.#moves.givesOf(row)) if (this.#model.plan.people[move.recipient].id === personId) return move;
    return null;
  }

  #bestOf(choices: readonly Move[][]): Move[] | null {
    const best = this.#newBest();
    for (const moves of choices) best.offer(moves, this.#rankOf(moves[0], moves.slice(1)));
    return best.moves;
  }

  /** Work of everyone that falls into the window, that on days that are over first. */
  #rowsToGive(): number[] {
    const { work } = this.#model;
    const days = Array.from({ length: this.options.window.stop - this.options.window.start }, (_, i) => this.options.window.start + i);
    const people = this.#model.plan.people.flatMap((own, person) =>
      own.locked || (this.options.people && !this.options.people.has(person)) ? [] : [person],
    );
    const isOver = new Map(people.map((person) => [person, new Set(this.#loads.overDaysOf(person))]));
    const rows = people.flatMap((person) => this.#rowsOf(person, days));
    const onOver = (row: number) => {
      const { start, stop } = workedDays(this.#model, row);
      return [...(isOver.get(work.person[row]) ?? [])].filter((day) => day >= start && day < stop).length;
    };
    return rows
      .map((row) => ({ row, own: onOver(row) }))
      .sort((a, b) => b.own - a.own || a.row - b.row)
      .map(({ row }) => row);
  }

  result(): EvenOutResult {
    const figures = (measured: Measured) => ({ ...measured.totals, window: measured.inWindow });
    return { before: figures(this.#first), after: figures(this.#measured), lines: this.#lines, steps: this.#steps };
  }

  #movesOf(model: Model): Moves {
    const { today, mostDelayDays = USUAL_DELAY_DAYS, isPencilledOnly = false } = this.options;
    return new Moves(model, new TrialPlacer(model), this.#loads, { kinds: this.#kinds, today, mostDelayDays, isPencilledOnly });
  }

  /** People with too much in the window, the worst first. */
  #worstFirst(): number[] {
    const people = this.#model.plan.people.flatMap((own, person) => {
      if (own.locked || (this.options.people && !this.options.people.has(person))) return [];
      const over = this.#loads.overOf(person);
      return over > 0 ? [{ person, over }] : [];
    });
    return people.sort((a, b) => b.over - a.over || a.person - b.person).map(({ person }) => person);
  }

  /** The move that takes most off a person's days in the window; null where none takes anything. */
  *#bestSingle(person: number): Generator<EvenOutProgress, Move[] | null> {
    const over = this.#loads.overDaysOf(person);
    const best = this.#newBest();
    for (const row of this.#rowsOf(person, over))
      for (const move of this.#moves.of(row, over)) {
        if (this.#isOver) return best.moves;
        if (++this.#steps % PAUSE === 0) yield this.progress();
        best.offer([move], this.#rankOf(move, []));
      }
    return best.moves;
  }

  /** A transfer to a person without room, and a move that makes room there; null if no pair reduces the overload. */
  *#bestChain(person: number): Generator<EvenOutProgress, Move[] | null> {
    const over = this.#loads.overDaysOf(person);
    const transfers: { move: Move; delta: number }[] = [];
    for (const row of this.#rowsOf(person, over))
      for (const move of this.#moves.of(row, over)) {
        if (this.#isOver) return null;
        if (++this.#steps % PAUSE === 0) yield this.progress();
        if (move.recipient >= 0 && move.unplaced <= 0 && !this.#isRefused([move]))
          transfers.push({ move, delta: this.#loads.deltaOf(move.parts).window });
      }
    transfers.sort((a, b) => a.delta - b.delta || a.move.row - b.move.row || a.move.recipient - b.move.recipient);
    for (const { move } of transfers.slice(0, MOST_CHAINS)) {
      const found = yield* this.#relieved(move);
      if (found) return found;
    }
    return null;
  }

  /** Overtime on the days that a person still has too much; null where they have it already. */
  *#bestOvertime(person: number): Generator<EvenOutProgress, Move[] | null> {
    if (this.#touched.has(overtimeOf(this.#model.plan.people[person].id))) return null;
    const best = this.#newBest();
    const move = this.#moves.overtimeOf(person, this.#loads.overDaysOf(person));
    if (!move) return null;
    if (++this.#steps % PAUSE === 0) yield this.progress();
    best.offer([move], this.#rankOf(move, []));
    return best.moves;
  }

  /** The best move that makes room for a transfer. */
  *#relieved(transfer: Move): Generator<EvenOutProgress, Move[] | null> {
    this.#loads.apply(transfer.parts);
    const over = this.#loads.overDaysOf(transfer.recipient);
    const rows = this.#rowsOf(transfer.recipient, over).filter((row) => this.#model.work.task[row] !== transfer.task);
    this.#loads.revert(transfer.parts);
    const best = this.#newBest();
    for (const row of rows.slice(0, MOST_ROWS))
      for (const move of this.#moves.of(row, over)) {
        if (this.#isOver) return null;
        if (++this.#steps % PAUSE === 0) yield this.progress();
        best.offer([transfer, move], this.#rankOf(transfer, [move]));
      }
    return best.moves;
  }

  /** The rank by which moves are chosen. Null for a move that reduces nothing or that breaks a rule. */
  #rankOf(move: Move, more: readonly Move[]): Rank | null {
    const all = [move, ...more];
    const unplaced = all.reduce((sum, own) => sum + own.unplaced, 0);
    if (unplaced > 0 || (this.#isPassing && all.some(this.#isPassedOver)) || this.#isRefused(all)) return null;
    const parts: readonly PersonParts[] = more.length === 0 ? move.parts : byPerson(all.flatMap((own) => own.parts));
    const { window, horizon } = this.#loads.deltaOf(parts);
    if (window >= 0 || horizon >= 0 || -window < (this.options.leastMinutes ?? 0)) return null;
    const tasks = new Set(all.map(({ task }) => task).filter((task) => task >= 0)).size;
    return { first: [window, unplaced, tasks], last: [horizon, move.row, move.recipient] };
  }

  /** Rows of a person's work that may be touched and fall on some days, the largest first. */
  #rowsOf(person: number, days: readonly Day[]): number[] {
    const model = this.#model;
    const { work, plan } = model;
    const { shares } = model.load(defaultCounting);
    const { projects, isPencilledOnly } = this.options;
    const wanted = [...membersOf(work.byPerson, person)].flatMap((row) => {
      if (row >= work.assignments || shares[row] <= 0 || work.isMaterial[row] === 1 || !isOpenToChange(model, row)) return [];
      if ((projects && !projects.has(work.project[row])) || (isPencilledOnly && work.isPencilled[row] === 0)) return [];
      if (this.#touched.has(plan.assignments[row].id) || this.#touched.has(plan.tasks[work.task[row]].id)) return [];
      const { start, stop } = workedDays(model, row);
      const falls = days.filter((day) => day >= start && day < stop).length;
      return falls === 0 ? [] : [{ row, falls }];
    });
    return wanted.sort((a, b) => b.falls - a.falls || a.row - b.row).map(({ row }) => row);
  }

  /** True for about three moves in ten. Which ones depends on the assignment, the person who would take it and `passesOver`. */
  #isPassedOver = ({ row, recipient, kind }: Move): boolean => {
    let hash = (this.options.passesOver ?? 0) * 0x9e3779b1;
    for (const part of [row, recipient, kind.length]) hash = Math.imul(hash ^ (part + 0x7f4a7c15), 0x85ebca6b) ^ (hash >>> 13);
    return (hash >>> 8) % 10 < 3;
  };

  #isRefused = (moves: readonly Move[]): boolean => this.#refused.size > 0 && this.#refused.has(this.#keyOf(moves));

  #keyOf = (moves: readonly Move[]): string =>
    moves.map(({ kind, id, recipient, variant }) => `${kind} ${id} ${recipient} ${variant}`).join("+");

  /** A move as the edits of one step; null where it cannot be made. */
  #stepOf({ kind, id, row, recipient, edits }: Move): Proposal | null {
    const { people } = this.#model.plan;
    const made = edits(this.#newId);
    return (
      made && { kind, edits: made, ...(row >= 0 && { assignmentId: id }), ...(recipient >= 0 && { recipientId: people[recipient].id }) }
    );
  }

  #newBest(): Best {
    const moves = this.#moves;
    return new Best((own) => own.reduce((sum, move) => sum + moves.costOf(move), 0));
  }

  /** Makes moves on the model and keeps them if every rule holds. */
  #accept(moves: readonly Move[]): boolean {
    const model = this.#model;
    const steps = moves.map((move) => this.#stepOf(move));
    const edits = steps.flatMap((step) => step?.edits ?? []);
    const outcome = steps.includes(null) ? null : applyEdit(model.plan, togetherOf(edits, "even out"));
    const isMade = outcome?.plan && leavesLocked(model, outcome.changes);
    const after = isMade ? new Measured(updateModel(model, outcome.plan, outcome.changes), this.#measured) : null;
    const made = after && outcome?.plan && { before: this.#measured, after, changes: outcome.changes, today: this.options.today };
    const window = after ? after.inWindow - this.#measured.inWindow : 0;
    if (!made || window > 0 || !keepsRules(made)) {
      this.#refused.add(this.#keyOf(moves));
      return false;
    }
    this.#lines.push({
      kind: moves[0].kind,
      edits,
      effect: after.effectSince(this.#measured),
      window,
      steps: steps.filter((own) => own !== null),
    });
    for (const { id, task, kind } of moves) {
      this.#touched.add(kind === "overtime" ? overtimeOf(id) : id);
      if (kind === "delay" || kind === "spread") this.#touched.add(model.plan.tasks[task].id);
    }
    // Split-off work stays with the person who received it.
    for (const { list, id } of made.changes) if (list === "assignments") this.#touched.add(id);
    this.#measured = after;
    this.#moves = this.#movesOf(after.model);
    for (const person of new Set(moves.flatMap(({ parts }) => parts.map((own) => own.person)))) this.#loads.refresh(after.model, person);
    return true;
  }

  progress(): EvenOutProgress {
    return {
      steps: this.#steps,
      lines: this.#lines.length,
      before: this.#first.inWindow,
      now: this.#measured.inWindow,
    };
  }
}

/** Distinguishes a person's overtime from an assignment of the same id. */
const overtimeOf = (personId: string): string => `overtime ${personId}`;

const pairsOf = (moves: readonly Move[]): Move[][] => moves.flatMap((one, at) => moves.slice(at + 1).map((other) => [one, other]));
