// The default settings: one place for the computation and for the form that shows them.

export const usualSettings = {
  weekStartsOn: 1,
  fiscalYearStartMonth: 1,
  /** Hours a week of a full-time equivalent. */
  hoursPerFteWeek: 40,
  levelBand: { low: 0.85, high: 1 },
} as const;
