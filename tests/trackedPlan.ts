// Made-up plans whose past is recorded: entries of every state, on days off and after the status date, by people without an
// assignment and by members of teams, tasks finished early and out of sequence, stated remaining work, bookings and credits.
import { formatDay, parseDay } from "../core/calendar/day.ts";
import { checkPlan } from "../core/plan/check.ts";
import type { ActualCost, Assignment, Expense, Plan, Project, Task, TimeEntry } from "../core/plan/schema.ts";
import { randomFrom } from "../demo/random.ts";
import { tangledPlan } from "./randomPlan.ts";

type Random = ReturnType<typeof randomFrom>;

const FIRST = parseDay("2027-01-04");

/** A sound plan with recorded hours, from a seed. */
export function trackedPlan(seed: number): Plan {
  const random = randomFrom(seed + 40_000);
  const { below, pick } = random;
  const base = tangledPlan(seed);
  const today = FIRST + 20 + below(300);
  const summaries = new Set(base.tasks.flatMap(({ parentId }) => parentId ?? []));
  const teams: Plan["teams"] = [
    { id: "bench", name: "Bench", handle: "bench", memberIds: base.people.slice(0, 3).map(({ id }) => id) },
    { id: "shop", name: "Shop", handle: "shop", parentId: "bench", memberIds: base.people.slice(3, 6).map(({ id }) => id) },
  ];
  const expenses = Array.from({ length: 8 }, (_, at) => anExpense(base, at, random));
  const tasks = base.tasks.map((task) => (summaries.has(task.id) ? task : begunTask(task, today, random)));
  const plan: Plan = {
    ...base,
    settings: { ...base.settings, today: formatDay(today), ...(below(2) === 0 && { taxInCost: true }) },
    people: base.people.map((person, at) =>
      at % 3 === 0 ? { ...person, overtime: [{ id: `o${at}`, from: "2027-01-04", to: "2027-12-31", hoursPerDay: 2 }] } : person,
    ),
    teams,
    projects: base.projects.map((project) => trackedProject(project, random)),
    tasks,
    assignments: base.assignments.map((assignment) => givenAssignment(assignment, tasks, today, random)),
    expenses,
    timeEntries: [],
    actualCosts: Array.from({ length: 12 }, (_, at) => aBooking(base, expenses, at, random)),
  };
  const leaves = tasks.filter(({ id }) => !summaries.has(id));
  plan.timeEntries = entriesOf(plan, leaves, pick, below);
  const faults = checkPlan(plan);
  if (faults.length > 0) throw new Error(`the made-up plan is not sound: ${JSON.stringify(faults.slice(0, 3))}`);
  return plan;
}

function trackedProject(project: Project, { below, pick }: Random): Project {
  if (project.stage === "pipeline" || below(6) === 0) return project;
  return { ...project, stage: pick(["active", "active", "active", "approved", "done"] as const), tracking: "recorded" };
}

function begunTask(task: Task, today: number, { below }: Random): Task {
  const kind = below(8);
  const start = today - below(60);
  const actualStart = formatDay(start);
  const percent = below(3) === 0 ? { percentComplete: below(101) } : {};
  if (kind === 0) return { ...task, state: "done", actualStart, actualFinish: formatDay(Math.min(today, start + below(20))) };
  if (kind === 1) return { ...task, state: "done", ...percent };
  if (kind === 2) return { ...task, state: "done", actualFinish: actualStart };
  if (kind === 3) return { ...task, state: "underWay", actualStart, ...percent };
  return kind === 4 ? { ...task, ...percent } : task;
}

function givenAssignment(assignment: Assignment, tasks: readonly Task[], today: number, { below, pick }: Random): Assignment {
  if (assignment.materialId !== undefined) return assignment;
  const remaining = below(6) === 0 ? { remaining: { hours: below(300) / 10, asOf: formatDay(today - below(20)) } } : {};
  if (assignment.personId === undefined || below(5) > 0) return { ...assignment, ...remaining };
  const { personId: _, ...rest } = assignment;
  const roleId = tasks.find(({ id }) => id === assignment.taskId)?.roleId;
  return { ...rest, ...remaining, teamId: pick(["bench", "shop"]), ...(roleId !== undefined && { roleId }) };
}

function entriesOf(plan: Plan, leaves: readonly Task[], pick: Random["pick"], below: Random["below"]): TimeEntry[] {
  const today = parseDay(plan.settings.today ?? "");
  const recorded = leaves.filter(() => below(2) === 0);
  const entries: TimeEntry[] = [];
  const minutes = new Map<string, number>();
  for (let at = 0; at < 260; at++) {
    const task = pick(recorded);
    const own = plan.assignments.filter(({ taskId, personId }) => taskId === task.id && personId !== undefined);
    const personId = own.length > 0 && below(3) > 0 ? (pick(own).personId as string) : pick(plan.people).id;
    const date = formatDay(today + 6 - below(50));
    const hours = 0.5 + below(12) / 4;
    const key = `${personId} ${date}`;
    if ((minutes.get(key) ?? 0) + hours > 24) continue;
    minutes.set(key, (minutes.get(key) ?? 0) + hours);
    const state = pick(["approved", "approved", "approved", "submitted", "draft", "returned"] as const);
    const what = below(12) === 0 ? { activity: "Meeting" } : { taskId: task.id };
    entries.push({ id: `e${at}`, personId, date, hours, ...what, state });
  }
  return entries;
}

function anExpense({ projects }: Plan, at: number, { below, pick }: Random): Expense {
  const start = FIRST + below(300);
  const days = below(2) === 0 ? { date: formatDay(start) } : { from: formatDay(start), to: formatDay(start + below(40)) };
  return {
    id: `x${at}`,
    projectId: pick(projects).id,
    name: `Expense ${at}`,
    amount: below(5) === 0 ? -below(500) : below(90_000) / 10,
    ...(below(2) === 0 && { taxPercent: 19 }),
    ...days,
    costType: "other",
    ...(below(3) > 0 && { state: pick(["planned", "committed", "paid"] as const) }),
  };
}

function aBooking({ projects }: Plan, expenses: readonly Expense[], at: number, { below, pick }: Random): ActualCost {
  const expense = below(3) > 0 ? pick(expenses) : undefined;
  return {
    id: `b${at}`,
    projectId: expense?.projectId ?? pick(projects).id,
    ...(expense && { expenseId: expense.id }),
    date: formatDay(FIRST + below(330)),
    amount: below(5) === 0 ? -below(300) : below(50_000) / 10,
    costType: "other",
  };
}
