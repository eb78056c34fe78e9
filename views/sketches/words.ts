// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
  // compareTable.tsx
  comparing: "Comparing…",
  thePlanAndSketchesSide: "The plan and sketches side by side",
  overTheWholePlan: "Over the whole plan",
  thePlan: "The plan",
  movedFinishDates: "Moved finish dates",
  // sketchSheet.tsx
  theSketchIsOpenEvery: "The sketch is open: every screen shows the plan with its changes, and your changes are recorded here.",
  openItToSeeEvery: "Open it to see every screen with its changes, and to record more.",
  openTheSketch: "Open the sketch",
  manageTheSketch: "Manage the sketch",
  name: "Name",
  aNameOfUp: "A name of up to 300 letters",
  nameOfTheSketch: "Name of the sketch",
  changes: "Changes",
  changesOfTheSketch: "Changes of the sketch",
  adoptAll: "Adopt all",
  remove: "Remove",
  effectOnThePlan: "Effect on the plan",
  noChangesRecordedYet: "No changes recorded yet.",
  duplicate: "Duplicate",
  // sketchTable.tsx
  sketches: "Sketches",
  sketch: "Sketch",
  by: "By",
  created: "Created",
  compare: "Compare",
  // sketches.tsx
  newSketch: "New sketch",
  noSketchesYet: "No sketches yet",
  createOne: "Create one",
  aTitleSuchAsTwo: "A title such as “Two more installers from May”",
  createSketch: "Create sketch",
} as const;
