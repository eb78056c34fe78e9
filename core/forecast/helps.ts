// What would help a role that is short: a pipeline project begun later, somebody hired, somebody for a while; each measured by
// the same forecast before and after.
import { type Day, formatDay } from "../calendar/day.ts";
import { periodSettingsOf } from "../calendar/horizon.ts";
import { periodsIn, type Range, type ReportRange } from "../calendar/periods.ts";
import { costOfMinutes } from "../cost/labour.ts";
import { rateBookOf } from "../cost/rateBook.ts";
import { applyChanges, type Change, changeOf } from "../edits/change.ts";
import type { Model } from "../model.ts";
import type { Person, Plan } from "../plan/schema.ts";
import { updateModel } from "../update.ts";
import { type Forecast, forecastOf } from "./forecast.ts";
import { movedProject } from "./movedProject.ts";

export type Help =
  | { kind: "later"; projectId: string; days: number }
  /** So many people of the role, from a day on; with a last day for a while. */
  | { kind: "hire"; people: number; from: Day; to: Day | null };

/** Expected shortage in minutes over the range: of the role, and of all of them. */
export interface Measured {
  role: number;
  all: number;
}

export interface MeasuredHelp {
  help: Help;
  before: Measured;
  after: Measured;
  /** What the people would cost at the role's rate, in minor units; 0 where nobody is taken on. */
  cost: number;
}

const WEEKS_LATER = [4, 8, 12];
const [MOST_PROJECTS, MOST_HIRED] = [4, 3];

/** What lowers the expected shortage of a role over a range, the most first; nothing where it has none. */
export function helpsFor(model: Model, role: number, asked: ReportRange): MeasuredHelp[] {
  const now = forecastOf(model, asked);
  const before = shortageOf(now, role);
  if (before.role === 0) return [];
  const helps = [...laterHelps(model, now, role), ...hireHelps(model, now, role, asked)];
  return helps
    .flatMap(({ help, changes, cost }): MeasuredHelp[] => {
      const next = updateModel(model, applyChanges(model.plan, changes), changes);
      const after = shortageOf(forecastOf(next, asked), role);
      return after.role < before.role ? [{ help, before, after, cost }] : [];
    })
    .filter(isNeeded)
    .sort((a, b) => a.after.role - b.after.role || a.cost - b.cost || a.after.all - b.after.all);
}

/** False of more people where fewer of them for as long are enough. */
function isNeeded({ help }: MeasuredHelp, _: number, all: readonly MeasuredHelp[]): boolean {
  return !all.some(
    ({ help: fewer, after }) =>
      help.kind === "hire" && fewer.kind === "hire" && fewer.to === help.to && fewer.people < help.people && after.role === 0,
  );
}

interface Tried {
  help: Help;
  changes: Change[];
  cost: number;
}

function shortageOf({ roles }: Forecast, role: number): Measured {
  const sum = (amounts: readonly number[]) => amounts.reduce((all, own) => all + own, 0);
  return { role: sum(roles[role].expectedShortage), all: roles.reduce((all, own) => all + sum(own.expectedShortage), 0) };
}

/** The changes that a help comes to on a plan; none where its project or role is gone. */
export function helpChanges(plan: Plan, role: number, help: Help): Change[] {
  if (help.kind === "hire") return hired(plan, role, help.people, help.from, help.to);
  const project = plan.projects.findIndex(({ id }) => id === help.projectId);
  return project < 0 ? [] : movedProject(plan, project, help.days);
}

/** Pipeline projects that ask most of the role, each some weeks later. */
function laterHelps({ plan }: Model, { pipeline, periods }: Forecast, role: number): Tried[] {
  const asking = pipeline.flatMap(({ project, probability, hours }) => {
    let sum = 0;
    for (let p = 0; p < periods.length; p++) sum += hours[role * periods.length + p];
    return sum * probability > 0 ? [{ project, sum: sum * probability }] : [];
  });
  asking.sort((a, b) => b.sum - a.sum);
  return asking.slice(0, MOST_PROJECTS).flatMap(({ project }) =>
    WEEKS_LATER.map(
      (weeks): Tried => ({
        help: { kind: "later", projectId: plan.projects[project].id, days: weeks * 7 },
        changes: movedProject(plan, project, weeks * 7),
        cost: 0,
      }),
    ),
  );
}

/** People of the role from the first period that is short on: for good, and for as long as it is short. */
function hireHelps(model: Model, { roles, periods }: Forecast, role: number, { range }: ReportRange): Tried[] {
  const short = periods.filter((_, p) => roles[role].expectedShortage[p] > 0);
  const [from, last] = [short[0].start, short[short.length - 1].stop - 1];
  const ways = last >= range.stop - 1 ? [null] : [last, null];
  return ways.flatMap((to) =>
    Array.from({ length: MOST_HIRED }, (_, at): Tried => {
      const people = at + 1;
      const cost = people * costOfOne(model, role, { start: from, stop: (to ?? range.stop - 1) + 1 });
      return { help: { kind: "hire", people, from, to }, changes: hired(model.plan, role, people, from, to), cost };
    }),
  );
}

/** Days in which somebody who is hired for good learns, for half of their time. */
const LEARNING_DAYS = 28;

function hired({ people, roles, calendars }: Plan, role: number, count: number, from: Day, to: Day | null): Change[] {
  const taken = new Set(people.map(({ id }) => id));
  const half = calendars[0].week.map((hours) => hours / 2);
  const learning = { patterns: [{ from: formatDay(from), to: formatDay(from + LEARNING_DAYS - 1), week: half }] };
  return Array.from({ length: count }, (_, at): Change => {
    let id = `hired-${at + 1}`;
    while (taken.has(id)) id += "-";
    const person: Person = {
      id,
      name: `New ${roles[role].name} ${at + 1}`,
      roleIds: [roles[role].id],
      calendarId: calendars[0].id,
      employedFrom: formatDay(from),
      ...(to === null ? learning : { employedTo: formatDay(to) }),
    };
    return changeOf("people", { id, before: null, after: person, next: null });
  });
}

/** Eight hours on each weekday at the role's rate in the first cost table that has one. */
function costOfOne({ plan }: Model, role: number, { start, stop }: Range): number {
  const book = rateBookOf(plan);
  const days = periodsIn({ start, stop }, "day", periodSettingsOf(plan));
  const minutes = Int32Array.from(days, ({ start: day }) => ((day + 3) % 7 < 5 ? 480 : 0));
  for (const table of plan.rateTables) {
    if (table.kind !== "cost") continue;
    const cost = costOfMinutes(book.labour(table, undefined, plan.roles[role].id), book.exchange(table), start, minutes);
    if (cost > 0) return cost;
  }
  return 0;
}
