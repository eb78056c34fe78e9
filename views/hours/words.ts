// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
  // addHoursRow.tsx
  projectOfANewRow: "Project of a new row",
  taskOfANewRow: "Task of a new row",
  whoWorksOnIt: "Who works on it",
  // hours.tsx
  hours: "Hours",
  itMayHaveBeenDeleted: "It may have been deleted.",
  inTheWindow: "in the window",
  noRowsYet: "No rows yet",
  eachRowIsOnePersons:
    "Each row is one person’s work on a task. Add a row below, then type its hours; Shift and arrow keys select cells, Ctrl R fills right.",
  notPasted: "Not pasted",
  shiftAndArrowKeysSelect: "Shift and arrow keys select · Ctrl C, Ctrl V · Ctrl D fills down, Ctrl R right",
  keepsTheTotalAndRecalculates: "Keeps the total and recalculates the hours of each period",
  resetToCalculated: "Reset to calculated",
  deleteRow: "Delete row",
} as const;
