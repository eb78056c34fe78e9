// The rows of a board and their figures, for each kind of rows it can have.
import type { Range } from "../calendar/periods.ts";
import type { Model } from "../model.ts";
import type { BoardRow } from "./board.ts";
import { acceptedDays, type BoardGroup, type BoardView, groupsOf, projectsLeft } from "./boardView.ts";
import { addSums, emptySums, overOf, type PeriodSums } from "./periodSums.ts";
import { placedIn } from "./placements.ts";
import { teamReaches } from "./teams.ts";
import { isOpening } from "./work.ts";

/** What a board is made from. */
export interface BoardScene {
  shares: Int32Array;
  periods: readonly Range[];
  range: Range;
  /** Sums of the people in `left`, in that order; and what of their load is tentative. */
  people: PeriodSums;
  tentative: Int32Array;
  left: readonly number[];
  view: BoardView;
  countsTasks: boolean;
}

const figureKeys = ["capacity", "load", "peakOver", "tentative", "open", "overCount", "tasks"] as const;
type FigureKey = (typeof figureKeys)[number];

/** Makes the rows of a board one after the other, with their figures. */
export class BoardMaker {
  readonly all: PeriodSums;
  overPeople = 0;
  overMinutes = 0;
  readonly #rows: BoardRow[] = [];
  readonly #figures = Object.fromEntries(figureKeys.map((key) => [key, []])) as unknown as Record<FigureKey, Int32Array[]>;
  readonly #accepted: Uint8Array[] = [];
  readonly #acceptedDays: ReturnType<typeof acceptedDays>;
  /** Index in `left` of each person row. */
  readonly #slot: Map<number, number>;
  readonly #count: number;
  /** Shared by all rows that have nothing: read, never written. */
  readonly #zeros: Int32Array;
  readonly #nowhere: Uint8Array;
  #openByRole: Int32Array[] | null = null;
  #reaches: ReturnType<typeof teamReaches> | null = null;

  constructor(
    readonly model: Model,
    readonly scene: BoardScene,
  ) {
    this.#count = scene.periods.length;
    this.#zeros = new Int32Array(this.#count);
    this.#nowhere = new Uint8Array(this.#count);
    this.all = emptySums(this.#count);
    this.#slot = new Map(scene.left.map((row, at) => [row, at]));
    this.#acceptedDays = acceptedDays(model.plan);
  }

  make(): void {
    const { view, left } = this.scene;
    const { plan } = this.model;
    for (const person of left) this.#total(person);
    const set = new Set(left);
    switch (view.rows) {
      case "role":
      case "team":
      case "location":
        for (const group of groupsOf(plan, view.rows, set)) {
          this.#addGroup(group);
          for (const person of this.#sorted(group.people)) this.#addPerson(person, group.id);
        }
        break;
      case "none":
        for (const person of this.#sorted(left)) this.#addPerson(person, "");
        break;
      case "roles":
      case "teams":
        this.#addGroups(groupsOf(plan, view.rows === "roles" ? "role" : "team", set));
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
    const flat = (list: readonly Int32Array[]) => {
      const figures = new Int32Array(filled * this.#count);
      for (let row = 0; row < filled; row++) figures.set(list[row], row * this.#count);
      return figures;
    };
    const figures = Object.fromEntries(figureKeys.map((key) => [key, flat(this.#figures[key])])) as Record<FigureKey, Int32Array>;
    const accepted = new Uint8Array(filled * this.#count);
    for (let row = 0; row < filled; row++) accepted.set(this.#accepted[row], row * this.#count);
    return {
      rows: this.#rows,
      filled,
      ...figures,
      accepted,
    };
  }

  #figuresOf(person: number): PeriodSums {
    const at = (this.#slot.get(person) as number) * this.#count;
    const { capacity, load, peakOver } = this.scene.people;
    const cut = (minutes: Int32Array) => minutes.subarray(at, at + this.#count);
    return { capacity: cut(capacity), load: cut(load), peakOver: cut(peakOver) };
  }

  #tentativeOf(person: number): Int32Array {
    const at = (this.#slot.get(person) as number) * this.#count;
    return this.scene.tentative.subarray(at, at + this.#count);
  }

  /** Adds a person to the sums of the board. */
  #total(person: number): void {
    const own = this.#figuresOf(person);
    const accepted = this.#acceptedOf(person);
    addSums(own, this.all);
    let over = 0;
    for (let p = 0; p < this.#count; p++) if (accepted[p] === 0) over += overOf(own.capacity[p], own.load[p]);
    if (over > 0) this.overPeople++;
    this.overMinutes += over;
  }

  #acceptedOf(person: number): Uint8Array {
    const days = this.#acceptedDays.get(this.model.plan.people[person].id);
    if (!days) return this.#nowhere;
    const accepted = new Uint8Array(this.#count);
    this.scene.periods.forEach(({ start, stop }, p) => {
      if (days.some(({ from, to }) => from < stop && to >= start)) accepted[p] = 1;
    });
    return accepted;
  }

  #push(row: BoardRow, figures: Partial<Record<FigureKey, Int32Array>>, accepted?: Uint8Array): void {
    this.#rows.push(row);
    for (const key of figureKeys) this.#figures[key].push(figures[key] ?? this.#zeros);
    this.#accepted.push(accepted ?? this.#nowhere);
  }

  #addPerson(person: number, group: string): void {
    const { id, name, kind, patterns, roleIds } = this.model.plan.people[person];
    const role = this.model.plan.roles.find((own) => own.id === roleIds[0]);
    const week = patterns?.at(-1)?.week;
    const row: BoardRow = {
      kind: "person",
      id,
      key: `person ${group} ${id}`,
      name,
      roleName: role?.name ?? "No role yet",
      personId: id,
      ...(week && { weekDays: week.filter((hours) => hours > 0).length }),
      ...(kind === "contractor" && { isContractor: true }),
    };
    this.#push(
      row,
      { ...this.#figuresOf(person), tentative: this.#tentativeOf(person), tasks: this.#tasksOf(person) },
      this.#acceptedOf(person),
    );
  }

  #addGroups(groups: readonly BoardGroup[]): void {
    const worth = this.#worth((at: number) => this.#sumOf(groups[at].people));
    for (const at of this.#order(
      groups.map(({ name }) => name),
      worth,
    ))
      this.#addGroup(groups[at]);
  }

  #addGroup({ id, name, people }: BoardGroup): void {
    const sums = this.#sumOf(people);
    const overCount = new Int32Array(this.#count);
    const tasks = new Int32Array(this.#count);
    for (const person of people) {
      const own = this.#figuresOf(person);
      const accepted = this.#acceptedOf(person);
      const ownTasks = this.#tasksOf(person);
      for (let p = 0; p < this.#count; p++) {
        if (own.load[p] > own.capacity[p] && accepted[p] === 0) overCount[p]++;
        tasks[p] += ownTasks[p];
      }
    }
    const open = this.#openOf(id);
    this.#push({ kind: "group", id, key: `group ${id}`, name, roleName: name }, { ...sums, overCount, tasks, open });
  }

  #sumOf(people: readonly number[]): PeriodSums {
    const sums = emptySums(this.#count);
    for (const person of people) addSums(this.#figuresOf(person), sums);
    return sums;
  }

  /** What a role or a team has beside its people: openings made in the role; work given to the team or one below it. */
  #openOf(id: string): Int32Array {
    const { rows } = this.scene.view;
    const { plan } = this.model;
    if (rows === "role" || rows === "roles") {
      this.#openByRole ??= this.#placedByRole();
      return this.#openByRole[plan.roles.findIndex((own) => own.id === id)] ?? this.#zeros;
    }
    const team = plan.teams.findIndex((own) => own.id === id);
    if (team < 0 || (rows !== "team" && rows !== "teams")) return this.#zeros;
    this.#reaches ??= teamReaches(plan);
    const { teams } = this.#reaches[team];
    return this.#placedWhere((row) => teams.has(this.model.work.team[row]));
  }

  /** Counted minutes of openings and of teams by the role they are made in, in one pass. */
  #placedByRole(): Int32Array[] {
    const { work, plan, placements } = this.model;
    const byRole = plan.roles.map(() => new Int32Array(this.#count));
    for (let row = 0; row < work.rows; row++) {
      const minutes = byRole[work.role[row]];
      if (!minutes || work.person[row] >= 0 || work.isMaterial[row] === 1) continue;
      if (this.scene.shares[row] > 0 && placements.placed[row] > 0) this.#addPlaced(row, this.scene.periods, minutes);
    }
    return byRole;
  }

  /** Counted minutes by period of the rows of work that fit. */
  #placedWhere(isWanted: (row: number) => boolean): Int32Array {
    const { work, placements } = this.model;
    const { shares, periods } = this.scene;
    const minutes = new Int32Array(this.#count);
    for (let row = 0; row < work.rows; row++) {
      if (shares[row] < 0 || placements.placed[row] === 0 || !isWanted(row)) continue;
      this.#addPlaced(row, periods, minutes);
    }
    return minutes;
  }

  #addPlaced(row: number, periods: readonly Range[], minutes: Int32Array): void {
    const { placements } = this.model;
    const [start, stop] = [placements.start[row], placements.start[row] + placements.length[row]];
    periods.forEach((period, p) => {
      if (period.start < stop && period.stop > start)
        minutes[p] += placedIn(placements, row, this.scene.shares[row], period.start, period.stop);
    });
  }

  #addProjects(): void {
    const { plan, work } = this.model;
    const left = projectsLeft(plan, this.scene.view.filters);
    const loads = new Map<number, Map<number, Int32Array>>();
    for (const person of this.scene.left)
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
      const open = this.#placedWhere((row) => work.project[row] === project && isOpening(this.model.work, row));
      const { id, name, code } = plan.projects[project];
      this.#push({ kind: "group", id, key: `project ${id}`, name, roleName: code ?? "", projectRow: project }, { ...sums[at], open });
      for (const [person, load] of loads.get(project) ?? []) this.#addPart(person, project, load, "person");
    }
  }

  /** Counted minutes of a person by project and period, in the order of the projects. */
  #projectLoads(person: number): [number, Int32Array][] {
    const { work } = this.model;
    const loads = new Map<number, Int32Array>();
    for (let at = work.byPerson.first[person]; at < work.byPerson.first[person + 1]; at++) {
      const row = work.byPerson.members[at];
      if (this.scene.shares[row] < 0) continue;
      const minutes = loads.get(work.project[row]) ?? new Int32Array(this.#count);
      this.#addPlaced(row, this.scene.periods, minutes);
      loads.set(work.project[row], minutes);
    }
    return [...loads].filter(([, minutes]) => minutes.some((own) => own > 0)).sort(([a], [b]) => a - b);
  }

  #addPart(person: number, project: number, load: Int32Array, names: "person" | "project"): void {
    const own = this.model.plan.people[person];
    const { id, name, code } = this.model.plan.projects[project];
    const row: BoardRow =
      names === "person"
        ? { kind: "part", id: own.id, key: `part ${id} ${own.id}`, name: own.name, roleName: "", personId: own.id }
        : { kind: "part", id, key: `part ${own.id} ${id}`, name, roleName: code ?? "", projectRow: project };
    this.#push(row, { load });
  }

  #tasksOf(person: number): Int32Array {
    const { work, placements } = this.model;
    const { countsTasks, shares, periods } = this.scene;
    if (!countsTasks) return this.#zeros;
    const counts = new Int32Array(this.#count);
    const seen = periods.map(() => new Set<number>());
    for (let at = work.byPerson.first[person]; at < work.byPerson.first[person + 1]; at++) {
      const row = work.byPerson.members[at];
      if (shares[row] < 0 || placements.placed[row] === 0) continue;
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
    const names = people.map((person) => this.model.plan.people[person].name);
    return this.#order(
      names,
      this.#worth((at) => this.#figuresOf(people[at])),
    ).map((at) => people[at]);
  }

  /** What rows are sorted by: the over of single periods, or the room in all. */
  #worth(figuresOf: (at: number) => PeriodSums): (at: number) => number {
    const { sort } = this.scene.view;
    return (at) => {
      const { capacity, load } = figuresOf(at);
      let worth = 0;
      for (let p = 0; p < this.#count; p++)
        worth +=
          sort === "worst" ? overOf(capacity[p], load[p]) || Math.min(0, load[p] - capacity[p]) / 1e6 : Math.max(0, capacity[p] - load[p]);
      return worth;
    };
  }

  /** Indices in the order that is asked for. */
  #order(names: readonly string[], worth: (at: number) => number): number[] {
    const { sort } = this.scene.view;
    const order = names.map((_, at) => at);
    if (sort === "plan") return order;
    if (sort === "name") return order.sort((a, b) => names[a].localeCompare(names[b]));
    const worths = order.map(worth);
    return order.sort((a, b) => worths[b] - worths[a] || a - b);
  }
}
