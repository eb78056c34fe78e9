// The names of the plan's lists.
import type { ChangedList } from "./schema.ts";

/** The name of one row of a list in a sentence. */
export const listWords: Record<ChangedList, string> = {
  settings: "settings",
  exchange: "exchange rates",
  calendars: "calendar",
  roles: "role",
  skills: "skill",
  people: "person",
  teams: "team",
  materials: "material",
  rateTables: "rate table",
  clients: "client",
  projects: "project",
  tasks: "task",
  links: "link",
  assignments: "assignment",
  expenses: "expense",
  templates: "template",
  comments: "comment",
  views: "view",
  acceptances: "acceptance",
  requests: "request",
  snoozes: "snoozed signal",
  notes: "note",
  enquiries: "enquiry",
  sketches: "sketch",
  timeEntries: "time entry",
  actualCosts: "booking",
  baselines: "baseline",
};
