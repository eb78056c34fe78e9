"use client";
// What was changed, by whom and when, the newest first; any step of one's own can be taken back from here.
import { useState } from "react";
import type { ToldStep } from "../../client/messages.ts";
import { usePlan } from "../../client/session.tsx";
import type { ToldCell, ToldRow } from "../../core/edits/told.ts";
import { listWords } from "../../core/plan/check.ts";
import { grouped } from "../../core/plan/grouped.ts";
import { Button } from "../../ui/button.tsx";
import { FormFault } from "../../ui/field.tsx";
import { countText, dateTimeText, longDay } from "../../ui/format.ts";
import { SearchInput } from "../../ui/searchInput.tsx";
import { Unfold } from "../../ui/unfold.tsx";
import { Empty, Screen } from "../frame/screen.tsx";
import { fieldText, useValueText } from "../frame/valueText.ts";
import { useTrail } from "./useTrail.ts";

export function Changes() {
  const { steps, isAll, fault, more } = useTrail();
  const nameOf = useValueText();
  const [search, setSearch] = useState("");
  const text = search.trim().toLowerCase();
  const undone = undoneSteps(steps ?? []);
  const shown = (steps ?? []).filter(
    ({ words, by, rows }) => text === "" || [words, by, ...rows.map(({ name }) => name)].some((own) => own.toLowerCase().includes(text)),
  );
  return (
    <Screen
      title="Changes"
      actions={<SearchInput label="Search changes" placeholder="What, who, or by whom" value={search} onChange={setSearch} width={220} />}
    >
      <FormFault>{fault}</FormFault>
      {steps?.length === 0 && (
        <Empty title="Nothing has been changed yet">Every step that is made stands here, and can be taken back.</Empty>
      )}
      {steps === null && !fault && <p className="text-ink-2">Reading what was changed…</p>}
      {steps !== null && steps.length > 0 && (
        <div className="min-h-0 flex-1 overflow-y-auto box-open px-4 py-2">
          {[...grouped(shown, dayOf)].map(([day, own]) => (
            <section key={day}>
              <h2 className="heading-soft pt-3 pb-1">{longDay(day)}</h2>
              {own.map((step) => (
                <Step key={step.revision} step={step} isUndone={undone.has(step.revision)} nameOf={nameOf} />
              ))}
            </section>
          ))}
          {shown.length === 0 && <p className="py-3 text-ink-2">Nothing here says “{search}”.</p>}
          {!isAll && (
            <Button className="my-3" onClick={more}>
              Show what was before
            </Button>
          )}
        </div>
      )}
    </Screen>
  );
}

type NameOf = ReturnType<typeof useValueText>;

function Step({ step, isUndone, nameOf }: { step: ToldStep; isUndone: boolean; nameOf: NameOf }) {
  const session = usePlan();
  const { revision, at, by, kind, words, isOwn, rows, count } = step;
  const verb = kind === "undo" ? "undid: " : kind === "redo" ? "did again: " : "";
  return (
    <article aria-label={words} className="flex items-start gap-3 line-above py-2 first-of-type:border-t-0">
      <time dateTime={at} className="w-[44px] shrink-0 pt-px text-side" suppressHydrationWarning>
        {dateTimeText(at).slice(-5)}
      </time>
      <div className="min-w-0 flex-1">
        <p>
          <span className="text-ink-2">
            {by} {verb}
          </span>
          <span className={isUndone ? "text-ink-2 line-through" : "font-medium"}>{words}</span>
          {isUndone && <span className="text-side"> · undone</span>}
        </p>
        {count > 0 && (
          <Unfold title={countText(count, "row")}>
            <ul className="space-y-1 text-small">
              {rows.map((row, place) => (
                <Row key={`${row.list} ${row.id} ${String(place)}`} row={row} nameOf={nameOf} />
              ))}
              {count > rows.length && <li className="text-side">and {countText(count - rows.length, "more row")}</li>}
            </ul>
          </Unfold>
        )}
      </div>
      {isOwn && kind !== "replace" && kind !== "undo" && !isUndone && (
        <Button onClick={() => void session.step({ kind: "undo", of: step.of ?? revision })}>Undo</Button>
      )}
    </article>
  );
}

function Row({ row: { list, name, sort, cells }, nameOf }: { row: ToldRow; nameOf: NameOf }) {
  return (
    <li>
      <span className="text-ink-2">
        {listWords[list]} {sort === "changed" ? "" : `${sort} `}
      </span>
      {name}
      {cells.map((cell) => (
        <Cell key={cell.field} cell={cell} nameOf={nameOf} />
      ))}
    </li>
  );
}

function Cell({ cell: { field, before, after }, nameOf }: { cell: ToldCell; nameOf: NameOf }) {
  return (
    <span className="block pl-3 text-ink-2">
      {fieldText(field, nameOf)}: {nameOf(before)} → <span className="text-ink">{nameOf(after)}</span>
    </span>
  );
}

const DAY_MS = 86_400_000;

/** The day on which a step was made, as this browser counts days. */
function dayOf({ at }: ToldStep): number {
  const made = new Date(at);
  return Math.round(Date.UTC(made.getFullYear(), made.getMonth(), made.getDate()) / DAY_MS);
}

/** Steps that stand as undone: the last word about each of them was an undo. */
function undoneSteps(steps: readonly ToldStep[]): Set<number> {
  const undone = new Set<number>();
  const told = new Set<number>();
  for (const { kind, of } of steps) {
    if (of === null || told.has(of)) continue;
    told.add(of);
    if (kind === "undo") undone.add(of);
  }
  return undone;
}
