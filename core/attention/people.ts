// Signals about people: over, a bad day in a level week, work and leave that do not go together, a role out of balance.
import { parseDay } from "../calendar/day.ts";
import { periodSettingsOf } from "../calendar/horizon.ts";
import { periodsIn, type Range } from "../calendar/periods.ts";
import { defaultCounting } from "../load/counting.ts";
import { levelBandOf, overBeyond, peopleSums } from "../load/periodSums.ts";
import type { Model } from "../model.ts";
import { unplaceablesOf } from "../placing/unplaceable.ts";
import { allRows, rowById } from "../plan/rows.ts";
import { peopleByFirstRole } from "../plan/teams.ts";
import type { Attention, Horizon } from "../signals/kinds.ts";
import { lookUp } from "../values/lookUp.ts";

/** A load below this share of capacity, in percent, is nearly idle. */
const NEARLY_IDLE = 40;
const MOST_IDLE_NAMED = 3;

/** Signals about people in the weeks of the horizon: overloads in minutes, leave and employment that clash with work, idle roles. */
export function peopleSignals(model: Model, horizon: Horizon): Attention[] {
  const weeks = new Weeks(model, horizon);
  return [...overloads(model, weeks), ...roles(model, weeks), ...leave(model, horizon), ...employment(model, horizon)];
}

/** Capacity, load and what is too much of everyone, by week ahead. */
class Weeks {
  readonly weeks: readonly Range[];
  /** By person row. */
  readonly over: Int32Array;
  readonly capacity: Int32Array;
  readonly load: Int32Array;
  readonly peakOver: Int32Array;

  constructor(
    readonly model: Model,
    horizon: Horizon,
  ) {
    const { plan } = model;
    this.weeks = periodsIn({ start: horizon.start, stop: horizon.until }, "week", periodSettingsOf(plan));
    const sums = peopleSums(model, model.load(defaultCounting), allRows(plan.people), this.weeks);
    const band = levelBandOf(plan);
    const accepted = acceptedWeeks(model, this.weeks);
    this.capacity = sums.capacity;
    this.load = sums.load;
    this.peakOver = sums.peakOver;
    this.over = sums.load.map((load, slot) => (accepted.has(slot) ? 0 : overBeyond(sums.capacity[slot], load, band)));
    for (const slot of accepted) this.peakOver[slot] = 0;
  }

  sumOf(column: "over" | "capacity" | "load" | "peakOver", person: number): number {
    let sum = 0;
    for (let week = 0; week < this.weeks.length; week++) sum += this[column][person * this.weeks.length + week];
    return sum;
  }
}

/** Slots of person and week that a person has accepted as they are. */
function acceptedWeeks({ plan }: Model, weeks: readonly Range[]): Set<number> {
  const slots = new Set<number>();
  for (const { personId, from, to } of plan.acceptances) {
    const person = lookUp(rowById(plan.people), personId);
    weeks.forEach(({ start, stop }, week) => {
      if (parseDay(from) < stop && parseDay(to) >= start) slots.add(person * weeks.length + week);
    });
  }
  return slots;
}

function overloads({ plan }: Model, weeks: Weeks): Attention[] {
  const count = weeks.weeks.length;
  return plan.people.flatMap(({ id, name }, person): Attention[] => {
    const over = [...weeks.over.subarray(person * count, (person + 1) * count)];
    const about = { personId: id, person: name };
    const signals: Attention[] = [];
    const bad = over.flatMap((minutes, week) => (minutes > 0 ? [week] : []));
    if (bad.length > 0) {
      const minutes = over.reduce((sum, own) => sum + own, 0);
      const [first, last] = [weeks.weeks[bad[0]], weeks.weeks[bad[bad.length - 1]]];
      signals.push({
        key: `over ${id}`,
        kind: "over",
        ...about,
        minutes,
        count: bad.length,
        from: first.start,
        to: last.stop - 1,
        weight: 1e6 + minutes,
      });
    }
    // A bad day inside a week that is not over, the worst week alone.
    let worst = -1;
    for (let week = 0; week < count; week++) {
      const peak = over[week] > 0 ? 0 : weeks.peakOver[person * count + week];
      if (peak > 0 && (worst < 0 || peak > weeks.peakOver[person * count + worst])) worst = week;
    }
    if (worst >= 0) {
      const minutes = weeks.peakOver[person * count + worst];
      const { start, stop } = weeks.weeks[worst];
      signals.push({ key: `badDay ${id} ${start}`, kind: "badDay", ...about, minutes, from: start, to: stop - 1, weight: 1e5 + minutes });
    }
    return signals;
  });
}

/** True of a person who is there for most of the weeks and has next to nothing to do in them. Leave is not idleness, and neither is
 * a quiet week next to one that is over. */
function isIdle(weeks: Weeks, person: number): boolean {
  const count = weeks.weeks.length;
  const there = weeks.capacity.subarray(person * count, (person + 1) * count).filter((capacity) => capacity > 0).length;
  return (
    there * 2 > count &&
    weeks.sumOf("over", person) + weeks.sumOf("peakOver", person) === 0 &&
    weeks.sumOf("load", person) * 100 < weeks.sumOf("capacity", person) * NEARLY_IDLE
  );
}

/** A role in which a person is over while others have next to nothing to do. */
function roles({ plan }: Model, weeks: Weeks): Attention[] {
  return peopleByFirstRole(plan).flatMap((people, row): Attention[] => {
    const over = people.filter((person) => weeks.sumOf("over", person) > 0);
    const idle = people.filter((person) => isIdle(weeks, person));
    if (over.length === 0 || idle.length === 0) return [];
    const roomOf = (person: number) => weeks.sumOf("capacity", person) - weeks.sumOf("load", person);
    const [worst] = over.sort((a, b) => weeks.sumOf("over", b) - weeks.sumOf("over", a) || a - b);
    const named = idle.sort((a, b) => roomOf(b) - roomOf(a) || a - b).slice(0, MOST_IDLE_NAMED);
    const minutes = over.reduce((sum, person) => sum + weeks.sumOf("over", person), 0);
    return [
      {
        key: `unbalancedRole ${plan.roles[row].id}`,
        kind: "unbalancedRole",
        roleId: plan.roles[row].id,
        role: plan.roles[row].name,
        personId: plan.people[worst].id,
        person: plan.people[worst].name,
        others: named.map((person) => ({ id: plan.people[person].id, name: plan.people[person].name, minutes: roomOf(person) })),
        count: idle.length,
        minutes,
        from: weeks.weeks[0].start,
        to: weeks.weeks[weeks.weeks.length - 1].stop - 1,
        weight: 5e5 + minutes,
      },
    ];
  });
}

/** Requests for leave that wait, and those of them that work clashes with. */
function leave(model: Model, { today }: Horizon): Attention[] {
  const load = model.load(defaultCounting);
  return model.plan.people.flatMap(({ id, name, timeOff = [] }, person) =>
    timeOff.flatMap((entry): Attention[] => {
      const [from, to] = [parseDay(entry.from), parseDay(entry.to)];
      if (entry.state !== "requested" || to < today) return [];
      const about = { personId: id, person: name, requestId: entry.id, from, to };
      const minutes = load.sum(person, from, to + 1);
      const urgency = Math.max(0, 100 - (from - today));
      if (minutes > 0) return [{ key: `leaveClash ${entry.id} ${id}`, kind: "leaveClash", ...about, minutes, weight: 4e5 + minutes }];
      return [{ key: `leaveWaiting ${entry.id} ${id}`, kind: "leaveWaiting", ...about, weight: 1000 + urgency }];
    }),
  );
}

/** Work planned while a person is away, before they join or after they leave: hours that nobody can work, one signal a person
 * and reason. */
function employment(model: Model, { today }: Horizon): Attention[] {
  const { shares } = model.load(defaultCounting);
  const kinds = { notYet: "notYetHere", left: "gone", away: "leaveClash" } as const;
  const signals = new Map<string, Attention>();
  for (const own of unplaceablesOf(model, shares)) {
    const { reason, day, personId } = own;
    if (personId === null || day === null || reason === "noDates" || reason === "noWorkingTime" || (reason === "away" && day < today))
      continue;
    const key = `${kinds[reason]} ${personId} ${day}`;
    const { assignmentId, taskId, taskName: task, projectId, projectName: project, personName: person, minutes } = own;
    const known = signals.get(key);
    const first = known && (known.minutes ?? 0) > minutes ? known : { assignmentId, taskId, task, projectId, project };
    const sum = minutes + (known?.minutes ?? 0);
    const about = {
      assignmentId: first.assignmentId,
      taskId: first.taskId,
      task: first.task,
      projectId: first.projectId,
      project: first.project,
    };
    signals.set(key, {
      key,
      kind: kinds[reason],
      ...about,
      personId,
      person,
      minutes: sum,
      count: (known?.count ?? 0) + 1,
      from: day,
      weight: 4e5 + sum,
    });
  }
  return [...signals.values()];
}
