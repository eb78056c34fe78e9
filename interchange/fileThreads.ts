// Threads for work on files. Loading what reads a file takes longer than most files do: a thread whose work ended well waits a
// while for the next.
import type { Worker } from "node:worker_threads";

/** By then whoever brings several files one after the other has brought the next one. */
const IDLE_MS = 20_000;

export class FileThreads {
  readonly #idle = new Map<Worker, NodeJS.Timeout>();

  /** @param start Makes a thread. @param idleMs How long one waits for work before it ends and gives its memory back. */
  constructor(
    private readonly start: () => Worker,
    private readonly idleMs = IDLE_MS,
  ) {}

  /** A thread that has nothing to do, or a new one. */
  take(): Worker {
    for (const [worker, timer] of this.#idle) {
      clearTimeout(timer);
      this.#idle.delete(worker);
      worker.ref();
      return worker;
    }
    const worker = this.start();
    worker.once("exit", () => this.#idle.delete(worker));
    // One that breaks while it waits ends, and takes nobody with it.
    worker.on("error", () => undefined);
    return worker;
  }

  /** Has a thread wait whose work has ended well; one that has not is to be ended by whoever took it. A process ends while
   * threads wait. */
  giveBack(worker: Worker): void {
    const timer = setTimeout(() => void worker.terminate(), this.idleMs);
    timer.unref();
    worker.unref();
    this.#idle.set(worker, timer);
  }
}
