// Approved hours as a compact book: what the model takes in place of the entries, which may be many.
import { type Day, parseDay } from "../calendar/day.ts";
import type { Plan, TimeEntry } from "../plan/schema.ts";
import { workMinutes } from "../values/units.ts";

/** The approved minutes of each person on each task by day; column `at` of each list is one line, in order of task, person and day
 * as they are first named. */
export interface Recorded {
  /** The status date where the settings state none: the day it is. */
  clock: Day;
  personIds: readonly string[];
  taskIds: readonly string[];
  /** Positions in `personIds` and `taskIds`. */
  person: Int32Array;
  task: Int32Array;
  day: Int32Array;
  minutes: Int32Array;
}

/** The book of a plan's entries. Without a clock nothing is past unless the settings state the status date.
 * @param clock The day it is. */
export function recordedOf(plan: Pick<Plan, "settings" | "timeEntries">, clock: Day = parseDay(plan.settings.planStart)): Recorded {
  return bookOf(plan.timeEntries, clock);
}

function bookOf(entries: readonly TimeEntry[], clock: Day): Recorded {
  const [people, tasks] = [new Numbering(), new Numbering()];
  const sums = new Map<string, { person: number; task: number; day: Day; minutes: number }>();
  for (const { personId, taskId, date, hours, state } of entries) {
    if (state !== "approved" || taskId === undefined) continue;
    const line = { person: people.of(personId), task: tasks.of(taskId), day: parseDay(date), minutes: 0 };
    const key = `${line.task} ${line.person} ${line.day}`;
    const known = sums.get(key) ?? line;
    known.minutes += workMinutes(hours);
    sums.set(key, known);
  }
  const lines = [...sums.values()].sort((a, b) => a.task - b.task || a.person - b.person || a.day - b.day);
  return {
    clock,
    personIds: people.names,
    taskIds: tasks.names,
    person: Int32Array.from(lines, ({ person }) => person),
    task: Int32Array.from(lines, ({ task }) => task),
    day: Int32Array.from(lines, ({ day }) => day),
    minutes: Int32Array.from(lines, ({ minutes }) => minutes),
  };
}

/** Numbers for names, in the order in which they come. */
class Numbering {
  readonly names: string[] = [];
  readonly #numbers = new Map<string, number>();

  of(name: string): number {
    let number = this.#numbers.get(name);
    if (number === undefined) {
      number = this.names.length;
      this.names.push(name);
      this.#numbers.set(name, number);
    }
    return number;
  }
}
