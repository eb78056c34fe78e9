// The integer solver, loaded when it is first asked for and kept: warming it up takes seconds.
import loadSolver from "highs";
import type { Solver } from "../core/staffing/program.ts";

let loading: ReturnType<typeof loadSolver> | null = null;

/** Done when it can solve. */
export async function loadProgram(): Promise<void> {
  loading ??= loadSolver();
  await loading;
}

/** Solves an LP text within some seconds; null where it has no solution by then. */
export const solveProgram: Solver = async (program, seconds) => {
  loading ??= loadSolver();
  const { Status: status, Columns: columns } = (await loading).solve(program, { time_limit: seconds, output_flag: false });
  if (status !== "Optimal" && status !== "Time limit reached") return null;
  const found = Object.entries(columns).flatMap(([name, column]): [string, number][] =>
    "Primal" in column && typeof column.Primal === "number" && Number.isFinite(column.Primal) ? [[name, column.Primal]] : [],
  );
  return found.length > 0 ? { values: new Map(found), isOptimal: status === "Optimal" } : null;
};
