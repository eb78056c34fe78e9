// The texts of this screen, by file: short labels and sentences without figures.
export const texts = {
  // holidayPlace.tsx
  country: "Country",
  region: "Region",
  someRegionsHaveAdditionalHolidays: "Some regions have additional holidays",
  // lockTick.tsx
  lockedEveningOutDoesNot: "Locked: evening out does not change this person’s work",
  lockedEveningOutDoesNotChange: "Locked: evening out does not change it",
  // recipientList.tsx
  reassign: "Reassign",
  assignTo: "Assign to",
  typeAName: "Type a name",
  noResults: "No results.",
  back: "Back",
  // skillFields.tsx
  aSkillIsListedTwice: "A skill is listed twice.",
  skills: "Skills",
  removeThisSkill: "Remove this skill",
  // weekFields.tsx
  n0To24: "0 to 24",
  // expensePicker.tsx
  notMatched: "Not matched",
} as const;
