// A thread that answers questions about the newest plan. The server sends it the changes before each question.
import { Worker } from "node:worker_threads";
import type { Change } from "../core/edits/change.ts";
import type { Snapshot } from "../store/planStore.ts";
import type { PlanOrder, ReaderOrder, ReaderQuestion, ReaderReply, ReaderResults } from "./readerOrders.ts";

/** The part of the store that it reads. */
export interface PlanSource {
  snapshot(): Pick<Snapshot, "plan" | "revision">;
  changesSince(revision: number): Change[] | null;
}

interface Waiting {
  resolve: (data: unknown) => void;
  reject: (error: Error) => void;
}

export class Reader {
  #worker: Worker | null = null;
  /** The revision that was sent to the thread. */
  #sent = -1;
  #number = 0;
  #idle: NodeJS.Timeout | null = null;
  readonly #waiting = new Map<number, Waiting>();

  /** @param script The program of the thread, bundled.
   * @param idleMs The thread ends when nothing has been asked for so long, and gives its memory back; never where it is left out. */
  constructor(
    private readonly source: PlanSource,
    private readonly script: string,
    private readonly idleMs?: number,
  ) {}

  /** Asks about the newest plan. @returns The answer, and the revision that it is about. */
  async ask<K extends ReaderQuestion["kind"]>(
    question: Extract<ReaderQuestion, { kind: K }>,
  ): Promise<{ revision: number; data: ReaderResults[K] }> {
    const worker = this.#running();
    const revision = this.#sendNewest(worker);
    const number = ++this.#number;
    const data = await new Promise<unknown>((resolve, reject) => {
      this.#waiting.set(number, { resolve, reject });
      worker.postMessage({ ...question, number } satisfies ReaderOrder);
    });
    return { revision, data: data as ReaderResults[K] };
  }

  /** Lets the thread build the model before the first question. */
  warm(): void {
    this.#sendNewest(this.#running());
  }

  /** Ends the thread. Open questions are rejected; the next question starts another thread. */
  async end(): Promise<void> {
    const worker = this.#worker;
    this.#forget(ended());
    await worker?.terminate();
  }

  #running(): Worker {
    if (this.#idle) clearTimeout(this.#idle);
    this.#idle = null;
    if (this.#worker) return this.#worker;
    const worker = new Worker(this.script);
    // The server may end while the thread waits.
    worker.unref();
    worker.on("message", (reply: ReaderReply) => this.#hear(reply));
    const fail = (error: Error) => {
      if (this.#worker === worker) this.#forget(error);
    };
    worker.once("error", fail);
    worker.once("exit", () => fail(ended()));
    this.#worker = worker;
    return worker;
  }

  #sendNewest(worker: Worker): number {
    const { plan, revision } = this.source.snapshot();
    if (revision === this.#sent) return revision;
    const changes = this.#sent < 0 ? null : this.source.changesSince(this.#sent);
    const order: PlanOrder = changes ? { kind: "changes", revision, changes } : { kind: "plan", revision, text: JSON.stringify(plan) };
    worker.postMessage(order);
    this.#sent = revision;
    return revision;
  }

  #hear(reply: ReaderReply): void {
    const waiting = this.#waiting.get(reply.number);
    this.#waiting.delete(reply.number);
    if ("error" in reply) waiting?.reject(new Error(reply.error));
    else waiting?.resolve(reply.data);
    if (this.#waiting.size === 0 && this.idleMs !== undefined) this.#idle = setTimeout(() => void this.end(), this.idleMs).unref();
  }

  #forget(error: Error): void {
    const waiting = [...this.#waiting.values()];
    this.#worker = null;
    this.#sent = -1;
    this.#waiting.clear();
    for (const { reject } of waiting) reject(error);
  }
}

const ended = (): Error => new Error("The thread that answers questions has ended.");
