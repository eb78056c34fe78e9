// Evening out in figures: its gap to the best solution, and the overload that it removes from a large plan in a given time.
import { solveProgram } from "../client/solver.ts";
import { EvenOutSearch } from "../core/balancing/evenOut.ts";
import type { EvenOutKind } from "../core/balancing/kinds.ts";
import { Loads } from "../core/balancing/loads.ts";
import { Measured } from "../core/balancing/measures.ts";
import { Moves } from "../core/balancing/moves.ts";
import { solvedTransfers, transferProgram } from "../core/balancing/transferProgram.ts";
import { TrialPlacer } from "../core/balancing/trialPlacer.ts";
import { horizonOf } from "../core/calendar/horizon.ts";
import { applyEdit } from "../core/edits/edit.ts";
import { buildModel, type Model } from "../core/model.ts";
import type { Plan } from "../core/plan/schema.ts";
import { largePlan } from "../demo/large.ts";

/** A small plan of one role in which all work states hours and can only be given: small enough to be solved exactly. */
function giveCase(seed: number): Plan {
  const plan = largePlan({ people: 5, projects: 2, tasks: 12, assignments: 14, links: 0 }, seed);
  const [role] = plan.roles;
  const start = plan.settings.planStart;
  return {
    ...plan,
    settings: { ...plan.settings, planEnd: new Date(Date.parse(start) + 49 * 86_400_000).toISOString().slice(0, 10) },
    people: plan.people.map((person) => ({ ...person, roleIds: [role.id], overtime: [], timeOff: [] })),
    projects: plan.projects.map((project) => ({ ...project, start, stage: "active" as const })),
    tasks: plan.tasks.map(({ id, name, projectId }, at) => ({
      id,
      name,
      projectId,
      roleId: role.id,
      sizing: "duration" as const,
      durationDays: 3 + ((seed * 7 + at * 5) % 14),
      staggerDays: (seed * 3 + at * 11) % 25,
    })),
    assignments: plan.assignments.map(({ id, taskId }, at) => ({
      id,
      taskId,
      personId: plan.people[(seed + at * at) % plan.people.length].id,
      hours: 10 + ((seed * 5 + at * 13) % 50),
    })),
  };
}

/** Working days by which a piece may be delayed where the exact model is asked: it grows with each. */
const MOST_DELAY = 3;
/** Pieces of work of such a case. */
const MOST_PIECES = 7;

function searchOf(model: Model, kinds: readonly EvenOutKind[], isOver: () => boolean, mostDelayDays = 60): EvenOutSearch {
  return new EvenOutSearch(model, {
    window: horizonOf(model.plan),
    kinds,
    today: null,
    idStem: "bench",
    mostDelayDays,
    mostSteps: Number.POSITIVE_INFINITY,
    isOver,
  });
}

/** The mean and the worst share by which the search stays above the least that is possible. */
async function gaps(withProgram: boolean): Promise<{ mean: number; worst: number; cases: number }> {
  const found: number[] = [];
  for (let seed = 1; seed <= 20; seed++) {
    const model = buildModel(giveCase(seed));
    const search = searchOf(model, ["give"], () => false);
    const program = search.transferProgram(1_000);
    const solved = program && (await solvedTransfers(program, solveProgram, 4));
    if (!solved?.isOptimal) continue;
    const best = peakAfter(model, solved.transfers);
    if (withProgram) search.beginWith(solved.transfers);
    for (const _ of search.run());
    const { before, after } = search.result();
    // The gap is of what could be removed at all.
    if (before.peakOver > best) found.push((after.peakOver - best) / before.peakOver);
  }
  const sum = found.reduce((all, gap) => all + gap, 0);
  return { mean: sum / found.length, worst: Math.max(...found), cases: found.length };
}

/** The same where each piece is given or delayed: one assignment a task, the last one holding the project's finish. */
async function gapsWithDelays(): Promise<{ mean: number; worst: number; cases: number }> {
  const found: number[] = [];
  for (let seed = 1; seed <= 12; seed++) {
    const model = buildModel(alone(giveCase(seed)));
    const window = horizonOf(model.plan);
    const loads = new Loads(model, window);
    const options = { kinds: new Set<EvenOutKind>(["give", "delay"]), today: null, mostDelayDays: MOST_DELAY, isPencilledOnly: false };
    const moves = new Moves(model, new TrialPlacer(model), loads, options);
    const days = Array.from({ length: window.stop - window.start }, (_, i) => window.start + i);
    const choices = model.plan.assignments.flatMap((_, row) => [...moves.of(row, days)]);
    const program = transferProgram({
      transfers: choices.map((move, at) => ({ move, transfer: { assignmentId: String(at), personId: "" } })),
      loadOn: (person, day) => loads.loadOn(person, day),
      capacityOn: (person, day) => loads.capacityOn(person, day),
      isMeant: () => true,
    });
    const solved = program && (await solvedTransfers(program, solveProgram, 4));
    if (!solved?.isOptimal) continue;
    for (const { assignmentId } of solved.transfers) loads.apply(choices[Number(assignmentId)].parts);
    const best = model.plan.people.reduce((sum, _, person) => sum + loads.overOf(person), 0);
    const search = searchOf(model, ["give", "delay"], () => false, MOST_DELAY);
    for (const _ of search.run());
    const { before, after } = search.result();
    if (before.peakOver > best) found.push((after.peakOver - best) / before.peakOver);
  }
  return { mean: found.reduce((all, gap) => all + gap, 0) / found.length, worst: Math.max(...found), cases: found.length };
}

/** Each task with one assignment, and a long one with nobody on it that holds the finish. */
function alone(plan: Plan): Plan {
  const used = new Set<string>();
  const assignments = plan.assignments.filter(({ taskId }) => !used.has(taskId) && used.add(taskId)).slice(0, MOST_PIECES);
  const [first] = plan.tasks;
  const holding = { id: "holding", name: "Holding", projectId: first.projectId, sizing: "duration" as const, durationDays: 33 };
  const tasks = plan.tasks.map((task) => ({ ...task, projectId: first.projectId, staggerDays: undefined }));
  return { ...plan, tasks: [...tasks, holding], assignments };
}

function peakAfter(model: Model, transfers: readonly { assignmentId: string; personId: string }[]): number {
  if (transfers.length === 0) return new Measured(model).totals.peakOver;
  const edits = transfers.map(({ assignmentId: id, personId }) => ({ kind: "reassign" as const, id, personId }));
  const { plan } = applyEdit(model.plan, { kind: "together", words: "all transfers", edits });
  return new Measured(buildModel(plan as Plan)).totals.peakOver;
}

/** The large plan with its load raised until a fifth of all weeks of people are over. */
function raised(): Model {
  for (let factor = 2; ; factor += 0.5) {
    const plan = largePlan();
    const more: Plan = {
      ...plan,
      assignments: plan.assignments.map((row) => (row.hours === undefined ? row : { ...row, hours: Math.round(row.hours * factor) })),
    };
    const model = buildModel(more);
    const { overWeeks } = new Measured(model).totals;
    const weeks = new Measured(model).weeks.length * plan.people.length;
    if (overWeeks >= weeks / 5 || factor > 8) {
      console.log(`load of hours times ${factor}: ${((100 * overWeeks) / weeks).toFixed(0)} % of all weeks of people are over`);
      return model;
    }
  }
}

/** Prints all figures of evening out. */
export async function benchEvenOut(): Promise<void> {
  const percent = (part: number) => `${(100 * part).toFixed(1)} %`;
  for (const withProgram of [false, true]) {
    const { mean, worst, cases } = await gaps(withProgram);
    const how = withProgram ? "begun by the integer program" : "search alone";
    console.log(
      `evening out, giving alone, ${how}: ${cases} cases, gap to the optimum ${percent(mean)} on average, ${percent(worst)} at worst  aim: mean 2 %`,
    );
  }
  const delays = await gapsWithDelays();
  console.log(
    `evening out, giving and delaying: ${delays.cases} cases, gap to the exact model ${percent(delays.mean)} on average, ${percent(delays.worst)} at worst`,
  );
  const model = raised();
  for (const seconds of [10, 60]) {
    const started = performance.now();
    const search = searchOf(model, ["give", "handOver", "share", "delay"], () => performance.now() - started > seconds * 1000);
    for (const _ of search.run());
    const { before, after, steps, lines } = search.result();
    const spent = (performance.now() - started) / 1000;
    console.log(
      `the large plan after ${seconds} s: ${percent(1 - after.peakOver / before.peakOver)} of what is too much taken off in ${lines.length} lines, ${Math.round(steps / spent)} moves tried a second  aim: 5,000`,
    );
  }
}
