// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
  // changes.tsx
  changes: "Changes",
  searchChanges: "Search changes",
  changeRowOrAuthor: "Change, row or author",
  showAllChanges: "Show all changes",
  noChangesYet: "No changes yet",
  everyChangeToThePlan: "Every change to the plan is listed here and can be undone.",
  loadingChanges: "Loading changes…",
  showOlderChanges: "Show older changes",
  // rowTrail.tsx
  itHasNotBeenChanged: "It has not been changed.",
  allChanges: "All changes",
  // step.tsx
  undo: "Undo",
  showMovedDates: "Show moved dates",
  noOtherDateMoved: "No other date moved.",
} as const;
