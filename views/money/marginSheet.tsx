"use client";
// One project's margin: who brings in and costs what, and what would lift it.
import { useState } from "react";
import type { Redacted } from "../../client/seen.ts";
import { useMaybeAnswer, usePlan } from "../../client/session.tsx";
import type { MarginPerson, MarginRow } from "../../core/answers/margins.ts";
import type { RemedyLine } from "../../core/answers/remedyLines.ts";
import { type Figure, figureFrom, isNegative, lessFigure } from "../../core/plan/moneySides.ts";
import { hoursText, longDay, marginText, moneyText, pointsText } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { Sheet, SheetSection, SumLine } from "../../ui/sheet.tsx";
import { RemedyList } from "../remedies/remedyList.tsx";
import { remedyEdit } from "../remedies/remedyWords.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { LoadsPreview } from "./loadsPreview.tsx";
import { kindWords } from "./moneyWords.ts";
import { texts } from "./words.ts";

export function MarginSheet({ project, currency, onClose }: { project: Redacted<MarginRow>; currency: string; onClose: () => void }) {
  const session = usePlan();
  const linkTo = useLinkTo();
  const people = useMaybeAnswer("marginPeople", { projectId: project.id }, null) ?? [];
  const [previewed, setPreviewed] = useState<Redacted<RemedyLine> | null>(null);
  const { id, name, share, side } = project;
  return (
    <Sheet title={name} subtitle={side || "Own work"} onClose={onClose}>
      <SheetSection>
        <Sums project={project} currency={currency} />
        <p className="pt-1">
          <Link href={linkTo("/money", { of: `project:${id}`, group: "kind", show: "margin", span: "plan" })} className="text-link">
            {texts.monthByMonth}
          </Link>
        </p>
      </SheetSection>
      <Budgets projectId={id} />
      {previewed && <LoadsPreview line={previewed} />}
      {share !== null && (
        <RemedyList
          problem={{ about: "margin", projectId: id }}
          previewed={previewed}
          onPreview={setPreviewed}
          onApply={(line) => {
            setPreviewed(null);
            void session.edit(remedyEdit(line));
          }}
        />
      )}
      <People people={people} />
    </Sheet>
  );
}

/** The revenue, cost and margin of the project. */
function Sums({ project: { revenue, cost, share, goal, isBelow }, currency }: { project: Redacted<MarginRow>; currency: string }) {
  return (
    <>
      <SumLine figure={moneyText(revenue)}>{texts.revenue}</SumLine>
      <SumLine figure={`− ${moneyText(cost)}`}>{texts.cost}</SumLine>
      <SumLine figure={`${currency} ${moneyText(lessFigure(revenue, cost))}`} isTotal isOver={isBelow}>
        Margin{share !== null && `, ${marginText(share)}`}
      </SumLine>
      {share !== null && goal !== null && (
        <p className="text-side">
          {isBelow ? `${pointsText(lessFigure(goal, share))} under its goal of ${marginText(goal)}` : `Its goal is ${marginText(goal)}`}
        </p>
      )}
    </>
  );
}

/** The spending against each budget of the plan, and the day on which it is exceeded. */
function Budgets({ projectId }: { projectId: string }) {
  const budgets = useMaybeAnswer("budgets", { projectId }, null) ?? [];
  if (budgets.length === 0) return null;
  return (
    <SheetSection title={texts.budget}>
      <ul>
        {budgets.map(({ kind, budget, spent, left, passes }) => (
          <li key={kind} className="line-above py-1">
            <SumLine figure={moneyText(left)} isOver={isNegative(left)}>
              {kind === "all" ? texts.budgetRemaining : `Remaining for ${kindWords[kind].toLowerCase()}`}
            </SumLine>
            <p className="text-side">
              {moneyText(spent)} of {moneyText(budget)} spent
              {passes === null ? " by the end of the plan" : <span className="text-over">, over budget from {longDay(passes)}</span>}
            </p>
          </li>
        ))}
      </ul>
    </SheetSection>
  );
}

/** The rate per hour, in minor units. */
const perHour = (minor: Figure, minutes: number): string =>
  minutes === 0 ? "–" : moneyText(figureFrom(minor, (shown) => Math.round((shown * 60) / minutes)));

function People({ people }: { people: readonly Redacted<MarginPerson>[] }) {
  if (people.length === 0) return null;
  return (
    <SheetSection title={texts.whoWorksOnIt}>
      <ul>
        {people.map(({ personId, name, roleName, minutes, cost, revenue, share }) => (
          <li key={personId ?? "nobody"} className="line-above py-1">
            <SumLine
              figure={share === null ? moneyText(lessFigure(0, cost)) : `${moneyText(lessFigure(revenue, cost))} · ${marginText(share)}`}
            >
              {name ?? "Unassigned, or a team"} <span className="text-side">{roleName}</span>
            </SumLine>
            <p className="text-side">
              {hoursText(minutes)} h, cost {perHour(cost, minutes)} an hour
              {revenue !== 0 && `, billed at ${perHour(revenue, minutes)}`}
            </p>
          </li>
        ))}
      </ul>
    </SheetSection>
  );
}
