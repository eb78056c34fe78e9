// Answers that come with a page: as they are, or as text.
import { onceFor } from "../core/values/once.ts";
import type { Question } from "./questions.ts";

/** An answer that came with the page, the query it answers, and what it was given for. */
export type Initial<T> = {
  revision: number;
  /** The sketch on top of the plan; null for the plan itself. */
  sketchId: string | null;
  /** The query as text. */
  key: string;
} & ({ data: T } | { text: string });

/** Answers that come as text: long lists, of which every value would be looked at on its way, at both ends. What cannot be
 * written as JSON, such as figures in typed arrays, is not among them. */
export const comeAsText: ReadonlySet<Question> = new Set<Question>([
  "leave",
  "money",
  "names",
  "openings",
  "outline",
  "portfolio",
  "roster",
  "skills",
  "today",
]);

const readText = onceFor(({ text }: { text: string }): unknown => JSON.parse(text));

/** The answer itself, the same each time. */
export function dataOf<T>(initial: Initial<T>): T {
  return "data" in initial ? initial.data : (readText(initial) as T);
}
