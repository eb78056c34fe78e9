// Processes for work on files. Loading what reads a file takes longer than most files do: a process whose work ended well waits a
// while for the next. Processes and not threads, because a thread that fails inside a native library ends the whole server.
import type { ChildProcess } from "node:child_process";

/** By then a person who imports several files one after the other has imported the next one. */
const IDLE_MS = 20_000;

export class FileProcesses {
  readonly #idle = new Map<ChildProcess, NodeJS.Timeout>();

  /** @param start Starts a process. @param idleMs How long one waits for work before it ends and gives its memory back. */
  constructor(
    private readonly start: () => ChildProcess,
    private readonly idleMs = IDLE_MS,
  ) {}

  /** A process that has nothing to do, or a new one. */
  take(): ChildProcess {
    for (const [child, timer] of this.#idle) {
      clearTimeout(timer);
      this.#idle.delete(child);
      child.ref();
      child.channel?.ref();
      return child;
    }
    const child = this.start();
    child.once("exit", () => this.#idle.delete(child));
    // A process that breaks while it waits ends alone.
    child.on("error", () => undefined);
    return child;
  }

  /** Keeps a process whose work has ended well; one that has not is to be ended by the caller. The server can end while processes
   * wait. */
  giveBack(child: ChildProcess): void {
    const timer = setTimeout(() => child.kill("SIGKILL"), this.idleMs);
    timer.unref();
    child.unref();
    child.channel?.unref();
    this.#idle.set(child, timer);
  }
}
