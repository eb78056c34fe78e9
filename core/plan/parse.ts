// From the text of a plan file to a plan, or to every fault in it at once.
import type * as z from "zod";
import { messageOf } from "../values/errors.ts";
import { isObject } from "../values/isObject.ts";
import { parseJson } from "../values/nesting.ts";
import { isStorable } from "../values/storable.ts";
import { checkPlan, faultsBetweenRows } from "./check.ts";
import { type Fault, faultText, placeOf } from "./faults.ts";
import { fitOf } from "./fits.ts";
import { MOST_NESTING } from "./limits.ts";
import { listNames } from "./lists.ts";
import { optionalLists, type Plan, planSchema } from "./schema.ts";

export type Parsed = { plan: Plan; faults: readonly [] } | { plan: null; faults: Fault[] };

/** Reads a plan file.
 * @returns The plan; or `null` with all its faults, each with its place. Never throws on bad input. */
export function parsePlan(text: string): Parsed {
  let value: unknown;
  try {
    value = parseJson(text, MOST_NESTING);
  } catch (error) {
    return { plan: null, faults: [{ place: "", message: faultText.notJson(messageOf(error)) }] };
  }
  return parsePlanValue(value);
}

/** The same for a value that is already parsed JSON. */
export function parsePlanValue(value: unknown): Parsed {
  const head = headFault(value);
  if (head) return { plan: null, faults: [head] };
  if (fitsPlan(value)) return checked(value);
  const result = planSchema.safeParse(value, { reportInput: true });
  return result.success ? checked(result.data) : { plan: null, faults: faultsOfMalformed(result.error.issues, value) };
}

function checked(fitting: Plan): Parsed {
  const plan: Plan = { ...emptyLists(), ...fitting };
  const faults = checkPlan(plan);
  return faults.length > 0 ? { plan: null, faults } : { plan, faults: [] };
}

const isFit = fitOf(planSchema);
const fitsPlan = (value: unknown): value is Plan => isFit(value);

/** Lists that a file may leave out are empty then. */
const emptyLists = () => Object.fromEntries(optionalLists.map((list) => [list, []]));

/** The faults of the schema, and those between the rows that do fit it, so that all are reported at once. */
function faultsOfMalformed(issues: readonly z.core.$ZodIssue[], value: unknown): Fault[] {
  const faults = schemaFaults(issues, value);
  const whole: Record<string, unknown> = { ...emptyLists(), ...Object(value) };
  const lists = listNames.map((list) => whole[list]);
  const areRows = (list: unknown) => Array.isArray(list) && list.every((row) => isObject(row) && !Array.isArray(row));
  if (!lists.every(areRows)) return faults;
  const malformed = new Set(issues.map(({ path }) => path.slice(0, path[0] === "settings" ? 1 : 2).join(" ")));
  const isMalformed = (list: string, at?: number) => malformed.has(at === undefined ? list : `${list} ${at}`);
  return [...faults, ...faultsBetweenRows(whole as unknown as Plan, isMalformed)];
}

function headFault(value: unknown): Fault | null {
  if (typeof value !== "object" || value === null || !("format" in value) || value.format !== "mindful-roster-plan")
    return { place: "", message: faultText.notAPlan() };
  const version = "version" in value ? value.version : undefined;
  return version === 1 ? null : { place: "version", message: faultText.wrongVersion(version) };
}

/** Zod's issues as faults, in the words of this product. `root` is the value that was checked. */
export function schemaFaults(issues: readonly z.core.$ZodIssue[], root: unknown, base: readonly PropertyKey[] = []): Fault[] {
  return issues.flatMap((issue) => {
    const place = placeOf([...base, ...issue.path]);
    if (issue.code === "unrecognized_keys") return issue.keys.map((key) => ({ place, message: faultText.unknownKey(key) }));
    return [{ place, message: issueText(issue, valueAt(root, issue.path)) }];
  });
}

function issueText(issue: z.core.$ZodIssue, found: unknown): string {
  switch (issue.code) {
    case "invalid_type":
      return found === undefined ? faultText.missing() : faultText.wrongType(found, kindWords[issue.expected] ?? `a ${issue.expected}`);
    case "invalid_value":
      return found === undefined ? faultText.missing() : faultText.notOneOf(found, issue.values);
    case "too_small":
      return typeof found === "number" ? faultText.tooSmall(found, issue.minimum) : faultText.tooShort(issue.minimum);
    case "too_big":
      return typeof found === "number" ? faultText.tooBig(found, issue.maximum) : faultText.tooLong(issue.maximum);
    case "custom":
      if (typeof found !== "string") return faultText.notAnEdit();
      return isStorable(found) ? faultText.notADate(found) : faultText.notStorable();
    default:
      return faultText.badText(found);
  }
}

const kindWords: Record<string, string> = {
  string: "a text",
  number: "a number",
  int: "a whole number",
  boolean: "true or false",
  array: "a list",
  object: "an object",
};

function valueAt(root: unknown, path: readonly PropertyKey[]): unknown {
  let value = root;
  for (const key of path) value = Object(value)[key];
  return value;
}
