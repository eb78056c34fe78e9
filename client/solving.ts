// One use of the integer solver, to be stopped in the middle. The window holds it, not the worker that plans: what ends that
// one must not wait for a solve.
import * as Comlink from "comlink";
import type { Solver } from "../core/staffing/program.ts";
import type { SolverWorker } from "./solver.worker.ts";

const GRACE_MS = 500;

export class Solving {
  readonly #worker = new Worker(new URL("./solver.worker.ts", import.meta.url), { type: "module" });
  readonly #solver = Comlink.wrap<SolverWorker>(this.#worker);
  #setStopped: (found: null) => void = () => {};
  readonly #stopped = new Promise<null>((resolve) => {
    this.#setStopped = resolve;
  });

  /** The time is for solving: loading the solver takes as long as the machine is slow. Reading a large program takes time too,
   * of which the solver knows nothing. */
  solve: Solver = async (program, seconds) => {
    const isLoaded = await Promise.race([this.#solver.load().then(() => true), this.#stopped]);
    if (!isLoaded) return null;
    const timer = setTimeout(() => this.stop(), seconds * 1000 + GRACE_MS);
    return Promise.race([this.#solver.solve(program, seconds), this.#stopped]).finally(() => clearTimeout(timer));
  };

  /** Ends it; what is being solved, and all after it, is answered with nothing. */
  stop(): void {
    this.#worker.terminate();
    this.#setStopped(null);
  }
}
