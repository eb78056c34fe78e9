// The plan host in a web worker: parsing, computing and settling, away from the screen's thread.
import * as Comlink from "comlink";
import { get, update } from "idb-keyval";
import { type HostState, type Keep, type Notice, PlanHost } from "./host.ts";
import type { KeptEdit } from "./keptEdit.ts";
import { followTogether } from "./live.ts";
import type { PlanMessage, Settle, Settled } from "./messages.ts";

const KEPT = "edits-on-their-way";

async function read(): Promise<PlanMessage> {
  const response = await fetch("/api/plan", { cache: "no-store" });
  if (!response.ok) throw new Error(`GET /api/plan answered ${response.status}`);
  return response.json();
}

async function settle(message: Settle): Promise<Settled> {
  const response = await fetch("/api/edits", {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(message),
  });
  if (response.status >= 500) throw new Error(`POST /api/edits answered ${response.status}`);
  return response.json();
}

const wait = (milliseconds: number) => new Promise<void>((resolve) => setTimeout(resolve, milliseconds));

// A browser that is told to keep nothing can still plan: leaving with something unsaved is asked about then.
const nothingKept = () => undefined;
const keep: Keep = {
  load: async () => (await get<KeptEdit[]>(KEPT).catch(nothingKept)) ?? [],
  add: (edits) => update<KeptEdit[]>(KEPT, (kept = []) => [...kept, ...edits]).catch(nothingKept),
  remove: (key) => update<KeptEdit[]>(KEPT, (kept = []) => kept.filter((own) => own.key !== key)).catch(nothingKept),
};

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

const api = {
  async start(listener: (state: HostState, notice?: Notice) => void, justMade: readonly KeptEdit[]): Promise<void> {
    tell = listener;
    await host.start(justMade);
    setTimeout(() => host.warm());
    followTogether(
      () => host.revision,
      (answer) => void host.hear(answer),
    );
  },
  ask: host.ask.bind(host),
  preview: host.preview.bind(host),
  edit: host.edit.bind(host),
  async propose(openingIds: readonly string[], idStem: string) {
    const { solveProgram } = await import("./solver.ts");
    return host.propose(openingIds, solveProgram, idStem);
  },
  step: host.step.bind(host),
};

export type PlanWorker = typeof api;

Comlink.expose(api);
