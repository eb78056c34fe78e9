// A studio grown large: 2,000 people, 400 projects, 20,000 tasks, 50,000 assignments over two years, from a fixed seed.
import { dayOfDate, formatDay } from "../core/calendar/day.ts";
import type { Assignment, Link, Person, Plan, Project, RateEntry, Task } from "../core/plan/schema.ts";
import { calendars } from "./calendars.ts";
import { roles, skills } from "./people.ts";
import { randomFrom } from "./random.ts";

export interface LargeSize {
  people: number;
  projects: number;
  tasks: number;
  assignments: number;
  links: number;
}

const usual: LargeSize = { people: 2_000, projects: 400, tasks: 20_000, assignments: 50_000, links: 30_000 };
const FIRST = dayOfDate(2027, 1, 4);
const DAYS = 728;

const givenNames = [
  "Ada",
  "Bela",
  "Ciro",
  "Dora",
  "Emil",
  "Fleur",
  "Gil",
  "Hana",
  "Ivo",
  "Jara",
  "Kim",
  "Lior",
  "Mina",
  "Nils",
  "Orla",
  "Per",
  "Quin",
  "Rosa",
  "Sven",
  "Tove",
];
const familyNames = [
  "Alder",
  "Birk",
  "Corvo",
  "Dahl",
  "Esk",
  "Fenn",
  "Gale",
  "Holm",
  "Iris",
  "Jung",
  "Kite",
  "Lund",
  "Moss",
  "Nash",
  "Oake",
  "Pike",
  "Reed",
  "Sorrel",
  "Thorn",
  "Vale",
];
const taskNames = [
  "Drawings",
  "Cases",
  "Labels",
  "Mounts",
  "Rig",
  "Film",
  "Scenery",
  "Graphics",
  "Survey",
  "Transport",
  "Focus",
  "Snagging",
];

/** Builds the large plan; smaller ones for tests by their size. */
export function largePlan(size: Partial<LargeSize> = {}, seed = 7): Plan {
  const counts = { ...usual, ...size };
  const random = randomFrom(seed);
  const people = Array.from({ length: counts.people }, (_, at) => madePerson(at, random));
  const projects = Array.from({ length: counts.projects }, (_, at) => madeProject(at, random));
  const tasks = madeTasks(counts, projects, random);
  return {
    format: "mindful-roster-plan",
    version: 1,
    settings: {
      name: "Fernhollow, grown large",
      currency: "EUR",
      planStart: formatDay(FIRST),
      planEnd: formatDay(FIRST + DAYS - 1),
      today: formatDay(FIRST + 28),
    },
    calendars,
    roles,
    skills,
    people,
    teams: [],
    materials: [],
    exchangeRates: [],
    rateTables: [{ id: "cost", name: "Cost", kind: "cost", entries: madeRates(random) }],
    clients: [{ id: "client", name: "Saltmarsh Museum of Tides" }],
    projects,
    tasks,
    links: madeLinks(counts, tasks, random),
    assignments: madeAssignments(counts, people, tasks, random),
    expenses: [],
    templates: [],
    comments: [],
    views: [],
    acceptances: [],
    snoozes: [],
    notes: [],
    enquiries: [],
    sketches: [],
    timeEntries: [],
    actualCosts: [],
    baselines: [],
    requests: [],
  };
}

type Random = ReturnType<typeof randomFrom>;

function madePerson(at: number, { pick, below }: Random): Person {
  const role = roles[at % roles.length];
  return {
    id: `p${at}`,
    name: `${pick(givenNames)} ${pick(familyNames)} ${at}`,
    roleIds: [role.id],
    skills: [{ skillId: pick(skills).id, level: 1 + below(5) }],
    calendarId: pick(calendars).id,
    ...(below(5) === 0 && { patterns: [{ from: formatDay(FIRST), week: [8, 8, below(2) * 8, 8, 4, 0, 0] }] }),
    ...(below(3) === 0 && { timeOff: [leave(`o${at}`, below(DAYS - 10))] }),
    ...(below(40) === 0 && { overtime: [{ id: `x${at}`, from: formatDay(FIRST + 60), to: formatDay(FIRST + 80), hoursPerDay: 2 }] }),
  };
}

function leave(id: string, from: number) {
  return { id, from: formatDay(FIRST + from), to: formatDay(FIRST + from + 6), kind: "holiday" as const, state: "approved" as const };
}

function madeProject(at: number, { below, pick }: Random): Project {
  return {
    id: `j${at}`,
    name: `Gallery ${at + 1}`,
    code: `G${at + 1}`,
    clientId: "client",
    calendarId: pick(calendars).id,
    stage: pick(["active", "active", "active", "approved", "pipeline"] as const),
    probability: 50,
    start: formatDay(FIRST + below(DAYS - 160)),
    costTableId: "cost",
  };
}

function madeTasks({ tasks, projects: count }: LargeSize, projects: readonly Project[], { below, pick }: Random): Task[] {
  return Array.from({ length: tasks }, (_, at) => {
    const project = projects[at % count];
    const base = { id: `t${at}`, projectId: project.id, name: `${pick(taskNames)} ${Math.floor(at / count) + 1}`, roleId: pick(roles).id };
    const offset = below(120);
    if (at % 4 > 0)
      return { ...base, sizing: "duration" as const, durationDays: 5 + below(30), notBefore: formatDay(dayOf(project.start) + offset) };
    const start = dayOf(project.start) + offset;
    return { ...base, sizing: "dates" as const, start: formatDay(start), finish: formatDay(start + 7 + below(35)) };
  });
}

function dayOf(date: string): number {
  const [year, month, day] = date.split("-").map(Number);
  return dayOfDate(year, month, day);
}

/** Links between neighbours of a project, always from an earlier task to a later one. */
function madeLinks({ links, tasks: count, projects }: LargeSize, tasks: readonly Task[], { below, pick }: Random): Link[] {
  return Array.from({ length: links }, (_, at) => {
    const to = projects + (at % (count - projects));
    const back = 1 + below(Math.min(3, Math.floor(to / projects)));
    const kind = pick(["FS", "FS", "SS", "FF"] as const);
    return {
      id: `l${at}`,
      from: tasks[to - back * projects].id,
      to: tasks[to].id,
      kind: kind === "FS" && at % 3 > 0 ? "SS" : kind,
      ...(at % 5 === 0 && { lagDays: 1 + below(3) }),
    };
  });
}

function madeAssignments(
  { assignments }: LargeSize,
  people: readonly Person[],
  tasks: readonly Task[],
  { below, pick }: Random,
): Assignment[] {
  return Array.from({ length: assignments }, (_, at) => {
    const base = {
      id: `a${at}`,
      taskId: tasks[at % tasks.length].id,
      ...(at % 25 === 0 ? { roleId: pick(roles).id } : { personId: pick(people).id }),
    };
    const kind = below(10);
    if (kind < 6) return { ...base, hours: 8 + below(40) };
    if (kind < 8) return { ...base, percent: 10 + below(40) };
    return kind === 8
      ? { ...base, hoursPerDay: 1 + below(3) }
      : { ...base, hoursPerWeek: 2 + below(10), ...(at % 2 === 0 && { firmness: "pencilled" as const }) };
  });
}

function madeRates({ below }: Random): RateEntry[] {
  return [
    { rate: 40 },
    ...roles.flatMap(({ id }) => [
      { roleId: id, rate: 30 + below(20), overtimeRate: 60 },
      { roleId: id, from: formatDay(FIRST + 300), rate: 33 + below(20), overtimeRate: 66 },
    ]),
  ];
}
