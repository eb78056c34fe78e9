// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
  // addRow.tsx
  addARow: "Add a row",
  activity: "Activity",
  project: "Project",
  task: "Task",
  add: "Add",
  // approval.tsx
  approval: "Approval",
  nothingWaits: "No hours wait for approval",
  submittedWeeksAppearHere: "Submitted weeks appear here, lines that need a look first.",
  approveUsual: "Approve everything usual",
  approve: "Approve",
  returnHours: "Return",
  reason: "Reason",
  theReasonIsSent: "The reason is shown with the hours in the person’s week.",
  lines: "Submitted hours",
  // approvalColumns.tsx
  person: "Person",
  week: "Week",
  planned: "Planned",
  submitted: "Submitted",
  toCheck: "To check",
  // tabs.tsx
  recordedHours: "Recorded hours",
  // week.tsx
  nobodyYet: "Nobody is in the plan yet",
  addPeopleFirst: "Add people first; each of them has a week to record hours in.",
  nothingPlanned: "Nothing is planned in this week",
  addATaskOrActivity: "Add a task or an activity to record hours on it.",
  asPlanned: "As planned",
  recordsPlannedHours: "Records the planned hours in every empty cell (P for one cell)",
  copyLastWeek: "Copy last week",
  submitTheWeek: "Submit the week",
  withdraw: "Withdraw",
  thisWeek: "This week",
  previousWeek: "Previous week",
  nextWeek: "Next week",
  // weekColumns.tsx
  work: "Work",
  total: "Total",
  remaining: "Left",
  hoursLeft: "Hours left at the beginning of today",
  done: "Done",
} as const;
