// Options for a group that is short: a pipeline project started later, people hired for good or for a while, unassigned work
// given to people of other roles, people trained; each measured by the same forecast before and after.
import { formatDay, weekdayOf } from "../calendar/day.ts";
import type { Range, ReportRange } from "../calendar/periods.ts";
import { costOfMinutes } from "../cost/labour.ts";
import { costOfPaidMinutes } from "../cost/paidTime.ts";
import { rateBookOf } from "../cost/rateBook.ts";
import { applyChanges, type Change } from "../edits/change.ts";
import { applyEdit, type SingleEdit } from "../edits/edit.ts";
import { movedDatesEdit } from "../edits/movedDates.ts";
import type { Model } from "../model.ts";
import { firstRoleOf } from "../plan/names.ts";
import { columnOf, rowById } from "../plan/rows.ts";
import type { Person, Plan, RateTable } from "../plan/schema.ts";
import { updateModel } from "../update/update.ts";
import { rateUnits } from "../values/units.ts";
import { type Forecast, forecastOf } from "./forecast.ts";
import { forecastGroups } from "./groups.ts";
import type { Help, HelpTarget, Measured, MeasuredHelp, Shortage } from "./help.ts";
import { lendEdits, lendHelps } from "./lend.ts";
import { movedProject } from "./movedProject.ts";
import { trainEdits, trainHelps } from "./train.ts";

const WEEKS_LATER = [4, 8, 12];
const [MOST_PROJECTS, MOST_HIRED] = [4, 3];

/** The options that lower the expected shortage of a group over a range: the best of every kind first, then the others, the most
 * effective first. Nothing if the group has no shortage or does not exist. */
export function helpsFor(model: Model, target: HelpTarget, asked: ReportRange): MeasuredHelp[] {
  const groups = forecastGroups(model, target.by, target.level);
  const group = groups.keys.indexOf(target.key);
  if (group < 0) return [];
  const now = forecastOf(model, asked, groups);
  const before = measured(now, group);
  if (before.own === 0) return [];
  const short = now.periods.filter((_, p) => now.groups[group].expectedShortage[p] > 0);
  const shortage = { target, group, range: asked.range, short };
  const helps = [
    ...laterHelps(model.plan, now, group),
    ...hireHelps(shortage),
    ...lendHelps(model, shortage),
    ...trainHelps(model, shortage),
  ];
  return bestOfKindsFirst(
    helps
      .map((help): MeasuredHelp => measuredHelp(model, target, asked, help, before))
      // A contractor without a price cannot be taken on.
      .filter(({ help, after, cost }) => after.own < before.own && !(help.kind === "hire" && help.to !== null && cost === null))
      .filter(isNeeded)
      .sort((a, b) => a.after.own - b.after.own || (a.cost ?? 0) - (b.cost ?? 0) || a.after.all - b.after.all),
  );
}

/** One help measured as it is stated, no matter what it changes; null where there is no such group. */
export function helpMeasured(model: Model, target: HelpTarget, asked: ReportRange, help: Help): MeasuredHelp | null {
  const groups = forecastGroups(model, target.by, target.level);
  const group = groups.keys.indexOf(target.key);
  return group < 0 ? null : measuredHelp(model, target, asked, help, measured(forecastOf(model, asked, groups), group));
}

function measuredHelp(model: Model, target: HelpTarget, asked: ReportRange, help: Help, before: Measured): MeasuredHelp {
  const changes = helpChanges(model, target, help);
  const next = updateModel(model, applyChanges(model.plan, changes), changes);
  const groups = forecastGroups(next, target.by, target.level);
  const after = measured(forecastOf(next, asked, groups), groups.keys.indexOf(target.key));
  return { help, before, after, cost: costOfHelp(model, target, help, asked.range) };
}

/** @param helps In their order. */
function bestOfKindsFirst(helps: readonly MeasuredHelp[]): MeasuredHelp[] {
  const isBest = helps.map(({ help }, at) => helps.findIndex((own) => own.help.kind === help.kind) === at);
  return [...helps.filter((_, at) => isBest[at]), ...helps.filter((_, at) => !isBest[at])];
}

/** False of more people where fewer of them for as long are enough. */
function isNeeded({ help }: MeasuredHelp, _: number, all: readonly MeasuredHelp[]): boolean {
  return !all.some(
    ({ help: fewer, after }) =>
      help.kind === "hire" && fewer.kind === "hire" && fewer.to === help.to && fewer.people < help.people && after.own === 0,
  );
}

function measured({ groups }: Forecast, group: number): Measured {
  const sum = (amounts: readonly number[]) => amounts.reduce((all, own) => all + own, 0);
  return { own: sum(groups[group].expectedShortage), all: groups.reduce((all, own) => all + sum(own.expectedShortage), 0) };
}

/** The edits that a help results in on a plan; none where what it is about is gone. @param idStem Begins the ids of what is added. */
export function helpEdits(model: Model, target: HelpTarget, help: Help, idStem: string): SingleEdit[] {
  switch (help.kind) {
    case "later":
      return laterChanges(model.plan, help).flatMap(movedDatesEdit);
    case "hire":
      return hireEdits(model, target, help, idStem);
    case "lend":
      return lendEdits(model, help, idStem);
    case "train":
      return trainEdits(model.plan, target, help, idStem);
  }
}

/** The changes that a help results in; none where what it is about is gone. */
export function helpChanges(model: Model, target: HelpTarget, help: Help): Change[] {
  // A whole project is moved in one go: task by task it would take as long as all the rest.
  if (help.kind === "later") return laterChanges(model.plan, help);
  const edits = helpEdits(model, target, help, "help");
  const outcome = edits.length === 0 ? null : applyEdit(model.plan, { kind: "together", words: "help", edits });
  return outcome?.plan ? [...outcome.changes] : [];
}

function laterChanges(plan: Plan, { projectId, days }: Help & { kind: "later" }): Change[] {
  const project = rowById(plan.projects).get(projectId);
  return project === undefined ? [] : movedProject(plan, project, days);
}

/** Pipeline projects that ask most of the group, each some weeks later. */
function laterHelps(plan: Plan, { pipeline, periods }: Forecast, group: number): Help[] {
  const asking = pipeline.flatMap(({ project, probability, hours }) => {
    let sum = 0;
    for (let p = 0; p < periods.length; p++) sum += hours[group * periods.length + p];
    return sum * probability > 0 ? [{ project, sum: sum * probability }] : [];
  });
  asking.sort((a, b) => b.sum - a.sum);
  return asking
    .slice(0, MOST_PROJECTS)
    .flatMap(({ project }) => WEEKS_LATER.map((weeks): Help => ({ kind: "later", projectId: plan.projects[project].id, days: weeks * 7 })));
}

/** People from the first period that is short on: for good, and for as long as it is short. */
function hireHelps({ short, range }: Shortage): Help[] {
  const [from, last] = [short[0].start, short[short.length - 1].stop - 1];
  const ways = last >= range.stop - 1 ? [null] : [last, null];
  return ways.flatMap((to) =>
    Array.from(
      { length: MOST_HIRED },
      (_, at): Help => ({ kind: "hire", people: at + 1, from, to, rate: null, learningWeeks: to === null ? LEARNING_WEEKS : 0 }),
    ),
  );
}

/** Weeks in which a person who is hired for good learns, for half of their time. */
const LEARNING_WEEKS = 4;

function hireEdits(model: Model, target: HelpTarget, help: Help & { kind: "hire" }, idStem: string): SingleEdit[] {
  const { people, from, to, rate, learningWeeks } = help;
  const { plan } = model;
  const { roles, calendars } = plan;
  const role = roles[hiredRole(model, target)];
  if (!role) return [];
  const half = calendars[0].week.map((hours) => hours / 2);
  const learning = learningWeeks > 0 && {
    patterns: [{ from: formatDay(from), to: formatDay(from + learningWeeks * 7 - 1), week: half }],
  };
  const tableId = rate === null ? undefined : firstCostTable(plan)?.id;
  const taken = new Set(plan.people.map(({ id }) => id));
  return Array.from({ length: people }, (_, at): SingleEdit[] => {
    let id = `${idStem}-${at + 1}`;
    while (taken.has(id)) id += "-";
    const person: Person = {
      id,
      name: `New ${role.name} ${at + 1}`,
      roleIds: [role.id],
      calendarId: calendars[0].id,
      employedFrom: formatDay(from),
      ...learning,
      ...(to !== null && { employedTo: formatDay(to), kind: "contractor" as const }),
      ...(target.by === "skill" && { skills: [{ skillId: target.key, level: target.level }] }),
      ...(target.by === "place" && target.key !== "" && { location: target.key }),
    };
    const joins: SingleEdit[] = target.by === "team" ? [{ kind: "changePeople", ids: [id], set: { teamId: target.key } }] : [];
    const priced: SingleEdit[] =
      tableId === undefined || rate === null ? [] : [{ kind: "changeRates", tableId, added: [{ personId: id, rate }] }];
    return [{ kind: "addPerson", person }, ...joins, ...priced];
  }).flat();
}

/** The role that a person is hired in: the one that is short, or that most of the group have first; −1 for none. */
export function hiredRole(model: Model, { by, level, key }: HelpTarget): number {
  const { plan } = model;
  const roles = rowById(plan.roles);
  if (by === "role") return roles.get(key) ?? -1;
  const groups = forecastGroups(model, by, level);
  const counts = new Map<number, number>();
  for (const person of groups.people[groups.keys.indexOf(key)] ?? []) {
    const role = roles.get(firstRoleOf(plan.people[person]) ?? "");
    if (role !== undefined) counts.set(role, (counts.get(role) ?? 0) + 1);
  }
  return [...counts].sort(([a, most], [b, other]) => other - most || a - b)[0]?.[0] ?? -1;
}

/** The first cost table in the plan's currency, where rates of added people are kept; else the first one. */
function firstCostTable({ rateTables, settings }: Plan): RateTable | undefined {
  const tables = rateTables.filter(({ kind }) => kind === "cost");
  return tables.find(({ currency = settings.currency }) => currency === settings.currency) ?? tables[0];
}

/** Eight hours on each weekday at the rate that is stated, or the role's; null where there is neither. */
function costOfHelp(model: Model, target: HelpTarget, help: Help, { stop }: Range): number | null {
  if (help.kind !== "hire") return 0;
  const { plan } = model;
  const until = (help.to ?? stop - 1) + 1;
  const minutes = columnOf(Array.from({ length: Math.max(0, until - help.from) }), (_, at) => (isWeekday(help.from + at) ? 480 : 0));
  if (help.rate !== null) {
    const table = firstCostTable(plan);
    const entry = { from: Number.NEGATIVE_INFINITY, entry: plainRate(help.rate) };
    return table ? help.people * costOfMinutes([entry], rateBookOf(plan).exchange(table), help.from, minutes) : null;
  }
  const role = plan.roles[hiredRole(model, target)];
  const cost = role ? costOfPaidMinutes(plan, { roleId: role.id }, help.from, minutes) : 0;
  return cost > 0 ? help.people * cost : null;
}

const isWeekday = (day: number): boolean => weekdayOf(day) < 5;

const plainRate = (rate: number) => ({
  rate: rateUnits(rate),
  overtimeRate: rateUnits(rate),
  perUse: 0,
  of: "person" as const,
  since: null,
});
