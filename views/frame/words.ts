// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
  // chartColumn.tsx
  datesAsBars: "Dates as bars",
  // dropSheet.tsx
  howToMoveIt: "How to move it",
  apply: "Apply",
  cancel: "Cancel",
  // editConflictNotice.tsx
  conflictingChanges: "Conflicting changes",
  someoneElseChangedTheSame: "Someone else changed the same fields. Your change was not saved.",
  keepTheirs: "Keep theirs",
  keepYours: "Keep yours",
  changedSince: "Changed since",
  leaveUnchanged: "Leave unchanged",
  undo: "Undo",
  redo: "Redo",
  // feedLinks.tsx
  saveAsAFile: "Save as a file",
  copyTheAddress: "Copy the address",
  // finder.tsx
  findPeopleProjectsTasks: "Find people, projects, tasks and screens",
  aPersonProjectTask: "A person, project, task or screen",
  thePlanIsStillLoading: "The plan is still loading. Results appear in a moment.",
  screens: "Screens",
  // frame.tsx
  skipToTheScreen: "Skip to the screen",
  // header.tsx
  mindful: "Mindful",
  roster: "Roster",
  nothingToUndo: "Nothing to undo",
  nothingToRedo: "Nothing to redo",
  // impact.tsx
  calculating: "Calculating…",
  overloadedByWeek: "Overloaded, by week",
  freed: "Freed",
  hoursThatCannotBeWorked: "Hours that cannot be worked",
  movedFinishDates: "Moved finish dates",
  noNewOverloadCapacity: "No new overload; capacity and dates stay the same.",
  cost: "Cost",
  revenue: "Revenue",
  margin: "Margin",
  hoursThatCanBeWorked: "Hours that can be worked now",
  noLongerOverloadedByWeek: "No longer overloaded, by week",
  // lockTick.tsx
  lockedEveningOutDoesNot: "Locked: evening out does not change this person’s work",
  lockedEveningOutDoesNotChange: "Locked: evening out does not change it",
  // moneyGaps.tsx
  rateMissing: "rate missing",
  ratesMissing: "rates missing",
  exchangeRateMissing: "exchange rate missing",
  exchangeRatesMissing: "exchange rates missing",
  // movedNotice.tsx
  movedDates: "Moved dates",
  typedHoursThatCannot: "Typed hours that cannot be worked now",
  n1TaskMoves: "1 task moves",
  // newPlan.tsx
  enterAName: "Enter a name for the plan.",
  oneDayNeedsHours: "One day needs hours.",
  theLastDayMust: "The last day must be on or after the first day.",
  newPlan: "New plan",
  name: "Name",
  createPlan: "Create plan",
  waitUntilYourLastChanges: "Wait until your last changes are saved.",
  currency: "Currency",
  weekStartsOn: "Week starts on",
  firstDay: "First day",
  lastDay: "Last day",
  hoursOfAWorkingWeek: "Hours of a working week",
  // openPlan.tsx
  openAPlanFile: "Open a plan file",
  writingThePlan: "Writing the plan",
  planFile: "Plan file",
  replaceThePlan: "Replace the plan",
  // outsideNotice.tsx
  hoursOutsideTheTasksDates: "Hours outside the task’s dates",
  // pipelineChoice.tsx
  pipeline: "Pipeline",
  // planMenu.tsx
  settings: "Settings",
  changes: "Changes",
  importAndExport: "Import and export",
  lightTheme: "Light theme",
  darkTheme: "Dark theme",
  // recipientList.tsx
  reassign: "Reassign",
  assignTo: "Assign to",
  typeAName: "Type a name",
  noResults: "No results.",
  back: "Back",
  // sketchBar.tsx
  review: "Review",
  thisSketchNoLongerExists: "This sketch no longer exists. You see the plan.",
  closeTheSketch: "Close the sketch",
  // skillFields.tsx
  aSkillIsListedTwice: "A skill is listed twice.",
  skills: "Skills",
  removeThisSkill: "Remove this skill",
  // tray.tsx
  openings: "Openings",
  dateConflicts: "Date conflicts",
  noDates: "No dates",
  noPerson: "No person",
  noEstimate: "No estimate",
  noRole: "No role",
  tray: "Tray",
  nothingToDoAllWork: "Nothing to do: all work has people, an estimate and dates.",
} as const;
