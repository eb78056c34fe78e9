// The browser's copy of the plan: edits show at once, are settled with the server one after the other, and are put
// back when it refuses.

import { measuredOf } from "../core/balancing/measures.ts";
import { applyChanges, type Change } from "../core/edits/change.ts";
import { applyEdit, type Edit } from "../core/edits/edit.ts";
import type { EditConflict } from "../core/edits/editConflicts.ts";
import type { NextSteps } from "../core/edits/history.ts";
import { buildModel, type Model } from "../core/model.ts";
import { typedHoursLost, type UnplacedRise } from "../core/placing/unplacedRises.ts";
import type { Fault } from "../core/plan/faults.ts";
import { FULL_ACCESS, type MoneyAccess } from "../core/plan/moneySides.ts";
import { findRow } from "../core/plan/rows.ts";
import type { ChangedList, Plan, Sketch } from "../core/plan/schema.ts";
import { recordedOf } from "../core/recorded/recorded.ts";
import { type Moves, movesOf } from "../core/schedule/moves.ts";
import { isOfPlanItself, modelUnder, recordedEdit } from "../core/sketch/sketch.ts";
import type { Solver } from "../core/staffing/program.ts";
import { type Proposal, type ProposeOptions, propose } from "../core/staffing/proposal.ts";
import { updateModel } from "../core/update/update.ts";
import { currentDay } from "./clock.ts";
import { type KeptEdit, newKey } from "./keptEdit.ts";
import { NotTaken, type PlanMessage, type Settle, type Settled } from "./messages.ts";
import { type AnswerOf, ofPlanItself, type QueryOf, type Question } from "./questions.ts";
import { answer, proposed, search } from "./redacted.ts";
import { LARGE, type Search, type SearchKind, type SearchNews, type SearchQuery } from "./searches.ts";
import type { Redacted } from "./seen.ts";

/** The connection of the host to the server. A rejected promise means that nothing was answered, in time or at all. */
export interface Transport {
  read(): Promise<PlanMessage>;
  settle(message: Settle): Promise<Settled>;
  wait(milliseconds: number): Promise<void>;
}

/** Keeps edits that are not settled yet, so that a closed window loses none. Windows share it: each adds and removes
 * only its own. A rejected promise means that nothing is kept. */
export interface Keep {
  load(): Promise<KeptEdit[]>;
  add(edits: readonly KeptEdit[]): Promise<void>;
  /** Keeps an edit no longer to be sent, but to be chosen about. */
  setAside(key: string, editConflicts: readonly EditConflict[]): Promise<void>;
  remove(key: string): Promise<void>;
}

/** The state of the host that screens show. */
export interface HostState {
  /** Grows with every change of the plan that the screens show. */
  version: number;
  /** The server's revision that everything settled is part of. */
  revision: number;
  unsettled: number;
  /** Keys of the edits that are not settled, in the order they were made. */
  pending: readonly string[];
  isOffline: boolean;
  /** False where this browser keeps nothing: what is unsaved is lost with the window. */
  isKeeping: boolean;
  history: NextSteps;
  /** The sketch that the screens show on top of the plan. */
  sketchId: string | null;
}

export type Notice =
  | { kind: "refused" | "offline" | "online" | "done" | "notKept"; text: string }
  /** The dates that moved with an edit, and typed hours that can no longer be worked. */
  | { kind: "moved"; moves: Moves; typed: readonly UnplacedRise[] }
  /** Others have changed these rows. */
  | { kind: "heard"; rows: readonly { list: ChangedList; id: string }[] }
  /** An edit met what others have done meanwhile and was put back: it can be made again on top of theirs. */
  | { kind: "editConflicts"; key: string; edit: Edit; rows: readonly EditConflict[] }
  /** The user's step was not undone, because others have changed the same fields since. */
  | { kind: "changedSince"; step: StepBack; text: string; rows: readonly EditConflict[]; undoableRows: number };

/** A step that is undone or brought again. */
export interface StepBack {
  kind: "undo" | "redo";
  /** The revision at which it was made; the last one by default. */
  of?: number;
  /** The key of the edit it is about, in place of its revision. */
  ofKey?: string;
  /** True to leave what others have changed since. */
  partly?: boolean;
}

const RETRY_MS = 2_000;

export class PlanHost {
  #confirmed: Plan | null = null;
  /** Built when something is first asked: a screen that came with its figures can be used before. */
  #model: Model | null = null;
  /** The model that the screens last heard of; null for the plan as it was read, undefined for none. */
  #reported: Model | null | undefined = undefined;
  #pending: KeptEdit[] = [];
  /** The server has said that the plan has to be read again, and it has not been yet. */
  #isBehind = false;
  #state: HostState = {
    version: 0,
    revision: 0,
    unsettled: 0,
    pending: [],
    isOffline: false,
    isKeeping: true,
    history: { undo: null, redo: null },
    sketchId: null,
  };
  #sending: Promise<void> | null = null;
  #steps: Promise<void> = Promise.resolve();
  #turn: Promise<unknown> = Promise.resolve();
  /** The step that was asked for last and not answered, with its key. */
  #stepKey: { about: string; key: string } | null = null;
  /** Tasks that the last edit itself was about. */
  #touched: ReadonlySet<string> = new Set();

  constructor(
    private readonly transport: Transport,
    private readonly keep: Keep,
    private readonly tell: (state: HostState, notice?: Notice) => void,
    /** The sides of money that the user may see. */
    private readonly access: MoneyAccess = FULL_ACCESS,
  ) {}

  /** Reads the plan, and brings again what was not settled when the window was closed.
   * @param justMade Edits that had not even been kept then. @param sketchId A sketch that is shown on top of it from the first. */
  async start(justMade: readonly KeptEdit[] = [], sketchId: string | null = null): Promise<void> {
    await this.#read();
    this.#state = { ...this.#state, sketchId };
    const kept = (await this.#kept(this.keep.load())) ?? [];
    const left = justMade.filter(({ key }) => kept.every((known) => known.key !== key));
    if (left.length > 0) await this.#kept(this.keep.add(left));
    // An edit that no longer fits may have been made before the page was left: the server knows it by its key, or says why not.
    this.#pending = [...kept.filter(({ editConflicts }) => !editConflicts), ...left];
    this.#replay();
    this.#changed();
    this.#send();
    for (const { key, edit, editConflicts } of kept)
      if (editConflicts) this.#changed({ kind: "editConflicts", key, edit, rows: editConflicts });
  }

  /** Yours or theirs was chosen for an edit that was put back. */
  async chosen(key: string): Promise<void> {
    await this.#kept(this.keep.remove(key));
  }

  /** Works out what the first question would wait for. */
  warm(): void {
    this.#shown().placements;
  }

  /** Works out what the first remedies would wait for; of a large plan that takes too long to be done unasked. */
  warmMeasures(): void {
    if (!this.isLarge) measuredOf(this.#shown());
  }

  /** The revision that is known of the server. */
  get revision(): number {
    return this.#state.revision;
  }

  /** The server has everything that is shown here. */
  get isSaved(): boolean {
    return this.#pending.length === 0 && !this.#isBehind;
  }

  /** A sketch is shown on top of the plan. */
  get isSketching(): boolean {
    return this.#state.sketchId !== null;
  }

  /** So large that long searches are for the server. */
  get isLarge(): boolean {
    return (this.#confirmed?.people.length ?? 0) > LARGE.people;
  }

  /** Applies the edits of others; returns the rows that they touch. */
  hear(answer: Settled): Promise<void> {
    return this.#inTurn(async () => {
      const { revision } = this.#state;
      if (!this.#confirmed || answer.revision <= revision) return;
      const entries = answer.entries?.filter((entry) => entry.revision > revision) ?? null;
      const isWhole = entries !== null && entries.length === answer.revision - revision;
      await this.#take({ ...answer, entries: isWhole ? entries : null });
      this.#changed({ kind: "heard", rows: (entries ?? []).flatMap(({ changes }) => changes.map(({ list, id }) => ({ list, id }))) });
    });
  }

  /** Answers a question about the plan as this user sees it. */
  ask<Q extends Question>(question: Q, query: QueryOf<Q>): { version: number; revision: number; data: AnswerOf<Q> } {
    const { version, revision } = this.#state;
    return { version, revision, data: answer(ofPlanItself.has(question) ? this.#shown() : this.#visible(), question, query, this.access) };
  }

  /** Shows a sketch on top of the plan from now on; the plan alone for null. */
  openSketch(id: string | null): void {
    if (this.#state.sketchId === id) return;
    this.#state = { ...this.#state, sketchId: id, version: this.#state.version + 1 };
    this.#changed();
  }

  /** The answer to a question after an edit, and why the edit cannot be made; nothing is changed. */
  preview<Q extends Question>(edit: Edit, question: Q, query: QueryOf<Q>): { data: AnswerOf<Q> | null; faults: readonly Fault[] } {
    const model = this.#visible();
    const outcome = applyEdit(model.plan, edit);
    if (!outcome.plan) return { data: null, faults: outcome.faults };
    return { data: answer(updateModel(model, outcome.plan, outcome.changes), question, query, this.access), faults: [] };
  }

  /** Begins a search over the plan as it is shown now. */
  search<K extends SearchKind>(kind: K, query: SearchQuery<K>): Search<SearchNews<K>> {
    return search(this.#visible(), kind, query, this.access);
  }

  /** A proposal for openings, by an integer program. */
  async propose(openingIds: readonly string[], solve: Solver, options: ProposeOptions): Promise<Redacted<Proposal>> {
    return proposed(await propose(this.#visible(), openingIds, solve, options), this.access);
  }

  /** Makes an edit: it shows at once and is settled in the background.
   * @returns Why it cannot be; empty where it was made. */
  async edit(asked: Edit, key = newKey()): Promise<readonly Fault[]> {
    const before = this.#visible();
    // While a sketch is open, an edit is recorded in it in place of being made.
    const sketch = isOfPlanItself(asked) ? undefined : this.#openedSketch();
    const drawn = sketch && recordedEdit(this.#shown().plan, sketch, asked, key);
    if (drawn && "faults" in drawn) return drawn.faults;
    const edit = drawn?.edit ?? asked;
    const faults = this.#applyLocally(edit);
    if (faults.length > 0) return faults;
    if (drawn) this.#touched = tasksOf(drawn.changes);
    const made: KeptEdit = { key, edit, madeOn: this.#state.revision, after: this.#pending.map((own) => own.key) };
    this.#pending.push(made);
    this.#changed(this.#movedNotice(before));
    await this.#kept(this.keep.add([made]));
    this.#send();
    return [];
  }

  /** The dates that the last edit moved; undefined if there are none to report. */
  #movedNotice(before: Model): Notice | undefined {
    const after = this.#visible();
    if (before.schedule === after.schedule) return undefined;
    const moves = movesOf(before, after, this.#touched);
    const typed = typedHoursLost(before, after, new Set([...this.#touched, ...moves.tasks.map(({ taskId }) => taskId)]));
    return moves.tasks.length + moves.projects.length + typed.length > 0 ? { kind: "moved", moves, typed } : undefined;
  }

  /** Undoes or redoes one of the user's own steps once all steps before it are settled, one at a time. */
  step(step: StepBack): Promise<void> {
    this.#steps = this.#steps.then(() => this.#step(step));
    return this.#steps;
  }

  async #step({ kind, of, ofKey, partly }: StepBack): Promise<void> {
    // An edit that is still being kept has not been sent yet: it has to be, to be undone.
    while (this.#pending.length > 0 || this.#sending) {
      this.#send();
      await this.#sending;
    }
    const next = this.#state.history[kind];
    const step = ofKey === undefined ? { kind, of: of ?? next?.revision, partly } : { kind, ofKey, partly };
    if (ofKey === undefined && step.of === undefined) return;
    try {
      const settled = await this.#inTurn(async () => {
        const answer = await this.transport.settle({ base: this.#state.revision, request: { ...step, key: this.#keyOf(step) } });
        this.#stepKey = null;
        await this.#take(answer);
        return answer;
      });
      this.#changed(stepNotice(step, settled.entries?.at(-1)?.words ?? next?.words ?? "", settled));
    } catch {
      this.#changed({
        kind: "offline",
        text: `The server does not answer, so nothing was ${kind === "undo" ? "undone" : "redone"}. Try again when it does.`,
      });
    }
  }

  /** A step that is asked for again, because its answer was lost, goes under the same key and is made once. */
  #keyOf(step: StepBack): string {
    const about = JSON.stringify(step);
    if (this.#stepKey?.about !== about) this.#stepKey = { about, key: newKey() };
    return this.#stepKey.key;
  }

  /** The result of storing in this browser. If the browser cannot store, a notice says so, and edits are sent all the same. */
  async #kept<T>(work: Promise<T>): Promise<T | undefined> {
    try {
      const result = await work;
      if (!this.#state.isKeeping) this.#state = { ...this.#state, isKeeping: true };
      return result;
    } catch {
      if (!this.#state.isKeeping) return undefined;
      this.#state = { ...this.#state, isKeeping: false };
      this.#changed({
        kind: "notKept",
        text: "This browser cannot store changes: its storage is full or blocked. Changes are still sent to the server; do not close the page while any is unsaved.",
      });
      return undefined;
    }
  }

  #shown(): Model {
    if (this.#model) return this.#model;
    if (!this.#confirmed) throw new Error("The plan has not been read yet.");
    this.#model = buildModel(this.#confirmed, recordedOf(this.#confirmed, currentDay()));
    if (this.#reported === null) this.#reported = this.#model;
    return this.#model;
  }

  /** The plan as the screens show it: with the open sketch on top of it. */
  #visible(): Model {
    return modelUnder(this.#shown(), this.#state.sketchId);
  }

  /** Undefined also for one that is gone by now. */
  #openedSketch(): Sketch | undefined {
    return findRow(this.#shown().plan.sketches, this.#state.sketchId ?? undefined);
  }

  #applyLocally(edit: Edit): readonly Fault[] {
    const model = this.#shown();
    const outcome = applyEdit(model.plan, edit);
    if (!outcome.plan) return outcome.faults;
    this.#model = updateModel(model, outcome.plan, outcome.changes);
    this.#touched = tasksOf(outcome.changes);
    return [];
  }

  #send(): void {
    this.#sending ??= this.#settleAll().finally(() => {
      this.#sending = null;
    });
  }

  async #settleAll(): Promise<void> {
    while (this.#isBehind || this.#pending.length > 0) {
      const failure = await this.#inTurn(() => (this.#isBehind ? this.#catchUp() : this.#settleFirst()));
      if (failure === null) continue;
      this.#wentOffline(failure);
      await this.transport.wait(RETRY_MS);
    }
  }

  /** Sends the oldest edit and takes over the answer. @returns Why there was none, or null where there was. */
  async #settleFirst(): Promise<unknown> {
    const { key, edit, madeOn = this.#state.revision, after = [] } = this.#pending[0];
    let settled: Settled;
    try {
      const request = { kind: "edit" as const, edit, key, madeOn, after: [...after] };
      settled = await this.transport.settle({ base: this.#state.revision, request });
    } catch (error) {
      return error ?? new Error("no answer");
    }
    const online = this.#cameOnline();
    // A choice outlives this window in this very moment.
    await this.#kept(settled.editConflicts ? this.keep.setAside(key, settled.editConflicts) : this.keep.remove(key));
    // Not before: an edit made meanwhile has to say that it was made on top of this one, whose revision is not known yet.
    this.#pending.shift();
    await this.#take(settled, settled.faults.length === 0 && settled.entries?.length === 1);
    const refusal = settled.faults[0]?.message;
    if (settled.editConflicts) this.#changed({ kind: "editConflicts", key, edit, rows: settled.editConflicts });
    else if (refusal !== undefined) this.#changed({ kind: "refused", text: `Reverted: ${refusal}` });
    else this.#changed(online);
    return null;
  }

  /** Reads the plan again after the server has said that it has to be. @returns Why it could not be, or null. */
  async #catchUp(): Promise<unknown> {
    try {
      await this.#read();
    } catch (error) {
      return error ?? new Error("no answer");
    }
    this.#isBehind = false;
    this.#replay();
    this.#changed(this.#cameOnline());
    return null;
  }

  /** The server has answered. @returns What is to be said of that, where it did not before. */
  #cameOnline(): Notice | undefined {
    if (!this.#state.isOffline) return undefined;
    this.#state = { ...this.#state, isOffline: false };
    return { kind: "online", text: "The server answers again; your changes are saved." };
  }

  /** One exchange with the server after the other: what is heard in between would else be taken over twice. */
  #inTurn<T>(work: () => Promise<T>): Promise<T> {
    const turn = this.#turn.then(work, work);
    this.#turn = turn.catch(() => undefined);
    return turn;
  }

  #wentOffline(failure: unknown): void {
    if (this.#state.isOffline) return;
    this.#state = { ...this.#state, isOffline: true };
    const reason =
      failure instanceof NotTaken
        ? `The server does not accept changes now (it answered ${failure.status}).`
        : "The server cannot be reached.";
    const promise = this.#state.isKeeping
      ? "Your changes are kept in this browser and sent when it answers."
      : "Your changes are sent when it answers; leave this page open until then.";
    this.#changed({ kind: "offline", text: `${reason} ${promise}` });
  }

  /** Takes over what the server says has happened. @param isOwn True where that is just the edit shown already. */
  async #take({ entries, revision, history }: Settled, isOwn = false): Promise<void> {
    if (!entries || !this.#confirmed) {
      // Until it can be read, what is shown stays as it is.
      this.#isBehind = true;
      if ((await this.#catchUp()) !== null) this.#send();
      return;
    }
    const before = this.#confirmed;
    this.#confirmed = entries.reduce((plan, { changes }) => applyChanges(plan, changes), before);
    this.#state = { ...this.#state, revision, history };
    if (isOwn) {
      // The screen shows settled edits unless more are pending.
      if (this.#pending.length === 0 && this.#model) this.#confirmed = this.#model.plan;
      return;
    }
    // The screen may show edits that are not settled: then it is no step from one state to the next.
    if (this.#model?.plan === before && this.#pending.length === 0)
      this.#model = updateModel(
        this.#model,
        this.#confirmed,
        entries.flatMap(({ changes }) => changes),
      );
    else {
      this.#model = null;
      this.#reported = undefined;
    }
    this.#replay();
  }

  async #read(): Promise<void> {
    const { plan, revision, history } = await this.transport.read();
    this.#confirmed = plan;
    this.#model = null;
    this.#reported = undefined;
    this.#state = { ...this.#state, revision, history };
  }

  /** Makes the unsettled edits again on top of a new state; those that no longer fit are left to the server to refuse. */
  #replay(): void {
    for (const { edit } of this.#pending) this.#applyLocally(edit);
  }

  #changed(notice?: Notice): void {
    // An edit that the server has settled as it was shown changes nothing on any screen.
    const version = this.#model === this.#reported ? this.#state.version : this.#state.version + 1;
    this.#reported = this.#model;
    this.#state = { ...this.#state, version, unsettled: this.#pending.length, pending: this.#pending.map(({ key }) => key) };
    this.tell(this.#state, notice);
  }
}

/** Ids of the tasks among what was changed. */
const tasksOf = (changes: readonly Change[]) => new Set(changes.flatMap(({ list, id }) => (list === "tasks" ? [id] : [])));

/** The notice about a requested undo or redo. */
function stepNotice(step: StepBack, words: string, { faults, editConflicts, undoableRows = 0 }: Settled): Notice {
  const refusal = faults[0]?.message;
  if (refusal === undefined) return { kind: "done", text: `${step.kind === "undo" ? "Undone" : "Redone"}: ${words}` };
  if (editConflicts) return { kind: "changedSince", step, text: refusal, rows: editConflicts, undoableRows };
  return { kind: "refused", text: refusal };
}
