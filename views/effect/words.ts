// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
  // dropSheet.tsx
  howToMoveIt: "How to move it",
  apply: "Apply",
  cancel: "Cancel",
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
} as const;
