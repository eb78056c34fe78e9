// The plan host in a web worker: parsing, computing and settling, away from the screen's thread.
import * as Comlink from "comlink";
import { get, update } from "idb-keyval";
import type { Edit } from "../core/edits/edit.ts";
import type { OnSolve, Solver } from "../core/staffing/program.ts";
import { evenOutThere } from "./evenOutThere.ts";
import { type HostState, type Notice, PlanHost } from "./host.ts";
import { keepIn } from "./keep.ts";
import type { KeptEdit } from "./keptEdit.ts";
import { followTogether } from "./live.ts";
import { isSettled, NotTaken, type PlanMessage, type Settle, type Settled } from "./messages.ts";
import { post } from "./post.ts";
import type { QueryOf, Question } from "./questions.ts";
import { runSearch, type SearchKind, type SearchNews, type SearchQuery } from "./searches.ts";

const KEPT = "edits-on-their-way";

/** A server that has not answered after this long hangs: what was sent is sent again. Large edits take their time, and so
 * does a large plan on a slow line. */
const ANSWER_MS = 10_000;
const PLAN_MS = 60_000;
const LARGE_ANSWER_MS = 180_000;
const LARGE_LENGTH = 200_000;

/** The id that this browser keeps, which came with the worker's own name. */
const maker = self.name.split(" ")[0];
/** Held as long as this worker is there: the window notices when it is not. */
void navigator.locks?.request(self.name, () => new Promise(() => undefined));

async function read(): Promise<PlanMessage> {
  const response = await fetch(`/api/plan?maker=${maker}`, { cache: "no-store", signal: AbortSignal.timeout(PLAN_MS) });
  if (!response.ok) throw new Error(`GET /api/plan answered ${response.status}`);
  return response.json();
}

async function settle(message: Settle): Promise<Settled> {
  const body = JSON.stringify({ ...message, maker });
  const response = await post("/api/edits", {
    body,
    signal: AbortSignal.timeout(body.length > LARGE_LENGTH ? LARGE_ANSWER_MS : ANSWER_MS),
  });
  const answer: unknown = response.status >= 500 ? null : await response.json().catch(() => null);
  if (!isSettled(answer)) throw new NotTaken(response.status);
  return answer;
}

const wait = (milliseconds: number) => new Promise<void>((resolve) => setTimeout(resolve, milliseconds));

const keep = keepIn(
  {
    get: () => get<KeptEdit[]>(KEPT),
    update: (change) => update<KeptEdit[]>(KEPT, (kept = []) => change(kept)),
  },
  wait,
);

// Read while the page is still being made ready: the first reading is under way when the host asks for it.
let first: Promise<PlanMessage> | null = read();
first.catch(() => undefined);
const readOnce = (): Promise<PlanMessage> => {
  const started = first ?? read();
  first = null;
  return started;
};

let tell: (state: HostState, notice?: Notice) => void = () => {};
const host = new PlanHost({ read: readOnce, settle, wait }, keep, (state, notice) => tell(state, notice));

/** A proposal is answered within this, with the best found by then. */
const PROPOSE_SECONDS = 9;

/** By then a page has asked what it asks at first. */
const IDLE_MS = 1500;

/** The functions that end running searches, by name. */
const running = new Map<string, AbortController>();

/** Searches that the server does where the plan is large. @returns Whether it has begun. */
const onServer: {
  [K in SearchKind]?: (query: SearchQuery<K>, tell: (news: SearchNews<K>, isDone: boolean) => void, stop: AbortSignal) => Promise<boolean>;
} = { evenOut: evenOutThere };

/** Every way in answers later, as the window hears it. */
const api = {
  async start(
    listener: (state: HostState, notice?: Notice) => void,
    justMade: readonly KeptEdit[],
    sketchId: string | null,
  ): Promise<void> {
    tell = listener;
    await host.start(justMade, sketchId);
    setTimeout(() => host.warmMeasures(), IDLE_MS);
    followTogether(
      maker,
      () => host.revision,
      (answer) => void host.hear(answer),
    );
  },
  warm: async () => host.warm(),
  ask: async <Q extends Question>(question: Q, query: QueryOf<Q>) => host.ask(question, query),
  openSketch: async (id: string | null) => host.openSketch(id),
  preview: async <Q extends Question>(edit: Edit, question: Q, query: QueryOf<Q>) => host.preview(edit, question, query),
  edit: host.edit.bind(host),
  propose(openingIds: readonly string[], idStem: string, mostPeople: 1 | 2, solve: Solver, onSolve: OnSolve) {
    const until = performance.now() + PROPOSE_SECONDS * 1000;
    const secondsLeft = () => (until - performance.now()) / 1000;
    return host.propose(openingIds, solve, { idStem, mostPeople, onSolve, secondsLeft });
  },
  /** Searches in pieces. @param name What it is stopped by. */
  async search<K extends SearchKind>(
    name: string,
    kind: K,
    query: SearchQuery<K>,
    tell: (news: SearchNews<K>, isDone: boolean) => void,
    solve?: Solver,
  ): Promise<void> {
    const stop = new AbortController();
    running.set(name, stop);
    // The server knows the plan, not what a sketch has on top of it.
    const isForServer = host.isLarge && host.isSaved && !host.isSketching;
    const pause = () => new Promise<void>((resolve) => setTimeout(resolve));
    try {
      if (isForServer && (await onServer[kind]?.(query, tell, stop.signal))) return;
      await runSearch(host.search(kind, query), tell, () => stop.signal.aborted, pause, solve);
    } finally {
      running.delete(name);
    }
  },
  async stopSearch(name: string): Promise<void> {
    running.get(name)?.abort();
  },
  step: host.step.bind(host),
  chosen: host.chosen.bind(host),
};

export type PlanWorker = typeof api;

Comlink.expose(api);
