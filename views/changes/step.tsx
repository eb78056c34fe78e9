"use client";
// One step of the trail: what, by whom and when, the rows it changed and what moved because of it.
import { useState } from "react";
import type { ToldStep } from "../../client/messages.ts";
import { usePlan } from "../../client/session.tsx";
import type { StepCell } from "../../core/edits/stepRows.ts";
import type { Moves } from "../../core/schedule/moves.ts";
import { Button, TextButton } from "../../ui/button.tsx";
import { countText, dateTimeText } from "../../ui/format.ts";
import { Unfold } from "../../ui/unfold.tsx";
import { ChangedRow } from "../notices/changedRow.tsx";
import { MovedLines } from "../notices/movedNotice.tsx";
import { fieldText, type useValueText } from "../notices/valueText.ts";
import { texts } from "./words.ts";

type NameOf = ReturnType<typeof useValueText>;

/** @param hasDay Says the day too, where no heading does. */
export function Step({ step, isUndone, nameOf, hasDay = false }: { step: ToldStep; isUndone: boolean; nameOf: NameOf; hasDay?: boolean }) {
  const session = usePlan();
  const { revision, at, by, kind, words, isOwn, rows, count } = step;
  const verb = kind === "undo" ? "Undone: " : kind === "redo" ? "Redone: " : "";
  const says = verb + (verb === "" ? words.charAt(0).toUpperCase() + words.slice(1) : words);
  return (
    <article aria-label={words} className="flex items-start gap-3 line-above py-2 first-of-type:border-t-0">
      {!hasDay && (
        <time dateTime={at} className="w-[44px] shrink-0 pt-px text-side" suppressHydrationWarning>
          {dateTimeText(at).slice(-5)}
        </time>
      )}
      <div className="min-w-0 flex-1">
        <p>
          <span className={isUndone ? "text-ink-2 line-through" : "font-medium"}>{says}</span>
          <span className="text-side">
            {" "}
            · {by}
            {hasDay && `, ${dateTimeText(at)}`}
            {isUndone && " · undone"}
          </span>
        </p>
        {kind !== "replace" && <Moved revision={revision} />}
        {count > 0 && (
          <Unfold title={countText(count, "row")}>
            <ul className="space-y-1 text-small">
              {rows.map((row, place) => (
                <li key={`${row.list} ${row.id} ${String(place)}`}>
                  <ChangedRow row={row} cell={(cell) => <Cell cell={cell} nameOf={nameOf} />} />
                </li>
              ))}
              {count > rows.length && <li className="text-side">and {countText(count - rows.length, "more row")}</li>}
            </ul>
          </Unfold>
        )}
      </div>
      {isOwn && kind !== "replace" && kind !== "undo" && !isUndone && (
        <Button onClick={() => void session.step({ kind: "undo", of: step.of ?? revision })}>{texts.undo}</Button>
      )}
    </article>
  );
}

function Cell({ cell: { field, before, after }, nameOf }: { cell: StepCell; nameOf: NameOf }) {
  return (
    <span className="block pl-3 text-ink-2">
      {fieldText(field, nameOf)}: {nameOf(before)} → <span className="text-ink">{nameOf(after)}</span>
    </span>
  );
}

/** The dates that moved because of a step, calculated on demand. */
function Moved({ revision }: { revision: number }) {
  const [moves, setMoves] = useState<Moves | string | null>(null);
  const ask = async () => {
    setMoves("Calculating…");
    try {
      const response = await fetch(`/api/changes/moved?revision=${revision}`);
      const answer: Moves & { message?: string } = await response.json();
      setMoves(response.ok ? answer : (answer.message ?? `The server answered ${response.status}.`));
    } catch {
      setMoves("The server cannot be reached. Try again when it answers.");
    }
  };
  if (moves === null) return <TextButton onClick={() => void ask()}>{texts.showMovedDates}</TextButton>;
  if (typeof moves === "string") return <p className="text-side">{moves}</p>;
  if (moves.tasks.length + moves.projects.length === 0) return <p className="text-side">{texts.noOtherDateMoved}</p>;
  return <MovedLines moves={moves} most={null} />;
}

/** Steps whose last undo or redo was an undo. */
export function undoneSteps(steps: readonly ToldStep[]): Set<number> {
  const undone = new Set<number>();
  const reported = new Set<number>();
  for (const { kind, of } of steps) {
    if (of === null || reported.has(of)) continue;
    reported.add(of);
    if (kind === "undo") undone.add(of);
  }
  return undone;
}
