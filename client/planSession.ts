// The plan in this window: its worker, started again where it ends, and what is made and asked of it.
import * as Comlink from "comlink";
import type { Edit } from "../core/edits/edit.ts";
import type { Fault } from "../core/plan/faults.ts";
import type { OnSolve } from "../core/staffing/program.ts";
import type { Proposal } from "../core/staffing/proposal.ts";
import { noteUse } from "./atRest.ts";
import type { HostState, Notice, StepBack } from "./host.ts";
import type { Initial } from "./initial.ts";
import { KeptAnswers } from "./keptAnswers.ts";
import { forgetJustMade, justMade, type KeptEdit, keepJustMade, newKey, storageOfWindow } from "./keptEdit.ts";
import { fullyLoaded } from "./laterScripts.ts";
import type { PlanWorker } from "./plan.worker.ts";
import { firstThread, type PlanThread, startWorker } from "./planThread.ts";
import type { AnswerOf, QueryOf, Question } from "./questions.ts";
import type { SearchKind, SearchNews, SearchQuery } from "./searches.ts";
import type { Redacted } from "./seen.ts";

/** The worker is gone; what it was asked is asked again. */
class WorkerEnded extends Error {}

/** An answer that is there. */
interface Known<T> {
  data: T;
}

/** A question that was asked, and its answer once there is one. */
interface Asked<T> {
  answer: Promise<T>;
  known: Known<T> | null;
}

/** An answer that was asked for behind an edit. */
interface Ahead {
  question: Question;
  key: string;
  coming: Promise<{ version: number; data: AnswerOf<Question> }>;
}

type Listener = (state: HostState, notice?: Notice) => void;

const RETRY_MS = 3_000;

/** More edits than anyone makes before the first of them is settled. */
const MOST_MADE = 500;

/** The integer solver, loaded when it is first wanted. */
const newSolving = () => import("./solving.ts").then(({ Solving }) => new Solving());

/** The worker's ways in. Comlink's own type of them loses what a question has to do with its answer. */
const remoteOf = (worker: Worker) => Comlink.wrap<PlanWorker>(worker) as unknown as PlanWorker;

/** The worker of this window, what it says of the plan, and the ways to make an edit or to ask. */
export class PlanSession {
  #state: HostState | null = null;
  #worker: PlanWorker | null = null;
  /** Rejected when the worker ends. */
  #ended: Promise<never> = new Promise(() => undefined);
  /** Versions of former workers: the next one counts on from there. */
  #formerVersions = 0;
  readonly #listeners = new Set<() => void>();
  /** The questions asked of the plan that is shown now, by question and query. */
  readonly #answers = new KeptAnswers();
  /** The answers that screens show, by question and query, with the number of parts that show each. */
  readonly #watched = new Map<string, { question: Question; key: string; parts: number }>();
  /** Questions that were posted right after an edit. Their answers are about the plan with that edit. */
  readonly #ahead = new Map<string, Ahead>();
  onNotice: (notice: Notice) => void = () => {};
  #storage: Storage | null = null;
  /** The sketch that a restarted worker has to open, too. */
  #sketchId: string | null;
  /** Keys of the last edits made here: the next one is made on top of them, settled or not. */
  #made: readonly string[] = [];
  /** Edits and steps that the worker has not answered yet. */
  #asked = 0;
  #setRead: () => void = () => {};
  /** Done when the worker has read the plan: what is asked for before then waits. */
  #read = new Promise<void>((resolve) => {
    this.#setRead = resolve;
  });

  constructor(sketchId: string | null) {
    this.#sketchId = sketchId;
  }

  /** Starts the worker; later calls change nothing. */
  start(): void {
    if (this.#worker || !firstThread) return;
    this.#storage = storageOfWindow();
    this.#use(firstThread);
  }

  /** An edit that was put back is made again on top of what others have done, or left. */
  choose(key: string, edit: Edit | null): void {
    void this.#reader?.chosen(key);
    if (edit) void this.edit(edit);
  }

  #use({ worker, name }: PlanThread): void {
    const remote = remoteOf(worker);
    this.#worker = remote;
    let setBegun = () => {};
    const begun = new Promise<void>((resolve) => {
      setBegun = resolve;
    });
    this.#ended = endOf(name, begun);
    const isCurrent = this.#ended;
    const listener: Listener = (state, notice) => {
      setBegun();
      if (this.#ended !== isCurrent) return;
      const version = this.#formerVersions + state.version;
      if (version !== this.#state?.version) this.#answers.clear();
      this.#takeAhead(version);
      // Now it can be used.
      if (!this.#state) noteUse();
      this.#state = { ...state, version };
      this.#setRead();
      for (const listen of this.#listeners) listen();
      if (notice) this.onNotice(notice);
    };
    const left = justMade(this.#storage);
    void this.#begin(remote, listener, left);
    this.#ended.catch(() => this.#restart());
  }

  /** Has a worker read the plan; where the server does not answer, again until it does. */
  async #begin(worker: PlanWorker, listener: Listener, left: readonly KeptEdit[]): Promise<void> {
    for (let tries = 0; worker === this.#worker; tries++) {
      try {
        await worker.start(Comlink.proxy(listener), left, this.#sketchId);
        void fullyLoaded().then(() => worker.warm());
        // Another one may have been opened meanwhile.
        await worker.openSketch(this.#sketchId);
        for (const { key } of left) forgetJustMade(this.#storage, key);
        return;
      } catch (error) {
        const reason = error instanceof Error ? error.message : "no answer";
        if (tries === 0)
          this.onNotice({ kind: "offline", text: `The plan could not be read (${reason}). This page tries again every few seconds.` });
        await new Promise((resolve) => setTimeout(resolve, RETRY_MS));
      }
    }
  }

  /** Pending edits are kept in the browser, and the next worker sends them again. */
  #restart(): void {
    this.#formerVersions = this.#state?.version ?? 0;
    const wasRead = this.#setRead;
    this.#read = new Promise((resolve) => {
      this.#setRead = () => {
        wasRead();
        resolve();
      };
    });
    this.#use(startWorker());
    this.onNotice({ kind: "done", text: "Planning in this window was interrupted and has been started again; nothing was lost." });
  }

  subscribe = (listen: () => void): (() => void) => {
    this.#listeners.add(listen);
    return () => this.#listeners.delete(listen);
  };

  state = (): HostState | null => this.#state;

  /** True while the screens show what an answer from the server is about: nothing has been made here on top of its revision, and
   * the same sketch is open, or none. */
  isStillAt({ revision, sketchId }: Pick<Initial<unknown>, "revision" | "sketchId">): boolean {
    const state = this.#state;
    return state?.revision === revision && state.unsettled === 0 && state.sketchId === sketchId;
  }

  /** Shows a sketch on top of the plan from now on; the plan alone for null. */
  openSketch(id: string | null): void {
    this.#sketchId = id;
    void this.#reader?.openSketch(id);
  }

  /** True from the moment something is made, until the server has settled it. */
  isSaving = (): boolean => this.#asked > 0 || (this.#state?.unsettled ?? 0) > 0;

  /** The worker, once it has read the plan. */
  get #reader(): PlanWorker | null {
    return this.#state ? this.#worker : null;
  }

  /** Makes an edit, once the plan has been read.
   * @param key The key of the edit, by which its maker can undo it.
   * @returns Why it cannot be; empty where it was made. */
  async edit(edit: Edit, key = newKey()): Promise<readonly Fault[]> {
    const after = [...new Set([...(this.#state?.pending ?? []), ...this.#made])];
    keepJustMade(this.#storage, { key, edit, after, ...(this.#state && { madeOn: this.#state.revision }) });
    this.#made = [...this.#made, key].slice(-MOST_MADE);
    const faults = await this.#waitedFor((worker) => {
      const made = worker.edit(edit, key);
      this.#askAhead(worker);
      return made;
    });
    // The next worker makes it, and says so where it cannot be.
    if (!faults) return [];
    forgetJustMade(this.#storage, key);
    if (faults.length > 0) this.#ahead.clear();
    if (faults.length > 0) this.onNotice({ kind: "refused", text: faults.map(({ message }) => message).join(" ") });
    return faults;
  }

  /** Reports that a part of the screen shows the answer to a question: it is asked together with every edit. @returns Ends that. */
  watch(question: Question, key: string): () => void {
    const name = `${question} ${key}`;
    const own = this.#watched.get(name) ?? { question, key, parts: 0 };
    own.parts++;
    this.#watched.set(name, own);
    return () => {
      own.parts--;
      if (own.parts === 0) this.#watched.delete(name);
    };
  }

  /** Asks what the screens show right behind an edit, so that the worker goes on to it at once, while the window still draws. */
  #askAhead(worker: PlanWorker): void {
    for (const [name, { question, key }] of this.#watched) {
      if (afterOthers.has(question)) continue;
      const coming = worker.ask(question, JSON.parse(key));
      coming.catch(() => undefined);
      this.#ahead.set(name, { question, key, coming });
    }
  }

  /** Questions asked ahead are asked of this version; an answer to another version is asked for again. */
  #takeAhead(version: number): void {
    for (const { question, key, coming } of this.#ahead.values()) {
      const answered = async () => {
        const answer = await Promise.race([coming, this.#ended]).catch(() => null);
        return answer && this.#formerVersions + answer.version === version ? answer.data : this.ask(question, JSON.parse(key));
      };
      void this.#keepAsked(question, key, answered);
    }
    this.#ahead.clear();
  }

  /** The answer to a question about the plan that is shown now: what several parts of a screen ask is asked once.
   * @param key The query as text. */
  askNow<Q extends Question>(question: Q, key: string): Promise<AnswerOf<Q>> {
    return this.#keepAsked(question, key, () => this.#askInTurn(question, key));
  }

  #keepAsked<Q extends Question>(question: Q, key: string, ask: () => Promise<AnswerOf<Q>>): Promise<AnswerOf<Q>> {
    return this.#answers.of(question, key, (): Asked<AnswerOf<Q>> => {
      const asked: Asked<AnswerOf<Q>> = { answer: ask(), known: null };
      asked.answer.then(
        (data) => {
          asked.known = { data };
          if (ofFrame.has(question)) this.#answers.keepLast(question, key, asked.known);
        },
        () => undefined,
      );
      return asked;
    }).answer;
  }

  /** The answer to a question about the plan that is shown now; null if there is none yet. It stays the same object. */
  known<Q extends Question>(question: Q, key: string): Known<AnswerOf<Q>> | null {
    return this.#answers.kept<Asked<AnswerOf<Q>>>(question, key)?.known ?? null;
  }

  /** The same; a question of the frame that is not answered yet has what it was answered last: newer than what came with the window. */
  knownLast<Q extends Question>(question: Q, key: string): Known<AnswerOf<Q>> | null {
    return this.known(question, key) ?? this.#answers.last<Known<AnswerOf<Q>>>(question, key) ?? null;
  }

  async #askInTurn<Q extends Question>(question: Q, key: string): Promise<AnswerOf<Q>> {
    if (afterOthers.has(question)) await new Promise((resolve) => setTimeout(resolve));
    return this.ask(question, JSON.parse(key));
  }

  /** The answer to a question asked once, of the plan as it is then. */
  async ask<Q extends Question>(question: Q, query: QueryOf<Q>): Promise<AnswerOf<Q>> {
    return (await this.#answered((worker) => worker.ask(question, query))).data;
  }

  /** The answer to a question after an edit that is not made; null where it cannot be. */
  async preview<Q extends Question>(edit: Edit, question: Q, query: QueryOf<Q>): Promise<AnswerOf<Q> | null> {
    return (await this.#answered((worker) => worker.preview(edit, question, query))).data;
  }

  /** A search that takes a while. @param report Hears what has been found so far, again and again.
   * @returns Ways to end it: with what has been found by then, or without hearing of it again. */
  search<K extends SearchKind>(
    kind: K,
    query: SearchQuery<K>,
    tell: (news: SearchNews<K>, isDone: boolean) => void,
  ): { end: () => void; leave: () => void } {
    const name = newKey();
    let isWanted = true;
    const heard = Comlink.proxy((news: SearchNews<K>, isDone: boolean) => {
      if (isWanted) tell(news, isDone);
    });
    const solving = kind === "evenOut" ? newSolving() : null;
    const stopSolving = () => void solving?.then((own) => own.stop());
    const begin = async () => {
      const solve = (await solving)?.solve;
      await this.#answered((worker) => worker.search(name, kind, query, heard, ...(solve ? [Comlink.proxy(solve)] : [])));
    };
    void begin().finally(stopSolving);
    const end = () => {
      stopSolving();
      void this.#reader?.stopSearch(name);
    };
    const leave = () => {
      isWanted = false;
      end();
    };
    return { end, leave };
  }

  /** A proposal for openings; takes seconds. @param onSolve Hears which part of the search begins.
   * @returns What comes of it, and a way to have it answered with what is found so far. */
  propose(
    openingIds: readonly string[],
    idStem: string,
    mostPeople: 1 | 2,
    onSolve: OnSolve,
  ): { proposal: Promise<Redacted<Proposal>>; stop: () => void } {
    const started = newSolving();
    const stop = () => void started.then((solving) => solving.stop());
    const propose = async () => {
      const { solve } = await started;
      return this.#answered((worker) => worker.propose(openingIds, idStem, mostPeople, Comlink.proxy(solve), Comlink.proxy(onSolve)));
    };
    return { proposal: propose().finally(stop), stop };
  }

  /** The worker's answer, once the plan has been read; where it ends before it has answered, the next one's. */
  async #answered<T>(ask: (worker: PlanWorker) => Promise<T>): Promise<T> {
    for (;;) {
      await this.#read;
      if (!this.#worker) throw new Error("the plan is read by a worker");
      try {
        return await Promise.race([ask(this.#worker), this.#ended]);
      } catch (error) {
        if (!(error instanceof WorkerEnded)) throw error;
      }
    }
  }

  async step(step: StepBack): Promise<void> {
    await this.#waitedFor((worker) => worker.step(step));
  }

  /** The worker's answer to an edit once the plan has been read; until then the edit counts as being saved. Undefined if the
   * worker ended before it answered. */
  async #waitedFor<T>(make: (worker: PlanWorker) => Promise<T>): Promise<T | undefined> {
    // Posted before anyone hears of it: what is drawn because of it does not keep the worker waiting.
    const made = this.#reader ? make(this.#reader) : null;
    made?.catch(() => undefined);
    this.#count(1);
    try {
      if (!made) await this.#read;
      return this.#worker ? await Promise.race([made ?? make(this.#worker), this.#ended]) : undefined;
    } catch (error) {
      if (error instanceof WorkerEnded) return undefined;
      throw error;
    } finally {
      this.#count(-1);
    }
  }

  #count(by: number): void {
    this.#asked += by;
    for (const listen of this.#listeners) listen();
  }
}

/** Rejects when the worker of a name is gone, which its lock shows. A page that is not served securely
 * has no locks, and the promise stays open.
 * @param begun Done once the worker has said something: it has taken its lock before. */
function endOf(name: string, begun: Promise<void>): Promise<never> {
  return new Promise((_, reject) => {
    const { locks } = navigator;
    if (!locks) return;
    const watch = async () => {
      let hasBegun = false;
      void begun.then(() => {
        hasBegun = true;
      });
      // It has to take its lock before one can wait for it; it may be gone again before anyone has seen that.
      while (!hasBegun && !(await locks.query()).held?.some((held) => held.name === name))
        await Promise.race([begun, new Promise((resolve) => setTimeout(resolve, 500))]);
      await locks.request(name, () => undefined);
      reject(new WorkerEnded());
    };
    void watch();
  });
}

/** Questions of the frame, which stays from screen to screen. */
const ofFrame: ReadonlySet<Question> = new Set<Question>(["ribbon", "tray", "names", "frame"]);

/** Answered after those of the screen, which a person looks at. */
const afterOthers: ReadonlySet<Question> = new Set<Question>([...ofFrame, "today"]);
