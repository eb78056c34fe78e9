// The texts of planned against actual: short labels and sentences without figures.
export const texts = {
  // actuals.tsx
  by: "Rows",
  measure: "Measure",
  cost: "Cost",
  effort: "Effort",
  project: "Project",
  allProjects: "All projects",
  baseline: "Baseline",
  spent: "spent",
  atCompletion: "at completion",
  nothingYet: "Nothing is planned or spent yet",
  firmProjectsAppearHere: "Projects that are approved, under way or done appear here once they have work, rates or bookings.",
  noBaseline: "Without a baseline there is no promise to compare with.",
  takeOne: "Take one",
  // actualColumns.tsx
  planned: "Planned",
  plannedIs: "What the baseline promised",
  committed: "Committed",
  committedIs: "Of what remains, expenses that are ordered",
  actual: "Actual",
  actualIs: "Cost of the days before the status date, and what was booked",
  remaining: "Remaining",
  forecast: "At completion",
  forecastIs: "Actual and remaining",
  variance: "Variance",
  varianceIs: "Planned less what it costs at completion: below 0 where it costs more",
  // actualSheet.tsx
  lines: "Lines",
  recordedHours: "Recorded hours",
  bookings: "Bookings",
  noLines: "Nothing is spent or remains here.",
  // effortTable.tsx
  person: "Person",
  role: "Role",
  spentHours: "Spent",
  more: "Difference",
  moreIs: "Spent and remaining, less planned",
  plannedAndSpent: "Planned, spent and remaining",
  noEffortYet: "No effort is planned yet",
} as const;

export const byWords = {
  project: "By project",
  phase: "By phase",
  kind: "By kind of cost",
  supplier: "By supplier",
  month: "By month",
  quarter: "By quarter",
  year: "By year",
} as const;

export const effortByWords = { person: "By person", role: "By role", project: "By project" } as const;
export const measureWords = { cost: texts.cost, effort: texts.effort } as const;
