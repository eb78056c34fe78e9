// Messages between the server and the thread that answers questions.
import type { Question } from "../client/questions.ts";
import type { BoardQuery } from "../core/answers/board.ts";
import type { Feed } from "../core/answers/feeds.ts";
import type { Cause, CauseSubject, MadeStep } from "../core/causes/causes.ts";
import type { Change } from "../core/edits/change.ts";
import type { MoneyAccess } from "../core/plan/moneySides.ts";
import type { movesOf } from "../core/schedule/moves.ts";
import type { Measure } from "../views/balance/balanceParams.ts";

/** The newest plan, as a whole or by what has changed. It comes before the question that needs it. */
export type PlanOrder =
  | { kind: "plan"; revision: number; text: string }
  | { kind: "changes"; revision: number; changes: readonly Change[] };

export type ReaderQuestion =
  | {
      kind: "ask";
      /** The sketch on top of the plan; null for the plan itself. */
      sketchId: string | null;
      question: Question;
      query: unknown;
      access: MoneyAccess;
      /** True for an answer as JSON text. */
      isText: boolean;
    }
  /** The board as a file: it has a million cells where it is by day, which are written where they are calculated. */
  | {
      kind: "boardFile";
      sketchId: string | null;
      query: BoardQuery;
      measure: Measure;
      access: MoneyAccess;
      format: "csv" | "xlsx";
      title: string;
    }
  | { kind: "feed"; of: string; id: string }
  /** The steps that moved something, the newest first; `revision` is the newest. */
  | { kind: "causes"; revision: number; steps: readonly MadeStep[]; subject: CauseSubject }
  /** Two plans as JSON. */
  | { kind: "moved"; before: string; after: string };

export type ReaderOrder = PlanOrder | (ReaderQuestion & { number: number });

export interface ReaderResults {
  /** The answer, or its text. */
  ask: unknown;
  /** CSV, or the tables of a workbook as JSON. */
  boardFile: string;
  feed: Feed | string;
  /** Null where the plan has changed since. */
  causes: Cause[] | null;
  moved: ReturnType<typeof movesOf>;
}

export type ReaderReply = { number: number; data: unknown } | { number: number; error: string };
