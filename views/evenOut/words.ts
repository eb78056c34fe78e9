// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
  // evenOut.tsx
  nobodyIsOverCapacity: "Nobody is over capacity on any day of this window",
  noMoveWasFound: "No move was found that reduces the overload",
  thereIsNothingToEven: "There is nothing to even out. Move the window at the top to look at other weeks.",
  hoursOverOnSingleDays: "Hours over on single days, by week",
  measuringTheMoves: "Measuring the effect of the moves",
  proposedMoves: "Proposed moves",
  figure: "Figure",
  before: "Before",
  after: "After",
  noProjectFinishesLater: "No project finishes later or earlier.",
  itDependsOnAMove: "It depends on a move that is not selected.",
  // evenOutSheet.tsx
  evenOut: "Even out",
  allowedMoves: "Allowed moves",
  pencilledWorkOnly: "Pencilled work only",
  evenOutAgain: "Even out again",
  nothingChangesUntilYouApply:
    "Nothing changes until you apply it. Hours stay the same, work goes only to people with its role and skills, nothing moves before today, and no deadline is newly missed.",
  lookingForMoves: "Looking for moves",
  stopAndShowTheResult: "Stop and show the result",
  limits: "Limits",
  finishLaterByAtMost: "Finish later by at most, working days",
  ignoreChangesUnderHours: "Ignore changes under, hours",
  searchForSeconds: "Search for, seconds",
  scope: "Scope",
  leaveOut: "leave out",
  includeTheWorkOf: "Include the work of",
  locked: "Locked",
  nothingIsLockedLock: "Nothing is locked. Lock the task of a move here; lock people, projects and tasks in their sheets.",
  // overChart.tsx
  hoursOverOnSingleDaysByWeek: "Hours over on single days, by week, before and after",
} as const;
