// The integer solver in a worker of its own: it can be ended in the middle of a solve.
import * as Comlink from "comlink";
import { loadProgram, solveProgram } from "./solver.ts";

const api = { load: loadProgram, solve: solveProgram };

export type SolverWorker = typeof api;

Comlink.expose(api);
