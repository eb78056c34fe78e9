// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
  // bringForward.tsx
  howCouldItStartEarlier: "How could it start earlier?",
  lookingForOptions: "Looking for options…",
  noOptionsNoRolePrevents: "No options: no role prevents an earlier week.",
  optionsToStartEarlier: "Options to start earlier",
  checkingEveryWeek: "Checking every week…",
  tryItInASketch: "try it in a sketch",
  // earliestStart.tsx
  whenCouldItStart: "When could it start?",
  acceptedShortageHours: "Accepted shortage, hours",
  n0HoursOrMore: "0 hours or more",
  besidesApprovedWork: "Besides approved work",
  showItInThatWeek: "show it in that week",
  hoursShortByStartWeek: "Hours short, by start week",
  // groupSheet.tsx
  peopleMostLoadedFirst: "People, most loaded first",
  capacity: "Capacity",
  total: "Total",
  // helpFields.tsx
  weeksLater: "Weeks later",
  people: "People",
  weeksToLearn: "Weeks to learn",
  firstDay: "First day",
  lastDay: "Last day",
  emptyTheRate: "Empty: the rate of the role",
  aRateOf0: "A rate of 0 or more, or empty",
  weeks: "Weeks",
  hoursADay: "Hours a day",
  aDaySuchAs8: "A day such as 8 Feb 2027",
  noEnd: "no end",
  // horizon.tsx
  horizon: "Horizon",
  thePipelineDiffers: "the pipeline differs from the plan",
  // horizonExport.tsx
  export: "Export",
  figuresAsCsv: "Figures as CSV",
  figuresAsXlsx: "Figures as XLSX",
  capacityAgainstDemand: "Capacity against demand",
  print: "Print…",
  // horizonTable.tsx
  figure: "Figure",
  // horizonTools.tsx
  anyLevel: "Any level",
  groupBy: "Group by",
  level: "Level",
  periods: "Periods",
  span: "Span",
  // pipelineBar.tsx
  dragItToAnotherWeek: "Drag it to another week, or press the left and right arrow",
  // pipelineSheet.tsx
  pipeline: "Pipeline",
  noProject: "No project is in the pipeline. A project’s stage is set in its details under Work.",
  theChartsShowThePipeline: "The charts show the pipeline as set here. The plan does not change.",
  resetToThePlan: "Reset to the plan",
  wholeWeeksBelow0: "Whole weeks; below 0 is earlier",
  // whatHelps.tsx
  options: "Options",
  tryingOptions: "Trying options…",
  otherPeopleWithTheRole: "Other people with the role",
  calculating: "Calculating…",
  showIt: "show it",
  editItsFigures: "Edit its figures",
  priceNotKnown: ", price not known",
} as const;
