// The redaction of money: every figure passes here on its way from the core to a screen or a file.
import { isObject } from "../plan/isObject.ts";

export type MoneySide = "cost" | "bill" | "margin";

/** The sides of money that a user may see: cost, billing, and the margin between them. */
export type MoneyAccess = Readonly<Record<MoneySide, boolean>>;

export const FULL_ACCESS: MoneyAccess = { cost: true, bill: true, margin: true };

/** The places of figures of one side in an answer: "rows.*.total", where `*` is every member of a list. */
export type MoneyPlaces = Readonly<Partial<Record<MoneySide, readonly string[]>>>;

/** Is in the place of a figure that may not be seen: everything that is calculated with it is hidden as well. */
const HIDDEN = Number.NaN;

/** True of a figure that was hidden, also after it has been sent as JSON, which has nothing but null for it. */
export const isHidden = (figure: number): boolean => !Number.isFinite(figure);

/** An answer as a person may see it. What is given is left as it is: others may look at the same answer.
 * @param places Where it has figures of money; numbers are hidden, a flag that depends on them is down. */
export function redactMoney<T>(answer: T, places: MoneyPlaces | undefined, access: MoneyAccess): T {
  if (!places) return answer;
  let seen: unknown = answer;
  for (const side of ["cost", "bill", "margin"] as const)
    if (!access[side]) for (const place of places[side] ?? []) seen = withoutFigure(seen, place.split("."), 0);
  return seen as T;
}

function withoutFigure(value: unknown, steps: readonly string[], at: number): unknown {
  if (value === null || value === undefined) return value;
  if (at === steps.length) return typeof value === "number" ? HIDDEN : typeof value === "boolean" ? false : value;
  if (Array.isArray(value)) return value.map((member) => withoutFigure(member, steps, at + 1));
  const key = steps[at];
  if (!isObject(value)) return value;
  const keys = key === "*" ? Object.keys(value) : key in value ? [key] : [];
  return { ...value, ...Object.fromEntries(keys.map((own) => [own, withoutFigure(value[own], steps, at + 1)])) };
}
