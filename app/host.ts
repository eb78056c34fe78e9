// The server's hold on the plan: one store in this process, and the model of its newest revision.
import "server-only";
import { join } from "node:path";
import { formatISO } from "date-fns";
import { comeAsText, type Initial } from "../client/initial.ts";
import { KeptAnswers } from "../client/keptAnswers.ts";
import type { AnswerOf, QueryOf, Question } from "../client/questions.ts";
import { answer } from "../client/seen.ts";
import { parseDay } from "../core/calendar/day.ts";
import { SEES_ALL } from "../core/cost/sight.ts";
import { buildModel, type Model } from "../core/model.ts";
import { updateModel } from "../core/update.ts";
import { dataFolder } from "../store/files.ts";
import { readMigrations } from "../store/migrate.ts";
import { PlanStore } from "../store/planStore.ts";
import { ofProcess } from "./ofProcess.ts";

/** The one user there is for now; every edit carries its actor. */
export const BUILT_IN_USER = { id: "manager", name: "Nora Okafor", initials: "NO", sight: SEES_ALL } as const;

interface Host {
  store: PlanStore;
  model: Newest | null;
  /** The plan as browsers read it, written when one asks. */
  text: { revision: number; bytes: Uint8Array } | null;
}

/** The newest plan with all that follows from it, and what was worked out of it so far: many who look at one revision
 * look at the same figures. */
interface Newest {
  revision: number;
  model: Model;
  answers: KeptAnswers;
}

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
  // What somebody makes first refers to the calendar that is there: a new folder begins with a plan of its own.
  if (store.isNew) await store.replace(store.snapshot().plan, BUILT_IN_USER.id, new Date().toISOString());
  return { store, model: null, text: null };
}

/** The store of this process. */
export async function openStore(): Promise<PlanStore> {
  return (await openHost()).store;
}

/** The newest plan with all that follows from it: carried over what has changed since it was last asked for. */
export async function currentModel(): Promise<Newest> {
  const host = await openHost();
  const { plan, revision } = host.store.snapshot();
  if (host.model?.revision === revision) return host.model;
  const changes = host.model && host.store.changesSince(host.model.revision);
  const model = host.model && changes ? updateModel(host.model.model, plan, changes) : buildModel(plan);
  host.model = { revision, model, answers: new KeptAnswers() };
  return host.model;
}

/** The answer to a question about the newest plan, worked out once a revision. */
export async function answerNow<Q extends Question>(question: Q, query: QueryOf<Q>) {
  return answerOf(await currentModel(), question, query);
}

function answerOf<Q extends Question>({ revision, model, answers }: Newest, question: Q, query: QueryOf<Q>) {
  const { sight } = BUILT_IN_USER;
  const key = JSON.stringify(query);
  return { revision, key, data: answers.of<AnswerOf<Q>>(question, key, () => answer(model, question, query, sight)) };
}

/** The same as it goes out with a page, which has its figures in the HTML by it: the browser does not ask again while nothing
 * has changed. What goes out as text is written once a revision. */
export async function currentAnswer<Q extends Question>(question: Q, query: QueryOf<Q>): Promise<Initial<AnswerOf<Q>>> {
  const newest = await currentModel();
  const now = answerOf(newest, question, query);
  if (!comeAsText.has(question)) return now;
  const { revision, key, data } = now;
  return { revision, key, text: newest.answers.of(question, `${key} as text`, () => JSON.stringify(data)) };
}

/** The newest plan with its revision and what its reader can undo, as JSON; the plan is written once a revision. */
export async function currentText(maker: string | null): Promise<Uint8Array<ArrayBuffer>> {
  const host = await openHost();
  const { plan, revision, history } = host.store.snapshot(maker);
  if (host.text?.revision !== revision)
    host.text = { revision, bytes: Buffer.from(`{"revision":${revision},"plan":${JSON.stringify(plan)},"history":`) };
  return Buffer.concat([host.text.bytes, Buffer.from(`${JSON.stringify(history)}}`)]);
}

/** Today by this machine's clock, as a day. */
export function clockDay(): number {
  return parseDay(formatISO(new Date(), { representation: "date" }));
}
