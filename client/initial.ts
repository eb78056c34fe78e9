// Answers that come with a page: as they are, or as text.
import type { Question } from "./questions.ts";

/** An answer that came with the page, the query it answers, and the revision it was given for. */
export type Initial<T> = {
  revision: number;
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

/** What has been read of each text. */
const read = new WeakMap<object, unknown>();

/** The answer itself, the same each time. */
export function dataOf<T>(initial: Initial<T>): T {
  if ("data" in initial) return initial.data;
  if (!read.has(initial)) read.set(initial, JSON.parse(initial.text));
  return read.get(initial) as T;
}
