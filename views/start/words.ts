// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
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
} as const;
