// What may be seen of money: every figure of it passes here on its way from the core to a screen or a file.
import { isObject } from "../plan/isObject.ts";

export type MoneySide = "cost" | "bill" | "margin";

/** Which sides of money somebody may see: what work costs, what clients are billed, and what is left between them. */
export type MoneySight = Readonly<Record<MoneySide, boolean>>;

export const SEES_ALL: MoneySight = { cost: true, bill: true, margin: true };

/** Where figures of one side stand in an answer: "rows.*.total", where `*` is every member of a list. */
export type MoneyPlaces = Readonly<Partial<Record<MoneySide, readonly string[]>>>;

/** Stands in the place of a figure that may not be seen: whatever is reckoned with it is hidden as well. */
const HIDDEN = Number.NaN;

/** True of a figure that was hidden, also after it has been sent as JSON, which has nothing but null for it. */
export const isHidden = (figure: number): boolean => !Number.isFinite(figure);

/** An answer as somebody may see it. What is given is left as it is: others may look at the same answer.
 * @param places Where it has figures of money; numbers are hidden, a flag that hangs on them is down. */
export function asSeen<T>(answer: T, places: MoneyPlaces | undefined, sight: MoneySight): T {
  if (!places) return answer;
  let seen: unknown = answer;
  for (const side of ["cost", "bill", "margin"] as const)
    if (!sight[side]) for (const place of places[side] ?? []) seen = withoutFigure(seen, place.split("."), 0);
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
