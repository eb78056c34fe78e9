// The rows that deviations from a baseline are listed by.

export const deviationBys = ["project", "phase", "task"] as const;
export type DeviationBy = (typeof deviationBys)[number];

/** The rows that a text names; projects where it names none. */
export const deviationByOf = (text: string | null): DeviationBy => deviationBys.find((by) => by === text) ?? "project";
