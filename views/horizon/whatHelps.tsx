"use client";
// What would help a role that is short, each measured by the forecast before and after.
import { useMaybeAnswer, usePlan } from "../../client/session.tsx";
import type { HorizonHelps, HorizonQuery, PipelineCase } from "../../core/answers/horizon.ts";
import { TextButton } from "../../ui/button.tsx";
import { countText, hoursText, longDay, signedMoney } from "../../ui/format.ts";
import { newId } from "../../ui/newId.ts";
import { SheetSection, SumLine } from "../../ui/sheet.tsx";
import { usePlanFacts } from "../frame/facts.ts";
import { useTry } from "../frame/useTry.ts";

interface Props {
  roleId: string;
  query: HorizonQuery;
  /** Shows the pipeline with a project moved. */
  onShow: (change: PipelineCase) => void;
}

const MOST_SHOWN = 8;
type Help = HorizonHelps["helps"][number];

export function WhatHelps({ roleId, query, onShow }: Props) {
  const answer = useMaybeAnswer("horizonHelps", { ...query, roleId }, null);
  if (!answer) return <SheetSection title="What would help">Trying what there is…</SheetSection>;
  const { helps, others } = answer;
  if (helps.length === 0) return null;
  return (
    <>
      <SheetSection title="What would help">
        <p className="pb-1 text-side">Expected shortage of the role over all periods shown, now {hoursText(helps[0].before.role)} h.</p>
        <ul aria-label="What would help">
          {helps.slice(0, MOST_SHOWN).map((help) => (
            <HelpLine key={JSON.stringify(help.help)} roleId={roleId} own={help} onShow={onShow} />
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

function HelpLine({ roleId, own, onShow }: { roleId: string; own: Help; onShow: (change: PipelineCase) => void }) {
  const session = usePlan();
  const tryIt = useTry();
  const { currency } = usePlanFacts();
  const { help, name, before, after, cost } = own;
  const draw = async () => {
    const words = textOf(help, name);
    const edit = await session.ask("helpEdit", { roleId, help, idStem: newId("person"), words });
    if (edit) await tryIt(edit, words);
  };
  const elsewhere = after.all - after.role - (before.all - before.role);
  return (
    <li className="line-above py-1.5 first:border-t-0">
      <p>{textOf(help, name)}</p>
      <p>
        <span className="font-semibold">{hoursText(after.role)} h left</span>
        <span className="text-side">
          {Math.abs(elsewhere) >= 6 && `, other roles ${elsewhere > 0 ? "+" : "−"}${hoursText(Math.abs(elsewhere))} h`}
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

function textOf(help: Help["help"], name: string): string {
  if (help.kind === "later") return `Begin ${name} ${countText(help.days / 7, "week")} later`;
  const who = `${countText(help.people, "more person", "more people")} as ${name.toLowerCase()}`;
  return help.to === null
    ? `Hire ${who} from ${longDay(help.from)}, half their time to learn for four weeks`
    : `Take on ${who}, ${longDay(help.from)} – ${longDay(help.to)}`;
}
