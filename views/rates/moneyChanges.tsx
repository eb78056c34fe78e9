"use client";
// The effect of other rates on the cost and revenue of projects: of an edit before it is made, and of the values typed last.
import { useEffect, useState } from "react";
import type { AnswerOf } from "../../client/questions.ts";
import { useMaybeAnswer, usePlan } from "../../client/session.tsx";
import type { Edit } from "../../core/edits/edit.ts";
import { lessFigure, sumOfFigures } from "../../core/plan/moneySides.ts";
import { countText, signedMoney } from "../../ui/format.ts";
import { SheetSection, SumLine } from "../../ui/sheet.tsx";
import { Unfold } from "../../ui/unfold.tsx";
import type { MoneyChange } from "../effect/moneyChange.ts";
import { usePlanFacts } from "../scope/facts.ts";
import { texts } from "./words.ts";

type Margins = AnswerOf<"margins">;

export const ALL_WORK = { pipeline: "full" } as const;

/** The effect of an edit on the cost and revenue of projects over the whole plan. */
export function MoneyChanges({ edit }: { edit: Edit }) {
  const session = usePlan();
  const now = useMaybeAnswer("margins", ALL_WORK, null);
  const [then, setThen] = useState<Margins | null>(null);
  useEffect(() => {
    let isWanted = true;
    setThen(null);
    void session.preview(edit, "margins", ALL_WORK).then((margins) => isWanted && setThen(margins));
    return () => {
      isWanted = false;
    };
  }, [session, edit]);
  if (!now || !then) return <SheetSection title={texts.effectOnProjects}>{texts.calculating}</SheetSection>;
  return (
    <SheetSection title={texts.effectOnProjects}>
      <ChangeLines now={now} then={then} />
    </SheetSection>
  );
}

function ChangeLines({ now, then }: { now: Margins; then: Margins }) {
  const { currency } = usePlanFacts();
  const changed = changesOf(now, then);
  return (
    <>
      {changed.length === 0 && <p className="text-ink-2">{NO_CHANGE}</p>}
      {changed.map((own) => (
        <SumLine key={own.id} figure={moneyWords(own, currency)}>
          {own.name}
        </SumLine>
      ))}
      {changed.length > 1 && (
        <SumLine figure={moneyWords(sumOf(changed), currency)} isTotal>
          {texts.total}
        </SumLine>
      )}
    </>
  );
}

/** Rates that were typed, with the money of projects as it was before them. */
export interface Typed {
  before: Promise<Margins>;
}

/** The effect of the rates typed last on projects; nothing is calculated before the first. */
export function LastChange({ typed }: { typed: Typed | null }) {
  const now = useMaybeAnswer("margins", typed ? ALL_WORK : null, null);
  const [before, setBefore] = useState<Margins | null>(null);
  useEffect(() => {
    let isWanted = true;
    setBefore(null);
    typed?.before.then(
      (margins) => isWanted && setBefore(margins),
      () => undefined,
    );
    return () => {
      isWanted = false;
    };
  }, [typed]);
  if (!typed) return null;
  return (
    <div role="status" className="max-w-[460px] pt-2 text-side">
      {before && now ? <LastLines now={before} then={now} /> : texts.calculatingTheEffectOnProjects}
    </div>
  );
}

/** The sum in a line, and the projects below where they are asked for: the rates keep the room. */
function LastLines({ now, then }: { now: Margins; then: Margins }) {
  const { currency } = usePlanFacts();
  const changed = changesOf(now, then);
  if (changed.length === 0) return NO_CHANGE;
  const title = `Last change: ${moneyWords(sumOf(changed), currency)} in ${countText(changed.length, "project")}`;
  return (
    <Unfold title={title}>
      <ChangeLines now={now} then={then} />
    </Unfold>
  );
}

const NO_CHANGE = "No project changes.";

/** The projects that cost or bring in something else then, each with how much more. */
const changesOf = (now: Margins, then: Margins): (MoneyChange & { id: string; name: string })[] =>
  then.projects.flatMap(({ id, name, cost, revenue }) => {
    const before = now.projects.find((own) => own.id === id);
    const [by, more] = [lessFigure(cost, before?.cost ?? 0), lessFigure(revenue, before?.revenue ?? 0)];
    return by === 0 && more === 0 ? [] : [{ id, name, cost: by, revenue: more }];
  });

const sumOf = (changed: readonly MoneyChange[]): MoneyChange => ({
  cost: sumOfFigures(changed.map(({ cost }) => cost)),
  revenue: sumOfFigures(changed.map(({ revenue }) => revenue)),
});

const moneyWords = ({ cost, revenue }: MoneyChange, currency: string): string =>
  [cost !== 0 && `cost ${signedMoney(cost, currency)}`, revenue !== 0 && `revenue ${signedMoney(revenue, currency)}`]
    .filter(Boolean)
    .join(", ");
