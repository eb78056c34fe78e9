// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
  // tray.tsx
  openings: "Openings",
  hoursThatCannotBeWorked: "Hours that cannot be worked",
  dateConflicts: "Date conflicts",
  noDates: "No dates",
  noPerson: "No person",
  noEstimate: "No estimate",
  noRole: "No role",
  tray: "Tray",
  nothingToDoAllWork: "Nothing to do: all work has people, an estimate and dates.",
} as const;
