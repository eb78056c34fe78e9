// One use of the integer solver, within a time and to be stopped before.
import * as Comlink from "comlink";
import type { Solver } from "../core/staffing/program.ts";
import type { SolverWorker } from "./solver.worker.ts";

const GRACE_MS = 500;

export class Solving {
  readonly #worker = new Worker(new URL("./solver.worker.ts", import.meta.url), { type: "module" });
  readonly #solver = Comlink.wrap<SolverWorker>(this.#worker);
  readonly #until: number;
  #setStopped: (found: null) => void = () => {};
  readonly #stopped = new Promise<null>((resolve) => {
    this.#setStopped = resolve;
  });
  #isStopped = false;

  constructor(seconds: number) {
    this.#until = performance.now() + seconds * 1000;
  }

  secondsLeft = (): number => (this.#isStopped ? 0 : (this.#until - performance.now()) / 1000);

  /** Reading a large program takes time too, of which the solver knows nothing. */
  solve: Solver = (program, seconds) => {
    const timer = setTimeout(() => this.stop(), seconds * 1000 + GRACE_MS);
    return Promise.race([this.#solver.solve(program, seconds), this.#stopped]).finally(() => clearTimeout(timer));
  };

  /** Ends it; what is being solved is answered with nothing. */
  stop(): void {
    this.#isStopped = true;
    this.#worker.terminate();
    this.#setStopped(null);
  }
}
