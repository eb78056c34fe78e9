// Placing work, against the rules taken one by one: weights of days, buckets, shapes, running-total rounding.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { largePlan } from "../../demo/large.ts";
import { calendarMinutes, nextDate, plainCapacity, plainWeekMinutes, weekdayOfDate } from "../../tests/plainCapacity.ts";
import { irregular } from "../../tests/randomPeople.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { formatDay } from "../calendar/day.ts";
import { buildModel, type Model } from "../model.ts";
import type { Assignment, Calendar, Person, Plan } from "../plan/schema.ts";
import type { TaskDates } from "../schedule/dates.ts";
import { percentHundredths, workMinutes } from "../values/units.ts";

/** floor(x + ½) of a fraction, in whole numbers. */
const rounded = (numerator: bigint, denominator: bigint): number => Number((2n * numerator + denominator) / (2n * denominator));

/** Item k gets what the running sum gains by it, rounded. */
function split(total: number, weights: readonly bigint[], divisor = weights.reduce((sum, own) => sum + own, 0n)): number[] {
  let cum = 0n;
  let given = 0;
  return weights.map((weight) => {
    cum += weight;
    const upTo = rounded(BigInt(total) * cum, divisor);
    const own = upTo - given;
    given = upTo;
    return own;
  });
}

function shaped(weights: readonly number[], shape: Assignment["shape"] = "even"): bigint[] {
  const n = weights.filter((weight) => weight > 0).length;
  let k = -1;
  return weights.map((weight) => {
    if (weight === 0) return 0n;
    k++;
    const factor = { even: 1, early: 2 * (n - k) - 1, late: 2 * k + 1, peak: Math.min(2 * k + 1, 2 * (n - k) - 1) }[shape];
    return BigInt(weight) * BigInt(factor);
  });
}

interface Expected {
  asked: number;
  placed: Map<string, number>;
}

class PlainPlacing {
  constructor(
    readonly plan: Plan,
    readonly calendar: Calendar,
    readonly person: Person | undefined,
    readonly dates: TaskDates,
  ) {}

  get start(): string {
    return formatDay(this.dates.start.day);
  }
  get finish(): string {
    return formatDay(this.dates.finish.day);
  }

  /** Ticks of a date inside the task's window. */
  part(date: string): number {
    if (this.dates.startAt === this.dates.finishAt) return 0;
    const from = date === this.start ? this.dates.start.tick : 0;
    const to = date === this.finish ? this.dates.finish.tick : 480;
    return date < this.start || date > this.finish ? 0 : to - from;
  }

  isWorking(date: string): boolean {
    return calendarMinutes(this.calendar, date) > 0;
  }

  weight(date: string, part: number, isPlain = false): number {
    if (!this.isWorking(date)) return 0;
    return rounded(BigInt((isPlain ? this.#plain(date) : this.#full(date)) * part), 480n);
  }

  #full(date: string): number {
    if (!this.person) return calendarMinutes(this.calendar, date);
    const { regular, overtime } = plainCapacity(this.plan, this.person, date);
    return regular + overtime;
  }

  #plain(date: string): number {
    if (!this.person) return workMinutes(this.calendar.week[weekdayOfDate(date)]);
    const own = this.plan.calendars.find(({ id }) => id === this.person?.calendarId) as Calendar;
    return plainWeekMinutes(this.person, own, date);
  }

  place(assignment: Assignment): Expected {
    const from = assignment.from && assignment.from > this.start ? assignment.from : this.start;
    const to = assignment.to && assignment.to < this.finish ? assignment.to : this.finish;
    const window = datesOf(from, to);
    const { hours, percent, hoursPerDay, hoursPerWeek, custom } = assignment;
    if (custom) return this.#custom(custom, assignment.shape);
    if (hours !== undefined) return this.#buckets([{ minutes: workMinutes(hours), dates: window }], assignment.shape);
    if (percent !== undefined) return this.#percent(percentHundredths(percent), window);
    const working = window.filter((date) => this.isWorking(date));
    if (hoursPerDay !== undefined) {
      const parts = working.map((date) => BigInt(this.part(date)));
      const minutes = split(workMinutes(hoursPerDay), parts, 480n);
      return this.#buckets(
        working.map((date, at) => ({ minutes: minutes[at], dates: [date] })),
        "even",
      );
    }
    const plainDays = BigInt(this.calendar.week.filter((own) => own > 0).length);
    const weeks = new Map<string, string[]>();
    for (const date of window) {
      const monday = nextDate(date, -weekdayOfDate(date));
      weeks.set(monday, [...(weeks.get(monday) ?? []), date]);
    }
    const buckets = [...weeks.values()].map((dates) => {
      const parts = dates.filter((date) => this.isWorking(date)).reduce((sum, date) => sum + this.part(date), 0);
      return { minutes: rounded(BigInt(workMinutes(hoursPerWeek ?? 0)) * BigInt(parts), 480n * plainDays), dates };
    });
    return this.#buckets(buckets, assignment.shape);
  }

  #percent(share: number, window: readonly string[]): Expected {
    const weights = (isPlain: boolean) => window.map((date) => BigInt(this.weight(date, this.part(date), isPlain)));
    const minutes = split(share, weights(false), 10_000n);
    const asked = rounded(BigInt(share) * weights(true).reduce((sum, own) => sum + own, 0n), 10_000n);
    return { asked, placed: new Map(window.map((date, at) => [date, minutes[at]])) };
  }

  #custom(custom: NonNullable<Assignment["custom"]>, shape: Assignment["shape"]): Expected {
    const expected: Expected = { asked: 0, placed: new Map() };
    for (const { from, to, hours } of custom) {
      const dates = datesOf(from, to);
      const weights = dates.length === 1 ? [1] : dates.map((date) => this.weight(date, 480));
      this.#add(expected, workMinutes(hours), dates, shaped(weights, shape));
    }
    return expected;
  }

  #buckets(buckets: readonly { minutes: number; dates: readonly string[] }[], shape: Assignment["shape"]): Expected {
    const expected: Expected = { asked: 0, placed: new Map() };
    for (const { minutes, dates } of buckets) {
      const weights = dates.map((date) => this.weight(date, this.part(date)));
      this.#add(expected, minutes, dates, shaped(weights, shape));
    }
    return expected;
  }

  #add(expected: Expected, minutes: number, dates: readonly string[], weights: readonly bigint[]): void {
    expected.asked += minutes;
    if (weights.every((weight) => weight === 0n)) return;
    split(minutes, weights).forEach((own, at) => {
      expected.placed.set(dates[at], (expected.placed.get(dates[at]) ?? 0) + own);
    });
  }
}

function datesOf(from: string, to: string): string[] {
  const dates: string[] = [];
  for (let date = from; date <= to; date = nextDate(date)) dates.push(date);
  return dates;
}

function placedByDate({ placements }: Model, row: number): [string, number][] {
  const found: [string, number][] = [];
  for (let i = 0; i < placements.length[row]; i++) {
    const minutes = placements.buffer.minutes[placements.offset[row] + i];
    if (minutes !== 0) found.push([formatDay(placements.start[row] + i), minutes]);
  }
  return found;
}

/** Compares every labour assignment of a task with dates that its people do not decide. @returns How many, by statement. */
function compare(plan: Plan): Record<string, number> {
  const model = buildModel(plan);
  const seen: Record<string, number> = {};
  plan.assignments.forEach((assignment, row) => {
    const task = plan.tasks[model.work.task[row]];
    const dates = model.schedule.of(model.work.task[row]);
    if (!dates || task.sizing === "effort" || assignment.materialId !== undefined) return;
    const calendarId = task.calendarId ?? plan.projects[model.work.project[row]].calendarId;
    const calendar = plan.calendars.find(({ id }) => id === calendarId) as Calendar;
    const person = plan.people.find(({ id }) => id === assignment.personId);
    const { asked, placed } = new PlainPlacing(plan, calendar, person, dates).place(assignment);
    const says = JSON.stringify(assignment);
    expect(model.placements.asked[row], says).toBe(asked);
    expect(placedByDate(model, row), says).toEqual([...placed].filter(([, minutes]) => minutes !== 0).sort(([a], [b]) => (a < b ? -1 : 1)));
    const total = [...placed.values()].reduce((sum, minutes) => sum + minutes, 0);
    expect(model.placements.unplaced[row], says).toBe(Math.max(0, asked - total));
    const way = ["hours", "percent", "hoursPerDay", "hoursPerWeek", "custom"].find((key) => key in assignment) as string;
    seen[way] = (seen[way] ?? 0) + 1;
  });
  return seen;
}

test("the demo plan's work falls on the days that the rules say, to the minute", () => {
  expect(Object.keys(compare(fernhollow())).length).toBeGreaterThanOrEqual(4);
});

test.each([1, 2, 3, 4])(
  "and so it does for all five statements and four shapes, no matter what people's days are like (seed %i)",
  (seed) => {
    const plan = irregular(largePlan({ people: 10, projects: 4, tasks: 60, assignments: 240, links: 40 }, seed), seed);
    const seen = compare({ ...plan, assignments: plan.assignments.map(varied) });
    expect(Object.keys(seen).sort()).toEqual(["custom", "hours", "hoursPerDay", "hoursPerWeek", "percent"]);
  },
);

/** The same in another shape; some with days of their own, some typed in buckets that overlap and pass the task's end. */
function varied(own: Assignment, at: number): Assignment {
  const { id, taskId, personId, roleId, ...stated } = own;
  const base = { id, taskId, ...(personId === undefined ? { roleId } : { personId }) };
  const shape = (["even", "early", "late", "peak"] as const)[at % 4];
  const first = nextDate("2027-01-04", (at * 37) % 700);
  if (at % 9 === 0) {
    const bucket = (days: number, length: number, hours: number) => ({
      from: nextDate(first, days),
      to: nextDate(first, days + length),
      hours,
    });
    return { ...base, shape, custom: [bucket(0, 6, 17.3), bucket(3, 0, 2), bucket(5, 20, 31)] };
  }
  return { ...base, ...stated, ...("hours" in stated || "hoursPerWeek" in stated ? { shape } : {}), ...(at % 5 === 0 && { from: first }) };
}

test.each([5, 6])("and so it does where days are cut by links, lags and other calendars (seed %i)", (seed) => {
  expect(compare(irregular(tangledPlan(seed), seed)).hours).toBeGreaterThan(0);
});
