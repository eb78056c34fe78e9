// The lists of a plan by their names, for those who need not know what a row may hold.

/** The lists whose rows have an id, in the order of a plan file. */
export const listNames = [
  "calendars",
  "roles",
  "skills",
  "people",
  "teams",
  "materials",
  "rateTables",
  "clients",
  "projects",
  "tasks",
  "links",
  "assignments",
  "expenses",
  "templates",
  "comments",
  "views",
  "acceptances",
  "requests",
  "snoozes",
  "notes",
  "enquiries",
  "sketches",
  "timeEntries",
  "actualCosts",
  "baselines",
] as const;

/** A list of the plan whose rows have an id. */
export type ListName = (typeof listNames)[number];

/** The lists that an import can write: rows of the lists, and the exchange rates as a whole. */
export const importedLists = [...listNames, "exchange"] as const;
export type ImportedList = (typeof importedLists)[number];

/** The id under which the settings are changed like a row, and the exchange rates as a whole. */
export const SETTINGS_ID = "plan";
