// The plan file that was checked last, held for a while: replacing the plan with it needs no second reading of the file.
import "server-only";
import { randomUUID } from "node:crypto";
import type { Plan } from "../core/plan/schema.ts";
import { ofProcess } from "./ofProcess.ts";

/** So long somebody may look at what a file holds before it is let go. */
const HELD_MS = 10 * 60_000;

const shared = ofProcess<{ held?: { id: string; plan: Plan; timer: NodeJS.Timeout } | null }>("checked plan", () => ({}));

/** Holds a checked plan in place of the one before. @returns What it can be asked for by. */
export function holdPlan(plan: Plan): string {
  letGo();
  const id = randomUUID();
  shared.held = { id, plan, timer: setTimeout(letGo, HELD_MS).unref() };
  return id;
}

/** The plan held under an id, which is let go with that; null where it is not held any longer. */
export function takeHeld(id: string): Plan | null {
  const held = shared.held;
  if (held?.id !== id) return null;
  letGo();
  return held.plan;
}

function letGo(): void {
  clearTimeout(shared.held?.timer);
  shared.held = null;
}
