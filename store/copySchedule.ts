// When a whole copy of the plan is made: after so many revisions, and once a day while somebody works on it.

import { messageOf } from "../core/plan/errors.ts";
import type { Plan } from "../core/plan/schema.ts";
import { listCopies, pruneCopies, writeCopy } from "./copies.ts";

/** Copies are made at least as often as this many revisions, so that a journal is followed in a moment. */
const REVISIONS_A_COPY = 1_000;
const DAY_MS = 86_400_000;

export class CopySchedule {
  #copying: Promise<void> = Promise.resolve();
  #last: { revision: number; at: number } | null = null;
  #isCopying = false;

  constructor(
    private readonly folder: string,
    private readonly openedAt: number,
  ) {}

  /** Makes a copy in the background where one is due. */
  consider(plan: Plan, { revision, at, kind }: { revision: number; at: string; kind: string }): void {
    if (kind === "replace") this.#last = { revision, at: Date.parse(at) };
    if (this.#isCopying || !this.#isDue(revision, at)) return;
    this.#isCopying = true;
    this.#copying = this.#copy(plan, revision, at).finally(() => {
      this.#isCopying = false;
    });
  }

  /** Waits for a copy that is under way. */
  close(): Promise<void> {
    return this.#copying;
  }

  #isDue(revision: number, at: string): boolean {
    if (!this.#last) return true;
    return revision - this.#last.revision >= REVISIONS_A_COPY || Date.parse(at) - this.#last.at >= DAY_MS;
  }

  async #copy(plan: Plan, revision: number, at: string): Promise<void> {
    try {
      const newest = (await listCopies(this.folder))[0];
      this.#last ??= newest ? { revision: newest.revision, at: Date.parse(newest.at) } : { revision: this.openedAt, at: 0 };
      if (!this.#isDue(revision, at)) return;
      await writeCopy(this.folder, plan, revision, at);
      await pruneCopies(this.folder, at);
      this.#last = { revision, at: Date.parse(at) };
    } catch (error) {
      // The journal goes on without it; the next change tries again.
      process.stderr.write(`No copy of the plan could be made: ${messageOf(error)}\n`);
    }
  }
}
