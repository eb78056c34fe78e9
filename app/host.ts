// The server's hold on the plan: one store in this process, and the model of its newest revision.
import "server-only";
import { join } from "node:path";
import { formatISO } from "date-fns";
import { parseDay } from "../core/calendar/day.ts";
import { buildModel, type Model } from "../core/model.ts";
import { updateModel } from "../core/update.ts";
import { PlanStore, readMigrations } from "../store/planStore.ts";

/** The one user there is for now; every edit carries its actor. */
export const BUILT_IN_USER = { id: "manager", name: "Nora Okafor", initials: "NO" } as const;

interface Host {
  store: PlanStore;
  model: { revision: number; model: Model } | null;
}

// Next.js loads this file once for each route bundle; the process has one host all the same.
const shared = globalThis as typeof globalThis & { rosterHost?: Promise<Host> };

/** Opens the store of `ROSTER_DATA` once a process; later calls wait for the same one. */
export function openHost(): Promise<Host> {
  shared.rosterHost ??= open();
  return shared.rosterHost;
}

async function open(): Promise<Host> {
  const root = process.cwd();
  const folder = process.env.ROSTER_DATA ?? join(/*turbopackIgnore: true*/ root, ".data");
  const migrations = await readMigrations(join(/*turbopackIgnore: true*/ root, "store/migrations"));
  return { store: await PlanStore.open(folder, migrations), model: null };
}

/** The store of this process. */
export async function openStore(): Promise<PlanStore> {
  return (await openHost()).store;
}

/** The newest plan with all that follows from it: carried over what has changed since it was last asked for. */
export async function currentModel(): Promise<{ revision: number; model: Model }> {
  const host = await openHost();
  const { plan, revision } = host.store.snapshot();
  if (host.model?.revision === revision) return host.model;
  const changes = host.model && host.store.changesSince(host.model.revision);
  host.model = { revision, model: host.model && changes ? updateModel(host.model.model, plan, changes) : buildModel(plan) };
  return host.model;
}

/** Today by this machine's clock, as a day. */
export function clockDay(): number {
  return parseDay(formatISO(new Date(), { representation: "date" }));
}
