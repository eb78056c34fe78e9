// Both passes against the rules followed task by task: slow, recursive, without columns or shortcuts.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { largePlan } from "../../demo/large.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { parseDay } from "../calendar/day.ts";
import type { WorkingLine } from "../calendar/workingLine.ts";
import { buildModel, type Model } from "../model.ts";
import type { Link, Plan, Project, Task } from "../plan/schema.ts";

interface Instants {
  start: number;
  finish: number;
}

interface Shown {
  start: { day: number; tick: number };
  finish: { day: number; tick: number };
}

const ticks = (days: number | undefined): number => Math.floor((days ?? 0) * 480 + 0.5);

class PlainSchedule {
  readonly #early = new Map<string, Instants | null>();
  readonly #late = new Map<string, Instants | null>();
  readonly #children = new Map<string, Task[]>();
  readonly #tasks: Map<string, Task>;

  constructor(readonly model: Model) {
    this.#tasks = new Map(model.plan.tasks.map((task) => [task.id, task]));
    for (const task of model.plan.tasks)
      if (task.parentId !== undefined) this.#children.set(task.parentId, [...(this.#children.get(task.parentId) ?? []), task]);
  }

  get plan(): Plan {
    return this.model.plan;
  }

  isSummary = (task: Task): boolean => this.#children.has(task.id);
  childrenOf = (task: Task): Task[] => this.#children.get(task.id) ?? [];
  projectOf = (task: Task): Project => this.plan.projects.find(({ id }) => id === task.projectId) as Project;

  lineOf(task: Task): WorkingLine {
    const id = task.calendarId ?? this.projectOf(task).calendarId;
    return this.model.lines[this.plan.calendars.findIndex((calendar) => calendar.id === id)];
  }

  /** The task and the summaries it lies in. */
  chain(task: Task): Task[] {
    const parent = task.parentId === undefined ? undefined : this.#tasks.get(task.parentId);
    return parent ? [task, ...this.chain(parent)] : [task];
  }

  leaves = (task: Task): Task[] => (this.isSummary(task) ? this.childrenOf(task).flatMap(this.leaves) : [task]);

  /** A task's start and finish as links read them: a start as one and a finish as one. */
  read(task: Task): Shown | null {
    if (this.isSummary(task)) return this.#sum(task);
    const instants = this.early(task);
    if (!instants) return null;
    const line = this.lineOf(task);
    if (task.sizing === "dates" && instants.start === instants.finish)
      return { start: line.asStart(instants.start), finish: { day: parseDay(task.finish as string), tick: 480 } };
    return { start: line.asStart(instants.start), finish: line.asFinish(instants.finish) };
  }

  /** Dates as shown: those of a pin over no working day are the typed ones. */
  #shown(task: Task): Shown | null {
    const read = this.read(task);
    const instants = this.early(task);
    if (!read || task.sizing !== "dates" || instants?.start !== instants?.finish) return read;
    return { ...read, start: { day: parseDay(task.start as string), tick: 0 } };
  }

  /** First start and last finish of what is below, as these show them: a task without duration shows one date. */
  #sum(summary: Task): Shown | null {
    const parts = this.childrenOf(summary).flatMap((child) => {
      if (this.isSummary(child)) return this.#sum(child) ?? [];
      const { start, finish } = this.early(child) ?? { start: 0, finish: -1 };
      if (start < finish || child.sizing === "dates") return this.#shown(child) ?? [];
      // The choice of that date is another rule.
      return start === finish ? (this.model.schedule.of(this.plan.tasks.indexOf(child)) ?? []) : [];
    });
    if (parts.length === 0) return null;
    const key = ({ day, tick }: Shown["start"]) => day * 1000 + tick;
    return {
      start: parts.map(({ start }) => start).sort((a, b) => key(a) - key(b))[0],
      finish: parts.map(({ finish }) => finish).sort((a, b) => key(b) - key(a))[0],
    };
  }

  early(task: Task): Instants | null {
    let known = this.#early.get(task.id);
    if (known === undefined) {
      known = this.#date(task);
      this.#early.set(task.id, known);
    }
    return known;
  }

  #date(task: Task): Instants | null {
    const line = this.lineOf(task);
    if (task.sizing === undefined) return null;
    if (task.sizing === "dates") {
      const start = line.indexOf(parseDay(task.start as string)) * 480;
      return { start, finish: Math.max(start, line.indexOf(parseDay(task.finish as string) + 1) * 480) };
    }
    // The duration for people is another rule: this test is only about the dates that follow from it.
    if (task.sizing === "effort") {
      const dates = this.model.schedule.of(this.plan.tasks.indexOf(task));
      return dates && { start: dates.startAt, finish: dates.finishAt };
    }
    const duration = ticks(task.durationDays);
    const bounds = [line.place(parseDay(this.projectOf(task).start), 0)];
    if (task.finishNotBefore !== undefined) bounds.push(line.place(parseDay(task.finishNotBefore), 480) - duration);
    for (const own of this.chain(task)) {
      if (own.notBefore !== undefined) bounds.push(line.place(parseDay(own.notBefore), 0));
      for (const link of this.plan.links.filter(({ to }) => to === own.id)) {
        const from = this.read(this.#tasks.get(link.from) as Task);
        if (!from) continue;
        const { day, tick } = link.kind === "FS" || link.kind === "FF" ? from.finish : from.start;
        const at = link.elapsed ? line.place(day + (link.lagDays ?? 0), tick) : line.place(day, tick) + ticks(link.lagDays);
        bounds.push(link.kind === "FF" || link.kind === "SF" ? at - duration : at);
      }
    }
    const start = Math.max(...bounds) + ticks(task.staggerDays);
    return { start, finish: start + duration };
  }

  /** The latest finish of a project's tasks, on a line. */
  projectFinish(task: Task, line: WorkingLine): number {
    const finishes = this.plan.tasks
      .filter((own) => own.projectId === task.projectId && !this.isSummary(own))
      .flatMap((own) => this.model.schedule.of(this.plan.tasks.indexOf(own))?.finish ?? [])
      .sort((a, b) => b.day - a.day || b.tick - a.tick);
    return line.place(finishes[0].day, finishes[0].tick);
  }

  /** The end of a date, or of the working day before it. */
  #endOf = (line: WorkingLine, date: string): number => line.place(parseDay(date), 480);

  late(task: Task): Instants | null {
    let known = this.#late.get(task.id);
    if (known === undefined) {
      known = this.#bound(task, true);
      this.#late.set(task.id, known);
    }
    return known;
  }

  /** Late start and finish; or with the actual dates of the successors, how far a task can go without moving one. */
  #bound(task: Task, isLate: boolean): Instants | null {
    const early = this.early(task);
    if (!early) return null;
    const line = this.lineOf(task);
    const duration = early.finish - early.start;
    const { deadline } = this.projectOf(task);
    const finishes = [this.projectFinish(task, line)];
    if (isLate) {
      if (deadline !== undefined) finishes.push(this.#endOf(line, deadline));
      if (task.notAfter !== undefined) {
        const on = parseDay(task.notAfter);
        finishes.push((line.indexOf(on) - (line.isWorkingDay(on) ? 0 : 1)) * 480 + duration);
      }
      for (const own of this.chain(task)) {
        if (own.deadline !== undefined) finishes.push(this.#endOf(line, own.deadline));
        if (own.finishNotAfter !== undefined) finishes.push(this.#endOf(line, own.finishNotAfter));
      }
    }
    for (const own of this.chain(task))
      for (const link of this.plan.links.filter(({ from }) => from === own.id)) {
        const isOfStart = link.kind === "SS" || link.kind === "SF";
        if (own !== task && isOfStart && !this.#startsWith(task, own)) continue;
        for (const successor of this.leaves(this.#tasks.get(link.to) as Task)) {
          const at = this.#asked(link, successor, line, isLate);
          if (at !== null) finishes.push(isOfStart ? at + duration : at);
        }
      }
    const finish = Math.min(...finishes);
    return { start: finish - duration, finish };
  }

  #startsWith(leaf: Task, summary: Task): boolean {
    const { schedule, plan } = this.model;
    const [own, whole] = [leaf, summary].map((task) => schedule.of(plan.tasks.indexOf(task))?.start);
    return own?.day === whole?.day && own?.tick === whole?.tick;
  }

  #asked(link: Link, successor: Task, line: WorkingLine, isLate: boolean): number | null {
    const actual = this.early(successor);
    if (!actual) return null;
    const end = link.kind === "FS" || link.kind === "SS" ? "start" : "finish";
    const late = isLate ? (this.late(successor) as Instants)[end] : actual[end];
    const x = successor.sizing === "dates" ? Math.min(late, actual[end]) : late;
    const at = x - (link.elapsed ? 0 : ticks(link.lagDays)) - (successor.sizing === "dates" ? 0 : ticks(successor.staggerDays));
    const { day, tick } = this.lineOf(successor).asStart(at);
    const on = link.elapsed ? day - (link.lagDays ?? 0) : day;
    return line.place(on, tick) - ((link.kind === "SS" || link.kind === "SF") && !line.isWorkingDay(on) ? 1 : 0);
  }

  slack(task: Task): { total: number; free: number; lateFinish: number } | null {
    const [early, late, room] = [this.early(task), this.late(task), this.#bound(task, false)];
    if (!early || !late || !room) return null;
    const total = late.start - early.start;
    return { total, free: Math.max(0, Math.min(total, room.start - early.start)), lateFinish: late.finish };
  }
}

/** Compares every leaf. @returns How many of them have dates. */
function compare(plan: Plan): number {
  const model = buildModel(plan);
  const plain = new PlainSchedule(model);
  const slack = model.slack();
  let dated = 0;
  plan.tasks.forEach((task, row) => {
    if (plain.isSummary(task)) return;
    const dates = model.schedule.of(row);
    expect(dates && { start: dates.startAt, finish: dates.finishAt }, task.id).toEqual(plain.early(task));
    const found = slack.of(row);
    expect(found && { total: found.total, free: found.free, lateFinish: found.lateFinish }, task.id).toEqual(plain.slack(task));
    if (dates) dated++;
  });
  return dated;
}

test("the demo plan's tasks start, finish and have the slack that the rules give them", () => {
  expect(compare(fernhollow())).toBeGreaterThan(150);
});

test("so do those of a plan in which nearly all links are plain", () => {
  expect(compare(largePlan({ people: 4, projects: 4, tasks: 120, assignments: 10, links: 200 }, 5))).toBe(120);
});

test.each(Array.from({ length: 40 }, (_, at) => 31 + at))(
  "and so they do where outlines, calendars, lags and constraints are tangled (seed %i)",
  (seed) => {
    expect(compare(tangledPlan(seed))).toBeGreaterThan(25);
  },
);
