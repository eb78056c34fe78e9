// Long searches over the plan, in pieces short enough that the worker answers everything else in between.
import { type RemedyLine, remedyLine } from "../core/answers/remedyLines.ts";
import { compareByMissed, type Missed, searchForDeadline } from "../core/balancing/deadline.ts";
import type { EvenOutOptions, EvenOutProgress } from "../core/balancing/evenOut.ts";
import { type EvenOutEnd, EvenOutRestarts } from "../core/balancing/evenOutRestarts.ts";
import { searchForIdle } from "../core/balancing/idle.ts";
import { compareForLeave, searchForLeave } from "../core/balancing/leave.ts";
import { compareByMargin, searchForMargin } from "../core/balancing/margin.ts";
import { compareRemedies, type Overload, type Remedy, type RemedyOptions, searchRemedies, type Tried } from "../core/balancing/remedies.ts";
import { solvedTransfers } from "../core/balancing/transferProgram.ts";
import { compareByUnplaced, searchForUnplaced } from "../core/balancing/unplaced.ts";
import type { Day } from "../core/calendar/day.ts";
import type { Model } from "../core/model.ts";
import { rowById } from "../core/plan/rows.ts";
import { peopleByFirstRole, teamReaches } from "../core/plan/teams.ts";
import type { Solver } from "../core/staffing/program.ts";
import type { EvenOutQuery } from "./evenOutQuery.ts";
import type { Redacted } from "./seen.ts";

/** A search that is under way: what it has found can be reported at any moment. */
export interface Search<News> {
  /** Solves the integer program before the search starts. */
  prepare?: (solve: Solver) => Promise<void>;
  steps: Iterator<unknown>;
  news(): News;
  /** How much has been found so far, where the first of it is worth being reported at once. */
  found?: () => number;
}

export interface RemedyNews {
  /** Best first. */
  lines: RemedyLine[];
  tried: number;
}

/** The kinds of problem that remedies are searched for: a person's overload or room, hours that cannot be worked, a missed
 * deadline. */
export type RemedyProblem =
  | ({ about: "overload" | "idle" } & Overload)
  | { about: "unplaced"; assignmentId: string }
  | { about: "leave"; personId: string; timeOffId: string }
  | { about: "deadline"; missed: Missed }
  | { about: "margin"; projectId: string };

export interface RemedyQuery {
  problem: RemedyProblem;
  today: Day;
  idStem: string;
}

/** Remedies that a screen lists at most. */
const MOST_LINES = 40;
/** People tried for one piece of work, and edits tried, where a plan is large. */
export const LARGE = { people: 300, mostRecipients: 3, mostTried: 40 };

function remedySearch(model: Model, { problem, today, idStem }: RemedyQuery): Search<RemedyNews> {
  const found: Remedy[] = [];
  let tried = 0;
  const limits = model.plan.people.length > LARGE.people ? { mostRecipients: LARGE.mostRecipients, mostTried: LARGE.mostTried } : {};
  function* steps() {
    for (const remedy of searchFor(model, problem, { today, idStem, ...limits })) {
      tried++;
      if (remedy) found.push(remedy);
      yield;
    }
  }
  const order = orders[problem.about];
  return {
    steps: steps(),
    found: () => found.length,
    news: () => ({
      lines: [...found]
        .sort(order)
        .slice(0, MOST_LINES)
        .map((remedy) => remedyLine(model, remedy)),
      tried,
    }),
  };
}

function searchFor(model: Model, problem: RemedyProblem, options: RemedyOptions): Generator<Tried, void> {
  switch (problem.about) {
    case "overload":
      return searchRemedies(model, problem, options);
    case "idle":
      return searchForIdle(model, problem, options);
    case "unplaced":
      return searchForUnplaced(model, problem.assignmentId, options);
    case "leave":
      return searchForLeave(model, problem, options);
    case "deadline":
      return searchForDeadline(model, problem.missed, options);
    case "margin":
      return searchForMargin(model, problem.projectId, options);
  }
}

const orders: Record<RemedyProblem["about"], (a: Remedy, b: Remedy) => number> = {
  overload: compareRemedies,
  idle: compareRemedies,
  unplaced: compareByUnplaced,
  leave: compareForLeave,
  deadline: compareByMissed,
  margin: compareByMargin,
};

export interface EvenOutNews extends EvenOutProgress {
  /** Seconds spent so far. */
  seconds: number;
  /** Number of attempts that have ended. The best of them is the result. */
  attempts: number;
  /** The reason why it ended. Null while it is running, and if it was stopped. */
  ended: EvenOutEnd | null;
  /** Number of the result, which rises by one each time a better one replaces the lines. */
  result: number;
  /** Measured one after the other. */
  found: RemedyLine[];
}

/** Pieces of work that the integer program looks at, and how long it may take. */
const [MOST_GIVEN, MOST_SOLVE_SECONDS] = [60, 4];

function evenOutSearch(model: Model, { scope, seconds, ...options }: EvenOutQuery): Search<EvenOutNews> {
  const started = performance.now();
  const spent = () => (performance.now() - started) / 1000;
  const search = new EvenOutRestarts(model, {
    ...options,
    ...scopeOf(model, scope),
    mostSteps: Number.POSITIVE_INFINITY,
    isOver: () => spent() >= seconds,
  });
  // Lines are reported in names once each.
  let [reported, of, result]: [RemedyLine[], typeof search.best, number] = [[], search.best, 0];
  return {
    prepare: async (solve) => {
      const program = search.best.transferProgram(MOST_GIVEN);
      const solved = program && (await solvedTransfers(program, solve, Math.min(MOST_SOLVE_SECONDS, seconds / 3)));
      if (solved) search.best.beginWith(solved.transfers);
    },
    steps: search.run(),
    news: () => {
      if (of !== search.best) [reported, of, result] = [[], search.best, result + 1];
      const { lines } = search.best.result();
      for (const line of lines.slice(reported.length)) reported.push(remedyLine(model, { ...line, left: 0 }));
      const { attempts, ended } = search;
      return { ...search.progress(), seconds: spent(), attempts, ended, result, found: [...reported] };
    },
  };
}

function scopeOf({ plan }: Model, scope: EvenOutQuery["scope"]): Pick<EvenOutOptions, "people" | "projects"> {
  if (scope?.roleId !== undefined) return { people: new Set(peopleByFirstRole(plan)[rowById(plan.roles).get(scope.roleId) ?? -1] ?? []) };
  if (scope?.teamId !== undefined) return { people: new Set(teamReaches(plan)[rowById(plan.teams).get(scope.teamId) ?? -1]?.people ?? []) };
  if (scope?.projectIds !== undefined) {
    const rows = rowById(plan.projects);
    return { projects: new Set(scope.projectIds.map((id) => rows.get(id) ?? -1)) };
  }
  return {};
}

/** Every kind of search, by its name. */
export const searches = { remedies: remedySearch, evenOut: evenOutSearch };

export type SearchKind = keyof typeof searches;
export type SearchQuery<K extends SearchKind> = Parameters<(typeof searches)[K]>[1];
/** The report of a search, before redaction and after it. */
export type WholeNews<K extends SearchKind> = ReturnType<ReturnType<(typeof searches)[K]>["news"]>;
export type SearchNews<K extends SearchKind> = Redacted<WholeNews<K>>;

/** How long a piece may take, in milliseconds: a key that is pressed meanwhile is answered within a frame or two. */
const PIECE_MS = 24;
/** How often what has been found is reported: a list that is drawn with every piece would keep the screen busy. */
const TELL_MS = 150;
/** The first is reported at once, and what comes soon after it. */
const FIRST_TOLD_MS = 50;

/** Runs a search to its end in pieces. @param report Hears after each piece what has been found.
 * @param pause Done when what waits has had its turn. */
export async function runSearch<News>(
  search: Search<News>,
  tell: (news: News, isDone: boolean) => void,
  isStopped: () => boolean,
  pause: () => Promise<void>,
  solve?: Solver,
): Promise<void> {
  if (solve && search.prepare) {
    tell(search.news(), false);
    await search.prepare(solve);
  }
  const begun = performance.now();
  for (let reported = Number.NEGATIVE_INFINITY; ; ) {
    const until = performance.now() + PIECE_MS;
    let isDone = isStopped();
    const isFirst = reported === Number.NEGATIVE_INFINITY;
    while (!isDone && performance.now() < until && !(isFirst && (search.found?.() ?? 0) > 0)) isDone = search.steps.next().done === true;
    const often = performance.now() - begun < 2 * TELL_MS ? FIRST_TOLD_MS : TELL_MS;
    if (isDone || performance.now() - reported >= often) {
      tell(search.news(), isDone);
      reported = performance.now();
    }
    if (isDone) return;
    await pause();
  }
}
