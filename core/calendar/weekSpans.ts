// A person's working weeks as what they do: spans of time, one after another, each with the week that holds.
import type { Calendar, Person } from "../plan/schema.ts";
import { type Day, parseDay } from "./day.ts";

/** A span with one week. Without `from` it begins with the employment, without `last` it has no end. */
export interface WeekSpan {
  from: Day | null;
  last: Day | null;
  /** Hours of each weekday, Monday first. */
  week: readonly number[];
  /** The index of the person's pattern in effect; null for the calendar's week. */
  pattern: number | null;
}

/** The spans in order of time, each from where a pattern begins, ends or gives way to a later one in the list. */
export function weekSpans({ patterns = [] }: Pick<Person, "patterns">, calendar: Pick<Calendar, "week">): WeekSpan[] {
  const edges = new Set<Day>();
  for (const { from, to } of patterns) {
    edges.add(parseDay(from));
    if (to !== undefined) edges.add(parseDay(to) + 1);
  }
  const starts: (Day | null)[] = [null, ...[...edges].sort((a, b) => a - b)];
  const spans: WeekSpan[] = [];
  starts.forEach((from, at) => {
    const pattern = patternAt(patterns, from ?? Number.NEGATIVE_INFINITY);
    const next = starts[at + 1] ?? null;
    const last = next === null ? null : next - 1;
    const before = spans.at(-1);
    if (before && before.pattern === pattern) before.last = last;
    else spans.push({ from, last, week: pattern === null ? calendar.week : patterns[pattern].week, pattern });
  });
  return spans;
}

function patternAt(patterns: NonNullable<Person["patterns"]>, day: Day): number | null {
  const at = patterns.findLastIndex(({ from, to }) => parseDay(from) <= day && (to === undefined || parseDay(to) >= day));
  return at < 0 ? null : at;
}
