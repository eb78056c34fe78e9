// The horizon: capacity against demand by role, skill, team or place, with pipeline projects as they are, or as if they were won,
// lost or moved.

import { parseDay } from "../calendar/day.ts";
import { wholePeriods } from "../calendar/horizon.ts";
import type { Range, ReportRange } from "../calendar/periods.ts";
import { moneyOver } from "../cost/costs.ts";
import { applyChanges, type Change, changeOf } from "../edits/change.ts";
import type { EditTogether } from "../edits/edit.ts";
import { groupsAsked } from "../forecast/demand.ts";
import { forecastOf, type GroupForecast } from "../forecast/forecast.ts";
import { type ForecastBy, forecastGroups } from "../forecast/groups.ts";
import type { Help, HelpTarget, MeasuredHelp } from "../forecast/help.ts";
import { type HelpNames, helpNames } from "../forecast/helpNames.ts";
import { helpEdits, helpMeasured, helpsFor } from "../forecast/helps.ts";
import { othersWith } from "../forecast/lend.ts";
import { movedProject } from "../forecast/movedProject.ts";
import { type Counting, defaultCounting, isPipeline } from "../load/counting.ts";
import { peopleSums } from "../load/periodSums.ts";
import type { Model } from "../model.ts";
import { placedIn } from "../placing/placements.ts";
import type { Money } from "../plan/moneySides.ts";
import { allRows, findRow, rowById } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import { updateModel } from "../update/update.ts";
import { percentHundredths } from "../values/units.ts";

/** A pipeline project looked at in another way than it is written. */
export interface PipelineCase {
  projectId: string;
  /** Null for its probability. */
  outcome: "won" | "lost" | null;
  /** Days by which it is moved. */
  days: number;
}

export interface HorizonQuery extends ReportRange {
  cases: readonly PipelineCase[];
  by: ForecastBy;
  /** Of skills: from which level on a person counts. */
  level: number;
  /** The counting of pipeline projects without a case: by their probability unless stated. */
  pipeline?: Counting["pipeline"];
}

/** The pipeline as it is looked at. */
export type AsIf = Pick<HorizonQuery, "cases" | "pipeline">;

export interface HorizonGroup extends GroupForecast {
  /** An id; of a place its name, "" for people without one. */
  key: string;
  name: string;
  people: number;
  /** People too few at the 80th percentile, in tenths. */
  peopleShort: number[];
}

export interface PipelineRow {
  projectId: string;
  name: string;
  projectRow: number;
  /** Hundredths of a percent, as written. */
  probability: number;
  /** Revenue over the plan, minor units. */
  value: Money<"bill">;
  start: number;
  finish: number;
  /** The start that is recorded for it. */
  begins: number;
  /** Minutes in the periods shown, in full. */
  minutes: number;
}

export interface HorizonAnswer {
  periods: Range[];
  /** Worst first: the most expected shortage, then the fullest. */
  groups: HorizonGroup[];
  pipeline: PipelineRow[];
}

/** The forecast in whole periods around a window. */
export function horizonAnswer(model: Model, query: HorizonQuery): HorizonAnswer {
  const shown = asIf(model, query);
  const asked = wholePeriods(shown.plan, query);
  const grouped = forecastGroups(shown, query.by, query.level);
  const { periods, groups, pipeline } = forecastOf(shown, asked, grouped);
  const one = hoursOfOne(shown, periods);
  const rows = groups.map(
    (own, group): HorizonGroup => ({
      ...own,
      key: grouped.keys[group],
      name: grouped.names[group],
      people: grouped.people[group].length,
      peopleShort: own.p80.map((minutes, p) => (one[p] === 0 ? 0 : Math.round((Math.max(0, minutes - own.capacity[p]) * 10) / one[p]))),
    }),
  );
  const total = (amounts: readonly number[]) => amounts.reduce((sum, own) => sum + own, 0);
  rows.sort((a, b) => total(b.expectedShortage) - total(a.expectedShortage) || fullness(b) - fullness(a));
  return {
    periods,
    groups: rows.filter(({ capacity, p95 }) => total(capacity) + total(p95) > 0),
    pipeline: pipelineRows(model, shown, (row) => pipeline.find(({ project }) => project === row)?.hours ?? []),
  };
}

/** The pipeline projects as they are recorded, with their dates as they are looked at.
 * @param hoursOf Of a project row, in the periods shown. */
function pipelineRows(model: Model, { schedule }: Model, hoursOf: (row: number) => Iterable<number>): PipelineRow[] {
  const { plan } = model;
  const costs = model.costsOfHorizon();
  return plan.projects.flatMap((written, row): PipelineRow[] => {
    if (!isPipeline(written)) return [];
    const own = costs.projects[row];
    return [
      {
        projectId: written.id,
        name: written.name,
        projectRow: row,
        probability: percentHundredths(written.probability ?? 100),
        value: own ? moneyOver(plan, own).revenue : 0,
        start: schedule.projects[row].start.day,
        finish: schedule.projects[row].finish.day,
        begins: parseDay(written.start),
        minutes: [...hoursOf(row)].reduce((sum, one) => sum + one * 60, 0),
      },
    ];
  });
}

const fullness = ({ capacity, expected }: GroupForecast): number =>
  Math.max(...expected.map((minutes, p) => minutes / Math.max(1, capacity[p])));

/** The plan with pipeline projects in other cases than are written. */
function asIf(model: Model, { cases, pipeline = "weighted" }: AsIf): Model {
  let plan = model.plan;
  const all: Change[] = [];
  for (const { projectId, outcome, days } of [...cases, ...casesOfAll(plan, cases, pipeline)]) {
    const row = rowById(plan.projects).get(projectId);
    if (row === undefined) continue;
    const before = plan.projects[row];
    const after = { ...before, ...(outcome && { probability: outcome === "won" ? 100 : 0 }) };
    const changes: Change[] = outcome ? [changeOf("projects", { id: projectId, before, after })] : [];
    plan = applyChanges(plan, changes);
    const moves = movedProject(plan, row, days);
    plan = applyChanges(plan, moves);
    all.push(...changes, ...moves);
  }
  return all.length === 0 ? model : updateModel(model, plan, all);
}

/** Cases of the pipeline projects that have none: all lost, all won, or as they are. */
function casesOfAll({ projects }: Plan, cases: readonly PipelineCase[], pipeline: Counting["pipeline"]): PipelineCase[] {
  if (pipeline === "weighted") return [];
  const stated = new Set(cases.flatMap(({ projectId, outcome }) => (outcome ? [projectId] : [])));
  const outcome = pipeline === "full" ? "won" : "lost";
  return projects.flatMap((project) =>
    isPipeline(project) && !stated.has(project.id) ? [{ projectId: project.id, outcome, days: 0 }] : [],
  );
}

/** The average hours of one person in each period, over all people who can work at all. */
function hoursOfOne(model: Model, periods: readonly Range[]): number[] {
  const everyone = allRows(model.plan.people);
  const { capacity } = peopleSums(model, model.load(defaultCounting), everyone, periods);
  return periods.map((_, p) => {
    let [sum, count] = [0, 0];
    for (let slot = p; slot < capacity.length; slot += periods.length)
      if (capacity[slot] > 0) {
        sum += capacity[slot];
        count++;
      }
    return count === 0 ? 0 : sum / count;
  });
}

export interface HorizonWork {
  name: string;
  range: Range;
  /** Minutes that add up to the figure, the largest first. */
  lines: {
    row: number;
    kind: "firm" | "open" | "pipeline";
    taskName: string;
    projectName: string;
    projectRow: number;
    who: string | null;
    minutes: number;
    probability: number | null;
  }[];
  /** Of the role, by name. */
  people: { personId: string; name: string; capacity: number; load: number }[];
}

/** The work behind a group's figures in one period, and its people. Null where there is no such group. */
export function horizonWork(
  model: Model,
  { key, range, by, level, ...pipeline }: HelpTarget & AsIf & { range: Range },
): HorizonWork | null {
  const shown = asIf(model, pipeline);
  const groups = forecastGroups(shown, by, level);
  const group = groups.keys.indexOf(key);
  if (group < 0) return null;
  const rows = groups.people[group];
  const { capacity, load } = peopleSums(shown, shown.load(defaultCounting), rows, [range]);
  const people = rows.map((row, at) => {
    const { id, name } = shown.plan.people[row];
    return { personId: id, name, capacity: capacity[at], load: load[at] };
  });
  return {
    name: groups.names[group],
    range,
    lines: workLines(shown, range, (row) => groupsAsked(shown, groups, row).includes(group)),
    people,
  };
}

/** The work of some rows over a range, most first; none of cancelled projects. */
function workLines({ plan, work, placements }: Model, range: Range, isAsked: (row: number) => boolean): HorizonWork["lines"] {
  const lines: HorizonWork["lines"] = [];
  for (let row = 0; row < work.rows; row++) {
    const project = plan.projects[work.project[row]];
    if (project.stage === "cancelled" || !isAsked(row)) continue;
    const minutes = placedIn(placements, row, 10_000, range.start, range.stop);
    if (minutes === 0) continue;
    const person = plan.people[work.person[row]];
    lines.push({
      row,
      kind: isPipeline(project) ? "pipeline" : person ? "firm" : "open",
      taskName: plan.tasks[work.task[row]].name,
      projectName: project.name,
      projectRow: work.project[row],
      who: person?.name ?? findRow(plan.teams, plan.assignments[row]?.teamId)?.name ?? null,
      minutes,
      probability: isPipeline(project) ? percentHundredths(project.probability ?? 100) : null,
    });
  }
  return lines.sort((a, b) => b.minutes - a.minutes);
}

/** The options for a group that is short over the periods shown, with the pipeline as it is viewed. */
export function horizonHelps(model: Model, { key, ...query }: HorizonQuery & { key: string }): HorizonHelps {
  const shown = asIf(model, query);
  const asked = wholePeriods(shown.plan, query);
  const target = { key, by: query.by, level: query.level };
  const helps = helpsFor(shown, target, asked).map((own) => ({ ...own, ...helpNames(shown, target, own.help) }));
  return { helps, others: query.by === "role" ? othersFree(shown, key, asked.range) : [] };
}

/** A help as it is stated, measured over the periods shown with the pipeline as it is looked at. */
export function horizonHelp(model: Model, { key, help, ...query }: HorizonQuery & { key: string; help: Help }): MeasuredHelp | null {
  const shown = asIf(model, query);
  return helpMeasured(shown, { key, by: query.by, level: query.level }, wholePeriods(shown.plan, query), help);
}

/** The edit that a help results in, for trying it in a sketch; null where it is empty.
 * @param idStem Begins the ids of what is added. */
export function helpEdit(
  model: Model,
  { help, idStem, words, ...target }: HelpTarget & { help: Help; idStem: string; words: string },
): EditTogether | null {
  const edits = helpEdits(model, target, help, idStem);
  return edits.length === 0 ? null : { kind: "together", words, edits };
}

export interface HorizonHelps {
  /** The most helpful first, with who or what it is about by name. */
  helps: (MeasuredHelp & HelpNames)[];
  /** People of other roles who have this one too, and what they have free over the periods; the most first. */
  others: { personId: string; name: string; free: number }[];
}

function othersFree(model: Model, roleId: string, range: Range): HorizonHelps["others"] {
  const { plan } = model;
  const rows = othersWith(model, roleId);
  const { capacity, load } = peopleSums(model, model.load(defaultCounting), rows, [range]);
  return rows
    .map((row, at) => ({ personId: plan.people[row].id, name: plan.people[row].name, free: Math.max(0, capacity[at] - load[at]) }))
    .sort((a, b) => b.free - a.free);
}
