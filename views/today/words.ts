// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
  // handSheet.tsx
  sendToAColleague: "Send to a colleague",
  to: "To",
  noteToAdd: "Note to add",
  theNoteContainsTheText: "The note contains the text of the signal. The signal stays here until it no longer applies or is snoozed.",
  send: "Send",
  // kindsSheet.tsx
  chooseSignals: "Choose signals",
  aFigureFrom0: "A figure from 0 to 100,000",
  hOrMore: "h or more",
  pointsUnderTheGoal: "points under the goal or more",
  // signalList.tsx
  snooze: "Snooze",
  // signalsOf.tsx
  needsAttention: "Needs attention",
  // snoozeSheet.tsx
  until: "Until",
  reason: "Reason",
  itReturnsOnThatDay: "It returns on that day if it still applies. Until then it is listed under the snoozed signals.",
  // snoozedSheet.tsx
  snoozed: "Snoozed",
  showItAgain: "Show it again",
  nothingIsSnoozed: "Nothing is snoozed.",
  // today.tsx
  today: "Today",
  print: "Print…",
  startWithThePeople: "Start with the people",
  pasteOrImportPeople: "Paste or import people",
  addThemOneByOne: "add them one by one",
  nothingNeedsAttention: "Nothing needs attention",
  nobodyIsOverCapacity:
    "Nobody is over capacity in the next four weeks, all work is assigned, estimated and dated, and every date can be met.",
  // weeksAhead.tsx
  theWeeksAhead: "The weeks ahead",
  hoursPerWeekOfAll: "Hours per week of all people, with pencilled work, without projects that are not won yet.",
  // weeksChart.tsx
  hoursAssignedAndUnassigned: "Hours assigned and unassigned by week, with capacity as a line",
} as const;
