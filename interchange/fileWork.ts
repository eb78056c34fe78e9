// Sends work on files to a thread with limits of time and memory: a file that would stop everybody else stops that thread.
import { Worker } from "node:worker_threads";
import pLimit, { type LimitFunction } from "p-limit";
import { WORK_LIMITS } from "../core/plan/limits.ts";
import type { FileAnswer, FileJob, FileResults } from "./fileJobs.ts";
import { FileThreads } from "./fileThreads.ts";
import { UnreadableFile } from "./textTable.ts";

/** So much is under way already that this has to wait for another time. */
export class TooMuchAtOnce extends Error {
  constructor() {
    super("Other files are being read just now. Try again in a moment.");
  }
}

export interface WorkLimits {
  milliseconds: number;
  megabytes: number;
  atOnce: number;
  waiting: number;
}

/** What is written is the application's own: it may take longer than what somebody brings. */
const WRITING_TAKES = 3;

/** A place where work on files is done. */
export class FileWork {
  readonly #turns: LimitFunction;
  readonly #threads: FileThreads;

  /** @param script The thread's program, bundled. */
  constructor(
    script: string,
    private readonly limits: WorkLimits = WORK_LIMITS,
  ) {
    this.#turns = pLimit(limits.atOnce);
    this.#threads = new FileThreads(() => new Worker(script, { resourceLimits: { maxOldGenerationSizeMb: limits.megabytes } }));
  }

  /** Does one job.
   * @param signal Ends it: whoever asked has gone.
   * @throws {UnreadableFile} where the file cannot be read, or takes more time or memory than there is for one.
   * @throws {TooMuchAtOnce} */
  async do<K extends FileJob["kind"]>(job: Extract<FileJob, { kind: K }>, signal?: AbortSignal): Promise<FileResults[K]> {
    if (this.#turns.activeCount + this.#turns.pendingCount >= this.limits.atOnce + this.limits.waiting) throw new TooMuchAtOnce();
    const answer = await this.#turns(() => this.#run<K>(job, signal));
    if ("refused" in answer) throw new UnreadableFile(answer.refused);
    return answer.result;
  }

  #run<K extends keyof FileResults>(job: FileJob, signal?: AbortSignal): Promise<FileAnswer<K>> {
    return new Promise((resolve, reject) => {
      const isWriting = job.kind === "writeXlsx";
      const milliseconds = this.limits.milliseconds * (isWriting ? WRITING_TAKES : 1);
      const worker = this.#threads.take();
      const end = (settle: () => void, isWell = false) => {
        clearTimeout(timer);
        signal?.removeEventListener("abort", leave);
        worker.off("message", hear).off("error", fail).off("exit", gone);
        if (isWell) this.#threads.giveBack(worker);
        else void worker.terminate();
        settle();
      };
      const leave = () => end(() => reject(new UnreadableFile("This was called off. Nothing was changed.")));
      const timer = setTimeout(() => {
        const text = isWriting
          ? `This workbook takes longer than ${milliseconds / 1000} s to write and was given up. Choose fewer rows or periods, or CSV.`
          : `This file takes longer than ${milliseconds / 1000} s to read and was given up. Import it in parts, or save it as CSV.`;
        end(() => reject(new UnreadableFile(text)));
      }, milliseconds);
      const hear = (answer: FileAnswer<K>) => end(() => resolve(answer), true);
      const fail = (error: NodeJS.ErrnoException) => {
        const isMemory = error.code === "ERR_WORKER_OUT_OF_MEMORY";
        const text = "This file takes more memory than there is for one and was given up. Import it in parts, or save it as CSV.";
        end(() => reject(isMemory ? new UnreadableFile(text) : error));
      };
      const gone = () => end(() => reject(new Error("The thread that works on files has ended.")));
      if (signal?.aborted) return leave();
      signal?.addEventListener("abort", leave);
      worker.on("message", hear).on("error", fail).on("exit", gone);
      worker.postMessage(job);
    });
  }
}
