"use client";
// The fields of every new sketch: an id, its author and its time.
import type { Sketch } from "../../core/plan/schema.ts";
import { momentOn } from "../../ui/momentOn.ts";
import { newId } from "../../ui/newId.ts";
import { useFrame, usePlanFacts } from "./facts.ts";

/** @returns Makes the beginning of a new one. */
export function useOwnSketch(): () => Pick<Sketch, "id" | "by" | "at"> {
  const { user } = useFrame();
  const { today } = usePlanFacts();
  return () => ({ id: newId("sketch"), by: user.name, at: momentOn(today) });
}
