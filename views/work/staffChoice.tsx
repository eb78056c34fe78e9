"use client";
// A person joins or leaves effort-sized work: what gives is asked, with what each answer results in next to it.
import { useState } from "react";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { StaffOutcome, StaffOutcomes, StaffQuery, StaffWay } from "../../core/answers/staffOutcomes.ts";
import type { Edit } from "../../core/edits/edit.ts";
import { Button } from "../../ui/button.tsx";
import { hoursText, shortDay } from "../../ui/format.ts";
import { texts } from "./words.ts";

interface Words {
  says: string;
  why: string;
}

const joining: Record<StaffWay, Words> = {
  open: { says: texts.nothingTheyTakeTheUnassigned, why: "They take the unassigned hours." },
  finish: { says: texts.theFinish, why: "The work is shared; everyone’s daily hours stay the same." },
  daily: { says: texts.theDailyHours, why: "The finish stays; everyone works fewer hours a day on it." },
  work: { says: texts.theAmountOfWork, why: "Their hours are added; the finish stays." },
};

const leaving: Record<StaffWay, Words> = {
  ...joining,
  finish: { says: texts.theFinish, why: "The others take over the hours; their daily hours stay the same." },
  daily: { says: texts.theDailyHours, why: "The others take over and work more hours a day on it." },
  work: { says: texts.theAmountOfWork, why: "The hours are removed." },
};

export function StaffChoice({
  title,
  query,
  onTake,
  onCancel,
}: {
  title: string;
  query: StaffQuery;
  onTake: (edit: Edit) => Promise<boolean>;
  onCancel?: () => void;
}) {
  const answer = useMaybeAnswer("staff", query, null);
  const [isBusy, setBusy] = useState(false);
  const words = "joins" in query ? joining : leaving;
  if (!answer) return <p className="py-1 text-ink-2">{texts.calculating}</p>;
  return (
    <fieldset className="mt-1 rounded-card border border-line-2 p-2">
      <legend className="px-1 font-medium">{title}</legend>
      <p className="pb-1 text-side">Now: {figures(answer.before)}</p>
      {answer.outcomes.map((outcome) => (
        <Outcome
          key={outcome.way}
          words={words[outcome.way]}
          outcome={outcome}
          before={answer.before}
          isBusy={isBusy}
          onTake={() => {
            setBusy(true);
            void onTake(outcome.edit).finally(() => setBusy(false));
          }}
        />
      ))}
      {onCancel && (
        <Button onClick={onCancel} className="mt-1">
          {texts.cancel}
        </Button>
      )}
    </fieldset>
  );
}

function Outcome({
  words,
  outcome,
  before,
  isBusy,
  onTake,
}: {
  words: Words;
  outcome: StaffOutcome;
  before: StaffOutcomes["before"];
  isBusy: boolean;
  onTake: () => void;
}) {
  const isLater = outcome.projectFinish > before.projectFinish;
  return (
    <button type="button" disabled={isBusy} onClick={onTake} className="line-choice press">
      <span className="block font-medium text-pine">{words.says}</span>
      <span className="block text-side">{words.why}</span>
      <span className="block text-[13px]">{figures(outcome)}</span>
      {outcome.projectFinish !== before.projectFinish && (
        <span className={`block text-small ${isLater ? "text-over" : "text-ink-2"}`}>
          project finish {shortDay(before.projectFinish)} → {shortDay(outcome.projectFinish)}
        </span>
      )}
      {outcome.isBeyondDay && <span className="block text-small text-over">{texts.moreThanAPersonsWhole}</span>}
    </button>
  );
}

function figures({ start, finish, daily, effort }: StaffOutcomes["before"]): string {
  return `${shortDay(start)} – ${shortDay(finish)} · ${hoursText(daily)} h a day · ${hoursText(effort)} h in total`;
}
