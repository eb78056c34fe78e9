// The same problem as a mixed-integer program, in the LP text that solvers read: each opening goes to one person at most,
// nobody gets more than their room of a week; most hours covered first, then skills, then cost.
import type { Gift, Problem } from "./problem.ts";

/** Solves an LP text; the value of each column by its name, or null where no solution was found. */
export type Solver = (program: string) => Promise<Map<string, number> | null>;

const minutesName = (option: number, at: number) => `y${option}_${at}`;
const takesName = (option: number) => `z${option}`;

/** The best proposal a solver finds in three solves, each holding what the one before has reached; null where the
 * first finds none. */
export async function bestProposal(problem: Problem, solve: Solver): Promise<Gift[] | null> {
  const { openings, options } = problem;
  const cells = options.flatMap(({ opening }, option) => openings[opening].needs.map((_, at) => ({ option, at })));
  if (cells.length === 0) return [];
  const covered = sumOf(cells.map(({ option, at }) => [1, minutesName(option, at)]));
  const fit = sumOf(cells.map(({ option, at }) => [options[option].fit / 10_000, minutesName(option, at)]));
  const cost = sumOf(
    cells.map(({ option, at }) => [options[option].cost / Math.max(1, openings[options[option].opening].total), minutesName(option, at)]),
  );
  const rules = rulesOf(problem);
  const first = await solve(programText("Maximize", covered, rules, problem));
  if (!first) return null;
  const most = columnSum(first, cells, () => 1);
  const held = [...rules, `${covered} >= ${Math.floor(most) - 0.5}`];
  const second = (await solve(programText("Maximize", fit, held, problem))) ?? first;
  const fitting = columnSum(second, cells, ({ option }) => options[option].fit / 10_000);
  const third = (await solve(programText("Minimize", cost, [...held, `${fit} >= ${fitting - 0.5}`], problem))) ?? second;
  return giftsOf(problem, third);
}

function rulesOf({ openings, options, room }: Problem): string[] {
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
  openings.forEach((_, opening) => {
    const takers = options.flatMap((option, at) => (option.opening === opening ? [takesName(at)] : []));
    if (takers.length > 1) rules.push(`${takers.join(" + ")} <= 1`);
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
function giftsOf({ openings, options }: Problem, columns: ReadonlyMap<string, number>): Gift[] {
  return options.flatMap(({ opening }, option): Gift[] => {
    const minutes = openings[opening].needs.map((_, at) => Math.floor((columns.get(minutesName(option, at)) ?? 0) + 1e-6));
    return minutes.some((own) => own > 0) ? [{ option, minutes }] : [];
  });
}
