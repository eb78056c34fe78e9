// What would help a group that is short: a pipeline project begun later, people hired or taken on for a while, open work given
// to people of other roles, people trained; each measured by the same forecast before and after.
import { formatDay } from "../calendar/day.ts";
import { periodSettingsOf } from "../calendar/horizon.ts";
import { periodsIn, type Range, type ReportRange } from "../calendar/periods.ts";
import { costOfMinutes } from "../cost/labour.ts";
import { rateBookOf } from "../cost/rateBook.ts";
import { applyChanges, type Change } from "../edits/change.ts";
import { applyEdit, type SingleEdit } from "../edits/edit.ts";
import { movedDatesEdit } from "../edits/movedDates.ts";
import type { Model } from "../model.ts";
import { firstRoleOf } from "../plan/names.ts";
import { columnOf, rowById } from "../plan/rows.ts";
import type { Person, Plan } from "../plan/schema.ts";
import { updateModel } from "../update.ts";
import { type Forecast, forecastOf } from "./forecast.ts";
import { forecastGroups } from "./groups.ts";
import type { Help, HelpTarget, Measured, MeasuredHelp, Shortage } from "./help.ts";
import { lendEdits, lendHelps } from "./lend.ts";
import { movedProject } from "./movedProject.ts";
import { trainEdits, trainHelps } from "./train.ts";

const WEEKS_LATER = [4, 8, 12];
const [MOST_PROJECTS, MOST_HIRED] = [4, 3];

/** What lowers the expected shortage of a group over a range, the most first; nothing where it has none, or is not there. */
export function helpsFor(model: Model, target: HelpTarget, asked: ReportRange): MeasuredHelp[] {
  const groups = forecastGroups(model, target.by, target.level);
  const group = groups.keys.indexOf(target.key);
  if (group < 0) return [];
  const now = forecastOf(model, asked, groups);
  const before = measured(now, group);
  if (before.own === 0) return [];
  const short = now.periods.filter((_, p) => now.groups[group].expectedShortage[p] > 0);
  const shortage = { target, group, range: asked.range, short };
  return [...laterHelps(model.plan, now, group), ...hireHelps(shortage), ...lendHelps(model, shortage), ...trainHelps(model, shortage)]
    .flatMap((help): MeasuredHelp[] => {
      const changes = helpChanges(model, target, help);
      const next = updateModel(model, applyChanges(model.plan, changes), changes);
      const after = measured(forecastOf(next, asked, forecastGroups(next, target.by, target.level)), group);
      return after.own < before.own ? [{ help, before, after, cost: costOfHelp(model, target, help, asked.range) }] : [];
    })
    .filter(isNeeded)
    .sort((a, b) => a.after.own - b.after.own || a.cost - b.cost || a.after.all - b.after.all);
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

/** The edits that a help comes to on a plan; none where what it is about is gone. @param idStem Begins the ids of what is added. */
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

/** The changes that a help comes to; none where what it is about is gone. */
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
  return ways.flatMap((to) => Array.from({ length: MOST_HIRED }, (_, at): Help => ({ kind: "hire", people: at + 1, from, to })));
}

/** Days in which somebody who is hired for good learns, for half of their time. */
const LEARNING_DAYS = 28;

function hireEdits(model: Model, target: HelpTarget, { people, from, to }: Help & { kind: "hire" }, idStem: string): SingleEdit[] {
  const { plan } = model;
  const { roles, calendars } = plan;
  const role = roles[hiredRole(model, target)];
  if (!role) return [];
  const half = calendars[0].week.map((hours) => hours / 2);
  const learning = { patterns: [{ from: formatDay(from), to: formatDay(from + LEARNING_DAYS - 1), week: half }] };
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
      ...(to === null ? learning : { employedTo: formatDay(to), kind: "contractor" as const }),
      ...(target.by === "skill" && { skills: [{ skillId: target.key, level: target.level }] }),
      ...(target.by === "place" && target.key !== "" && { location: target.key }),
    };
    const joins: SingleEdit[] = target.by === "team" ? [{ kind: "changePeople", ids: [id], set: { teamId: target.key } }] : [];
    return [{ kind: "addPerson", person }, ...joins];
  }).flat();
}

/** The role that somebody is hired in: the one that is short, or that most of the group have first; −1 for none. */
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

function costOfHelp(model: Model, target: HelpTarget, help: Help, { stop }: Range): number {
  if (help.kind !== "hire") return 0;
  const role = hiredRole(model, target);
  return role < 0 ? 0 : help.people * costOfOne(model, role, { start: help.from, stop: (help.to ?? stop - 1) + 1 });
}

/** Eight hours on each weekday at the role's rate in the first cost table that has one. */
function costOfOne({ plan }: Model, role: number, { start, stop }: Range): number {
  const book = rateBookOf(plan);
  const days = periodsIn({ start, stop }, "day", periodSettingsOf(plan));
  const minutes = columnOf(days, ({ start: day }) => ((day + 3) % 7 < 5 ? 480 : 0));
  for (const table of plan.rateTables) {
    if (table.kind !== "cost") continue;
    const cost = costOfMinutes(book.labour(table, undefined, plan.roles[role].id), book.exchange(table), start, minutes);
    if (cost > 0) return cost;
  }
  return 0;
}
