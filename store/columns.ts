// Columns of a table from the Zod schema of its rows, so that a key of the schema cannot be without one.
import type * as z from "zod";
import { dateText } from "../core/plan/schema.ts";

/** A column: the key of the row in the plan, its name and type in SQL. */
export interface Column {
  key: string;
  name: string;
  type: string;
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

/** The column that holds a value of this schema under a key. */
export function columnOf(key: string, schema: z.core.$ZodType): Column {
  return { key, name: reserved[key] ?? snakeCase(key), type: sqlType(plainSchema(schema)) };
}

/** A key of the plan as a name in SQL. */
export const snakeCase = (key: string): string => key.replaceAll(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

/** A schema without what makes its value optional. */
export function plainSchema(schema: z.core.$ZodType): z.core.$ZodTypes {
  const { def } = (schema as z.core.$ZodTypes)._zod;
  const isWrapped = def.type === "optional" || def.type === "nullable" || def.type === "default";
  return isWrapped ? plainSchema(def.innerType) : (schema as z.core.$ZodTypes);
}

function sqlType(schema: z.core.$ZodTypes): string {
  if (schema === dateText) return "date";
  const { def } = schema._zod;
  switch (def.type) {
    case "number":
      return isInteger(schema) ? "integer" : "numeric";
    case "boolean":
      return "boolean";
    case "literal":
      return def.values.every((value) => typeof value === "boolean") ? "boolean" : "text";
    case "string":
    case "enum":
      return "text";
    case "array":
      return arrayType(plainSchema(def.element));
    default:
      return "jsonb";
  }
}

/** Lists of plain values are arrays; lists of objects are JSON. */
function arrayType(element: z.core.$ZodTypes): string {
  const type = sqlType(element);
  return type === "jsonb" ? type : `${type}[]`;
}

const isInteger = (schema: z.core.$ZodTypes): boolean => "format" in schema._zod.def && schema._zod.def.format === "safeint";
