// Margins: what every project, every client and everyone on a project brings in and costs, over the whole plan.
import { horizonOf } from "../calendar/horizon.ts";
import { marginOf, moneyOver, totalOf } from "../cost/costs.ts";
import { countedMoney, isCounted } from "../cost/countedMoney.ts";
import { labourRowOf, ledgerOf } from "../cost/ledger.ts";
import { isBelowGoal, marginGoal } from "../cost/margin.ts";
import { type MoneyGaps, moneyGaps } from "../cost/moneyGaps.ts";
import type { Counting } from "../load/counting.ts";
import type { Model } from "../model.ts";
import type { Money, MoneyFlag } from "../plan/moneySides.ts";
import type { Project } from "../plan/schema.ts";
import { minorUnits } from "../values/units.ts";

export interface MarginRow {
  id: string;
  name: string;
  /** The client's name of a project; of a client how many projects. */
  side: string;
  /** Row of the project; −1 of a client. */
  projectRow: number;
  stage: Project["stage"] | null;
  revenue: Money<"bill">;
  cost: Money<"cost">;
  /** Hundredths of a percent; null without revenue. */
  share: Money<"margin"> | null;
  goal: number | null;
  isBelow: MoneyFlag<"margin">;
  /** Minor units; null without one. `passes` is the first day of the month in which the plan passes it. */
  budget: Money<"cost"> | null;
  passes: number | null;
}

export interface Margins extends MoneyGaps {
  currency: string;
  projects: MarginRow[];
  clients: MarginRow[];
}

/** Margins over the horizon of all projects that count, and of their clients. @param query How pipeline projects count. */
export function marginsOf(model: Model, { pipeline }: { pipeline: Counting["pipeline"] }): Margins {
  const { plan } = model;
  const byMonth = model.costs({ range: horizonOf(plan), grain: "month" });
  const costs = model.costsOfHorizon();
  const clientName = new Map(plan.clients.map(({ id, name }) => [id, name]));
  const projects = costs.projects.flatMap((own, projectRow): MarginRow[] => {
    const project = plan.projects[projectRow];
    const { id, name, clientId, stage, archived, budget } = project;
    if (!own || archived || !isCounted(project, pipeline)) return [];
    const { revenue, cost } = moneyOver(plan, own);
    const goal = marginGoal(plan, projectRow);
    const share = marginOf(revenue, cost);
    const minor = budget === undefined ? null : minorUnits(budget);
    return [
      {
        id,
        name,
        side: clientName.get(clientId ?? "") ?? "",
        projectRow,
        stage,
        revenue: countedMoney(project, pipeline, revenue),
        cost: countedMoney(project, pipeline, cost),
        share,
        goal,
        isBelow: isBelowGoal(share, goal),
        budget: minor === null ? null : countedMoney(project, pipeline, minor),
        passes: minor === null ? null : passesOn(model, byMonth, projectRow, minor),
      },
    ];
  });
  const clients = plan.clients.flatMap(({ id, name }): MarginRow[] => {
    const own = projects.filter(({ projectRow }) => plan.projects[projectRow].clientId === id);
    if (own.length === 0) return [];
    const [revenue, cost] = [sum(own, "revenue"), sum(own, "cost")];
    const share = marginOf(revenue, cost);
    const plain = { projectRow: -1, stage: null, goal: null, isBelow: false, budget: null, passes: null };
    return [{ ...plain, id, name, side: String(own.length), revenue, cost, share }];
  });
  const gaps = moneyGaps(costs, (row) => isCounted(plan.projects[row], pipeline));
  return { currency: plan.settings.currency, projects, clients, ...gaps };
}

/** The first day of the month in which the cost so far goes past a budget; null where it never does. */
function passesOn({ plan }: Model, { projects, periods }: ReturnType<Model["costs"]>, project: number, budget: number): number | null {
  const cost = projects[project];
  let running = 0;
  for (let period = 0; cost && period < periods.periods.length; period++) {
    running += totalOf(plan, cost, period);
    if (running > budget) return periods.periods[period].start;
  }
  return null;
}

export interface MarginPerson {
  /** Null for work that nobody has, and for teams. */
  personId: string | null;
  name: string | null;
  roleName: string;
  minutes: number;
  cost: Money<"cost">;
  revenue: Money<"bill">;
  share: Money<"margin"> | null;
}

/** The cost and revenue of everyone on a project, over the whole plan; most hours first. */
export function marginPeople(model: Model, projectId: string): MarginPerson[] {
  const { plan, work, placements } = model;
  const ledger = ledgerOf(model, { range: horizonOf(plan), grain: "year" });
  const people = new Map<number, { minutes: number; cost: number; revenue: number }>();
  for (const line of ledger.lines) {
    const row = labourRowOf(model, line);
    if (row < 0 || plan.projects[line.project].id !== projectId) continue;
    const person = work.person[row];
    const own = people.get(person) ?? { minutes: 0, cost: 0, revenue: 0 };
    const amount = line.amounts.reduce((all, one) => all + one, 0);
    if (line.kind === "revenue") own.revenue += amount;
    else {
      own.cost += amount;
      own.minutes += placements.placed[row];
    }
    people.set(person, own);
  }
  const roles = new Map(plan.roles.map(({ id, name }) => [id, name]));
  return [...people]
    .map(([person, own]): MarginPerson => {
      const { id = null, name = null, roleIds = [] } = plan.people[person] ?? {};
      return { personId: id, name, roleName: roles.get(roleIds[0] ?? "") ?? "", ...own, share: marginOf(own.revenue, own.cost) };
    })
    .sort((a, b) => b.minutes - a.minutes || (a.name ?? "").localeCompare(b.name ?? ""));
}

const sum = (rows: readonly MarginRow[], key: "revenue" | "cost"): number => rows.reduce((all, row) => all + row[key], 0);
