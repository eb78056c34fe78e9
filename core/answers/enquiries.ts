// Enquiries: what has come in and what became of it; and of one what it would ask of the team, cost and bring in, before
// anyone has decided.

import { parseDay } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import { marginOf, moneyOver } from "../cost/costs.ts";
import { isBelowGoal, marginGoal } from "../cost/margin.ts";
import { roleNeeds } from "../forecast/earliest.ts";
import { type Counting, defaultCounting } from "../load/counting.ts";
import type { Model } from "../model.ts";
import type { Money, MoneyFlag } from "../plan/moneySides.ts";
import { findRow } from "../plan/rows.ts";
import type { Enquiry } from "../plan/schema.ts";
import { waitingEnquiries } from "../plan/waiting.ts";
import { type AsProjectQuery, enquiryAsProject } from "../projects/enquiryProject.ts";
import { candidatesFor } from "../staffing/match.ts";
import { isOpening } from "../work/work.ts";

export interface EnquiryRow {
  enquiry: Enquiry;
  /** Its size: the template's name, or total hours; neither if it is not known. */
  templateName: string | null;
  hours: number | null;
  /** When it came in, ISO 8601 in UTC. */
  receivedAt: string;
  /** The project it has become, while that is in the plan. */
  projectName: string | null;
  projectStart: string | null;
}

export interface Enquiries {
  /** Enquiries waiting for an answer first, then the most recently received. */
  rows: EnquiryRow[];
  waiting: number;
  /** True if the public form is open. */
  isFormOpen: boolean;
}

/** All enquiries with their size, those waiting for an answer first, then the most recently received. */
export function enquiriesOf({ plan }: Pick<Model, "plan">): Enquiries {
  const rows = plan.enquiries.map(
    (enquiry): EnquiryRow => ({
      enquiry,
      templateName: findRow(plan.templates, enquiry.templateId)?.name ?? null,
      hours: enquiry.hours ? enquiry.hours.reduce((sum, own) => sum + own.hours, 0) : null,
      receivedAt: enquiry.history[0].at,
      projectName: findRow(plan.projects, enquiry.projectId)?.name ?? null,
      projectStart: findRow(plan.projects, enquiry.projectId)?.start ?? null,
    }),
  );
  const rank = ({ enquiry }: EnquiryRow) => (enquiry.state === "received" ? 0 : enquiry.state === "accepted" ? 1 : 2);
  rows.sort((a, b) => rank(a) - rank(b) || b.receivedAt.localeCompare(a.receivedAt));
  return { rows, waiting: waitingEnquiries(plan), isFormOpen: plan.settings.enquiryForm === true };
}

/** The people who could do the work of a role. */
export interface EnquiryPeople {
  roleName: string;
  /** The best few with the role, the skills and some room; `cover` in hundredths of a percent of the work. */
  people: { personId: string; name: string; cover: number }[];
}

export interface EnquiryEffect {
  start: number;
  finish: number;
  /** Minutes by role: asked for, beyond the role's room next to all other work, and the week with the largest shortage. */
  roles: { roleName: string; asked: number; short: number; worst: { week: Range; minutes: number } | null }[];
  people: EnquiryPeople[];
  /** Minor units; the share and its goal in hundredths of a percent, and whether it stays below that. */
  money: { revenue: Money<"bill">; cost: Money<"cost">; share: Money<"margin"> | null; goal: number | null; isBelow: MoneyFlag<"margin"> };
}

/** People named for a role. */
const MOST_PEOPLE = 3;

/** The effect of an enquiry if it were certain: of an accepted one its current project, of another one a project made from it.
 * Null if there is no such enquiry, or it was declined. */
export function enquiryEffect(model: Model, query: AsProjectQuery & Partial<Pick<Counting, "pipeline">>): EnquiryEffect | null {
  const found = enquiryAsProject(model, query);
  if (!found) return null;
  const { model: own, row } = found;
  const { plan, schedule, work } = own;
  const cost = own.costsOfHorizon().projects[row];
  const { revenue, cost: spent } = cost ? moneyOver(plan, cost) : { revenue: 0, cost: 0 };
  const [share, goal] = [marginOf(revenue, spent), marginGoal(plan, row)];
  const roleName = (role: number) => plan.roles[role]?.name ?? "";
  const openings = Array.from(work.project.keys()).filter((at) => work.project[at] === row && isOpening(work, at));
  return {
    start: parseDay(plan.projects[row].start),
    finish: schedule.projects[row].finish.day,
    roles: roleNeeds(own, row, { ...defaultCounting, ...(query.pipeline && { pipeline: query.pipeline }) }).map(({ role, ...need }) => ({
      roleName: roleName(role),
      ...need,
    })),
    people: peopleFor(own, openings),
    money: { revenue, cost: spent, share, goal, isBelow: isBelowGoal(share, goal) },
  };
}

/** Of each role that has openings: who could take most of the largest. */
function peopleFor(model: Model, openings: readonly number[]): EnquiryPeople[] {
  const { plan, work, placements } = model;
  const largest = new Map<number, number>();
  for (const row of openings) {
    const known = largest.get(work.role[row]);
    if (work.role[row] >= 0 && (known === undefined || placements.asked[row] > placements.asked[known])) largest.set(work.role[row], row);
  }
  return [...largest].map(([role, row]) => ({
    roleName: plan.roles[role].name,
    people: candidatesFor(model, row)
      .filter(({ missing, cover }) => missing.length === 0 && cover > 0)
      .slice(0, MOST_PEOPLE)
      .map(({ person, cover }) => ({ personId: plan.people[person].id, name: plan.people[person].name, cover })),
  }));
}
