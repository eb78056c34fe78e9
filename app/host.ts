// The server's hold on the plan: one store in this process, and threads that answer questions about its newest revision.
import "server-only";
import { watchFile } from "node:fs";
import { join } from "node:path";
import { comeAsText, type Initial } from "../client/initial.ts";
import type { AnswerOf, QueryOf, Question } from "../client/questions.ts";
import { FULL_ACCESS } from "../core/plan/moneySides.ts";
import { findRow } from "../core/plan/rows.ts";
import type { Plan } from "../core/plan/schema.ts";
import { sketched } from "../core/sketch/sketch.ts";
import { dataFolder } from "../store/files.ts";
import { readMigrations } from "../store/migrate.ts";
import { PlanStore } from "../store/planStore.ts";
import { ofProcess } from "./ofProcess.ts";
import { openedSketch } from "./openedSketch.ts";
import { Reader } from "./reader.ts";

/** The one user there is for now; every edit carries its actor. */
export const BUILT_IN_USER = { id: "manager", name: "Nora Okafor", initials: "NO", access: FULL_ACCESS } as const;

interface Host {
  store: PlanStore;
  /** Answers what pages show. */
  pages: Reader;
  /** Answers what files and feeds hold: a file that takes long keeps no page waiting. */
  files: Reader;
  /** The plan as browsers read it, written when one asks. */
  text: { revision: number; bytes: Uint8Array } | null;
}

/** A thread for files ends when nothing has been asked of it for a minute. */
const IDLE_MS = 60_000;

const shared = ofProcess<{ host?: Promise<Host> }>("host", () => ({}));

/** Opens the store of `ROSTER_DATA` once a process; later calls wait for the same one. */
export function openHost(): Promise<Host> {
  shared.host ??= open();
  return shared.host;
}

/** The data folder of this process. */
export const folderOfData = (): string => dataFolder(process.env, process.cwd());

async function open(): Promise<Host> {
  const migrations = await readMigrations(join(/*turbopackIgnore: true*/ process.cwd(), "store/migrations"));
  const store = await PlanStore.open(folderOfData(), migrations);
  // The first edit refers to the calendar of the plan: a new folder starts with a plan of its own.
  if (store.isNew) await store.replace(store.snapshot().plan, BUILT_IN_USER.id, new Date().toISOString());
  const script = join(/*turbopackIgnore: true*/ process.cwd(), "dist/reader.mjs");
  const pages = new Reader(store, script);
  const files = new Reader(store, script, IDLE_MS);
  pages.warm();
  // In development the threads restart when their program has been bundled again.
  if (process.env.NODE_ENV === "development") watchFile(script, { interval: 500 }, () => void Promise.all([pages.end(), files.end()]));
  return { store, pages, files, text: null };
}

/** The store of this process. */
export async function openStore(): Promise<PlanStore> {
  return (await openHost()).store;
}

/** Answers questions for files and feeds. */
export const filesReader = async (): Promise<Reader> => (await openHost()).files;

/** The newest plan as the page that is answered now shows it: with the sketch on top that it is asked for with. */
export async function shownPlan(): Promise<Plan> {
  const { plan } = (await openHost()).store.snapshot();
  return planUnder(plan, await openedSketch());
}

/** A plan with a sketch on top of it; the plan itself where there is no such sketch. */
export function planUnder(plan: Plan, sketchId: string | null): Plan {
  const sketch = findRow(plan.sketches, sketchId ?? undefined);
  return sketch ? sketched(plan, sketch).plan : plan;
}

async function asked<Q extends Question>(question: Q, query: QueryOf<Q>, isText: boolean) {
  const [{ pages }, sketchId] = [await openHost(), await openedSketch()];
  const { revision, data } = await pages.ask({ kind: "ask", sketchId, question, query, access: BUILT_IN_USER.access, isText });
  return { revision, sketchId, key: JSON.stringify(query), data };
}

/** The answer to a question about what the page shows, worked out once a revision. */
export async function answerNow<Q extends Question>(question: Q, query: QueryOf<Q>) {
  const { data, ...about } = await asked(question, query, false);
  return { ...about, data: data as AnswerOf<Q> };
}

/** The answer that is sent with a page: the browser does not ask for it again while the plan is unchanged. */
export async function currentAnswer<Q extends Question>(question: Q, query: QueryOf<Q>): Promise<Initial<AnswerOf<Q>>> {
  if (!comeAsText.has(question)) return answerNow(question, query);
  const { data, ...about } = await asked(question, query, true);
  return { ...about, text: data as string };
}

/** The newest plan with its revision and what its reader can undo, as JSON; the plan is written once a revision. */
export async function currentText(maker: string | null): Promise<Uint8Array<ArrayBuffer>> {
  const host = await openHost();
  const { plan, revision, history } = host.store.snapshot(maker);
  if (host.text?.revision !== revision)
    host.text = { revision, bytes: Buffer.from(`{"revision":${revision},"plan":${JSON.stringify(plan)},"history":`) };
  return Buffer.concat([host.text.bytes, Buffer.from(`${JSON.stringify(history)}}`)]);
}
