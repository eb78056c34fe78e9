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

/** The kinds of moves that evening out can make. */
export const evenOutKinds = ["give", "handOver", "share", "delay"] as const satisfies readonly RemedyKind[];

export type EvenOutKind = (typeof evenOutKinds)[number];
