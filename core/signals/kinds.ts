// The kinds of signals there are, and what one says.
import type { Day } from "../calendar/day.ts";
import type { Money } from "../plan/moneySides.ts";
import type { ConflictKind } from "../schedule/conflicts.ts";

/** The unit of a kind's threshold; null if it has none. */
type Unit = "hours" | "percent" | null;

/** Every kind, what it is about, and what its figure is in. */
export const attentionKinds = {
  over: { about: "people", unit: "hours" },
  badDay: { about: "people", unit: "hours", least: 1 },
  unbalancedRole: { about: "people", unit: null },
  leaveWaiting: { about: "people", unit: null },
  leaveClash: { about: "people", unit: "hours" },
  notYetHere: { about: "people", unit: "hours" },
  gone: { about: "people", unit: "hours" },
  weekMissing: { about: "people", unit: null },
  hoursWaiting: { about: "people", unit: null },
  openingSoon: { about: "work", unit: "hours" },
  requestWaiting: { about: "work", unit: null },
  unplaced: { about: "work", unit: "hours" },
  noPerson: { about: "work", unit: null },
  noEstimate: { about: "work", unit: null },
  noDates: { about: "work", unit: null },
  noRole: { about: "work", unit: null },
  nothingLeft: { about: "work", unit: null },
  missedDeadline: { about: "dates", unit: null },
  cannotHold: { about: "dates", unit: null },
  startDue: { about: "dates", unit: null },
  finishDue: { about: "dates", unit: null },
  finishAhead: { about: "dates", unit: null },
  slipping: { about: "dates", unit: null },
  missingRate: { about: "money", unit: null },
  missingExchangeRate: { about: "money", unit: null },
  thinMargin: { about: "money", unit: "percent" },
} as const satisfies Record<string, { about: AttentionGroup; unit: Unit; least?: number }>;

export type AttentionGroup = "people" | "work" | "dates" | "money";
export type AttentionKind = keyof typeof attentionKinds;

/** The default threshold of a kind, in its unit. */
export function leastOf(kind: AttentionKind): number {
  const own = attentionKinds[kind];
  return "least" in own ? own.least : 0;
}

/** One thing to look at. Work in minutes, shares in hundredths of a percent, dates as days. */
export interface Attention {
  /** The same as long as it is the same thing: what it is snoozed by. */
  key: string;
  kind: AttentionKind;
  /** Ids and names of what it is about, where it has them. */
  personId?: string;
  person?: string;
  taskId?: string;
  task?: string;
  projectId?: string;
  project?: string;
  assignmentId?: string;
  roleId?: string;
  role?: string;
  requestId?: string;
  /** The others it names: who is nearly idle. */
  others?: { id: string; name: string; minutes: number }[];
  minutes?: number;
  count?: number;
  /** The other fields that a task is missing, and dates that it misses, next to the one of the signal. */
  also?: AttentionKind[];
  /** The first day and the last. */
  from?: Day;
  to?: Day;
  /** Working days by which a date is missed. */
  days?: number;
  conflict?: ConflictKind;
  share?: Money<"margin">;
  goal?: number;
  /** The weight among its kind and group; the largest comes first. */
  weight: Money<"margin">;
}

/** The period of the signals: four whole weeks, starting with this week. */
export interface Horizon {
  today: Day;
  /** The first day of this week. */
  start: Day;
  /** The day after the last of the weeks ahead. */
  until: Day;
}

/** Weeks that are looked ahead. */
export const WEEKS_AHEAD = 4;
