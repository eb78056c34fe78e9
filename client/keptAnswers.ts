// Answers about one state of the plan, by question and query: what is asked again is not worked out again.
import type { Question } from "./questions.ts";

/** More than the screens of one plan ask; beyond that, all are let go. */
const MOST_ANSWERS = 300;

const nameOf = (question: Question, key: string): string => `${question} ${key}`;

export class KeptAnswers {
  readonly #answers = new Map<string, unknown>();
  readonly #last = new Map<string, unknown>();

  /** @param key The query as text. @param make Works the answer out where it is not kept; always the same for one question. */
  of<T>(question: Question, key: string, make: () => T): T {
    const name = nameOf(question, key);
    if (!this.#answers.has(name)) {
      if (this.#answers.size >= MOST_ANSWERS) this.#answers.clear();
      this.#answers.set(name, make());
    }
    return this.#answers.get(name) as T;
  }

  /** The answer kept for a question; undefined if it has not been asked. */
  kept<T>(question: Question, key: string): T | undefined {
    return this.#answers.get(nameOf(question, key)) as T | undefined;
  }

  /** Keeps what a question was answered also once the plan is another one, to be shown until it is answered again. */
  keepLast(question: Question, key: string, answer: unknown): void {
    this.#last.set(nameOf(question, key), answer);
  }

  /** The last answer kept; undefined if there is none. */
  last<T>(question: Question, key: string): T | undefined {
    return this.#last.get(nameOf(question, key)) as T | undefined;
  }

  /** The plan is another one. */
  clear(): void {
    this.#answers.clear();
  }
}
