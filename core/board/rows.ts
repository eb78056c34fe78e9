// The rows of a board and their figures, for each kind of rows it can have.
import { parseDay } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import type { LoadBook } from "../load/loadBook.ts";
import { addSums, emptySums, type LevelBand, overBeyond, overOf, type PeriodSums, roomOf, statesOf, workSums } from "../load/periodSums.ts";
import type { Placed } from "../placing/placed.ts";
import { placedIn } from "../placing/placements.ts";
import { firstRoleName } from "../plan/names.ts";
import { membersOf } from "../plan/rows.ts";
import type { Person, Plan } from "../plan/schema.ts";
import { lookUp } from "../values/lookUp.ts";
import { recordOf } from "../values/objectKeys.ts";
import { isOpening } from "../work/work.ts";
import { acceptedDays, type BoardGroup, type BoardView, groupsOf, projectsLeft } from "./view.ts";

/** A row of the board. A group adds up its people; a part is what one person does on one project. */
export interface BoardRow {
  kind: "group" | "person" | "part";
  /** Of the role, team, place, person or project; of a part, its project's or its person's. */
  id: string;
  /** Unique on the board. */
  key: string;
  name: string;
  /** The second line under a name. */
  roleName: string;
  /** Of a person, and of what is a person's part. */
  personId?: string;
  /** Of a project. */
  projectRow?: number;
  weekDays?: number;
  isContractor?: boolean;
  /** Days of requested leave that has not been decided; left out when there is none. */
  requestedLeave?: readonly Range[];
}

/** The input of a board. */
export interface BoardInput {
  load: LoadBook;
  periods: readonly Range[];
  /** Sums of the people in `left`, in that order; and what of their load is tentative. */
  people: PeriodSums;
  tentative: Int32Array;
  left: readonly number[];
  view: BoardView;
  band: LevelBand;
  countsTasks: boolean;
}

const figureKeys = ["capacity", "load", "peakOver", "tentative", "open", "toTeam", "overCount", "tasks"] as const;
type FigureKey = (typeof figureKeys)[number];

/** Makes the rows of a board one after the other, with their figures. */
export class BoardMaker {
  readonly all: PeriodSums;
  overPeople = 0;
  overMinutes = 0;
  readonly #rows: BoardRow[] = [];
  /** By row where its figures are: of a person their place in `left`, of all others the figures themselves. */
  readonly #sources: (number | Partial<Record<FigureKey, Int32Array>>)[] = [];
  readonly #accepted: Uint8Array[] = [];
  readonly #acceptedDays: ReturnType<typeof acceptedDays>;
  /** Index in `left` of each person row. */
  readonly #slot: Map<number, number>;
  readonly #count: number;
  readonly #over: Int32Array;
  /** Shared by all rows that have nothing: read, never written. */
  readonly #zeros: Int32Array;
  readonly #nowhere: Uint8Array;
  readonly #openings = new Map<Int32Array, Map<number, number[]>>();

  constructor(
    readonly placed: Placed,
    readonly input: BoardInput,
  ) {
    this.#count = input.periods.length;
    this.#zeros = new Int32Array(this.#count);
    this.#nowhere = new Uint8Array(this.#count);
    this.all = emptySums(this.#count);
    this.#slot = new Map(input.left.map((row, at) => [row, at]));
    this.#acceptedDays = acceptedDays(placed.plan);
    this.#over = this.#overMinutes();
  }

  make(): void {
    const { view, left } = this.input;
    for (const person of left) this.#total(person);
    switch (view.rows) {
      case "role":
      case "team":
      case "location":
        for (const group of groupsOf(this.placed, view, new Set(left))) {
          this.#addGroup(group);
          for (const person of this.#sorted(group.people)) this.#addPerson(person, group.id);
        }
        break;
      case "none":
        for (const person of this.#sorted(left)) this.#addPerson(person, "");
        break;
      case "roles":
      case "teams":
        this.#addGroups(groupsOf(this.placed, view, new Set(left)));
        break;
      case "projects":
        this.#addProjects();
        break;
      case "peopleProjects":
        for (const person of this.#sorted(left)) {
          this.#addPerson(person, "");
          for (const [project, load] of this.#projectLoads(person)) this.#addPart(person, project, load, "project");
        }
    }
  }

  /** The rows and their figures, those past `limit` without figures. */
  cut(limit: number | undefined) {
    const filled = Math.min(limit ?? this.#rows.length, this.#rows.length);
    const figures = recordOf(figureKeys, () => new Int32Array(filled * this.#count));
    for (let row = 0; row < filled; row++) this.#fill(figures, row);
    const accepted = new Uint8Array(filled * this.#count);
    for (let row = 0; row < filled; row++) accepted.set(this.#accepted[row], row * this.#count);
    return { rows: this.#rows, filled, ...figures, accepted, state: statesOf(figures, this.input.band) };
  }

  #fill(figures: Record<FigureKey, Int32Array>, row: number): void {
    const [source, count, at] = [this.#sources[row], this.#count, row * this.#count];
    if (typeof source === "number") {
      const { people, tentative } = this.input;
      for (let p = 0, from = source * count; p < count; p++, from++) {
        figures.capacity[at + p] = people.capacity[from];
        figures.load[at + p] = people.load[from];
        figures.peakOver[at + p] = people.peakOver[from];
        figures.tentative[at + p] = tentative[from];
      }
      if (this.input.countsTasks) figures.tasks.set(this.#tasksOf(this.input.left[source]), at);
    } else for (const key of figureKeys) if (source[key]) figures[key].set(source[key], at);
  }

  #figuresOf(person: number): PeriodSums {
    const at = lookUp(this.#slot, person) * this.#count;
    const { capacity, load, peakOver } = this.input.people;
    const cut = (minutes: Int32Array) => minutes.subarray(at, at + this.#count);
    return { capacity: cut(capacity), load: cut(load), peakOver: cut(peakOver) };
  }

  /** By person in `left` and period: minutes a person is over by, where nobody has accepted it. */
  #overMinutes(): Int32Array {
    const { people, left, band } = this.input;
    const over = new Int32Array(people.load.length);
    left.forEach((person, at) => {
      const accepted = this.#acceptedOf(person);
      for (let p = 0, slot = at * this.#count; p < this.#count; p++, slot++)
        if (accepted[p] === 0) over[slot] = overBeyond(people.capacity[slot], people.load[slot], band);
    });
    return over;
  }

  /** Adds a person to the sums of the board. */
  #total(person: number): void {
    const { capacity, load, peakOver } = this.input.people;
    const from = lookUp(this.#slot, person) * this.#count;
    let minutes = 0;
    for (let p = 0; p < this.#count; p++) {
      this.all.capacity[p] += capacity[from + p];
      this.all.load[p] += load[from + p];
      this.all.peakOver[p] += peakOver[from + p];
      minutes += this.#over[from + p];
    }
    if (minutes > 0) this.overPeople++;
    this.overMinutes += minutes;
  }

  #overOf(person: number): Int32Array {
    const at = lookUp(this.#slot, person) * this.#count;
    return this.#over.subarray(at, at + this.#count);
  }

  #acceptedOf(person: number): Uint8Array {
    const days = this.#acceptedDays.get(this.placed.plan.people[person].id);
    if (!days) return this.#nowhere;
    const accepted = new Uint8Array(this.#count);
    this.input.periods.forEach(({ start, stop }, p) => {
      if (days.some(({ from, to }) => from < stop && to >= start)) accepted[p] = 1;
    });
    return accepted;
  }

  #push(row: BoardRow, source: number | Partial<Record<FigureKey, Int32Array>>, accepted?: Uint8Array): void {
    this.#rows.push(row);
    this.#sources.push(source);
    this.#accepted.push(accepted ?? this.#nowhere);
  }

  #addPerson(person: number, group: string): void {
    this.#push(personRow(this.placed.plan, person, group), lookUp(this.#slot, person), this.#acceptedOf(person));
  }

  #addGroups(groups: readonly BoardGroup[]): void {
    const sums = groups.map((group) => this.#sumsOf(group));
    const names = groups.map(({ name }) => name);
    for (const at of this.#order(
      names,
      this.#worth((group) => sums[group]),
    ))
      this.#addGroup(groups[at], sums[at]);
  }

  /** The sums of a heading. Its people show their own single days. */
  #sumsOf({ summed, work }: BoardGroup): PeriodSums {
    const sums = emptySums(this.#count);
    for (const person of summed) addSums(this.#figuresOf(person), sums);
    const toTeam = this.#workSums(work);
    for (let p = 0; p < this.#count; p++) sums.load[p] += toTeam[p];
    return { ...sums, peakOver: this.#zeros };
  }

  #addGroup(group: BoardGroup, sums = this.#sumsOf(group)): void {
    const overCount = new Int32Array(this.#count);
    const tasks = new Int32Array(this.#count);
    for (const person of group.summed) {
      const [over, ownTasks] = [this.#overOf(person), this.#tasksOf(person)];
      for (let p = 0; p < this.#count; p++) {
        if (over[p] > 0) overCount[p]++;
        tasks[p] += ownTasks[p];
      }
    }
    const { id, name } = group;
    const toTeam = this.#workSums(group.work);
    const open = group.role >= 0 ? this.#workSums(this.#openingsBy(this.placed.work.role).get(group.role) ?? []) : this.#zeros;
    this.#push({ kind: "group", id, key: `group ${id}`, name, roleName: name }, { ...sums, overCount, tasks, open, toTeam });
  }

  #workSums(rows: readonly number[]): Int32Array {
    return rows.length === 0 ? this.#zeros : workSums(this.placed, this.input.load.shares, rows, this.input.periods);
  }

  /** Rows of openings by their role or their project, in one pass. */
  #openingsBy(owner: Int32Array): Map<number, number[]> {
    let openings = this.#openings.get(owner);
    if (openings) return openings;
    const { work } = this.placed;
    openings = new Map();
    for (let row = 0; row < work.rows; row++) {
      if (!isOpening(work, row)) continue;
      const known = openings.get(owner[row]);
      if (known) known.push(row);
      else openings.set(owner[row], [row]);
    }
    this.#openings.set(owner, openings);
    return openings;
  }

  #addProjects(): void {
    const { plan, work } = this.placed;
    const left = projectsLeft(plan, this.input.view.filters);
    const loads = new Map<number, Map<number, Int32Array>>();
    for (const person of this.input.left)
      for (const [project, load] of this.#projectLoads(person)) {
        if (left && !left.has(project)) continue;
        const known = loads.get(project) ?? new Map<number, Int32Array>();
        known.set(person, load);
        loads.set(project, known);
      }
    const projects = [...loads.keys()].sort((a, b) => a - b);
    const sums = projects.map((project) => {
      const sum = emptySums(this.#count);
      for (const load of loads.get(project)?.values() ?? []) for (let p = 0; p < this.#count; p++) sum.load[p] += load[p];
      return sum;
    });
    const names = projects.map((project) => plan.projects[project].name);
    for (const at of this.#order(
      names,
      this.#worth((own) => sums[own]),
    )) {
      const project = projects[at];
      const open = this.#workSums(this.#openingsBy(work.project).get(project) ?? []);
      const { id, name, code } = plan.projects[project];
      this.#push({ kind: "group", id, key: `project ${id}`, name, roleName: code ?? "", projectRow: project }, { ...sums[at], open });
      for (const [person, load] of loads.get(project) ?? []) this.#addPart(person, project, load, "person");
    }
  }

  /** Counted minutes of a person by project and period, in the order of the projects. */
  #projectLoads(person: number): [number, Int32Array][] {
    const { work } = this.placed;
    const rows = new Map<number, number[]>();
    for (const row of membersOf(work.byPerson, person)) {
      const known = rows.get(work.project[row]);
      if (known) known.push(row);
      else rows.set(work.project[row], [row]);
    }
    return [...rows]
      .map(([project, own]): [number, Int32Array] => [project, this.#workSums(own)])
      .filter(([, minutes]) => minutes.some((own) => own > 0))
      .sort(([a], [b]) => a - b);
  }

  #addPart(person: number, project: number, load: Int32Array, names: "person" | "project"): void {
    const own = this.placed.plan.people[person];
    const { id, name, code } = this.placed.plan.projects[project];
    const row: BoardRow =
      names === "person"
        ? { kind: "part", id: own.id, key: `part ${id} ${own.id}`, name: own.name, roleName: "", personId: own.id }
        : { kind: "part", id, key: `part ${own.id} ${id}`, name, roleName: code ?? "", projectRow: project };
    this.#push(row, { load });
  }

  #tasksOf(person: number): Int32Array {
    const { work, placements } = this.placed;
    const { countsTasks, load, periods } = this.input;
    if (!countsTasks) return this.#zeros;
    const counts = new Int32Array(this.#count);
    const seen = periods.map(() => new Set<number>());
    for (const row of membersOf(work.byPerson, person)) {
      if (load.shares[row] < 0 || placements.placed[row] === 0) continue;
      periods.forEach(({ start, stop }, p) => {
        if (placedIn(placements, row, 10_000, start, stop) > 0) seen[p].add(work.task[row]);
      });
    }
    seen.forEach((tasks, p) => {
      counts[p] = tasks.size;
    });
    return counts;
  }

  #sorted(people: readonly number[]): number[] {
    const names = people.map((person) => this.placed.plan.people[person].name);
    return this.#order(names, this.#worthOfPerson(people)).map((at) => people[at]);
  }

  /** The sort key of rows: the overload of single periods, or the total room. */
  #worth(figuresOf: (at: number) => PeriodSums): (at: number) => number {
    const { sort } = this.input.view;
    return (at) => {
      const { capacity, load } = figuresOf(at);
      let worth = 0;
      for (let p = 0; p < this.#count; p++) worth += worthOf(sort, capacity[p], load[p]);
      return worth;
    };
  }

  /** The same of people, straight from their sums. */
  #worthOfPerson(people: readonly number[]): (at: number) => number {
    const { sort } = this.input.view;
    const { capacity, load } = this.input.people;
    return (at) => {
      const from = lookUp(this.#slot, people[at]) * this.#count;
      let worth = 0;
      for (let slot = from; slot < from + this.#count; slot++) worth += worthOf(sort, capacity[slot], load[slot]);
      return worth;
    };
  }

  /** Indices in the order that is asked for. */
  #order(names: readonly string[], worth: (at: number) => number): number[] {
    const { sort } = this.input.view;
    const order = names.map((_, at) => at);
    if (sort === "plan") return order;
    if (sort === "name") return order.sort((a, b) => names[a].localeCompare(names[b]));
    const worths = order.map(worth);
    return order.sort((a, b) => worths[b] - worths[a] || a - b);
  }
}

/** The part of a row's sort key from one period. */
const worthOf = (sort: BoardView["sort"], capacity: number, load: number): number =>
  sort === "worst" ? overOf(capacity, load) || Math.min(0, load - capacity) / 1e6 : roomOf(capacity, load);

/** Rows of people, by person: they are the same until the person or the roles change. */
const knownRows = new WeakMap<Person, { roles: Plan["roles"]; group: string; row: BoardRow }>();

function personRow(plan: Plan, person: number, group: string): BoardRow {
  const own = plan.people[person];
  const known = knownRows.get(own);
  if (known && known.roles === plan.roles && known.group === group) return known.row;
  const week = own.patterns?.at(-1)?.week;
  const requestedLeave = (own.timeOff ?? []).flatMap(({ state, from, to }) =>
    state === "requested" ? [{ start: parseDay(from), stop: parseDay(to) + 1 }] : [],
  );
  const row: BoardRow = {
    kind: "person",
    id: own.id,
    key: `person ${group} ${own.id}`,
    name: own.name,
    roleName: firstRoleName(plan, own) ?? "No role yet",
    personId: own.id,
    ...(week && { weekDays: week.filter((hours) => hours > 0).length }),
    ...(own.kind === "contractor" && { isContractor: true }),
    ...(requestedLeave.length > 0 && { requestedLeave }),
  };
  knownRows.set(own, { roles: plan.roles, group, row });
  return row;
}
