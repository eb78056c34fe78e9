// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
  // earned.tsx
  baseline: "Baseline",
  details: "Details",
  takeABaseline: "Take a baseline",
  takeTheFirstOne: "Take the first one",
  noBaselineYet: "No baseline yet",
  noneOfItsProjectsIsLeft: "None of its projects is left in the plan.",
  rows: "Rows",
  comparedWith: "Compared with",
  now: "Now",
  // earnedColumns.tsx
  project: "Project",
  phase: "Phase",
  task: "Task",
  done: "Done",
  finish: "Finish",
  work: "Hours, difference",
  plannedValue: "Planned value",
  earnedValue: "Earned value",
  actualCost: "Actual cost",
  atCompletion: "At completion",
  // earnedSheet.tsx
  workAndCost: "Work and cost",
  theCurve: "Running totals",
  tasks: "Tasks, the largest delay first",
  asPromised: "As promised",
  newTasks: "Not in the baseline",
  // causes.tsx
  causes: "Causes",
  lookingForCauses: "Looking for the steps that moved it",
  nothingMovedIt: "No step since the baseline moved it.",
  olderStepsAreLeftOut: "Older steps are not listed here.",
  noAnswer: "The server cannot be reached. Open this again when it answers.",
  // changeTable.tsx
  start: "Start",
  workHours: "Hours",
  before: "Cost before",
  after: "Cost after",
  difference: "Difference",
  same: "same day",
  leftOut: "left out",
  added: "added",
  // takeBaseline.tsx
  name: "Name",
  note: "Note",
  ofProjects: "Projects",
  keepsWhatIsPromised: "A baseline keeps the dates, hours and cost of every task as they are now. Later edits leave it as it is.",
  take: "Take the baseline",
  cancel: "Cancel",
  enterAName: "Enter a name for the baseline.",
  // baselineSheet.tsx
  deleteBaseline: "Delete the baseline",
  deleteIt: "Delete it",
  keep: "Keep it",
  deletedForAll: "It is deleted for everyone. One undo restores it.",
} as const;

export const byWords = { project: "Projects", phase: "Phases", task: "Tasks" } as const;
