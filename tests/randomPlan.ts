// Made-up plans in which everything that decides a date occurs: outlines, all sizings, all links, constraints, deadlines.
import { formatDay, parseDay, weekdayOf } from "../core/calendar/day.ts";
import { applyEdit } from "../core/edits/edit.ts";
import { checkPlan } from "../core/plan/check.ts";
import type { Assignment, Link, Plan, Task } from "../core/plan/schema.ts";
import { largePlan } from "../demo/large.ts";
import { randomFrom } from "../demo/random.ts";

type Random = ReturnType<typeof randomFrom>;

/** A sound plan of some 60 tasks in 4 projects, from a seed. */
export function tangledPlan(seed: number): Plan {
  const random = randomFrom(seed);
  const base = largePlan({ people: 12, projects: 4, tasks: 56, assignments: 90, links: 0 }, seed);
  const summaries = base.projects.flatMap(({ id }) =>
    [1, 2].map((at): Task => ({ id: `s${at}-${id}`, projectId: id, name: `Part ${at}` })),
  );
  summaries.forEach((summary, at) => {
    if (at % 2 === 1 && random.below(2) === 0) summary.parentId = summaries[at - 1].id;
    if (random.below(3) === 0) summary.notBefore = aDay(random);
    if (random.below(3) === 0) summary.deadline = aDay(random);
  });
  const leaves = base.tasks.map((task) => leafOf(task, base, random));
  const assignments = base.assignments.map((assignment) => fitting(assignment, leaves));
  const projects = base.projects.map((project) => ({
    ...project,
    ...(random.below(3) === 0 && { deadline: aDay(random) }),
    ...(random.below(4) === 0 && { stage: "pipeline" as const, probability: random.pick([0, 35, 62.5]) }),
  }));
  const plan: Plan = { ...base, settings: oddSettings(base.settings, random), projects, tasks: [...summaries, ...leaves], assignments };
  return withLinks(plan, random);
}

const aDay = ({ below }: Random): string => formatDay(parseDay("2027-01-04") + below(700));
const aFarDay = ({ below }: Random): string => formatDay(parseDay("2027-01-04") - below(6_000));

function oddSettings(settings: Plan["settings"], { below, pick }: Random): Plan["settings"] {
  return {
    ...settings,
    weekStartsOn: 1 + below(7),
    fiscalYearStartMonth: 1 + below(12),
    levelBand: pick([
      { low: 0.85, high: 1 },
      { low: 0.55, high: 1.15 },
      { low: 0.7, high: 1.2 },
    ]),
  };
}

function leafOf(task: Task, { calendars }: Plan, random: Random): Task {
  const { below, pick } = random;
  const { id, projectId, name, roleId } = task;
  const parent = below(4);
  const base: Task = {
    id,
    projectId,
    name,
    roleId,
    ...(parent < 3 && { parentId: `s${1 + (parent % 2)}-${projectId}` }),
    ...(below(5) === 0 && { calendarId: pick(calendars).id }),
    ...(below(5) === 0 && { notBefore: below(6) === 0 ? aFarDay(random) : aDay(random) }),
    ...(below(8) === 0 && { finishNotBefore: aDay(random) }),
    ...(below(8) === 0 && { notAfter: aDay(random) }),
    ...(below(6) === 0 && { deadline: below(6) === 0 ? aFarDay(random) : aDay(random) }),
    ...(below(6) === 0 && { effortHours: below(2_000_000) / 10_000 }),
  };
  const kind = below(10);
  if (kind === 0) return base;
  if (kind < 3) return pinned(base, random);
  const free: Task = { ...base, ...(below(6) === 0 && { staggerDays: below(9) / 2 }) };
  if (kind < 6) return { ...free, sizing: "effort" };
  return { ...free, sizing: "duration", durationDays: kind === 6 ? 0 : below(60) / 4 };
}

/** Pinned by hand: now and then to a weekend alone, or with a stagger that has no effect. */
function pinned(task: Task, random: Random): Task {
  const { below } = random;
  const start = parseDay(aDay(random));
  const saturday = start - weekdayOf(start) + 5;
  const [from, days] = below(3) === 0 ? [saturday, below(2)] : [start, below(20)];
  return {
    ...task,
    sizing: "dates",
    start: formatDay(from),
    finish: formatDay(from + days),
    ...(below(5) === 0 && { staggerDays: below(9) / 2 }),
  };
}

/** The assignment as its task allows it: of effort-sized work people only give hours and a share of the day. */
function fitting({ id, taskId, personId, roleId, ...stated }: Assignment, leaves: readonly Task[]): Assignment {
  const base = { id, taskId, ...(personId === undefined ? { roleId } : { personId }) };
  if (leaves.find((task) => task.id === taskId)?.sizing !== "effort") return { ...base, ...stated };
  return { ...base, hours: stated.hours ?? 30, ...(stated.percent !== undefined && { percent: stated.percent }) };
}

function withLinks(plan: Plan, { below, pick }: Random): Plan {
  let linked = plan;
  for (let at = 0; at < 70; at++) {
    const isElapsed = below(5) === 0;
    const link: Link = {
      id: `l${at}`,
      from: pick(plan.tasks).id,
      to: pick(plan.tasks).id,
      kind: pick(["FS", "FS", "SS", "FF", "SF"] as const),
      lagDays: isElapsed ? (below(8) === 0 ? -below(3_000) : below(9) - 3) : (below(17) - 5) / 2,
      ...(isElapsed && { elapsed: true }),
    };
    linked = applyEdit(linked, { kind: "addLink", link }).plan ?? linked;
  }
  const faults = checkPlan(linked);
  if (faults.length > 0) throw new Error(`the made-up plan is not sound: ${JSON.stringify(faults.slice(0, 3))}`);
  return linked;
}
