// Sends work on files to a process with limits of time and memory: a file that would stop the server stops that process alone.
import { type ChildProcess, fork } from "node:child_process";
import { constants, setPriority } from "node:os";
import pLimit, { type LimitFunction } from "p-limit";
import { WORK_LIMITS } from "../core/plan/limits.ts";
import { CodedError } from "../core/values/errors.ts";
import type { FileAnswer, FileJob, FileResults } from "./fileJobs.ts";
import { FileProcesses } from "./fileProcesses.ts";
import { UnreadableFile } from "./textTable.ts";

/** So much is under way already that this has to wait for another time. */
const tooMuchAtOnce = (): CodedError => new CodedError("tooMuchAtOnce", "Other files are being read just now. Try again in a moment.");

export interface WorkLimits {
  milliseconds: number;
  megabytes: number;
  atOnce: number;
  waiting: number;
}

/** A workbook that the application writes may take this many times as long as an imported file. */
const WRITING_TAKES = 3;

/** A place where work on files is done. */
export class FileWork {
  readonly #turns: LimitFunction;
  readonly #processes: FileProcesses;

  /** @param script The program of the process, bundled. */
  constructor(
    script: string,
    private readonly limits: WorkLimits = WORK_LIMITS,
  ) {
    this.#turns = pLimit(limits.atOnce);
    const execArgv = [`--max-old-space-size=${limits.megabytes}`];
    this.#processes = new FileProcesses(() => {
      const child = fork(script, { serialization: "advanced", execArgv, stdio: ["ignore", "ignore", "ignore", "ipc"] });
      // Edits and pages come first where there are few cores.
      if (child.pid !== undefined) setPriority(child.pid, constants.priority.PRIORITY_BELOW_NORMAL);
      return child;
    });
  }

  /** Does one job. It is answered at once where it is called off or given up; its place is free only when its process has ended.
   * @param signal Ends it: the client has left.
   * @throws {CodedError} "unreadableFile" where the file cannot be read, or takes more time or memory than there is for one;
   * "tooMuchAtOnce" where too many wait. */
  do<K extends FileJob["kind"]>(job: Extract<FileJob, { kind: K }>, signal?: AbortSignal): Promise<FileResults[K]> {
    if (this.#turns.activeCount + this.#turns.pendingCount >= this.limits.atOnce + this.limits.waiting)
      return Promise.reject(tooMuchAtOnce());
    return new Promise((resolve, reject) => {
      const settle = (answer: FileAnswer<K>) => ("refused" in answer ? reject(new UnreadableFile(answer.refused)) : resolve(answer.result));
      void this.#turns(() => this.#run<K>(job, signal, settle, reject));
    });
  }

  /** @returns Done when the place is free again. */
  #run<K extends keyof FileResults>(
    job: FileJob,
    signal: AbortSignal | undefined,
    settle: (answer: FileAnswer<K>) => void,
    reject: (error: Error) => void,
  ): Promise<void> {
    const calledOff = () => reject(new UnreadableFile("This was cancelled. Nothing was changed."));
    if (signal?.aborted) {
      calledOff();
      return Promise.resolve();
    }
    return new Promise((free) => {
      const child = this.#processes.take();
      const milliseconds = this.limits.milliseconds * (job.kind === "writeXlsx" ? WRITING_TAKES : 1);
      const end = (answer: () => void) => {
        clearTimeout(timer);
        signal?.removeEventListener("abort", leave);
        child.off("message", hear).off("error", fail).off("exit", gone);
        answer();
      };
      const endKilled = (answer: () => void) => {
        end(answer);
        ended(child).then(free);
      };
      const leave = () => endKilled(calledOff);
      const timer = setTimeout(() => endKilled(() => reject(new UnreadableFile(tooLong(job, milliseconds)))), milliseconds);
      const hear = (answer: FileAnswer<K>) => {
        end(() => settle(answer));
        this.#processes.giveBack(child);
        free();
      };
      const fail = (error: Error) => endKilled(() => reject(error));
      const gone = (_: number | null, killedBy: NodeJS.Signals | null) =>
        endKilled(() =>
          reject(killedBy === null ? new Error("The process that works on files has ended.") : new UnreadableFile(TOO_LARGE)),
        );
      signal?.addEventListener("abort", leave);
      child.on("message", hear).on("error", fail).on("exit", gone);
      child.send(job, (error) => error && fail(error));
    });
  }
}

const TOO_LARGE = "This file needs too much memory and was not read. Import it in parts, or save it as CSV.";

const tooLong = ({ kind }: FileJob, milliseconds: number): string =>
  kind === "writeXlsx"
    ? `This workbook takes longer than ${milliseconds / 1000} s to write and was cancelled. Choose fewer rows or periods, or CSV.`
    : `This file takes longer than ${milliseconds / 1000} s to read and was cancelled. Import it in parts, or save it as CSV.`;

/** Ends a process, and waits until it has. */
function ended(child: ChildProcess): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return Promise.resolve();
  return new Promise((resolve) => {
    child.once("exit", () => resolve());
    child.kill("SIGKILL");
  });
}
