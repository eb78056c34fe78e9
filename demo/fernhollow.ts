// The demo plan: Fernhollow Exhibit Works on Monday 1 February 2027, built by code so that it is the same everywhere.

import { parseDay } from "../core/calendar/day.ts";
import { applyEdit } from "../core/edits/edit.ts";
import { buildModel } from "../core/model.ts";
import { faultLine } from "../core/plan/faults.ts";
import { parsePlanValue } from "../core/plan/parse.ts";
import type { Link, Plan, Task } from "../core/plan/schema.ts";
import type { TaskDates } from "../core/schedule/dates.ts";
import { calendars } from "./calendars.ts";
import { enquiries } from "./enquiries.ts";
import { exchangeRates, expenses, materials, rateTables } from "./money.ts";
import { people, roles, skills, teams } from "./people.ts";
import { clients, type DemoProject, projects } from "./projects.ts";
import { addSituations, idlePeople } from "./situations.ts";
import { sketches } from "./sketches.ts";
import { Staffing } from "./staffing.ts";
import { display, gallery, type TemplateTask } from "./templates.ts";

const TODAY = "2027-02-01";

let made: string | null = null;

/** The demo plan, worked out once a process and given as a copy of one's own.
 * @throws where the code has made a plan with faults. */
export function fernhollow(): Plan {
  made ??= JSON.stringify(build());
  return JSON.parse(made);
}

function build(): Plan {
  const plan: Plan = {
    format: "mindful-roster-plan",
    version: 1,
    settings: {
      name: "Fernhollow Exhibit Works",
      currency: "EUR",
      weekStartsOn: 1,
      planStart: "2026-10-05",
      planEnd: "2028-03-31",
      today: TODAY,
      fiscalYearStartMonth: 1,
      hoursPerFteWeek: 40,
      levelBand: { low: 0.85, high: 1 },
      marginTarget: 28,
      enquiryForm: true,
    },
    calendars,
    roles,
    skills,
    people,
    teams,
    materials,
    exchangeRates,
    rateTables,
    clients,
    projects: projects.map(({ template: _, scale: __, ...project }) => JSON.parse(JSON.stringify(project))),
    tasks: [],
    links: [],
    assignments: [],
    expenses: [],
    templates: [],
    comments: [],
    views: [],
    acceptances: [],
    snoozes: [],
    notes: [],
    enquiries,
    sketches,
    requests: [],
    timeEntries: [],
    actualCosts: [],
    baselines: [],
  };
  for (const project of projects) addTasks(plan, project);
  staff(plan);
  plan.expenses = expenses;
  addSituations(plan);
  const parsed = parsePlanValue(JSON.parse(JSON.stringify(plan)));
  if (!parsed.plan) throw new Error(`The demo plan has faults:\n${parsed.faults.map(faultLine).join("\n")}`);
  return withTemplates(parsed.plan);
}

/** Two ways of working that the studio has saved from projects that went well. */
function withTemplates(plan: Plan): Plan {
  const saved = [
    { id: "template-gallery", name: "Gallery, from concept to opening", projectId: "tidepool" },
    { id: "template-display", name: "Small display", projectId: "rivers" },
  ];
  return saved.reduce((made, template) => applyEdit(made, { kind: "addTemplate", ...template }).plan ?? made, plan);
}

const templates: Record<DemoProject["template"], TemplateTask[]> = { gallery, display, standing: [] };

function addTasks(plan: Plan, project: DemoProject): void {
  const id = (key: string) => `${project.id}-${key}`;
  if (project.template === "standing") {
    addStandingWork(plan, project);
    return;
  }
  const template = templates[project.template];
  plan.tasks.push(leading(project, template));
  for (const phase of new Set(template.map((task) => task.phase))) {
    const summary = id(phase.toLowerCase());
    plan.tasks.push({ id: summary, projectId: project.id, name: phase });
    for (const part of template.filter((task) => task.phase === phase)) {
      plan.tasks.push({ ...taskOf(part, project), id: id(part.key), parentId: summary });
      plan.links.push(...linksOf(part, id));
    }
  }
}

function taskOf({ name, days, needs, skills: asked }: TemplateTask, { id, scale, stage }: DemoProject): Omit<Task, "id"> {
  const hours = needs.reduce((sum, [, need]) => sum + Math.round(need * scale), 0);
  return {
    projectId: id,
    name,
    sizing: "duration",
    durationDays: days,
    ...(hours > 0 && needs.length === 1 && stage !== "pipeline" && { effortHours: hours }),
    ...(needs.length > 0 && { roleId: needs[0][0] }),
    ...(asked && { skills: asked }),
  };
}

function linksOf({ key, after }: TemplateTask, id: (key: string) => string): Link[] {
  return after.map(([from, kind, lagDays, elapsed]) => ({
    id: `${id(from)}-${kind.toLowerCase()}-${key}`,
    from: id(from),
    to: id(key),
    kind,
    ...(lagDays !== undefined && { lagDays }),
    ...(elapsed && { elapsed }),
  }));
}

/** The lead's own hours run through the whole project. */
function leading(project: DemoProject, template: TemplateTask[]): Task {
  const weeks = template === gallery ? 22 : 12;
  return {
    id: `${project.id}-leading`,
    projectId: project.id,
    name: "Leading the project",
    sizing: "duration",
    durationDays: weeks * 5,
    roleId: "lead",
  };
}

const standingWork = [
  ["meetings", "Monday meeting and time sheets", 1.5],
  ["upkeep", "Workshop upkeep", 3],
  ["outreach", "Tenders and visits", 4],
] as const;

function addStandingWork(plan: Plan, project: DemoProject): void {
  const { planStart, planEnd } = plan.settings;
  for (const [key, name] of standingWork)
    plan.tasks.push({ id: `standing-${key}`, projectId: project.id, name, sizing: "dates", start: planStart, finish: planEnd });
  const [meetings, upkeep, outreach] = standingWork;
  for (const person of plan.people) {
    if (person.kind === "contractor") continue;
    const add = ([key, , hoursPerWeek]: (typeof standingWork)[number]) =>
      plan.assignments.push({ id: `standing-${key}-${person.id}`, taskId: `standing-${key}`, personId: person.id, hoursPerWeek });
    add(meetings);
    if (["fabricator", "installer"].includes(person.roleIds[0])) add(upkeep);
    if (person.roleIds[0] === "lead") add(outreach);
  }
}

/** Gives the work of every project to the people with the most room, in the order of its dates. */
function staff(plan: Plan): void {
  const model = buildModel(plan);
  const staffing = new Staffing(model);
  const rowOf = new Map(plan.tasks.map((task, row) => [task.id, row]));
  const datesOf = (id: string) => model.schedule.of(rowOf.get(id) ?? -1) ?? null;
  for (const project of projects) leadProject(plan, project, staffing, datesOf(`${project.id}-leading`));
  const needs = projects.flatMap((project) =>
    templates[project.template].flatMap((part) => {
      const taskId = `${project.id}-${part.key}`;
      return part.needs.map(([roleId, hours, count]) => ({
        project,
        taskId,
        roleId,
        hours: Math.round(hours * project.scale),
        count,
        dates: datesOf(taskId),
      }));
    }),
  );
  needs.sort((a, b) => (a.dates?.start.day ?? 0) - (b.dates?.start.day ?? 0));
  for (const { project, taskId, roleId, hours, count, dates } of needs) {
    if (!dates) continue;
    if (project.stage === "pipeline") {
      plan.assignments.push({ id: `${taskId}-${roleId}`, taskId, roleId, hours, firmness: "pencilled" });
      continue;
    }
    const isNear = dates.finish.day >= parseDay(TODAY) && dates.start.day < parseDay("2027-02-22");
    const taken = staffing.take(roleId, count, hours, dates.start.day, dates.finish.day, isNear ? idlePeople : undefined);
    for (const { person, hours: own } of taken)
      plan.assignments.push({
        id: `${taskId}-${person.id}`,
        taskId,
        personId: person.id,
        hours: own,
        ...(project.stage === "approved" && { firmness: "pencilled" as const }),
      });
    const task = plan.tasks[rowOf.get(taskId) as number];
    if (task.effortHours !== undefined) task.effortHours = taken.reduce((sum, { hours: own }) => sum + own, 0);
  }
}

function leadProject(plan: Plan, project: DemoProject, staffing: Staffing, dates: TaskDates | null): void {
  if (!dates || !project.leadId) return;
  const hoursPerWeek = project.template === "gallery" ? 16 : 11;
  const weeks = (dates.finish.day - dates.start.day) / 7;
  staffing.book(
    plan.people.findIndex(({ id }) => id === project.leadId),
    hoursPerWeek * weeks,
    dates.start.day,
    dates.finish.day,
  );
  plan.assignments.push({
    id: `${project.id}-leading-${project.leadId}`,
    taskId: `${project.id}-leading`,
    personId: project.leadId,
    hoursPerWeek,
    ...((project.stage === "approved" || project.stage === "pipeline") && { firmness: "pencilled" as const }),
  });
}
