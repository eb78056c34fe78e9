// The load report, against sums taken one minute-bearing day at a time.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { largePlan } from "../../demo/large.ts";
import { plainCapacity } from "../../tests/plainCapacity.ts";
import { irregular } from "../../tests/randomPeople.ts";
import { formatDay, parseDay } from "../calendar/day.ts";
import { type Grain, grains } from "../calendar/periods.ts";
import type { Counting } from "../load/counting.ts";
import { buildModel, type Model } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { loadReport } from "./load.ts";

const first = "2027-01-13";
const last = "2027-06-22";
const range = { start: parseDay(first), stop: parseDay(last) + 1 };

const countings: Counting[] = [
  { pencilled: true, pipeline: "none" },
  { pencilled: false, pipeline: "full" },
  { pencilled: true, pipeline: "weighted" },
];

/** Counted minutes of an assignment or implicit opening by date. */
function countedDays({ plan, placements, work }: Model, row: number, { pencilled, pipeline }: Counting): [string, number][] {
  const project = plan.projects[work.project[row]];
  const isPencilled = row < work.assignments && plan.assignments[row].firmness === "pencilled";
  const isLikely = project.stage === "idea" || project.stage === "pipeline";
  if (project.stage === "cancelled" || (isPencilled && !pencilled) || (isLikely && pipeline === "none")) return [];
  const probability = isLikely && pipeline === "weighted" ? (project.probability ?? 100) : 100;
  return Array.from({ length: placements.length[row] }, (_, at): [string, number] => [
    formatDay(placements.start[row] + at),
    Math.floor((placements.buffer.minutes[placements.offset[row] + at] * probability) / 100 + 0.5),
  ]).filter(([date, minutes]) => minutes > 0 && date >= first && date <= last);
}

/** Minutes by date of the rows that are wanted. */
function loadOf(model: Model, counting: Counting, isWanted: (row: number) => boolean): Map<string, number> {
  const load = new Map<string, number>();
  for (let row = 0; row < model.work.rows; row++) {
    if (model.work.isMaterial[row] === 1 || !isWanted(row)) continue;
    for (const [date, minutes] of countedDays(model, row, counting)) load.set(date, (load.get(date) ?? 0) + minutes);
  }
  return load;
}

function capacityOf(plan: Plan, ids: ReadonlySet<string>): Map<string, number> {
  const capacity = new Map<string, number>();
  for (const person of plan.people.filter(({ id }) => ids.has(id)))
    for (let day = range.start; day < range.stop; day++) {
      const date = formatDay(day);
      const { regular, overtime } = plainCapacity(plan, person, date);
      capacity.set(date, (capacity.get(date) ?? 0) + regular + overtime);
    }
  return capacity;
}

interface Period {
  start: string;
  end: string;
}

function sums(periods: readonly Period[], capacity: Map<string, number>, load: Map<string, number>) {
  const within = (amounts: Map<string, number>, { start, end }: Period) =>
    [...amounts].filter(([date]) => date >= start && date <= end).reduce((sum, [, minutes]) => sum + minutes, 0);
  const past = new Map([...load].map(([date, minutes]) => [date, Math.max(0, minutes - (capacity.get(date) ?? 0))]));
  const [own, planned] = [periods.map((period) => within(capacity, period)), periods.map((period) => within(load, period))];
  return {
    capacity: own,
    load: planned,
    over: own.map((minutes, p) => Math.max(0, planned[p] - minutes)),
    room: own.map((minutes, p) => Math.max(0, minutes - planned[p])),
    peakOver: periods.map((period) => within(past, period)),
  };
}

/** A team's people and teams: its own, and those of all below it. */
function reachOf(plan: Plan, teamId: string): { teams: Set<string>; people: Set<string> } {
  const team = plan.teams.find(({ id }) => id === teamId);
  const reach = { teams: new Set([teamId]), people: new Set(team?.memberIds) };
  for (const { id } of plan.teams.filter(({ parentId }) => parentId === teamId)) {
    const below = reachOf(plan, id);
    for (const own of below.teams) reach.teams.add(own);
    for (const own of below.people) reach.people.add(own);
  }
  return reach;
}

function compare(plan: Plan, grain: Grain, counting: Counting): void {
  const model = buildModel(plan);
  const { work } = model;
  const report = loadReport(model, { range, grain }, counting);
  const { periods } = report;
  const personOf = (row: number) => plan.people[work.person[row]]?.id ?? "";
  for (const { id, state: _, ...found } of report.people)
    expect(found, id).toEqual(
      sums(
        periods,
        capacityOf(plan, new Set([id])),
        loadOf(model, counting, (row) => personOf(row) === id),
      ),
    );
  for (const { id, state: _, ...found } of report.teams) {
    const { teams, people } = reachOf(plan, id);
    const load = loadOf(model, counting, (row) => people.has(personOf(row)) || teams.has(plan.teams[work.team[row]]?.id ?? ""));
    expect(found, id).toEqual(sums(periods, capacityOf(plan, people), load));
  }
  for (const { id, ...found } of report.roles) {
    const people = new Set(plan.people.filter(({ roleIds }) => roleIds[0] === id).map((person) => person.id));
    const { capacity, load } = sums(
      periods,
      capacityOf(plan, people),
      loadOf(model, counting, (row) => people.has(personOf(row))),
    );
    const isOpening = (row: number) => plan.roles[work.role[row]]?.id === id && work.person[row] < 0 && work.team[row] < 0;
    const openings = sums(periods, new Map(), loadOf(model, counting, isOpening)).load;
    expect(found, id).toEqual({ capacity, load, openings });
  }
}

test.each(grains)("people, teams and roles of the demo plan add up by the %s, pencilled and pipeline as usual", (grain) => {
  compare(fernhollow(), grain, countings[0]);
});

test.each(countings.slice(1))("and so they do with pencilled $pencilled and pipeline $pipeline", (counting) => {
  compare(fernhollow(), "week", counting);
});

test("and so they do where people are anything but regular", () => {
  const plan = irregular(largePlan({ people: 9, projects: 6, tasks: 60, assignments: 120, links: 30 }, 3), 3);
  for (const counting of countings) compare(plan, "month", counting);
});

test("assigned and utilization divide what is on people by what there is to do, and by what they can do", () => {
  const plan = fernhollow();
  const model = buildModel(plan);
  const { totals } = loadReport(model, { range, grain: "week" }, countings[0]);
  const total = (load: Map<string, number>) => [...load.values()].reduce((sum, minutes) => sum + minutes, 0);
  const onPeople = total(loadOf(model, countings[0], (row) => model.work.person[row] >= 0));
  const all = total(loadOf(model, countings[0], () => true));
  const capacity = total(capacityOf(plan, new Set(plan.people.map(({ id }) => id))));
  let unplaced = 0;
  for (const [row, parts] of model.placements.unplacedAt) {
    const stage = plan.projects[model.work.project[row]].stage;
    if (stage === "idea" || stage === "pipeline" || stage === "cancelled") continue;
    for (const { day, minutes } of parts) if (day >= range.start && day < range.stop) unplaced += minutes;
  }
  expect(unplaced).toBeGreaterThan(0);
  expect(totals.assignedPercent).toBe(Math.floor((onPeople * 10_000) / (all + unplaced) + 0.5));
  expect(totals.utilizationPercent).toBe(Math.floor((onPeople * 10_000) / capacity + 0.5));
});
