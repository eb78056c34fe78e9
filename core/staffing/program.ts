// The same problem as a mixed-integer program, in the LP text that solvers read: each opening goes to one person, or to two
// at most where that is allowed, nobody gets more than their room of a week; most hours covered first, then skills, then cost.
import type { Problem, Transfer } from "./problem.ts";

/** The result of a solver: the value of each column by its name, and whether it is proven optimal. */
export interface Solved {
  values: Map<string, number>;
  isOptimal: boolean;
}

/** Solves an LP text within some seconds; null where it has found nothing by then, or was stopped. */
export type Solver = (program: string, seconds: number) => Promise<Solved | null>;

/** Hears which of the three solves begins. */
export type OnSolve = (solve: 1 | 2 | 3) => void;

export interface SolveOptions {
  /** Seconds left for all solves. */
  secondsLeft: () => number;
  /** Number of people who may share one opening. */
  mostPeople?: 1 | 2;
  onSolve?: OnSolve;
}

/** Minutes that a second person on an opening has to be worth. */
const SECOND_IS_WORTH = 60;

const minutesName = (option: number, at: number) => `y${option}_${at}`;
const takesName = (option: number) => `z${option}`;

/** The best proposal a solver finds in three solves, each holding what the one before has reached; null where the
 * first finds none. It is the best there is where every solve was finished. */
export async function bestProposal(
  problem: Problem,
  solve: Solver,
  { secondsLeft, mostPeople = 1, onSolve }: SolveOptions,
): Promise<{ transfers: Transfer[]; isOptimal: boolean } | null> {
  const { openings, options } = problem;
  const cells = options.flatMap(({ opening }, option) => openings[opening].needs.map((_, at) => ({ option, at })));
  if (cells.length === 0) return { transfers: [], isOptimal: true };
  const covered = sumOf(cells.map(({ option, at }) => [1, minutesName(option, at)]));
  const fit = sumOf(cells.map(({ option, at }) => [options[option].fit / 10_000, minutesName(option, at)]));
  const cost = sumOf(
    cells.map(({ option, at }) => [options[option].cost / Math.max(1, openings[options[option].opening].total), minutesName(option, at)]),
  );
  const takes = options.map((_, option) => takesName(option));
  const rules = rulesOf(problem, mostPeople);
  const ask = (number: 1 | 2 | 3, sense: "Maximize" | "Minimize", objective: string, own: readonly string[]) => {
    const seconds = secondsLeft();
    if (seconds <= 0) return Promise.resolve(null);
    onSolve?.(number);
    return solve(programText(sense, objective, own, problem), seconds);
  };
  const aim = mostPeople === 1 ? covered : `${covered} - ${takes.map((name) => `${SECOND_IS_WORTH} ${name}`).join(" - ")}`;
  const first = await ask(1, "Maximize", aim, rules);
  if (!first) return null;
  const most = columnSum(first.values, cells, () => 1);
  const people = takes.reduce((sum, name) => sum + Math.round(first.values.get(name) ?? 0), 0);
  const held = [...rules, `${covered} >= ${Math.floor(most) - 0.5}`, ...(mostPeople === 1 ? [] : [`${takes.join(" + ")} <= ${people}`])];
  const second = await ask(2, "Maximize", fit, held);
  const fitting = columnSum((second ?? first).values, cells, ({ option }) => options[option].fit / 10_000);
  const third = await ask(3, "Minimize", cost, [...held, `${fit} >= ${fitting - 0.5}`]);
  const { values } = third ?? second ?? first;
  return { transfers: giftsOf(problem, values), isOptimal: [first, second, third].every((solved) => solved?.isOptimal) };
}

function rulesOf({ openings, options, room }: Problem, mostPeople: 1 | 2): string[] {
  const rules: string[] = [];
  const byPersonWeek = new Map<string, { names: string[]; most: number }>();
  options.forEach(({ opening, person }, option) => {
    openings[opening].needs.forEach(({ week, minutes }, at) => {
      rules.push(`${minutesName(option, at)} - ${minutes} ${takesName(option)} <= 0`);
      const key = `${person} ${week}`;
      const known = byPersonWeek.get(key);
      if (known) known.names.push(minutesName(option, at));
      else byPersonWeek.set(key, { names: [minutesName(option, at)], most: room[person][week] });
    });
  });
  for (const { names, most } of byPersonWeek.values()) rules.push(`${names.join(" + ")} <= ${most}`);
  const recipients = openings.map((): number[] => []);
  options.forEach(({ opening }, at) => {
    recipients[opening].push(at);
  });
  openings.forEach(({ needs }, opening) => {
    const own = recipients[opening];
    if (own.length > mostPeople) rules.push(`${own.map(takesName).join(" + ")} <= ${mostPeople}`);
    // Shared work is never assigned twice.
    if (mostPeople > 1 && own.length > 1)
      needs.forEach(({ minutes }, at) => {
        rules.push(`${own.map((option) => minutesName(option, at)).join(" + ")} <= ${minutes}`);
      });
  });
  return rules;
}

function programText(sense: "Maximize" | "Minimize", objective: string, rules: readonly string[], { options }: Problem): string {
  const numbered = rules.map((rule, at) => `c${at}: ${rule}`).join("\n");
  const binaries = options.map((_, option) => takesName(option)).join(" ");
  return `${sense}\nobj: ${objective}\nSubject To\n${numbered}\nBinary\n${binaries}\nEnd\n`;
}

/** Terms as text; the LP format knows no terms of 0. */
function sumOf(terms: readonly [number, string][]): string {
  const shown = terms.filter(([factor]) => factor !== 0).map(([factor, name]) => `${Number(factor.toFixed(6))} ${name}`);
  return shown.length > 0 ? shown.join(" + ") : `0 ${terms[0][1]}`;
}

interface Cell {
  option: number;
  at: number;
}

function columnSum(columns: ReadonlyMap<string, number>, cells: readonly Cell[], factor: (cell: Cell) => number): number {
  return cells.reduce((sum, cell) => sum + factor(cell) * (columns.get(minutesName(cell.option, cell.at)) ?? 0), 0);
}

/** Whole minutes, never more than the solver gave. */
function giftsOf({ openings, options }: Problem, columns: ReadonlyMap<string, number>): Transfer[] {
  return options.flatMap(({ opening }, option): Transfer[] => {
    const minutes = openings[opening].needs.map((_, at) => Math.floor((columns.get(minutesName(option, at)) ?? 0) + 1e-6));
    return minutes.some((own) => own > 0) ? [{ option, minutes }] : [];
  });
}
