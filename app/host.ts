// The server's hold on the plan: one store in this process, and the model of its newest revision.
import "server-only";
import { join } from "node:path";
import { formatISO } from "date-fns";
import { comeAsText, type Initial } from "../client/initial.ts";
import { KeptAnswers } from "../client/keptAnswers.ts";
import { type AnswerOf, ofPlanItself, type QueryOf, type Question } from "../client/questions.ts";
import { answer } from "../client/seen.ts";
import { parseDay } from "../core/calendar/day.ts";
import { SEES_ALL } from "../core/cost/sight.ts";
import { buildModel, type Model } from "../core/model.ts";
import { modelUnder } from "../core/sketch/sketch.ts";
import { updateModel } from "../core/update.ts";
import { dataFolder } from "../store/files.ts";
import { readMigrations } from "../store/migrate.ts";
import { PlanStore } from "../store/planStore.ts";
import { ofProcess } from "./ofProcess.ts";
import { openedSketch } from "./openedSketch.ts";

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
  /** By the sketch that is on top of the plan; null for the plan itself. */
  answers: Map<string | null, KeptAnswers>;
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
  host.model = { revision, model, answers: new Map() };
  return host.model;
}

/** The newest plan as the page that is answered now shows it: with the sketch on top that it is asked for with. */
async function shownNow() {
  const [{ revision, model, answers }, sketchId] = [await currentModel(), await openedSketch()];
  const shown = modelUnder(model, sketchId);
  // One that is not there shows the plan itself, so that addresses which somebody makes up take no room.
  const place = shown === model ? null : sketchId;
  const kept = answers.get(place) ?? new KeptAnswers();
  answers.set(place, kept);
  return { revision, sketchId, shown, planned: model, kept };
}

/** The model of what the page shows. */
export const shownModel = async (): Promise<Model> => (await shownNow()).shown;

function answerOf<Q extends Question>(now: Awaited<ReturnType<typeof shownNow>>, question: Q, query: QueryOf<Q>) {
  const { revision, sketchId, shown, planned, kept } = now;
  const key = JSON.stringify(query);
  const work = () => answer(ofPlanItself.has(question) ? planned : shown, question, query, BUILT_IN_USER.sight);
  return { revision, sketchId, key, data: kept.of<AnswerOf<Q>>(question, key, work) };
}

/** The answer to a question about what the page shows, worked out once a revision. */
export async function answerNow<Q extends Question>(question: Q, query: QueryOf<Q>) {
  return answerOf(await shownNow(), question, query);
}

/** The same as it goes out with a page, which has its figures in the HTML by it: the browser does not ask again while nothing
 * has changed. What goes out as text is written once a revision. */
export async function currentAnswer<Q extends Question>(question: Q, query: QueryOf<Q>): Promise<Initial<AnswerOf<Q>>> {
  const now = await shownNow();
  const { data, ...asked } = answerOf(now, question, query);
  if (!comeAsText.has(question)) return { ...asked, data };
  return { ...asked, text: now.kept.of(question, `${asked.key} as text`, () => JSON.stringify(data)) };
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
