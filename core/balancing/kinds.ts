// The kinds of ways out of an overload.

export const remedyKinds = [
  "give",
  "handOver",
  "share",
  "delay",
  "postpone",
  "spread",
  "lighten",
  "overtime",
  "timeOff",
  "contractor",
  "accept",
] as const;

export type RemedyKind = (typeof remedyKinds)[number];

/** Overtime of a day is offered up to this, in hours. */
export const MOST_OVERTIME = 4;

/** The kinds of moves that evening out can make. */
export const evenOutKinds = ["give", "handOver", "share", "delay", "spread", "overtime"] as const satisfies readonly RemedyKind[];

export type EvenOutKind = (typeof evenOutKinds)[number];

/** The kinds that evening out makes unless asked for others. Longer tasks and overtime need a decision first. */
export const usualEvenOutKinds: readonly EvenOutKind[] = ["give", "handOver", "share", "delay"];
