// Plan files that were checked, held for a while: replacing the plan with one needs no second reading of the file.
import "server-only";
import { randomUUID } from "node:crypto";
import type { Plan } from "../core/plan/schema.ts";
import { ofProcess } from "./ofProcess.ts";

/** A checked plan is held so long for its reader to decide. */
const HELD_MS = 10 * 60_000;
/** Several people can check a file at the same time; of more than these the oldest goes first, because a plan takes memory. */
const MOST_HELD = 4;

const shared = ofProcess("checked plans", () => ({ held: new Map<string, { plan: Plan; timer: NodeJS.Timeout }>() }));

/** Holds a checked plan. @returns The id for `takeHeld`. */
export function holdPlan(plan: Plan): string {
  const { held } = shared;
  const [oldest] = held.keys();
  if (held.size >= MOST_HELD && oldest !== undefined) takeHeld(oldest);
  const id = randomUUID();
  held.set(id, { plan, timer: setTimeout(() => takeHeld(id), HELD_MS).unref() });
  return id;
}

/** The plan held under an id, which is no longer held after that; null where it is not held. */
export function takeHeld(id: string): Plan | null {
  const own = shared.held.get(id);
  if (!own) return null;
  clearTimeout(own.timer);
  shared.held.delete(id);
  return own.plan;
}
