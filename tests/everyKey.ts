// Rows that state, together with those of the demo plan, every key of the plan's schema.
import type * as z from "zod";
import type { Edit } from "../core/edits/edit.ts";
import { importedLists } from "../core/plan/lists.ts";
import { changedSchemas, type Plan, type Row, rowSchemas } from "../core/plan/schema.ts";

const DAYS = { from: "2027-03-01", to: "2027-03-05" };
const AT = "2027-02-01T09:00:00Z";
const SIGNAL = "over mara";

/** One edit for each row: every row of the demo plan imported again, and rows with the keys that the demo plan leaves out. */
export function statedRows(plan: Plan): Edit[] {
  const rows = Object.keys(rowSchemas).flatMap((list) => {
    const own: readonly Row[] = plan[list as keyof typeof rowSchemas];
    return own.length > 0 ? [{ list, row: own[own.length - 1] }] : [];
  });
  return [
    ...[...rows, ...fullRows(plan)].map(
      ({ list, row }) => ({ kind: "importRows", source: "every key.csv", rows: [{ list, row }] }) as unknown as Edit,
    ),
    { kind: "changeSettings", set: settingsSet },
    { kind: "changeExchange", rates: [{ currency: "CHF", from: DAYS.from, rate: 1.07 }] },
  ];
}

const settingsSet = {
  taxInCost: true,
  // Before all recorded hours, which stay as they are from then on.
  closedUntil: "2020-01-31",
  attention: [
    { kind: "overload", least: 4 },
    { kind: "unpricedWork", isOff: true as const },
  ],
};

/** The rows with keys that the demo plan leaves out. */
function fullRows(plan: Plan): { list: string; row: object }[] {
  const [person] = plan.people;
  const task = plan.tasks.find(({ id }) => !plan.tasks.some(({ parentId }) => parentId === id)) as Row<"tasks">;
  const { projectId, ...own } = { ...task, ...taskKeys };
  const [assignment] = plan.assignments.filter(({ taskId, personId }) => taskId === task.id && personId !== undefined);
  const state = { by: "Nora Okafor", at: AT };
  return [
    { list: "people", row: { ...person, id: "key-person", ...personKeys } },
    { list: "projects", row: { ...plan.projects[0], id: "key-project", code: "KEY-1", ...projectKeys } },
    { list: "tasks", row: { ...task, id: "key-task", ...taskKeys } },
    {
      list: "assignments",
      row: {
        id: "key-work",
        taskId: task.id,
        personId: person.id,
        custom: [{ ...DAYS, hours: 4 }],
        customFrom: DAYS.from,
        remaining: { hours: 2.5, asOf: "2027-01-25" },
      },
    },
    { list: "expenses", row: { ...plan.expenses[0], id: "key-expense", projectId, taskId: task.id } },
    {
      list: "templates",
      row: {
        ...plan.templates[0],
        id: "key-template",
        tasks: [own],
        links: [],
        assignments: [
          { id: "key-share", taskId: assignment.taskId, personId: person.id, percent: 40, firmness: "asked" },
          { id: "key-a-day", taskId: task.id, personId: person.id, hoursPerDay: 2 },
          {
            id: "key-typed",
            taskId: task.id,
            personId: person.id,
            custom: [{ ...DAYS, hours: 4 }],
            customFrom: DAYS.from,
            remaining: { hours: 1, asOf: "2027-01-25" },
          },
        ],
      },
    },
    { list: "views", row: { id: "key-view", name: "By role", screen: "balance", query: "by=role" } },
    { list: "acceptances", row: { id: "key-acceptance", personId: person.id, ...DAYS, reason: "Agreed with Mara" } },
    { list: "requests", row: { ...plan.requests[0], id: "key-request", state: "offered", offeredId: person.id } },
    { list: "snoozes", row: { id: "key-snooze", signal: SIGNAL, until: DAYS.to, reason: "Settled on Monday" } },
    { list: "notes", row: { id: "key-note", signal: SIGNAL, personId: person.id, ...state, text: "Please look at this." } },
    { list: "enquiries", row: { ...plan.enquiries[0], id: "key-enquiry", clientId: plan.clients[0].id, projectId: plan.projects[0].id } },
    { list: "timeEntries", row: { id: "key-hours", personId: person.id, date: DAYS.from, hours: 1.5, taskId: task.id, ...entryKeys } },
    {
      list: "timeEntries",
      row: { id: "key-meeting", personId: person.id, date: DAYS.from, hours: 1, activity: "Meeting", state: "draft" },
    },
    {
      list: "actualCosts",
      row: { id: "key-booking", projectId, taskId: task.id, date: DAYS.from, ...bookingKeys },
    },
    { list: "actualCosts", row: bookingOf(plan.expenses[0]) },
    { list: "baselines", row: baselineOf(task.id, projectId) },
    { list: "sketches", row: { id: "key-sketch", name: "Later", ...state, edits: [drawn(task.id)] } },
  ];
}

const personKeys = {
  email: "key.person@example.org",
  archived: true,
  employedTo: "2027-06-30",
  locked: true,
  patterns: [{ ...DAYS, week: [4, 4, 4, 4, 4, 0, 0] }],
  timeOff: [
    {
      id: "key-leave",
      ...DAYS,
      kind: "other",
      state: "declined",
      reason: "Opening week",
      suggested: { from: "2027-03-08", to: "2027-03-12" },
    },
  ],
  overtime: [{ id: "key-overtime", ...DAYS, hoursPerDay: 1 }],
};

const projectKeys = {
  stage: "done",
  tracking: "recorded",
  budget: 50_000,
  budgetByKind: { labour: 10_000, material: 9_000, fixed: 8_000, expense: 7_000 },
  archived: true,
  locked: true,
};

const taskKeys = {
  calendarId: "porto",
  priority: 2,
  percentComplete: 25,
  state: "underWay",
  atRisk: true,
  actualStart: "2027-01-20",
  actualFinish: "2027-01-27",
  notAfter: "2027-12-01",
  finishNotBefore: "2027-02-01",
  finishNotAfter: "2027-12-31",
  staggerDays: 1.5,
  tags: ["glass", "two\twords"],
  review: { state: "sentBack", reason: "The joints show" },
  locked: true,
};

const entryKeys = { state: "returned", note: "Second coat", reason: "On which case?" };

const bookingKeys = { amount: 118.4, costType: "material", supplier: "Brightwater Acrylics", reference: "R-2209", note: "Two sheets" };

const bookingOf = ({ id, projectId, costType }: Row<"expenses">) => ({
  id: "key-invoice",
  projectId,
  expenseId: id,
  date: DAYS.from,
  amount: -20,
  costType,
});

const baselineOf = (taskId: string, projectId: string) => ({
  id: "key-baseline",
  name: "As agreed",
  takenOn: "2027-01-25",
  note: "Signed by the client",
  tasks: [{ taskId, projectId, name: "Cases", ...baselineDates, unplaced: 30, days: [[DAYS.from, 480, 36_000]] }],
  projects: [{ projectId, ...baselineDates, days: [[DAYS.to, 12_000]] }],
});

const baselineDates = { start: DAYS.from, finish: DAYS.to };

const drawn = (taskId: string) => ({
  id: "key-drawn",
  words: "rename a task",
  edit: { kind: "changeTask", id: taskId, set: { name: "Later" } },
  saw: [{ list: "tasks", id: taskId, field: "name", value: "Earlier" }],
});

/** The keys of the schema that no row states, neither of the demo plan nor of the rows above. */
export function unstatedKeys(plan: Plan): string[] {
  const full = fullRows(plan);
  return [...importedLists, "settings" as const].flatMap((list) => {
    const own =
      list === "settings" ? [{ ...plan.settings, ...settingsSet, id: "plan" }] : list === "exchange" ? [exchangeOf(plan)] : plan[list];
    return unstatedIn(changedSchemas[list], [...own, ...full.filter((row) => row.list === list).map(({ row }) => row)], list);
  });
}

const exchangeOf = (plan: Plan) => ({ id: "plan", rates: plan.exchangeRates });

function unstatedIn(schema: z.core.$ZodType, values: readonly unknown[], path: string): string[] {
  const { def } = (schema as z.core.$ZodTypes)._zod;
  if (def.type === "optional" || def.type === "default" || def.type === "nullable") return unstatedIn(def.innerType, values, path);
  if (def.type === "array") return unstatedIn(def.element, values.flat(), `${path}[]`);
  if (def.type !== "object") return [];
  return Object.entries(def.shape).flatMap(([key, own]) => {
    const stated = values.map((value) => (value as Record<string, unknown>)[key]).filter((value) => value !== undefined);
    const fault = stated.length > 0 ? [] : [`${path}.${key}: state it in tests/everyKey.ts`];
    return [...fault, ...unstatedIn(own, stated, `${path}.${key}`)];
  });
}
