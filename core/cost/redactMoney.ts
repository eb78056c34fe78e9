// The redaction of money: every figure passes here on its way from the core to a screen or a file.

import { HIDDEN, type Marks, type MoneyAccess, type MoneySide } from "../plan/moneySides.ts";
import { isObject } from "../values/isObject.ts";

const isSide = (marks: Marks): marks is MoneySide => typeof marks === "string";
const areSides = (marks: Marks): marks is readonly MoneySide[] => Array.isArray(marks);

/** An answer as a user may see it. The given answer is left as it is: others may look at the same one.
 * @param marks Where it has figures of money; figures of a hidden side become `HIDDEN`, a flag that depends on them is down.
 * @returns The given answer itself where nothing in it is hidden. */
export function redactMoney(answer: unknown, marks: Marks | undefined, access: MoneyAccess): unknown {
  const seesAll = access.cost && access.bill && access.margin;
  return marks === undefined || seesAll ? answer : redacted(answer, marks, access);
}

function redacted(answer: unknown, marks: Marks, access: MoneyAccess): unknown {
  if (answer === null || answer === undefined) return answer;
  if (Array.isArray(answer)) return withChanged(answer, (member) => redacted(member, marks, access));
  if (isSide(marks)) return access[marks] ? answer : withoutFigure(answer);
  if (areSides(marks)) return marks.every((side) => access[side]) ? answer : withoutFigure(answer);
  if (!isObject(answer)) return answer;
  let copy = answer;
  for (const field of Object.keys(marks)) {
    const seen = redacted(answer[field], marks[field], access);
    if (seen !== answer[field]) copy = { ...copy, [field]: seen };
  }
  return copy;
}

function withoutFigure(value: unknown): unknown {
  return typeof value === "number" ? HIDDEN : typeof value === "boolean" ? false : value;
}

/** A list with its members changed; the list itself where none is. */
function withChanged(list: readonly unknown[], change: (member: unknown) => unknown): readonly unknown[] {
  const changed = list.map(change);
  return changed.some((member, at) => member !== list[at]) ? changed : list;
}
