// The statement of an assignment's work.
import type { Assignment } from "./schema.ts";

const amounts = ["hours", "percent", "hoursPerDay", "hoursPerWeek"] as const;

/** The ways in which work can be stated. */
export type Way = (typeof amounts)[number] | "custom";

/** The way in which an assignment's work is stated. */
export const wayOf = (assignment: Assignment): Way => amounts.find((key) => assignment[key] !== undefined) ?? "custom";
