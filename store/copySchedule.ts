// When a whole copy of the plan is made: after so many revisions, and once a day while a person works on it.

import type { Plan } from "../core/plan/schema.ts";
import { messageOf } from "../core/values/errors.ts";
import { listCopies, pruneCopies, readCopy, writeCopy } from "./copies.ts";
import type { Journal } from "./journal.ts";

/** Copies are made at least as often as this many revisions, so that a journal is followed in a moment. */
const REVISIONS_A_COPY = 1_000;
const DAY_MS = 86_400_000;

export class CopySchedule {
  #copying: Promise<void> = Promise.resolve();
  #last: { revision: number; at: number } | null = null;
  #isCopying = false;

  constructor(
    private readonly folder: string,
    private readonly journal: Pick<Journal, "beginFile" | "dropUpTo">,
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

  /** The journal is kept from the copy before the newest on: where that one is damaged, the plan is made from the other. */
  async #shortenJournal(newest: number): Promise<void> {
    for (const { name, revision } of await listCopies(this.folder)) {
      if (revision >= newest || !(await readCopy(this.folder, name))) continue;
      return this.journal.dropUpTo(revision);
    }
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
      this.journal.beginFile();
      const name = await writeCopy(this.folder, plan, revision, at);
      this.#last = { revision, at: Date.parse(at) };
      if (!(await readCopy(this.folder, name))) throw new Error(`The copy ${name} is not as it was written`);
      await pruneCopies(this.folder, at);
      await this.#shortenJournal(revision);
    } catch (error) {
      // The journal goes on without it; the next change tries again.
      process.stderr.write(`No copy of the plan could be made: ${messageOf(error)}\n`);
    }
  }
}
