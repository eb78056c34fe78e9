// The words of recorded hours: their states, and what is unusual about them.
import type { Unusual } from "../../core/answers/approvals.ts";
import type { WeekRow } from "../../core/answers/week.ts";
import type { TimeEntry } from "../../core/plan/schema.ts";
import { hoursText } from "../../ui/format.ts";

/** The activities that are offered. */
export const activities = ["Meeting", "Training", "Administration"] as const;

export const stateWords: Record<TimeEntry["state"], string> = {
  draft: "not submitted",
  submitted: "submitted",
  approved: "approved",
  returned: "returned",
};

export const unusualWords: Record<Unusual, string> = {
  onLeave: "on leave",
  overCapacity: "over capacity",
  unplanned: "not planned",
  done: "task is done",
  moreThanRemained: "more than was left",
};

/** The hours of a cell with their state, what was planned, and their note, for screen readers. */
export function cellWords(row: Pick<WeekRow, "recorded" | "planned" | "states" | "entries">, at: number): string {
  const [recorded, planned, states] = [row.recorded[at], row.planned[at], row.states[at]];
  const plan = planned > 0 ? `, ${hoursText(planned)} h planned` : "";
  if (states.length === 0) return planned > 0 ? `${hoursText(planned)} h planned` : "no hours";
  const notes = row.entries[at].flatMap(({ note }) => note ?? []).map((note) => `. ${note}`);
  return `${hoursText(recorded)} h, ${states.map((state) => stateWords[state]).join(", ")}${plan}${notes.join("")}`;
}

/** Hours as typed: empty takes them away; null for what is no number of hours of a day. */
export function readCell(text: string): { value: number | null } | null {
  const typed = text.trim().replace(",", ".").replace(/h$/i, "").trim();
  if (typed === "" || Number(typed) === 0) return { value: null };
  const hours = Number(typed);
  return hours > 0 && hours <= 24 && Math.round(hours * 60) > 0 ? { value: hours } : null;
}
