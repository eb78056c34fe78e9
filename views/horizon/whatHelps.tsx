"use client";
// What would help a group that is short, each measured by the forecast before and after.
import { useMaybeAnswer, usePlan } from "../../client/session.tsx";
import type { HorizonHelps, HorizonQuery, PipelineCase } from "../../core/answers/horizon.ts";
import type { HelpTarget } from "../../core/forecast/help.ts";
import { TextButton } from "../../ui/button.tsx";
import { hoursText, signedMoney } from "../../ui/format.ts";
import { newId } from "../../ui/newId.ts";
import { SheetSection, SumLine } from "../../ui/sheet.tsx";
import { usePlanFacts } from "../frame/facts.ts";
import { useTry } from "../frame/useTry.ts";
import { manyWords } from "./groupWords.ts";
import { helpText } from "./helpText.ts";

interface Props {
  groupKey: string;
  query: HorizonQuery;
  /** Shows the pipeline with a project moved. */
  onShow: (change: PipelineCase) => void;
}

const MOST_SHOWN = 8;
type Help = HorizonHelps["helps"][number];

export function WhatHelps({ groupKey, query, onShow }: Props) {
  const answer = useMaybeAnswer("horizonHelps", { ...query, key: groupKey }, null);
  if (!answer) return <SheetSection title="What would help">Trying what there is…</SheetSection>;
  const { helps, others } = answer;
  if (helps.length === 0) return null;
  return (
    <>
      <SheetSection title="What would help">
        <p className="pb-1 text-side">
          Expected shortage of {ofWords[query.by]} over all periods shown, now {hoursText(helps[0].before.own)} h.
        </p>
        <ul aria-label="What would help">
          {helps.slice(0, MOST_SHOWN).map((help) => (
            <HelpLine
              key={JSON.stringify(help.help)}
              target={{ key: groupKey, by: query.by, level: query.level }}
              own={help}
              onShow={onShow}
            />
          ))}
        </ul>
      </SheetSection>
      {others.length > 0 && (
        <SheetSection title="Others who have the role too">
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

function HelpLine({ target, own, onShow }: { target: HelpTarget; own: Help; onShow: (change: PipelineCase) => void }) {
  const session = usePlan();
  const tryIt = useTry();
  const { currency } = usePlanFacts();
  const { help, before, after, cost } = own;
  const draw = async () => {
    const words = helpText(own, target);
    const edit = await session.ask("helpEdit", { ...target, help, idStem: newId("person"), words });
    if (edit) await tryIt(edit, words);
  };
  const elsewhere = after.all - after.own - (before.all - before.own);
  return (
    <li className="line-above py-1.5 first:border-t-0">
      <p>{helpText(own, target)}</p>
      <p>
        <span className="font-semibold">{hoursText(after.own)} h left</span>
        <span className="text-side">
          {Math.abs(elsewhere) >= 6 && `, other ${manyWords[target.by]} ${elsewhere > 0 ? "+" : "−"}${hoursText(Math.abs(elsewhere))} h`}
          {cost > 0 && `, about ${signedMoney(cost, currency)}`}
        </span>{" "}
        {help.kind === "later" && (
          <TextButton onClick={() => onShow({ projectId: help.projectId, outcome: null, days: help.days })}>show it</TextButton>
        )}{" "}
        <TextButton onClick={() => void draw()}>try it in a sketch</TextButton>
      </p>
    </li>
  );
}

const ofWords = { role: "the role", skill: "the skill", team: "the team", place: "the place" } as const;
