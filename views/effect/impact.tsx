"use client";
// The effect of an edit, shown before it is made: capacity, new overloads, hours that can no longer be worked, moved finishes.
import { useEffect, useState } from "react";
import type { Redacted } from "../../client/seen.ts";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { Impact } from "../../core/answers/impact.ts";
import type { Edit } from "../../core/edits/edit.ts";
import { lessFigure } from "../../core/plan/moneySides.ts";
import { FormFault } from "../../ui/field.tsx";
import { countText, hoursText, shortDay, signedMoney, wholeText } from "../../ui/format.ts";
import { SheetSection, SumLine } from "../../ui/sheet.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { isLarge } from "./moneyChange.ts";
import { texts } from "./words.ts";

const SETTLE_MS = 250;
const MOST_LINES = 6;
/** Less than an hour over the whole plan is not reported, in minutes. */
const LEAST_FREED = 60;

/** The impact of an edit that is being written; null while there is none, or none yet. */
export function useImpact(edit: Edit | null): Redacted<Impact> | null {
  const key = edit === null ? null : JSON.stringify(edit);
  const [settled, setSettled] = useState(key);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(key), SETTLE_MS);
    return () => clearTimeout(timer);
  }, [key]);
  const impact = useMaybeAnswer("impact", settled === null ? null : { edit: JSON.parse(settled) }, null);
  return key === null || settled !== key ? null : impact;
}

export function ImpactView({ impact, title = "Effect" }: { impact: Redacted<Impact> | null; title?: string }) {
  return (
    <SheetSection title={title}>
      {!impact && <p className="text-ink-2">{texts.calculating}</p>}
      <FormFault>{impact?.faults.join(" ")}</FormFault>
      {impact && impact.faults.length === 0 && <ImpactFigures impact={impact} />}
    </SheetSection>
  );
}

function ImpactFigures({ impact }: { impact: Redacted<Impact> }) {
  return (
    <>
      <Sums impact={impact} />
      <Group title={texts.overloadedByWeek} lines={impact.over.map(overLine)} more="weeks" />
      <Group title={texts.freed} lines={impact.freed.filter(({ minutes }) => minutes >= LEAST_FREED).map(freedLine)} more="people" />
      <Group title={texts.hoursThatCannotBeWorked} lines={impact.unplaced.map(unplacedLine)} more="assignments" />
      <Group title={texts.movedFinishDates} lines={projectsFirst(impact.finishes).map(finishLine)} more="finishes" />
    </>
  );
}

/** Capacity and money that change, and what is put right by it. */
function Sums({ impact }: { impact: Redacted<Impact> }) {
  const { currency } = usePlanFacts();
  const { cost, revenue } = impact.money;
  const { people, over, unplaced, finishes, relieved, placedAgain, freed } = impact;
  const isNothing = people + over.length + unplaced.length + finishes.length + freed.length === 0 && relieved + placedAgain === 0;
  return (
    <>
      {isNothing && <p className="text-ink-2">{texts.noNewOverloadCapacity}</p>}
      {people > 0 && (
        <SumLine figure={`${signed(impact.capacity.after - impact.capacity.before)} h`} isTotal>
          Capacity of {countText(people, "person", "people")}
        </SumLine>
      )}
      <Lines lines={impact.weeks.map(weekLine)} more="weeks" />
      {isLarge(cost) && <SumLine figure={signedMoney(cost, currency)}>{texts.cost}</SumLine>}
      {isLarge(revenue) && <SumLine figure={signedMoney(revenue, currency)}>{texts.revenue}</SumLine>}
      {revenue !== 0 && isLarge(lessFigure(revenue, cost)) && (
        <SumLine figure={signedMoney(lessFigure(revenue, cost), currency)}>{texts.margin}</SumLine>
      )}
      {placedAgain > 0 && <SumLine figure={`${hoursText(placedAgain)} h`}>{texts.hoursThatCanBeWorked}</SumLine>}
      {relieved > 0 && <SumLine figure={`${hoursText(relieved)} h`}>{texts.noLongerOverloadedByWeek}</SumLine>}
    </>
  );
}

const projectsFirst = (finishes: Redacted<Impact>["finishes"]): Redacted<Impact>["finishes"] => [
  ...finishes.filter(({ kind }) => kind === "project"),
  ...finishes.filter(({ kind }) => kind === "task"),
];

const weekLine = ({ week, change }: Redacted<Impact>["weeks"][number]): Line => ({
  key: String(week.start),
  text: `week of ${shortDay(week.start)}`,
  figure: `${signed(change)} h`,
});

const overLine = ({ personId, name, week, before, after }: Redacted<Impact>["over"][number]): Line => ({
  key: `${personId} ${week.start}`,
  text: `${name}, ${shortDay(week.start)}`,
  figure: `−${hoursText(after)} h${before > 0 ? ` (was −${hoursText(before)})` : ""}`,
  isBad: true,
});

const freedLine = ({ personId, name, minutes }: Redacted<Impact>["freed"][number]): Line => ({
  key: personId,
  text: name,
  figure: `${hoursText(minutes)} h`,
});

const unplacedLine = ({ assignmentId, taskName, who, minutes }: Redacted<Impact>["unplaced"][number]): Line => ({
  key: assignmentId,
  text: `${taskName} · ${who}`,
  figure: `${hoursText(minutes)} h`,
  isBad: true,
});

const finishLine = ({ kind, id, name, before, after }: Redacted<Impact>["finishes"][number]): Line => ({
  key: `${kind} ${id}`,
  text: kind === "project" ? `${name} (project)` : name,
  figure: `${shortDay(before)} → ${shortDay(after)}`,
  isBad: after > before,
});

const signed = (minutes: number) => (minutes > 0 ? `+${hoursText(minutes)}` : hoursText(minutes));

/** Lines under a heading of their own; nothing where there are none. */
function Group({ title, lines, more }: { title: string; lines: readonly Line[]; more: string }) {
  if (lines.length === 0) return null;
  return (
    <div className="pt-1.5">
      <p className="text-side">{title}</p>
      <Lines lines={lines} more={more} />
    </div>
  );
}

interface Line {
  key: string;
  text: string;
  figure: string;
  isBad?: boolean;
}

function Lines({ lines, more }: { lines: readonly Line[]; more: string }) {
  return (
    <>
      {lines.slice(0, MOST_LINES).map(({ key, text, figure, isBad }) => (
        <SumLine key={key} figure={figure} isOver={isBad}>
          <span className={isBad ? "text-ink" : "text-ink-2"}>{text}</span>
        </SumLine>
      ))}
      {lines.length > MOST_LINES && (
        <p className="text-side">
          and {wholeText(lines.length - MOST_LINES)} more {more}
        </p>
      )}
    </>
  );
}
