"use client";
// The board as it would be after a remedy: shown in place of the one that is, with what differs marked; and, while a sketch is open,
// what differs from the plan without it.
import { useEffect, useMemo, useState } from "react";
import type { AnswerOf, QueryOf } from "../../client/questions.ts";
import type { Redacted } from "../../client/seen.ts";
import { useHost, useMaybeAnswer, usePlan } from "../../client/session.tsx";
import type { RemedyLine } from "../../core/answers/remedyLines.ts";
import { togetherOf } from "../../core/edits/together.ts";
import type { Bar } from "../../core/load/bars.ts";
import { remedyText } from "../remedies/remedyWords.ts";

type Board = AnswerOf<"board">;

/** Of the person who has none: the same list each time. */
export const NO_BARS: Bar[] = [];

export function useBoardPreview(before: Board, query: QueryOf<"board">) {
  const session = usePlan();
  const [previewed, setPreviewed] = useState<Redacted<RemedyLine> | null>(null);
  const [after, setAfter] = useState<{ line: Redacted<RemedyLine>; before: Board; board: Board } | null>(null);
  const key = JSON.stringify(query);
  useEffect(() => {
    if (!previewed) return;
    let isStale = false;
    const edit = togetherOf(previewed.edits, remedyText(previewed));
    void session.preview(edit, "board", JSON.parse(key)).then((board) => {
      if (isStale) return;
      if (board) setAfter({ line: previewed, before, board });
      else setPreviewed(null);
    });
    return () => {
      isStale = true;
    };
  }, [session, previewed, before, key]);
  const preview = previewed && after?.line === previewed && after.before === before ? after.board : null;
  const planned = usePlannedBoard(query);
  // A preview is compared with the board; a sketch with the plan without it.
  const [shown, former] = preview ? [preview, before] : planned ? [before, planned] : [null, before];
  const formerRows = useMemo(() => shown && new Map(former.rows.map(({ key: row }, at) => [row, at])), [shown, former]);
  const differs = useMemo(() => {
    if (!shown || !formerRows) return null;
    return (row: number, period: number): boolean => {
      const formerRow = formerRows.get(shown.rows[row].key);
      if (formerRow === undefined) return true;
      const count = shown.periods.length;
      const [now, then] = [row * count + period, formerRow * count + period];
      return (["load", "capacity", "peakOver", "open"] as const).some((column) => shown[column][now] !== former[column][then]);
    };
  }, [shown, formerRows, former]);
  return {
    board: preview ?? before,
    previewed: preview ? previewed : null,
    setPreviewed,
    /** True of a cell that the preview, or else the open sketch, changes; null where there is neither. */
    differs,
    /** Bars of a person as they are, where the preview has them elsewhere, with someone else or not at all. */
    formerBars: (personId: string): Bar[] => (shown ? movedBars(former.bars[personId] ?? [], shown.bars[personId] ?? []) : NO_BARS),
  };
}

/** While a sketch is open: the same board of the plan without it; null until it is known. */
function usePlannedBoard(query: QueryOf<"board">): Board | null {
  const isSketching = useHost((state) => state?.sketchId != null);
  const planned = useMaybeAnswer("plannedBoard", isSketching ? query : null, null);
  return planned && planned.of === JSON.stringify(query) ? planned.board : null;
}

function movedBars(before: readonly Bar[], after: readonly Bar[]): Bar[] {
  const now = new Map(after.map((bar) => [bar.assignmentId, bar]));
  return before.filter(({ assignmentId, start, stop }) => {
    const bar = now.get(assignmentId);
    return !bar || bar.start !== start || bar.stop !== stop;
  });
}
