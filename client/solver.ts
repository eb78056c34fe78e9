// The integer solver, loaded when it is first asked for and kept: warming it up takes seconds.
import loadSolver from "highs";
import type { Solver } from "../core/staffing/program.ts";

const LONGEST_SECONDS = 20;

let loading: ReturnType<typeof loadSolver> | null = null;

/** Solves an LP text within the time limit; null where it has no solution by then. */
export const solveProgram: Solver = async (program) => {
  loading ??= loadSolver();
  const { Status: status, Columns: columns } = (await loading).solve(program, { time_limit: LONGEST_SECONDS, output_flag: false });
  if (status !== "Optimal" && status !== "Time limit reached") return null;
  const values = Object.entries(columns).flatMap(([name, column]): [string, number][] =>
    "Primal" in column && Number.isFinite(column.Primal) ? [[name, column.Primal as number]] : [],
  );
  return values.length > 0 ? new Map(values) : null;
};
