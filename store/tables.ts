// How the plan's lists lie in tables: a column a key, a child table a nested list.
import type { ListName } from "../core/plan/lists.ts";

/** A column: the key of the row in the plan, its name and type in SQL. */
export interface Column {
  key: string;
  name: string;
  type: string;
}

/** A nested list: rows that belong to a row and keep their order. */
export interface ChildTable {
  key: string;
  table: string;
  /** The plain column of a list of ids. */
  scalar?: Column;
  columns: Column[];
}

export interface Table {
  list: ListName;
  table: string;
  columns: Column[];
  children: ChildTable[];
}

/** SQL's own words, which no column may be named. */
const reserved: Record<string, string> = {
  from: "starts",
  to: "ends",
  group: "skill_group",
  date: "on_date",
  start: "starts",
  finish: "finishes",
};

function snakeCase(key: string): string {
  return reserved[key] ?? key.replaceAll(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
}

const column = (definition: string): Column => {
  const [key, type = "text"] = definition.split(":");
  return { key, name: snakeCase(key), type };
};
const columns = (definitions: string): Column[] => definitions.split(/\s+/).map(column);
const child = (key: string, table: string, definitions: string): ChildTable => ({ key, table, columns: columns(definitions) });
const idList = (key: string, table: string, name: string): ChildTable => {
  const scalar = column(name);
  return { key, table, scalar, columns: [scalar] };
};

/** Every list with an id, parents before what refers to them. */
export const tables: readonly Table[] = [
  {
    list: "calendars",
    table: "calendars",
    columns: columns("id name week:numeric[]"),
    children: [child("exceptions", "calendar_exceptions", "from:date to:date hours:numeric name")],
  },
  { list: "roles", table: "roles", columns: columns("id name"), children: [] },
  { list: "skills", table: "skills", columns: columns("id name group"), children: [] },
  {
    list: "people",
    table: "people",
    columns: columns("id name email calendarId employedFrom:date employedTo:date location kind archived:boolean locked:boolean"),
    children: [
      idList("roleIds", "person_roles", "roleId"),
      child("skills", "person_skills", "skillId level:integer"),
      child("patterns", "person_patterns", "from:date to:date week:numeric[]"),
      child("timeOff", "person_time_off", "id from:date to:date hoursPerDay:numeric kind state note reason suggested:jsonb"),
      child("overtime", "person_overtime", "id from:date to:date hoursPerDay:numeric"),
    ],
  },
  { list: "clients", table: "clients", columns: columns("id name"), children: [] },
  { list: "materials", table: "materials", columns: columns("id name unit"), children: [] },
  {
    list: "rateTables",
    table: "rate_tables",
    columns: columns("id name kind currency"),
    children: [child("entries", "rate_entries", "personId roleId materialId from:date rate:numeric overtimeRate:numeric perUse:numeric")],
  },
  {
    list: "projects",
    table: "projects",
    columns: columns(
      "id name code clientId category leadId calendarId stage probability:numeric priority:integer start:date deadline:date costTableId billTableId billing:jsonb budget:numeric budgetByKind:jsonb marginTarget:numeric description archived:boolean locked:boolean",
    ),
    children: [],
  },
  {
    list: "teams",
    table: "teams",
    columns: columns("id name handle parentId projectId description"),
    children: [idList("memberIds", "team_members", "personId")],
  },
  {
    list: "tasks",
    table: "tasks",
    columns: columns(
      "id projectId parentId name sizing start:date finish:date durationDays:numeric effortHours:numeric roleId calendarId priority:integer percentComplete:numeric state atRisk:boolean notBefore:date notAfter:date finishNotBefore:date finishNotAfter:date deadline:date staggerDays:numeric fixedCost:numeric fixedCostAccrual tags:text[] notes review:jsonb locked:boolean",
    ),
    children: [child("skills", "task_skills", "skillId level:integer")],
  },
  { list: "links", table: "links", columns: columns("id from to kind lagDays:numeric elapsed:boolean"), children: [] },
  {
    list: "assignments",
    table: "assignments",
    columns: columns(
      "id taskId personId teamId materialId roleId hours:numeric percent:numeric hoursPerDay:numeric hoursPerWeek:numeric isCustom:boolean customFrom:date shape from:date to:date firmness quantity:numeric quantityPerDay:numeric wastePercent:numeric accrual",
    ),
    children: [child("custom", "assignment_buckets", "from:date to:date hours:numeric")],
  },
  {
    list: "expenses",
    table: "expenses",
    columns: columns(
      "id projectId taskId name supplier amount:numeric quantity:numeric unitPrice:numeric taxPercent:numeric date:date from:date to:date costType treatment state",
    ),
    children: [],
  },
  {
    list: "templates",
    table: "templates",
    columns: columns("id name start:date calendarId tasks:jsonb links:jsonb assignments:jsonb"),
    children: [],
  },
  { list: "comments", table: "comments", columns: columns("id taskId author at text mentions:jsonb"), children: [] },
  { list: "views", table: "views", columns: columns("id name screen query"), children: [] },
  { list: "snoozes", table: "snoozes", columns: columns("id signal until:date reason"), children: [] },
  { list: "notes", table: "notes", columns: columns("id signal personId by at text"), children: [] },
  { list: "sketches", table: "sketches", columns: columns("id name by at edits:jsonb"), children: [] },
  {
    list: "enquiries",
    table: "enquiries",
    columns: columns(
      "id name purpose contact:jsonb clientId wishedStart:date wishedFinish:date value:numeric templateId hours:jsonb state projectId history:jsonb",
    ),
    children: [],
  },
  { list: "acceptances", table: "acceptances", columns: columns("id personId from:date to:date reason"), children: [] },
  {
    list: "requests",
    table: "requests",
    columns: columns("id taskId assignmentId roleId personId hours:numeric state offeredId note history:jsonb"),
    children: [],
  },
];
