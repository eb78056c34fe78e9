// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
  // editConflictNotice.tsx
  conflictingChanges: "Conflicting changes",
  someoneElseChangedTheSame: "Someone else changed the same fields. Your change was not saved.",
  keepTheirs: "Keep theirs",
  keepYours: "Keep yours",
  changedSince: "Changed since",
  leaveUnchanged: "Leave unchanged",
  undo: "Undo",
  redo: "Redo",
  // movedNotice.tsx
  movedDates: "Moved dates",
  typedHoursThatCannot: "Typed hours that cannot be worked now",
  n1TaskMoves: "1 task moves",
  // outsideNotice.tsx
  hoursOutsideTheTasksDates: "Hours outside the task’s dates",
} as const;
