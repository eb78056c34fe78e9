"use client";
// The options for a group that is short, each measured by the forecast before and after.
import { useState } from "react";
import type { Redacted } from "../../client/seen.ts";
import { useMaybeAnswer, usePlan } from "../../client/session.tsx";
import type { HorizonHelps, HorizonQuery, PipelineCase } from "../../core/answers/horizon.ts";
import type { HelpTarget, MeasuredHelp } from "../../core/forecast/help.ts";
import { TextButton } from "../../ui/button.tsx";
import { hoursText, signedMoney } from "../../ui/format.ts";
import { newId } from "../../ui/newId.ts";
import { SheetSection, SumLine } from "../../ui/sheet.tsx";
import { Unfold } from "../../ui/unfold.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { useTry } from "../scope/useTry.ts";
import { manyWords } from "./groupWords.ts";
import { HelpFields } from "./helpFields.tsx";
import { helpText } from "./helpText.ts";
import { texts } from "./words.ts";

interface Props {
  groupKey: string;
  query: HorizonQuery;
  /** Shows the pipeline with a project moved. */
  onShow: (change: PipelineCase) => void;
}

const MOST_SHOWN = 8;
type Help = Redacted<HorizonHelps>["helps"][number];

export function WhatHelps({ groupKey, query, onShow }: Props) {
  const answer = useMaybeAnswer("horizonHelps", { ...query, key: groupKey }, null);
  if (!answer) return <SheetSection title={texts.options}>{texts.tryingOptions}</SheetSection>;
  const { helps, others } = answer;
  if (helps.length === 0) return null;
  return (
    <>
      <SheetSection title={texts.options}>
        <p className="pb-1 text-side">
          Expected shortage of {ofWords[query.by]} over all periods shown, now {hoursText(helps[0].before.own)} h.
        </p>
        <ul aria-label={texts.options}>
          {helps.slice(0, MOST_SHOWN).map((help) => (
            <HelpLine key={JSON.stringify(help.help)} query={{ ...query, key: groupKey }} own={help} onShow={onShow} />
          ))}
        </ul>
      </SheetSection>
      {others.length > 0 && (
        <SheetSection title={texts.otherPeopleWithTheRole}>
          {others.slice(0, MOST_SHOWN).map(({ personId, name, free }) => (
            <SumLine key={personId} figure={`${hoursText(free)} h free`}>
              {name}
            </SumLine>
          ))}
        </SheetSection>
      )}
    </>
  );
}

interface HelpLineProps {
  query: HorizonQuery & { key: string };
  own: Help;
  onShow: (change: PipelineCase) => void;
}

/** One help; its figures can be changed, and what it does is measured again. */
function HelpLine({ query, own, onShow }: HelpLineProps) {
  const [help, setHelp] = useState(own.help);
  const isChanged = JSON.stringify(help) !== JSON.stringify(own.help);
  const measured = useMaybeAnswer("horizonHelp", isChanged ? { ...query, help } : null, null);
  const shown = isChanged ? measured : own;
  const session = usePlan();
  const tryIt = useTry();
  const { key, by, level } = query;
  const target = { key, by, level };
  const words = helpText({ ...own, help }, target);
  const draw = async () => {
    const edit = await session.ask("helpEdit", { ...target, help, idStem: newId("person"), words });
    if (edit) await tryIt(edit, words);
  };
  return (
    <li className="line-above py-1.5 first:border-t-0">
      <p>{words}</p>
      <p>
        {shown ? <Effect measured={shown} by={by} /> : <span className="text-side">{texts.calculating}</span>}{" "}
        {help.kind === "later" && (
          <TextButton onClick={() => onShow({ projectId: help.projectId, outcome: null, days: help.days })}>{texts.showIt}</TextButton>
        )}{" "}
        <TextButton onClick={() => void draw()}>{texts.tryItInASketch}</TextButton>
      </p>
      {help.kind !== "lend" && (
        <Unfold title={texts.editItsFigures} look="action">
          <HelpFields help={help} onChange={setHelp} />
        </Unfold>
      )}
    </li>
  );
}

/** The shortage that is left, what other groups gain or lose, and the cost. */
function Effect({ measured: { before, after, cost }, by }: { measured: Redacted<MeasuredHelp>; by: HelpTarget["by"] }) {
  const { currency } = usePlanFacts();
  const elsewhere = after.all - after.own - (before.all - before.own);
  return (
    <>
      <span className="font-semibold">{hoursText(after.own)} h left</span>
      <span className="text-side">
        {Math.abs(elsewhere) >= 6 && `, other ${manyWords[by]} ${elsewhere > 0 ? "+" : "−"}${hoursText(Math.abs(elsewhere))} h`}
        {cost === null ? texts.priceNotKnown : cost !== 0 && `, about ${signedMoney(cost, currency)}`}
      </span>
    </>
  );
}

const ofWords = { role: "the role", skill: "the skill", team: "the team", place: "the place" } as const;
