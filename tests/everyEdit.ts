// Random edits of every kind, for rules that apply to any edit.
import type { Edit, SingleEdit } from "../core/edits/edit.ts";
import type { Assignment, Person, Plan, Task, Team } from "../core/plan/schema.ts";
import { randomFrom } from "../demo/random.ts";
import { nextDate } from "./plainCapacity.ts";
import { editsFrom } from "./randomEdits.ts";

type Random = ReturnType<typeof randomFrom>;
type Make = (plan: Plan, random: Random, id: string) => Edit;

/** A stream of edits of all kinds; most fit the plan they are asked for, some are to be refused. */
export function everyEditFrom(seed: number): (plan: Plan) => Edit {
  const random = randomFrom(seed + 7_000);
  const usual = editsFrom(seed);
  let made = 0;
  return (plan) => {
    made++;
    return random.below(4) === 0 ? usual(plan) : random.pick(kinds)(plan, random, `${seed}-${made}`);
  };
}

const aDate = ({ below }: Random): string => nextDate("2027-01-04", below(300));
const AT = "2027-02-01T09:00:00Z";
const ME = "Nora Okafor";

function range(random: Random, most: number): { from: string; to: string } {
  const from = aDate(random);
  return { from, to: nextDate(from, random.below(most)) };
}

/** One of a list's ids; one that there is not where the list is empty. */
/** The keys of a booking of an expense. */
const ofExpense = ({ id, projectId }: Plan["expenses"][number]) => ({ projectId, expenseId: id });

const anId = ({ pick }: Random, rows: readonly { id: string }[]): string => (rows.length > 0 ? pick(rows).id : "nothing");

function newTask({ projects, roles }: Plan, { pick, below }: Random, id: string): Task {
  return { id, projectId: pick(projects).id, name: `Task ${id}`, roleId: pick(roles).id, sizing: "duration", durationDays: below(12) };
}

function newWork({ people }: Plan, { pick, below }: Random, id: string, taskId: string): Assignment {
  return { id, taskId, personId: pick(people).id, hours: 1 + below(40) };
}

const withLeave = ({ people }: Plan): Person[] => people.filter(({ timeOff }) => (timeOff?.length ?? 0) > 0);

const kinds: Make[] = [
  ({ people, tasks }, random, id) => ({
    kind: "recordHours",
    personId: random.pick(people).id,
    cells: [1, 2].map((at) => ({
      newId: `hours-${id}-${at}`,
      date: aDate(random),
      ...(at === 1 ? { taskId: random.pick(tasks).id } : { activity: "Meeting" }),
      hours: random.below(5) === 0 ? null : 0.5 + random.below(8) / 2,
    })),
  }),
  ({ timeEntries }, random) => ({
    kind: "decideHours",
    ids: [anId(random, timeEntries)],
    state: random.pick(["submitted", "submitted", "approved", "returned", "draft"] as const),
    reason: "On which case?",
  }),
  ({ people }, random, id) => ({
    kind: "acceptOverload",
    acceptance: { id: `accept-${id}`, personId: random.pick(people).id, ...range(random, 30), reason: "Known, and left" },
  }),
  ({ tasks }, random) => ({ kind: "deleteTasks", ids: [anId(random, tasks), anId(random, tasks)] }),
  ({ acceptances }, random) => ({ kind: "deleteAcceptance", id: anId(random, acceptances) }),
  (_, { below }, id) => ({
    kind: "snoozeSignal",
    snooze: { id: `snooze-${id}`, signal: `over ${below(9)}`, until: "2027-06-01", reason: "Seen" },
  }),
  ({ snoozes }, random) => ({ kind: "wakeSignal", id: anId(random, snoozes) }),
  ({ roles, templates }, random, id) => ({
    kind: "addEnquiry",
    enquiry: {
      id: `enquiry-${id}`,
      name: `Enquiry ${id}`,
      contact: { name: "Someone Else", organisation: "Some museum" },
      wishedStart: aDate(random),
      ...(random.below(2) === 0
        ? { templateId: anId(random, templates) }
        : { hours: [{ roleId: random.pick(roles).id, hours: 1 + random.below(90) }] }),
      state: "received",
      history: [{ at: AT, by: "Someone Else", step: "received" }],
    },
  }),
  ({ enquiries }, random) => ({ kind: "changeEnquiry", id: anId(random, enquiries), set: { value: random.below(90_000), purpose: null } }),
  ({ enquiries }, random) => ({ kind: "deleteEnquiry", id: anId(random, enquiries) }),
  (_, random, id) => ({ kind: "addSketch", sketch: { id: `sketch-${id}`, name: `Sketch ${random.below(9)}`, by: ME, at: AT, edits: [] } }),
  ({ sketches }, random) => ({ kind: "renameSketch", id: anId(random, sketches), name: `Other ${random.below(9)}` }),
  ({ sketches }, random) => ({ kind: "deleteSketch", id: anId(random, sketches) }),
  ({ projects }, random, id) => ({
    kind: "addBaseline",
    id: `baseline-${id}`,
    name: `Baseline ${id}`,
    ...(random.below(2) === 0 && { projectIds: [anId(random, projects)] }),
  }),
  ({ baselines }, random) => ({ kind: "deleteBaseline", id: anId(random, baselines) }),
  ({ sketches, tasks }, random, id) => ({
    kind: "drawInSketch",
    id: anId(random, sketches),
    entry: {
      id: `drawn-${id}`,
      words: "rename a task",
      edit: { kind: "changeTask", id: anId(random, tasks), set: { name: `Drawn ${id}` } },
    },
  }),
  ({ sketches }, random) => ({
    kind: "eraseFromSketch",
    id: anId(random, sketches),
    entryIds: [sketches.flatMap(({ edits }) => edits.map((entry) => entry.id))[0] ?? "nothing"],
  }),
  ({ enquiries, projects }, random) => ({
    kind: "stepEnquiry",
    id: anId(random, enquiries),
    projectId: random.pick(projects).id,
    entry: { at: AT, by: ME, step: random.pick(["accepted", "approved", "declined", "reopened"] as const), text: "So it is." },
  }),
  ({ people }, { pick }, id) => ({
    kind: "sendNote",
    note: {
      id: `note-${id}`,
      signal: "over x",
      personId: pick(people).id,
      by: "Someone Else",
      at: "2027-02-01T08:00:00Z",
      text: "Please look",
    },
  }),
  ({ projects }, random, id) => ({
    kind: "addExpense",
    expense: {
      id: `expense-${id}`,
      projectId: anId(random, projects),
      name: `Expense ${id}`,
      amount: random.below(900),
      costType: "travel",
      ...range(random, 60),
    },
  }),
  ({ expenses }, random) => ({
    kind: "changeExpense",
    id: anId(random, expenses),
    set: random.pick([
      { amount: random.below(500) },
      { taxPercent: null },
      { from: null, to: null, date: aDate(random) },
      { treatment: "capital" as const },
    ]),
  }),
  ({ exchangeRates }, random) => ({
    kind: "changeExchange",
    rates: [
      ...exchangeRates.slice(random.below(2), 9),
      { currency: random.pick(["GBP", "USD"]), from: aDate(random), rate: 0.5 + random.below(20) / 10 },
    ],
  }),
  ({ expenses }, random) => ({ kind: "deleteExpense", id: anId(random, expenses) }),
  ({ projects, expenses }, random, id) => ({
    kind: "addBooking",
    booking: {
      id: `booking-${id}`,
      date: aDate(random),
      amount: 10 + random.below(900),
      costType: "other",
      reference: `Invoice ${random.below(99)}`,
      ...(random.below(2) === 0 && expenses.length > 0 ? ofExpense(random.pick(expenses)) : { projectId: random.pick(projects).id }),
    },
  }),
  ({ actualCosts }, random) => ({
    kind: "changeBooking",
    id: anId(random, actualCosts),
    set: random.below(2) === 0 ? { amount: random.below(900) - 200 } : { expenseId: null, taskId: null, supplier: "Other supplier" },
  }),
  ({ actualCosts }, random) => ({ kind: "deleteBooking", id: anId(random, actualCosts) }),
  (_, { below }, id) => ({
    kind: "addCalendar",
    calendar: { id: `calendar-${id}`, name: `Calendar ${id}`, week: [8, 8, 8, 8, below(2) * 8, 0, 0], exceptions: [] },
  }),
  ({ calendars }, random) => ({ kind: "deleteCalendar", id: anId(random, calendars.slice(-2)) }),
  ({ tasks, people }, { pick }, id) => ({
    kind: "addComment",
    comment: {
      id: `comment-${id}`,
      taskId: pick(tasks).id,
      author: ME,
      at: AT,
      text: "What about this?",
      mentions: [{ personId: pick(people).id }],
    },
  }),
  ({ comments }, random) => ({ kind: "deleteComment", id: anId(random, comments) }),
  (plan, random, id) => {
    const { calendarId } = plan.projects[0];
    const project = { id: `project-${id}`, name: `Project ${id}`, stage: "approved" as const, start: aDate(random), calendarId };
    const task: Task = { ...newTask(plan, random, `task-${id}`), projectId: project.id };
    return { kind: "addProject", project, tasks: [task], assignments: [newWork(plan, random, `work-${id}`, task.id)], links: [] };
  },
  (_, { pick }, id) =>
    pick([
      { kind: "addNamed", list: "skills", row: { id: `skill-${id}`, name: `Skill ${id}` } },
      { kind: "addNamed", list: "materials", row: { id: `material-${id}`, name: `Material ${id}`, unit: "kg" } },
      { kind: "addNamed", list: "roles", row: { id: `role-${id}`, name: `Role ${id}` } },
    ]),
  ({ skills, clients }, random, id) =>
    random.pick([
      {
        kind: "changeNamed",
        list: "skills",
        id: anId(random, skills),
        set: { name: `Skill ${id} again`, group: random.pick([null, "Hand"]) },
      },
      { kind: "changeNamed", list: "clients", id: anId(random, clients), set: { name: `Client ${id} again` } },
    ]),
  ({ roles, skills, clients, rateTables }, random) => {
    const [list, rows] = random.pick([
      ["roles", roles] as const,
      ["skills", skills] as const,
      ["clients", clients] as const,
      ["rateTables", rateTables] as const,
    ]);
    return { kind: "mergeNamed", list, id: anId(random, rows), into: anId(random, rows) };
  },
  ({ roles, skills, rateTables }, random) => {
    const [list, rows] = random.pick([
      ["roles", roles] as const,
      ["skills", skills] as const,
      ["rateTables", rateTables.slice(1)] as const,
    ]);
    return { kind: "deleteNamed", list, id: anId(random, rows), detaches: random.below(2) === 0 };
  },
  ({ people, projects }, random, id) =>
    random.pick([
      { kind: "renameMark", of: "place", from: random.pick(people).location ?? "nowhere", to: random.pick([null, `Place ${id}`]) },
      { kind: "renameMark", of: "category", from: random.pick(projects).category ?? "none", to: `Category ${id}` },
    ]),
  ({ projects }, { pick, below }) => ({ kind: "deleteProject", id: below(4) === 0 ? pick(projects).id : (projects.at(-1)?.id ?? "none") }),
  (_, { pick, below }, id) => ({
    kind: "changeSettings",
    set: pick([
      { name: `Plan ${id}`, weekStartsOn: pick([null, 1 + below(7)]), levelBand: pick([null, { low: 0.8, high: 1.1 }]) },
      { marginTarget: pick([null, below(60)]) },
      { hoursPerFteWeek: pick([null, 30 + below(10)]), levelBand: pick([null, { low: 0.5, high: 0.9 }]) },
      { taxInCost: pick([null, true]), fiscalYearStartMonth: pick([null, 1 + below(12)]) },
    ]),
  }),
  (plan, random, id) => {
    const first = newTask(plan, random, `first-${id}`);
    const second = { ...newTask(plan, random, `second-${id}`), projectId: first.projectId };
    return {
      kind: "addTasks",
      tasks: [first, second],
      next: random.pick([null, random.pick(plan.tasks).id]),
      assignments: [newWork(plan, random, `work-${id}`, second.id)],
      links: [{ id: `link-${id}`, from: first.id, to: second.id, kind: "FS" }],
    };
  },
  ({ people, teams }, { pick, below }, id) => {
    const team: Team = { id: `team-${id}`, name: `Team ${id}`, handle: `team-${id}`, memberIds: [pick(people).id] };
    return { kind: "addTeam", team: teams.length > 0 && below(2) === 0 ? { ...team, parentId: pick(teams).id } : team };
  },
  ({ teams, people }, random) => ({
    kind: "changeTeam",
    id: anId(random, teams),
    set: { memberIds: [random.pick(people).id], parentId: random.pick([null, anId(random, teams)]), description: "Changed" },
  }),
  ({ teams }, random) => ({ kind: "deleteTeam", id: anId(random, teams) }),
  ({ projects }, { pick }, id) => ({ kind: "addTemplate", id: `template-${id}`, name: `Template ${id}`, projectId: pick(projects).id }),
  ({ templates }, random) => ({ kind: "deleteTemplate", id: anId(random, templates) }),
  ({ tasks, people }, { pick, below }, id) => {
    const [taskId, hours] = [pick(tasks).id, 4 + below(40)];
    const personId = pick(people).id;
    const entry = { at: AT, by: ME, to: "Project lead", step: "asked" as const };
    return {
      kind: "askWork",
      request: { id: `request-${id}`, taskId, assignmentId: `asked-${id}`, personId, hours, state: "asked", history: [entry] },
      assignment: { id: `asked-${id}`, taskId, personId, hours, firmness: "asked" },
    };
  },
  ({ requests, people }, random) => {
    const step = random.pick(["offered", "confirmed", "declined"] as const);
    return {
      kind: "answerRequest",
      id: anId(random, requests),
      entry: { at: AT, by: ME, to: "Project lead", step, ...(step === "declined" && { text: "Not then" }) },
      ...(step !== "declined" && { personId: random.pick(people).id }),
    };
  },
  (plan, random) => {
    const person = random.pick(withLeave(plan));
    const state = random.pick(["approved", "declined", "requested"] as const);
    return {
      kind: "answerTimeOff",
      personId: person?.id ?? "nobody",
      id: anId(random, person?.timeOff ?? []),
      state,
      ...(state === "declined" && { reason: "Too many are away" }),
      ...(state === "requested" && { suggested: range(random, 9) }),
    };
  },
  (plan, random) => {
    const person = random.pick(withLeave(plan));
    return { kind: "deleteTimeOff", personId: person?.id ?? "nobody", id: anId(random, person?.timeOff ?? []) };
  },
  ({ rateTables, roles }, { pick, below }) => {
    const table = pick(rateTables);
    const [role, roll] = [pick(roles), below(40)];
    const [known] = table.entries;
    if (known && roll % 2 === 1) {
      const { personId, roleId, materialId, from } = known;
      const set = roll % 8 === 1 ? null : { rate: roll, perUse: roll % 8 === 3 ? null : 5 };
      return { kind: "changeRates", tableId: table.id, cells: [{ of: { personId, roleId, materialId, from }, set }] };
    }
    const entry = { roleId: role.id, from: "2027-05-01", rate: 20 + roll };
    return { kind: "changeRates", tableId: table.id, added: [entry] };
  },
  ({ people }, { pick }, id) => {
    const { timeOff: _, overtime: __, ...copied } = pick(people);
    return {
      kind: "importRows",
      source: "people.csv",
      rows: [
        { list: "people", row: { ...pick(people), location: `Place ${id}` } },
        { list: "people", row: { ...copied, id: `imported-${id}`, name: `Imported ${id}` } },
      ],
    };
  },
  ({ tasks }, { pick }) => ({ kind: "changeTask", id: pick(tasks).id, set: { state: pick(["done", "underWay", null]) } }),
  ({ people, projects }, { pick }) =>
    pick([
      { kind: "changePerson", id: pick(people).id, set: { archived: true, employedTo: "2028-12-31" } },
      { kind: "changePerson", id: pick(people).id, set: { archived: null } },
      { kind: "changeProject", id: pick(projects).id, set: { archived: true, stage: "done" } },
    ]),
  ({ tasks }, random) => {
    const done = tasks.filter(({ state }) => state === "done");
    return { kind: "reviewTask", id: anId(random, done), reason: random.pick([null, "The edges are not sealed"]) };
  },
  (_, { below }, id) => ({
    kind: "saveView",
    view: { id: `view-${id}`, name: `View ${below(5)}`, screen: "balance", query: `?rows=none&sort=worst&n=${id}` },
  }),
  ({ views }, random) => ({ kind: "deleteView", id: anId(random, views) }),
  (plan, random, id) => {
    const taskId = random.pick(plan.tasks).id;
    const rows = [newWork(plan, random, `joins-${id}`, taskId), ...plan.assignments.filter((own) => own.taskId === taskId).slice(0, 1)];
    return { kind: "setStaff", taskId, rows };
  },
  (plan, random, id) => {
    const openings = plan.assignments.filter(({ personId, teamId, materialId }) => !personId && !teamId && !materialId);
    return {
      kind: "staffTasks",
      personId: random.pick(plan.people).id,
      openings: openings.slice(0, 2).map((own) => own.id),
      assignments: [newWork(plan, random, `staffed-${id}`, random.pick(plan.tasks).id)],
    };
  },
  (plan, random, id) => ({
    kind: "together",
    words: "two steps at once",
    edits: [
      { kind: "addTask", task: newTask(plan, random, `together-${id}`), next: null },
      { kind: "addAssignment", assignment: newWork(plan, random, `worked-${id}`, `together-${id}`) },
    ],
  }),
];

/** How often each kind of edit has been made; typed so that a new kind has to be listed. */
export function noEditsYet(): Record<Edit["kind"], number> {
  const single: Record<SingleEdit["kind"], number> = {
    acceptOverload: 0,
    recordHours: 0,
    decideHours: 0,
    addAssignment: 0,
    addCalendar: 0,
    addComment: 0,
    addExpense: 0,
    changeExpense: 0,
    addBooking: 0,
    changeBooking: 0,
    deleteBooking: 0,
    changeExchange: 0,
    deleteExpense: 0,
    addLink: 0,
    addPerson: 0,
    addProject: 0,
    addNamed: 0,
    addTask: 0,
    addTasks: 0,
    addTeam: 0,
    addTemplate: 0,
    answerRequest: 0,
    answerTimeOff: 0,
    askWork: 0,
    changeAssignment: 0,
    changeCalendar: 0,
    changeLink: 0,
    changePeople: 0,
    changePerson: 0,
    changeProject: 0,
    changeNamed: 0,
    changeRates: 0,
    changeSettings: 0,
    changeTask: 0,
    changeTasks: 0,
    changeTeam: 0,
    deleteAcceptance: 0,
    deleteAssignment: 0,
    deleteCalendar: 0,
    deleteComment: 0,
    deleteLink: 0,
    deleteNamed: 0,
    deletePerson: 0,
    deleteProject: 0,
    deleteTask: 0,
    deleteTasks: 0,
    deleteTeam: 0,
    deleteTemplate: 0,
    deleteTimeOff: 0,
    deleteView: 0,
    importRows: 0,
    mergeNamed: 0,
    moveTask: 0,
    reassign: 0,
    renameMark: 0,
    reviewTask: 0,
    saveView: 0,
    setStaff: 0,
    setTimeOff: 0,
    splitAssignment: 0,
    staffTasks: 0,
    snoozeSignal: 0,
    wakeSignal: 0,
    sendNote: 0,
    addEnquiry: 0,
    changeEnquiry: 0,
    deleteEnquiry: 0,
    stepEnquiry: 0,
    addBaseline: 0,
    deleteBaseline: 0,
    addSketch: 0,
    renameSketch: 0,
    deleteSketch: 0,
    drawInSketch: 0,
    eraseFromSketch: 0,
  };
  return { ...single, together: 0 };
}
