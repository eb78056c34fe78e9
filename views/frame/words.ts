// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
  // finder.tsx
  findPeopleProjectsTasks: "Find people, projects, tasks and screens",
  aPersonProjectTask: "A person, project, task or screen",
  thePlanIsStillLoading: "The plan is still loading. Results appear in a moment.",
  screens: "Screens",
  // frame.tsx
  skipToTheScreen: "Skip to the screen",
  // header.tsx
  mindful: "Mindful",
  roster: "Roster",
  nothingToUndo: "Nothing to undo",
  nothingToRedo: "Nothing to redo",
  // planMenu.tsx
  settings: "Settings",
  changes: "Changes",
  importAndExport: "Import and export",
  lightTheme: "Light theme",
  darkTheme: "Dark theme",
  // sketchBar.tsx
  review: "Review",
  thisSketchNoLongerExists: "This sketch no longer exists. You see the plan.",
  closeTheSketch: "Close the sketch",
} as const;
