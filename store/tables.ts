// The tables of the plan's lists: a column for each key of a row's schema, a child table for each nested list that is named here.
import type * as z from "zod";
import type { ListName } from "../core/plan/lists.ts";
import { changedSchemas, rowSchemas } from "../core/plan/schema.ts";
import { objectKeys } from "../core/values/objectKeys.ts";
import { type Column, columnOf, plainSchema, snakeCase } from "./columns.ts";

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

/** The tables of nested lists, by their key; a nested list of ids also names its column. Other nested lists are JSON. */
type Nested = Record<string, string | { table: string; idKey: string }>;

/** True if the hours of an assignment are typed: a value of its own, because a typed list may be empty. */
const IS_CUSTOM: Column = { key: "isCustom", name: "is_custom", type: "boolean" };

/** The tables of the nested lists of every list, parents before the rows that refer to them. */
const nestedTables: Record<ListName, Nested> = {
  calendars: { exceptions: "calendar_exceptions" },
  roles: {},
  skills: {},
  people: {
    roleIds: { table: "person_roles", idKey: "roleId" },
    skills: "person_skills",
    patterns: "person_patterns",
    timeOff: "person_time_off",
    overtime: "person_overtime",
  },
  clients: {},
  materials: {},
  rateTables: { entries: "rate_entries" },
  projects: {},
  teams: { memberIds: { table: "team_members", idKey: "personId" } },
  tasks: { skills: "task_skills" },
  links: {},
  assignments: { custom: "assignment_buckets" },
  expenses: {},
  templates: {},
  comments: {},
  views: {},
  snoozes: {},
  notes: {},
  sketches: {},
  enquiries: {},
  acceptances: {},
  requests: {},
  timeEntries: {},
  actualCosts: {},
  baselines: {},
};

/** Every list with an id, parents before the rows that refer to them. */
export const tables: readonly Table[] = objectKeys(nestedTables).map((list) => tableOf(list, nestedTables[list]));

const { id: _, ...settingsKeys } = changedSchemas.settings.shape;

/** The columns of the settings, which are one row without an id. */
export const settingsColumns: readonly Column[] = columnsOf(settingsKeys);

/** The columns of an exchange rate; the rates are a list without ids. */
export const exchangeColumns: readonly Column[] = columnsOf(changedSchemas.exchange.shape.rates.element.shape);

function tableOf(list: ListName, nested: Nested): Table {
  const shape: z.core.$ZodShape = rowSchemas[list].shape;
  const columns = columnsOf(Object.fromEntries(Object.entries(shape).filter(([key]) => !(key in nested))));
  const children = Object.keys(nested).map((key) => childOf(key, nested[key], shape[key]));
  return { list, table: snakeCase(list), columns: list === "assignments" ? [...columns, IS_CUSTOM] : columns, children };
}

function childOf(key: string, named: Nested[string], schema: z.core.$ZodType): ChildTable {
  const { def } = plainSchema(schema)._zod;
  if (def.type !== "array") throw new Error(`${key} is not a list.`);
  if (typeof named === "string") return { key, table: named, columns: columnsOf(shapeOf(def.element)) };
  const scalar = columnOf(named.idKey, def.element);
  return { key, table: named.table, scalar, columns: [scalar] };
}

function shapeOf(schema: z.core.$ZodType): z.core.$ZodShape {
  const { def } = plainSchema(schema)._zod;
  if (def.type !== "object") throw new Error("A nested list has a table of its own only if its entries are objects.");
  return def.shape;
}

function columnsOf(shape: z.core.$ZodShape): Column[] {
  return Object.entries(shape).map(([key, schema]) => columnOf(key, schema));
}
