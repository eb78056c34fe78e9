"use client";
// The demand, cost and revenue of an enquiry, and its possible start; before anyone has decided.
import { useState } from "react";
import type { Redacted } from "../../client/seen.ts";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { EnquiryEffect } from "../../core/answers/enquiries.ts";
import type { Counting } from "../../core/load/counting.ts";
import { lessFigure } from "../../core/plan/moneySides.ts";
import { hoursText, longDay, marginText, moneyText, rangeText, shareText } from "../../ui/format.ts";
import { SheetSection, SumLine } from "../../ui/sheet.tsx";
import { Unfold } from "../../ui/unfold.tsx";
import { BringForward } from "../horizon/bringForward.tsx";
import { RoomBeside, StartCurve } from "../horizon/earliestStart.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { texts } from "./words.ts";

export interface AsIf {
  enquiryId: string;
  start?: string;
  today: string;
}

export function Effect({ query, onStart }: { query: AsIf; onStart: (day: number) => void }) {
  const { currency } = usePlanFacts();
  const [pipeline, setPipeline] = useState<Counting["pipeline"]>("none");
  const effect = useMaybeAnswer("enquiryEffect", { ...query, pipeline }, null);
  if (!effect)
    return (
      <SheetSection title={texts.effectOnThePlan}>
        <p className="text-ink-2">{texts.calculating}</p>
      </SheetSection>
    );
  const { start, finish, roles, money } = effect;
  const short = roles.filter(({ short }) => short > 0);
  return (
    <>
      <SheetSection title={texts.effectOnThePlan}>
        <p>
          {longDay(start)} – {longDay(finish)}
        </p>
        {roles.length === 0 && <p className="text-side">{texts.itsSizeIsNotKnown}</p>}
        {roles.length > 0 && <RoomBeside pipeline={pipeline} onChange={setPipeline} />}
        <ul aria-label={texts.hoursByRole}>
          {roles.map(({ roleName, asked, short, worst }) => (
            <li key={roleName} className="line-above py-1">
              <SumLine figure={`${hoursText(asked)} h`} isOver={short > 0}>
                {roleName}
              </SumLine>
              <p className="text-side">{lackText(short, worst)}</p>
            </li>
          ))}
        </ul>
        {roles.length > 0 && short.length === 0 && <p className="pt-1 text-level-ink">{texts.everyRoleHasRoom}</p>}
        <Money money={money} currency={currency} />
        <Unfold title={texts.whenCouldItStart} look="action">
          <Earliest query={query} pipeline={pipeline} begins={start} onStart={onStart} />
        </Unfold>
      </SheetSection>
      <WhoHasRoom people={effect.people} />
    </>
  );
}

function lackText(short: number, worst: Redacted<EnquiryEffect>["roles"][number]["worst"]): string {
  if (worst === null) return "has room for it";
  const where = `in the week of ${rangeText(worst.week)}`;
  if (worst.minutes === short) return `${hoursText(short)} h short ${where}`;
  return `${hoursText(short)} h short, most ${where}: ${hoursText(worst.minutes)} h`;
}

function Money({
  money: { revenue, cost, share, goal, isBelow },
  currency,
}: {
  money: Redacted<EnquiryEffect>["money"];
  currency: string;
}) {
  return (
    <div className="line-above pt-1.5">
      <SumLine figure={moneyText(revenue)}>{texts.value}</SumLine>
      <SumLine figure={`− ${moneyText(cost)}`}>{texts.cost}</SumLine>
      <SumLine figure={`${currency} ${moneyText(lessFigure(revenue, cost))}`} isTotal isOver={isBelow}>
        Margin{share !== null && `, ${marginText(share)}`}
      </SumLine>
      {isBelow && goal !== null && <p className="text-side">The goal is {marginText(goal)}.</p>}
    </div>
  );
}

interface EarliestProps {
  query: AsIf;
  pipeline: Counting["pipeline"];
  begins: number;
  onStart: (day: number) => void;
}

function Earliest({ query, pipeline, begins, onStart }: EarliestProps) {
  const { today } = usePlanFacts();
  const [from] = useState(today);
  const of = { enquiry: query };
  const earliest = useMaybeAnswer("earliest", { of, from, tolerance: 0, pipeline }, null);
  if (!earliest) return <p className="pt-1 text-side">{texts.checkingEveryWeek}</p>;
  return (
    <>
      <StartCurve earliest={earliest} begins={begins} onShow={(days) => onStart(begins + days)} />
      <BringForward of={of} tolerance={0} pipeline={pipeline} first={earliest.first} />
    </>
  );
}

function WhoHasRoom({ people }: { people: Redacted<EnquiryEffect>["people"] }) {
  if (people.length === 0) return null;
  return (
    <SheetSection title={texts.peopleWithRoomForIt}>
      <ul>
        {people.map(({ roleName, people: own }) => (
          <li key={roleName} className="line-above py-1">
            {roleName}
            <p className="text-side">
              {own.length === 0 ? "nobody" : own.map(({ name, cover }) => `${name} ${shareText(cover)}`).join(", ")}
            </p>
          </li>
        ))}
      </ul>
    </SheetSection>
  );
}
