// The integer solver in a worker of its own: it can be ended in the middle of a solve.
import * as Comlink from "comlink";
import { solveProgram } from "./solver.ts";

const api = { solve: solveProgram };

export type SolverWorker = typeof api;

Comlink.expose(api);
