// Answers as screens receive them: their figures of money may be hidden.

import type { Edit, EditTogether } from "../core/edits/edit.ts";
import type { Seen } from "../core/plan/moneySides.ts";
import { isObject } from "../core/values/isObject.ts";

/** Parts of answers that are never redacted: an edit carries the values that it will write, and its permission is checked with it. */
export type NeverRedacted = Edit | EditTogether;

/** A part of an answer as screens receive it. */
export type Redacted<Answer> = Seen<Answer, NeverRedacted>;

/** A row of the plan as forms take it: hidden figures are left out, as if nothing had been stated. */
export function withoutHidden<Row>(row: Redacted<Row>): Row;
export function withoutHidden(value: unknown): unknown {
  if (Array.isArray(value)) return value.map((member: unknown) => withoutHidden(member));
  if (!isObject(value)) return value;
  const shown = Object.entries(value).filter(([, member]) => member === null || typeof member !== "object" || !("isHidden" in member));
  return Object.fromEntries(shown.map(([field, member]) => [field, withoutHidden(member)]));
}
