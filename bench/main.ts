// npm run bench: the large plan in figures. Times are only compared within one run, as ratios to a floor: one plain
// pass over typed arrays holding as many placed day entries, adding each into a grid.
import { solveProgram } from "../client/solver.ts";
import { boardOf } from "../core/answers/board.ts";
import { openingRows } from "../core/answers/openings.ts";
import { horizonOf, periodSettingsOf } from "../core/calendar/horizon.ts";
import { periodsIn } from "../core/calendar/periods.ts";
import { costsOf } from "../core/cost/costs.ts";
import { applyEdit } from "../core/edits/edit.ts";
import { earliestStarts } from "../core/forecast/earliest.ts";
import { forecastOf } from "../core/forecast/forecast.ts";
import { defaultCounting } from "../core/load/counting.ts";
import { LoadBook } from "../core/load/loadBook.ts";
import { peopleSums } from "../core/load/periodSums.ts";
import { buildModel, type Model } from "../core/model.ts";
import { placeAll } from "../core/placing/place.ts";
import { parsePlan } from "../core/plan/parse.ts";
import { rowById } from "../core/plan/rows.ts";
import type { Plan } from "../core/plan/schema.ts";
import { graphOf } from "../core/plan/taskGraph.ts";
import { SlackTable } from "../core/schedule/backward.ts";
import { schedule } from "../core/schedule/forward.ts";
import { networkOf } from "../core/schedule/network.ts";
import { quickProposal } from "../core/staffing/greedy.ts";
import { problemOf, worthOf } from "../core/staffing/problem.ts";
import { bestProposal } from "../core/staffing/program.ts";
import { updateModel } from "../core/update/update.ts";
import { largePlan } from "../demo/large.ts";
import { benchAnswers } from "./answers.ts";
import { benchEvenOut } from "./evenOut.ts";
import { line, measure, withMemory } from "./measure.ts";
import { benchRecorded } from "./recorded.ts";
import { benchSketches } from "./sketches.ts";

const text = JSON.stringify(largePlan());
const { value: plan, megabytes: planMegabytes } = withMemory(() => parsePlan(text).plan);
if (!plan) throw new Error("the large plan is sound");
const { value: model, megabytes: modelMegabytes } = withMemory(() => buildModel(plan));
const parsed = measure(() => parsePlan(text), 3);
const built = measure(() => buildModel(plan).placements, 3);

const { network } = model.schedule;
const entries = entriesOf(model);
const floor = measure(() => floorPass(entries), 31).milliseconds;
const horizon = horizonOf(plan);
const weeks = periodsIn(horizon, "week", periodSettingsOf(plan));
const everyone = Int32Array.from(plan.people, (_, row) => row);

console.log(
  `${plan.people.length} people, ${plan.tasks.length} tasks, ${plan.assignments.length} assignments, ${entries.minutes.length} placed day entries`,
);
console.log(`memory: plan ${planMegabytes.toFixed(0)} MB, everything that follows from it ${modelMegabytes.toFixed(0)} MB more\n`);
line("floor: one pass over the placed day entries", floor, floor);
line("parse and check the plan", parsed.milliseconds, floor);
line("index, capacity, dates and placements of everything", built.milliseconds, floor);
line("  of it: dates of every task", measure(() => schedule(network, model.work, model.capacity), 3).milliseconds, floor);
line("place every assignment", measure(() => placeAll({ ...model, plan })).milliseconds, floor, "aim: under 12");
line(
  "weekly grid for all people",
  measure(() => peopleSums(model, new LoadBook(model, defaultCounting), everyone, weeks)).milliseconds,
  floor,
  "aim: under 3",
);
line(
  "the Balance board over the whole horizon",
  measure(() => boardOf(model, { range: horizon, grain: "week", open: [] })).milliseconds,
  floor,
);
line(
  "cost of every project by month",
  measure(() => costsOf(model, { range: horizon, grain: "month" })).milliseconds,
  floor,
  "aim: under 6",
);
line("cost of every project by day", measure(() => costsOf(model, { range: horizon, grain: "day" })).milliseconds, floor, "aim: under 8");
model.costsOfHorizon();
const afterEdits = Array.from({ length: 4 }, edited);
line("cost after one edit", measure(() => afterEdits.pop()?.costsOfHorizon(), 3).milliseconds, floor, "aim: under 5 ms");
line(
  "forecast of every role by week",
  measure(() => forecastOf(model, { range: horizon, grain: "week" }), 3).milliseconds,
  floor,
  "aim: under 40",
);
line("when a pipeline project could start, all weeks", measure(startsOfOne, 3).milliseconds, floor, "aim: under 1 s");
line("one reassignment, 60 people × 26 weeks ready", measure(reassignAndShow, 31).milliseconds, floor, "aim: under 16 ms");

const linkEnds = endsOf(plan);
const linkFloor = measure(() => linkPass(linkEnds), 31).milliseconds;
console.log(`\n${plan.links.length} links; floor: one plain pass over them, ${linkFloor.toFixed(3)} ms`);
line("lay out the network", measure(() => networkOf(plan, model.lines, graphOf(plan), model.progress), 3).milliseconds, linkFloor);
line("schedule forward", measure(() => schedule(network, model.work, model.capacity), 31).milliseconds, linkFloor);
line("schedule backward", measure(() => new SlackTable(model.schedule), 31).milliseconds, linkFloor, "aim for both together: under 15");
line("one task made longer: applied, dated, placed", measure(lengthen, 9).milliseconds, linkFloor);
line("  the same, everything rebuilt", measure(() => buildModel(lengthen().plan).placements, 3).milliseconds, linkFloor);

await proposalGaps();

/** The gap between a quick proposal for all openings and the best one, on seeded plans. */
async function proposalGaps(): Promise<void> {
  console.log("\nproposal for all openings: hours covered one by one, and at best");
  for (const seed of [1, 2, 3, 4, 5]) {
    const made = buildModel(largePlan({ people: 16, projects: 8, tasks: 120, assignments: 1_000, links: 60 }, seed));
    const problem = problemOf(
      made,
      openingRows(made, defaultCounting).map(({ id }) => id),
    );
    const [quick, best] = [quickProposal(problem), (await bestProposal(problem, solveProgram, { secondsLeft: () => 20 }))?.transfers ?? []];
    const hours = (transfers: typeof quick) => Math.round(worthOf(problem, transfers).covered / 60);
    const gap = Math.max(0, 1 - worthOf(problem, quick).covered / Math.max(1, worthOf(problem, best).covered));
    console.log(
      `  seed ${seed}: ${problem.openings.length} openings, ${hours(quick)} h and ${hours(best)} h, gap ${(gap * 100).toFixed(1)}%`,
    );
  }
}

/** Every week in which the first pipeline project could start. */
function startsOfOne(): unknown {
  const row = model.plan.projects.findIndex(({ stage }) => stage === "pipeline");
  return [...earliestStarts(model, Math.max(0, row))];
}

/** One edit of a task that others depend on, applied, dated and placed: the whole chain but no screen. */
function lengthen(): Model {
  if (!plan) throw new Error("the large plan is sound");
  const outcome = applyEdit(plan, { kind: "changeTask", id: "t401", set: { durationDays: 41 } });
  if (!outcome.plan) throw new Error("the edit fits the plan");
  return updateModel(model, outcome.plan, outcome.changes);
}

/** Every placed day as two plain columns: where in the grid, and how many minutes. */
function entriesOf({ placements, work, capacity, plan: { people } }: Model) {
  const { span } = capacity;
  const days = span.stop - span.start;
  const slots: number[] = [];
  const minutes: number[] = [];
  for (let row = 0; row < work.rows; row++) {
    for (let i = 0; i < placements.length[row]; i++) {
      const placed = placements.buffer.minutes[placements.offset[row] + i];
      const day = placements.start[row] + i;
      if (placed === 0 || day < span.start || day >= span.stop) continue;
      slots.push(Math.max(0, work.person[row]) * days + day - span.start);
      minutes.push(placed);
    }
  }
  return { slots: Int32Array.from(slots), minutes: Int32Array.from(minutes), grid: new Int32Array(people.length * days) };
}

function floorPass({ slots, minutes, grid }: ReturnType<typeof entriesOf>): number {
  for (let at = 0; at < slots.length; at++) grid[slots[at]] += minutes[at];
  return grid[0];
}

/** The least that a pass over the links has to do: read a predecessor's finish, raise the successor's start. */
function linkPass({ from, to, at }: ReturnType<typeof endsOf>): number {
  for (let link = 0; link < from.length; link++) if (at[from[link]] + 480 > at[to[link]]) at[to[link]] = at[from[link]] + 480;
  return at[0];
}

/** The ends of every link as task rows, with an instant for each task. */
function endsOf({ links, tasks }: Plan) {
  const rows = rowById(tasks);
  return {
    from: Int32Array.from(links, ({ from }) => rows.get(from) as number),
    to: Int32Array.from(links, ({ to }) => rows.get(to) as number),
    at: new Int32Array(tasks.length),
  };
}

/** The work of a drop on the board: apply the edit, place its work again, calculate the figures on screen. */
function reassignAndShow(): Int32Array {
  const next = edited();
  const { plan } = next;
  const range = { start: horizon.start + 28, stop: horizon.start + 28 + 26 * 7 };
  const periods = periodsIn(range, "week", periodSettingsOf(plan));
  return peopleSums(next, next.load(defaultCounting), everyone.subarray(40, 100), periods).load;
}

/** The large plan with one piece of work someone else's, and nothing asked of it yet. */
function edited(): Model {
  if (!plan) throw new Error("the large plan is sound");
  const outcome = applyEdit(plan, { kind: "reassign", id: "a1234", personId: "p77" });
  if (!outcome.plan) throw new Error("the edit fits the plan");
  return updateModel(model, outcome.plan, outcome.changes);
}

benchAnswers(edited, floor);
benchRecorded(model, floor);
await benchEvenOut();
benchSketches();
