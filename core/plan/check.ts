// The rules between rows: references, order of dates, what a task or an assignment may state.

import { lookUp } from "../values/lookUp.ts";
import { nearestWord } from "../values/nearestWord.ts";
import { objectKeys } from "../values/objectKeys.ts";
import { onceFor } from "../values/once.ts";
import { minorUnits, productMinorUnits, workMinutes } from "../values/units.ts";
import { type Fault, faultText, placeOf } from "./faults.ts";
import { MOST_LEVELS, MOST_PLAN_YEARS, MOST_SUGGESTIONS } from "./limits.ts";
import type { ListName } from "./lists.ts";
import { listWords } from "./listWords.ts";
import { findRow, rowById, rowsOf } from "./rows.ts";
import type {
  Acceptance,
  ActualCost,
  Assignment,
  Baseline,
  Calendar,
  ChangedList,
  Comment,
  Enquiry,
  Expense,
  Link,
  Note,
  Person,
  Plan,
  Project,
  RateTable,
  Row,
  Task,
  Team,
  Template,
  TimeEntry,
  WorkRequest,
} from "./schema.ts";
import { linkCycle } from "./taskGraph.ts";

/** Every fault between the rows of a plan that already fits the schema; an empty list when it is sound. */
export function checkPlan(plan: Plan): Fault[] {
  const faults = faultsBetweenRows(plan, () => false);
  const cycle = faults.length === 0 ? linkCycle(plan) : null;
  return cycle ? [{ place: "links", message: faultText.linkCycle(cycle) }] : faults;
}

/** Faults of references, dates and statements, row by row; cycles of links are left out.
 * @param isMalformed Says of a list and position (or of the settings) that it does not fit the schema: what is
 * there is not looked at, but may be referred to. */
export function faultsBetweenRows(plan: Plan, isMalformed: (list: string, at?: number) => boolean): Fault[] {
  const faults: Fault[] = [];
  const summaries = summaryIds(plan);
  if (!isMalformed("settings")) checkSettings(plan, faults);
  for (const list of objectKeys(rowChecks)) {
    const seen = new Set<string>();
    plan[list].forEach((row, at) => {
      if (seen.has(row.id) && !isMalformed(list, at)) faults.push({ place: `${list}[${at}].id`, message: faultText.duplicateId(row.id) });
      seen.add(row.id);
      if (!isMalformed(list, at)) checkRow(plan, list, row, [list, at], summaries, faults);
    });
  }
  checkParents(plan, faults);
  return faults;
}

/** The faults of single rows as they are now in `plan`: what an edit has touched, without reading the rest.
 * @param isNestedAnew Says that rows have come under other ones: then all levels are looked at. */
export function checkRows(plan: Plan, touched: readonly { list: ChangedList; id: string }[], isNestedAnew: boolean): Fault[] {
  const faults: Fault[] = [];
  const summaries = summaryIds(plan);
  for (const { list, id } of touched) {
    if (list === "settings") {
      checkSettings(plan, faults);
      continue;
    }
    if (list === "exchange") continue;
    const row = findRow<Row>(rowsOf(plan, list), id);
    if (row) checkRow(plan, list, row, [list, lookUp(rowById(plan[list]), id)], summaries, faults);
  }
  if (isNestedAnew) checkParents(plan, faults);
  return faults;
}

const parentIds = onceFor((tasks: readonly Task[]): ReadonlySet<string> => new Set(tasks.flatMap(({ parentId }) => parentId ?? [])));

/** Ids of the tasks that have children; found once for a list of tasks. */
export const summaryIds = ({ tasks }: Plan): ReadonlySet<string> => parentIds(tasks);

interface CheckContext {
  plan: Plan;
  summaries: ReadonlySet<string>;
  fault(path: readonly PropertyKey[], message: string): void;
  reference(list: ListName, id: string | undefined, path: readonly PropertyKey[]): void;
  order(from: string | undefined, to: string | undefined, path: readonly PropertyKey[]): void;
}

function checkRow<L extends ListName>(
  plan: Plan,
  list: L,
  row: Row<L>,
  base: readonly PropertyKey[],
  summaries: ReadonlySet<string>,
  faults: Fault[],
): void {
  const fault = (path: readonly PropertyKey[], message: string) => faults.push({ place: placeOf([...base, ...path]), message });
  const context: CheckContext = {
    plan,
    summaries,
    fault,
    reference(target, id, path) {
      if (id !== undefined && !rowById(plan[target]).has(id))
        fault(
          path,
          faultText.noSuch(listWords[target], id, faults.length < MOST_SUGGESTIONS ? nearestWord(id, idsOf(plan[target])) : null),
        );
    },
    order(from, to, path) {
      if (from !== undefined && to !== undefined && to < from) fault(path, faultText.endsBeforeStart(from, to));
    },
  };
  rowChecks[list](row, context);
}

const idsOf = (rows: readonly { id: unknown }[]): string[] => rows.flatMap(({ id }) => (typeof id === "string" ? [id] : []));

const rowChecks: { [L in ListName]: (row: Row<L>, context: CheckContext) => void } = {
  calendars: checkCalendar,
  roles: () => {},
  skills: () => {},
  people: checkPerson,
  teams: checkTeam,
  materials: () => {},
  rateTables: checkRateTable,
  clients: () => {},
  projects: checkProject,
  tasks: checkTask,
  links: checkLink,
  assignments: checkAssignment,
  expenses: checkExpense,
  templates: checkTemplate,
  comments: checkComment,
  views: () => {},
  acceptances: checkAcceptance,
  requests: checkRequest,
  snoozes: () => {},
  notes: checkNote,
  enquiries: checkEnquiry,
  sketches: () => {},
  timeEntries: checkTimeEntry,
  actualCosts: checkActualCost,
  baselines: checkBaseline,
};

function checkSettings(plan: Plan, faults: Fault[]): void {
  const { planStart, planEnd } = plan.settings;
  const years = Number(planEnd.slice(0, 4)) - Number(planStart.slice(0, 4));
  if (years > MOST_PLAN_YEARS) faults.push({ place: "settings.planEnd", message: faultText.tooFar(planEnd, MOST_PLAN_YEARS) });
  if (planEnd < planStart) faults.push({ place: "settings.planEnd", message: faultText.endsBeforeStart(planStart, planEnd) });
  const band = plan.settings.levelBand;
  if (band && band.low > band.high)
    faults.push({ place: "settings.levelBand", message: faultText.needs("a low that is not above its high") });
}

function checkCalendar(calendar: Calendar, { fault, order }: CheckContext): void {
  if (calendar.week.every((hours) => workMinutes(hours) === 0)) fault(["week"], faultText.noWorkingWeekday(calendar.name));
  calendar.exceptions.forEach(({ from, to }, at) => {
    order(from, to, ["exceptions", at, "to"]);
  });
}

function checkPerson(person: Person, { fault, reference, order }: CheckContext): void {
  reference("calendars", person.calendarId, ["calendarId"]);
  person.roleIds.forEach((id, at) => {
    reference("roles", id, ["roleIds", at]);
    if (person.roleIds.indexOf(id) < at) fault(["roleIds", at], faultText.duplicateId(id));
  });
  if (person.archived && person.employedTo === undefined) fault(["archived"], faultText.archivedEmployed());
  checkSkills(person.skills, fault, reference);
  order(person.employedFrom, person.employedTo, ["employedTo"]);
  person.patterns?.forEach(({ from, to }, at) => {
    order(from, to, ["patterns", at, "to"]);
  });
  person.timeOff?.forEach(({ suggested }, at) => {
    order(suggested?.from, suggested?.to, ["timeOff", at, "suggested", "to"]);
  });
  for (const list of ["timeOff", "overtime"] as const) {
    const seen = new Set<string>();
    person[list]?.forEach(({ id, from, to }, at) => {
      order(from, to, [list, at, "to"]);
      if (seen.has(id)) fault([list, at, "id"], faultText.duplicateId(id));
      seen.add(id);
    });
  }
}

function checkSkills(skills: Person["skills"], fault: CheckContext["fault"], reference: CheckContext["reference"]): void {
  skills?.forEach(({ skillId }, at) => {
    reference("skills", skillId, ["skills", at, "skillId"]);
    if (skills.findIndex((other) => other.skillId === skillId) < at) fault(["skills", at, "skillId"], faultText.duplicateId(skillId));
  });
}

function checkTeam(team: Team, { fault, reference }: CheckContext): void {
  reference("teams", team.parentId, ["parentId"]);
  reference("projects", team.projectId, ["projectId"]);
  team.memberIds.forEach((id, at) => {
    reference("people", id, ["memberIds", at]);
    if (team.memberIds.indexOf(id) < at) fault(["memberIds", at], faultText.duplicateId(id));
  });
}

function checkRateTable(table: RateTable, { fault, reference }: CheckContext): void {
  table.entries.forEach((entry, at) => {
    reference("people", entry.personId, ["entries", at, "personId"]);
    reference("roles", entry.roleId, ["entries", at, "roleId"]);
    reference("materials", entry.materialId, ["entries", at, "materialId"]);
    const subjects = (["personId", "roleId", "materialId"] as const).filter((key) => entry[key] !== undefined);
    if (subjects.length > 1) fault(["entries", at], faultText.onlyOne(subjects));
  });
}

function checkProject(project: Project, { fault, reference }: CheckContext): void {
  if (project.archived && project.stage !== "done" && project.stage !== "cancelled") fault(["archived"], faultText.archivedOpen());
  const byKind = Object.values(project.budgetByKind ?? {}).reduce((sum, own) => sum + minorUnits(own), 0);
  if (project.budget !== undefined && byKind > minorUnits(project.budget)) fault(["budgetByKind"], faultText.overBudget());
  reference("clients", project.clientId, ["clientId"]);
  reference("people", project.leadId, ["leadId"]);
  reference("calendars", project.calendarId, ["calendarId"]);
  reference("rateTables", project.costTableId, ["costTableId"]);
  reference("rateTables", project.billTableId, ["billTableId"]);
}

function checkTask(task: Task, { plan, summaries, fault, reference, order }: CheckContext): void {
  reference("projects", task.projectId, ["projectId"]);
  reference("roles", task.roleId, ["roleId"]);
  reference("calendars", task.calendarId, ["calendarId"]);
  reference("tasks", task.parentId, ["parentId"]);
  checkSkills(task.skills, fault, reference);
  const parent = findRow(plan.tasks, task.parentId);
  if (parent && parent.projectId !== task.projectId) fault(["parentId"], faultText.otherProject(parent.id));
  order(task.start, task.finish, ["finish"]);
  order(task.actualStart, task.actualFinish, ["actualFinish"]);
  for (const key of ["actualStart", "actualFinish"] as const) checkPast(plan, task[key], [key], fault);
  if (summaries.has(task.id)) {
    for (const key of ["notAfter", "finishNotBefore", "staggerDays", "effortHours", "actualStart", "actualFinish"] as const)
      if (task[key] !== undefined) fault([key], faultText.notHere(`"${key}" on a task with children`));
    return;
  }
  if (task.sizing === "dates")
    for (const key of ["start", "finish"] as const)
      if (task[key] === undefined) fault([key], faultText.needs('a date, since "sizing" is "dates"'));
  if (task.sizing === "duration" && task.durationDays === undefined)
    fault(["durationDays"], faultText.needs('a number of working days, since "sizing" is "duration"'));
}

function checkLink(link: Link, { fault, reference }: CheckContext): void {
  reference("tasks", link.from, ["from"]);
  reference("tasks", link.to, ["to"]);
  if (link.elapsed && !Number.isInteger(link.lagDays ?? 0)) fault(["lagDays"], faultText.elapsedFraction());
}

/** A day that lies after the status date, where the plan states it, has not happened yet. */
function checkPast({ settings }: Plan, date: string | undefined, path: readonly PropertyKey[], fault: CheckContext["fault"]): void {
  if (date !== undefined && settings.today !== undefined && date > settings.today) fault(path, faultText.notYet(date, settings.today));
}

const labourKeys = ["hours", "percent", "hoursPerDay", "hoursPerWeek", "custom"] as const;
const materialKeys = ["quantity", "quantityPerDay", "wastePercent", "accrual"] as const;

function checkAssignment(assignment: Assignment, context: CheckContext): void {
  const { plan, summaries, fault, reference, order } = context;
  reference("tasks", assignment.taskId, ["taskId"]);
  reference("people", assignment.personId, ["personId"]);
  reference("teams", assignment.teamId, ["teamId"]);
  reference("materials", assignment.materialId, ["materialId"]);
  reference("roles", assignment.roleId, ["roleId"]);
  order(assignment.from, assignment.to, ["to"]);
  assignment.custom?.forEach(({ from, to }, at) => {
    order(from, to, ["custom", at, "to"]);
  });
  if (summaries.has(assignment.taskId)) fault(["taskId"], faultText.notHere("an assignment on a task with children"));
  const subjects = (["personId", "teamId", "materialId"] as const).filter((key) => assignment[key] !== undefined);
  if (subjects.length > 1) fault([], faultText.onlyOne(subjects));
  if (subjects.length === 0 && assignment.roleId === undefined) fault([], faultText.needs("a person, a team, a material or a role"));
  if (assignment.customFrom !== undefined && assignment.custom === undefined) fault(["customFrom"], faultText.needs('"custom", too'));
  if (assignment.materialId !== undefined) checkMaterialUse(assignment, fault);
  else {
    checkPast(plan, assignment.remaining?.asOf, ["remaining", "asOf"], fault);
    checkLabour(assignment, findRow(plan.tasks, assignment.taskId)?.sizing === "effort", fault);
  }
}

function checkMaterialUse(assignment: Assignment, fault: CheckContext["fault"]): void {
  for (const key of [...labourKeys, "shape", "roleId", "remaining"] as const)
    if (assignment[key] !== undefined) fault([key], faultText.notHere(`"${key}" on a material`));
  const stated = (["quantity", "quantityPerDay"] as const).filter((key) => assignment[key] !== undefined);
  if (stated.length === 0) fault([], faultText.needs('"quantity" or "quantityPerDay"'));
  if (stated.length > 1) fault([], faultText.onlyOne(stated));
}

function checkLabour(assignment: Assignment, effortSized: boolean, fault: CheckContext["fault"]): void {
  for (const key of materialKeys) if (assignment[key] !== undefined) fault([key], faultText.notHere(`"${key}" on labour`));
  const stated = labourKeys.filter((key) => assignment[key] !== undefined);
  if (effortSized) {
    if (assignment.hours === undefined) fault(["hours"], faultText.needs('"hours", since its task is sized by effort'));
    for (const key of ["hoursPerDay", "hoursPerWeek", "custom", "from", "to", "shape"] as const)
      if (assignment[key] !== undefined) fault([key], faultText.notHere(`"${key}" on a task sized by effort`));
    return;
  }
  if (stated.length === 0) fault([], faultText.needs(`one of ${labourKeys.join(", ")}`));
  if (stated.length > 1) fault([], faultText.onlyOne(stated));
}

function checkExpense(expense: Expense, { fault, reference, order }: CheckContext): void {
  reference("projects", expense.projectId, ["projectId"]);
  reference("tasks", expense.taskId, ["taskId"]);
  order(expense.from, expense.to, ["to"]);
  checkTypedAmount(expense, fault);
  const ranged = expense.from !== undefined || expense.to !== undefined;
  if (expense.date === undefined && (expense.from === undefined || expense.to === undefined))
    fault([], faultText.needs('"date", or "from" and "to"'));
  if (expense.date !== undefined && ranged) fault([], faultText.onlyOne(["date", "from–to"]));
}

/** An amount that was typed as a quantity at a price is their product. */
function checkTypedAmount({ amount, quantity, unitPrice }: Expense, fault: CheckContext["fault"]): void {
  if (quantity === undefined && unitPrice === undefined) return;
  if (quantity === undefined || unitPrice === undefined) {
    fault([], faultText.needs('both "quantity" and "unitPrice", or neither'));
    return;
  }
  const product = productMinorUnits(quantity, unitPrice);
  if (product !== minorUnits(amount)) fault(["amount"], faultText.otherProduct(product / 100));
}

/** Minutes of a person on a day, returned entries left out, by person and day. */
const recordedMinutes = onceFor((entries: readonly TimeEntry[]): ReadonlyMap<string, number> => {
  const minutes = new Map<string, number>();
  for (const { personId, date, hours, state } of entries) {
    if (state === "returned") continue;
    const key = `${personId} ${date}`;
    minutes.set(key, (minutes.get(key) ?? 0) + workMinutes(hours));
  }
  return minutes;
});

const MINUTES_OF_DAY = 24 * 60;

function checkTimeEntry(entry: TimeEntry, { plan, summaries, fault, reference }: CheckContext): void {
  reference("people", entry.personId, ["personId"]);
  reference("tasks", entry.taskId, ["taskId"]);
  if ((entry.taskId === undefined) === (entry.activity === undefined)) fault([], faultText.needs('either "taskId" or "activity"'));
  if (workMinutes(entry.hours) === 0) fault(["hours"], faultText.needs("half a minute or more"));
  if (summaries.has(entry.taskId ?? "")) fault(["taskId"], faultText.notHere("an entry on a task with children"));
  const minutes = recordedMinutes(plan.timeEntries).get(`${entry.personId} ${entry.date}`) ?? 0;
  if (entry.state !== "returned" && minutes > MINUTES_OF_DAY) fault(["hours"], faultText.tooLongDay(entry.date, minutes / 60));
}

function checkActualCost(booking: ActualCost, { plan, fault, reference }: CheckContext): void {
  reference("projects", booking.projectId, ["projectId"]);
  reference("tasks", booking.taskId, ["taskId"]);
  reference("expenses", booking.expenseId, ["expenseId"]);
  const task = findRow(plan.tasks, booking.taskId);
  if (task && task.projectId !== booking.projectId) fault(["taskId"], faultText.ofOtherProject("task"));
  const expense = findRow(plan.expenses, booking.expenseId);
  if (!expense) return;
  if (expense.projectId !== booking.projectId) fault(["expenseId"], faultText.ofOtherProject("expense"));
  else if (booking.taskId !== undefined && booking.taskId !== expense.taskId) fault(["taskId"], faultText.otherTaskOfExpense());
}

/** Rows of a baseline may have left the plan since it was taken. */
function checkBaseline({ tasks, projects }: Baseline, { fault, order }: CheckContext): void {
  for (const [key, rows] of [["tasks", tasks] as const, ["projects", projects] as const])
    rows.forEach(({ start, finish, days }, at) => {
      order(start, finish, [key, at, "finish"]);
      const late = days.findIndex(([date], i) => i > 0 && days[i - 1][0] >= date);
      if (late >= 0) fault([key, at, "days", late], faultText.notInOrder());
    });
}

/** Roles and people that a template refers to may be gone when it is used; they are left out then. */
function checkTemplate(template: Template, { fault, reference }: CheckContext): void {
  reference("calendars", template.calendarId, ["calendarId"]);
  const own = new Set(template.tasks.map(({ id }) => id));
  const inside = (id: string | undefined, path: PropertyKey[]) => {
    if (id !== undefined && !own.has(id)) fault(path, faultText.noSuch("task of the template", id, null));
  };
  template.tasks.forEach(({ parentId }, at) => {
    inside(parentId, ["tasks", at, "parentId"]);
  });
  template.assignments.forEach(({ taskId }, at) => {
    inside(taskId, ["assignments", at, "taskId"]);
  });
  template.links.forEach(({ from, to }, at) => {
    inside(from, ["links", at, "from"]);
    inside(to, ["links", at, "to"]);
  });
}

function checkComment(comment: Comment, { reference }: CheckContext): void {
  reference("tasks", comment.taskId, ["taskId"]);
}

function checkAcceptance(acceptance: Acceptance, { reference, order }: CheckContext): void {
  reference("people", acceptance.personId, ["personId"]);
  order(acceptance.from, acceptance.to, ["to"]);
}

function checkNote(note: Note, { reference }: CheckContext): void {
  reference("people", note.personId, ["personId"]);
}

/** Rows that an enquiry refers to may be gone by the time it is opened. */
function checkEnquiry({ wishedStart, wishedFinish }: Enquiry, { order }: CheckContext): void {
  order(wishedStart, wishedFinish, ["wishedFinish"]);
}

function checkRequest(request: WorkRequest, { fault, reference }: CheckContext): void {
  reference("tasks", request.taskId, ["taskId"]);
  reference("assignments", request.assignmentId, ["assignmentId"]);
  reference("roles", request.roleId, ["roleId"]);
  reference("people", request.personId, ["personId"]);
  reference("people", request.offeredId, ["offeredId"]);
  if (request.roleId === undefined && request.personId === undefined) fault([], faultText.needs("a person or a role"));
}

function checkParents(plan: Plan, faults: Fault[]): void {
  for (const list of ["tasks", "teams"] as const) {
    const levels = new Map<string, number>();
    for (const [at, row] of plan[list].entries()) {
      const fault = parentFault(plan[list], row, levels);
      if (fault !== null) faults.push({ place: `${list}[${at}].parentId`, message: fault });
    }
  }
}

/** The fault of the ancestors of a row; null if there is none. `levels` are those of the rows checked so far. */
function parentFault(rows: readonly (Task | Team)[], row: Task | Team, levels: Map<string, number>): string | null {
  const chain = new Set<string>();
  let current: Task | Team | undefined = row;
  let fault: string | null = null;
  while (current && !levels.has(current.id) && fault === null) {
    if (chain.has(current.id)) fault = faultText.parentCycle([...chain, current.id]);
    chain.add(current.id);
    current = findRow(rows, current.parentId);
  }
  const known = (current && levels.get(current.id)) ?? 0;
  const level = known + chain.size;
  if (level > MOST_LEVELS) fault ??= faultText.tooDeep(MOST_LEVELS);
  // Rows below a faulty one are not reported again.
  [...chain].forEach((id, at) => {
    levels.set(id, fault === null ? level - at : 1);
  });
  return fault;
}
