// Random edits of a plan, for properties that hold after every edit.

import { dayOfDate, formatDay } from "../core/calendar/day.ts";
import type { Edit } from "../core/edits/edit.ts";
import type { Plan } from "../core/plan/schema.ts";
import { randomFrom } from "../demo/random.ts";

type Random = ReturnType<typeof randomFrom>;

/** A stream of edits that fit the plan they are asked for. */
export function editsFrom(seed: number): (plan: Plan) => Edit {
  const random = randomFrom(seed);
  let made = 0;
  return (plan) => {
    made++;
    return random.pick(kinds)(plan, random, `${seed}-${made}`);
  };
}

const dayOf2027 = (at: number): string => formatDay(dayOfDate(2027, 1, 4) + at);

const kinds: ((plan: Plan, random: Random, id: string) => Edit)[] = [
  ({ assignments, people }, { pick }) => ({ kind: "reassign", id: pick(assignments).id, personId: pick(people).id }),
  ({ assignments }, { pick, below }) => ({
    kind: "changeAssignment",
    id: pick(assignments).id,
    set: { hours: 5 + below(90), percent: null, hoursPerDay: null, hoursPerWeek: null, custom: null },
  }),
  ({ assignments }, { pick }) => ({
    kind: "changeAssignment",
    id: pick(assignments).id,
    set: { firmness: pick(["pencilled", "confirmed"]) },
  }),
  ({ assignments }, { pick }) => ({ kind: "deleteAssignment", id: pick(assignments).id }),
  ({ tasks, people }, { pick, below }, id) => ({
    kind: "addAssignment",
    assignment: { id: `new-${id}`, taskId: pick(tasks).id, personId: pick(people).id, hoursPerDay: 1 + below(6) },
  }),
  ({ tasks }, { pick, below }) => ({ kind: "changeTask", id: pick(tasks).id, set: { effortHours: 10 + below(200) } }),
  ({ tasks }, { pick, below }) => ({
    kind: "changeTask",
    id: pick(tasks).id,
    set: { sizing: "duration", durationDays: below(25), start: null, finish: null },
  }),
  ({ tasks }, { pick }) => ({ kind: "deleteTask", id: pick(tasks).id }),
  ({ projects }, { pick, below }, id) => ({
    kind: "addTask",
    task: { id: `new-${id}`, projectId: pick(projects).id, name: `New ${id}`, sizing: "duration", durationDays: below(9) },
    next: null,
  }),
  ({ tasks }, { pick, below }, id) => ({
    kind: "addLink",
    link: { id: `link-${id}`, from: pick(tasks).id, to: pick(tasks).id, kind: pick(["FS", "SS", "FF", "SF"]), lagDays: below(5) - 2 },
  }),
  ({ tasks }, { pick }) => ({
    kind: "moveTask",
    id: pick(tasks).id,
    parentId: pick([null, pick(tasks).id]),
    next: pick([null, pick(tasks).id]),
  }),
  ({ tasks }, { pick, below }) => ({
    kind: "changeTasks",
    ids: [pick(tasks).id, pick(tasks).id],
    set: { priority: 1 + below(5), percentComplete: below(101) },
  }),
  ({ tasks }, { pick }) => ({ kind: "deleteTask", id: pick(tasks).id, joins: true }),
  ({ people }, { pick, below }, id) => ({
    kind: "setTimeOff",
    personId: pick(people).id,
    timeOff: {
      id: `off-${id}`,
      from: `2027-03-0${1 + below(5)}`,
      to: `2027-03-1${below(9)}`,
      kind: "holiday",
      state: pick(["approved", "requested"]),
    },
  }),
  ({ people, teams }, { pick }) => ({
    kind: "changePeople",
    ids: [pick(people).id, pick(people).id],
    set: { ...(teams.length > 0 && { teamId: pick(teams).id }), pattern: { from: "2027-04-01", week: [8, 8, 8, 8, 4, 0, 0] } },
  }),
  ({ assignments, people, roles }, { pick, below }, id) => ({
    kind: "splitAssignment",
    id: pick(assignments).id,
    date: `2027-0${2 + below(5)}-15`,
    gives: pick(["earlier", "later"]),
    newId: `split-${id}`,
    personId: pick([null, pick(people).id]),
    roleId: pick(roles).id,
    hours: below(20),
  }),
  ({ calendars }, { pick, below }) => ({
    kind: "changeCalendar",
    id: pick(calendars).id,
    set: { exceptions: [{ from: `2027-0${1 + below(9)}-03`, to: `2027-0${1 + below(9)}-28`, hours: below(9), name: "Drawn" }] },
  }),
  ({ tasks, calendars }, { pick, below }) => ({
    kind: "changeTask",
    id: pick(tasks).id,
    set: {
      notBefore: pick([null, dayOf2027(below(300))]),
      deadline: pick([null, dayOf2027(below(300))]),
      finishNotBefore: pick([null, null, dayOf2027(below(300))]),
      calendarId: pick([null, pick(calendars).id]),
    },
  }),
  ({ tasks }, { pick, below }) => ({ kind: "changeTask", id: pick(tasks).id, set: { staggerDays: pick([null, below(12) / 2]) } }),
  ({ tasks }, { pick, below }) => {
    const at = below(300);
    return { kind: "changeTask", id: pick(tasks).id, set: { sizing: "dates", start: dayOf2027(at), finish: dayOf2027(at + below(30)) } };
  },
  ({ tasks }, { pick }) => ({ kind: "changeTask", id: pick(tasks).id, set: { sizing: "effort", durationDays: null } }),
  ({ links }, { pick, below }) => ({
    kind: "changeLink",
    id: pick(links).id,
    set: { lagDays: below(9) - 4, elapsed: pick([null, true]), kind: pick(["FS", "SS", "FF", "SF"]) },
  }),
  ({ links }, { pick }) => ({ kind: "deleteLink", id: pick(links).id }),
  ({ projects, calendars }, { pick, below }) => ({
    kind: "changeProject",
    id: pick(projects).id,
    set: { start: dayOf2027(below(200)), deadline: pick([null, dayOf2027(200 + below(200))]), calendarId: pick(calendars).id },
  }),
  ({ calendars, roles }, { pick }, id) => ({
    kind: "addPerson",
    person: { id: `new-${id}`, name: `New ${id}`, roleIds: [pick(roles).id], calendarId: pick(calendars).id },
  }),
  ({ people }, { pick }) => ({ kind: "deletePerson", id: pick(people).id }),
  ({ people, calendars }, { pick }) => ({
    kind: "changePerson",
    id: pick(people).id,
    set: { calendarId: pick(calendars).id, employedTo: "2028-06-30" },
  }),
];
