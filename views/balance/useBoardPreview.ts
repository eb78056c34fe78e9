"use client";
// The board as it would be after a remedy: shown in place of the one that is, with what differs marked.
import { useCallback, useEffect, useMemo, useState } from "react";
import type { AnswerOf, QueryOf } from "../../client/questions.ts";
import { usePlan } from "../../client/session.tsx";
import type { RemedyLine } from "../../core/answers/remedyLines.ts";
import { togetherOf } from "../../core/balancing/remedies.ts";
import type { Bar } from "../../core/load/bars.ts";
import { remedyText } from "../remedies/remedyWords.ts";

type Board = AnswerOf<"board">;

export function useBoardPreview(before: Board, query: QueryOf<"board">) {
  const session = usePlan();
  const [previewed, setPreviewed] = useState<RemedyLine | null>(null);
  const [after, setAfter] = useState<{ line: RemedyLine; before: Board; board: Board } | null>(null);
  const key = JSON.stringify(query);
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked anew where the board that is shown is another one
  useEffect(() => {
    if (!previewed) return;
    let isStale = false;
    const edit = togetherOf(previewed.edits, remedyText(previewed));
    void session.preview(edit, "board", query).then((board) => {
      if (isStale) return;
      if (board) setAfter({ line: previewed, before, board });
      else setPreviewed(null);
    });
    return () => {
      isStale = true;
    };
  }, [session, previewed, before, key]);
  const shown = previewed && after?.line === previewed && after.before === before ? after.board : null;
  const formerRows = useMemo(() => shown && new Map(before.rows.map(({ key: row }, at) => [row, at])), [shown, before]);
  const differs = useCallback(
    (row: number, period: number): boolean => {
      if (!shown || !formerRows) return false;
      const former = formerRows.get(shown.rows[row].key);
      if (former === undefined) return true;
      const count = shown.periods.length;
      const [now, then] = [row * count + period, former * count + period];
      return (["load", "capacity", "peakOver", "open"] as const).some((column) => shown[column][now] !== before[column][then]);
    },
    [shown, formerRows, before],
  );
  return {
    board: shown ?? before,
    previewed: shown ? previewed : null,
    setPreviewed,
    /** True of a cell that the preview changes. */
    differs,
    /** Bars of somebody as they are, where the preview has them elsewhere, with somebody else or not at all. */
    formerBars: (personId: string): Bar[] => (shown ? movedBars(before.bars[personId] ?? [], shown.bars[personId] ?? []) : []),
  };
}

function movedBars(before: readonly Bar[], after: readonly Bar[]): Bar[] {
  const now = new Map(after.map((bar) => [bar.assignmentId, bar]));
  return before.filter(({ assignmentId, start, stop }) => {
    const bar = now.get(assignmentId);
    return !bar || bar.start !== start || bar.stop !== stop;
  });
}
