"use client";
// Evening out: before and after, and the lines one by one, each to take or leave.
import dynamic from "next/dynamic";
import type { EvenOutNews } from "../../client/searches.ts";
import type { Redacted } from "../../client/seen.ts";
import { usePlan } from "../../client/session.tsx";
import type { Evened, EvenedFigures } from "../../core/answers/evenedLines.ts";
import type { RemedyLine } from "../../core/answers/remedyLines.ts";
import type { NamedEffect } from "../../core/balancing/namedEffect.ts";
import { Button, TextButton } from "../../ui/button.tsx";
import { CheckboxField } from "../../ui/checkbox.tsx";
import { FigureRow, FigureTable } from "../../ui/figureTable.tsx";
import { countText, hoursText, longDay, moneyText, shareText, wholeText } from "../../ui/format.ts";
import { Empty } from "../frame/screen.tsx";
import { lockEdit } from "../planFields/lockTick.tsx";
import { effectPhrases, remedyText } from "../remedies/remedyWords.ts";
import { usePlanFacts } from "../scope/facts.ts";
import type { EvenOutHook } from "./useEvenOut.ts";
import { texts } from "./words.ts";

const OverChart = dynamic(() => import("./overChart.tsx"), { ssr: false });

export function EvenOut({ even }: { even: EvenOutHook }) {
  const { news } = even;
  if (!news) return null;
  if (news.found.length === 0)
    return (
      <Empty title={news.before === 0 ? texts.nobodyIsOverCapacity : texts.noMoveWasFound}>
        {news.before === 0
          ? texts.thereIsNothingToEven
          : `${hoursText(news.before)} h are over capacity on single days. ${endText(news)} Allow more kinds of moves, later finishes, or unlock work.`}
      </Empty>
    );
  return (
    <div className="min-h-0 flex-1 overflow-y-auto box-open p-5">
      <Result even={even} />
    </div>
  );
}

/** The extent of the search, and the reason why it ended. */
function endText({ steps, attempts, seconds, ended }: Redacted<EvenOutNews>): string {
  const tried = `${wholeText(steps)} moves were tried in ${countText(attempts, "attempt")}, ${Math.round(seconds)} s.`;
  const why = {
    level: "The search ended because nobody is over capacity on any day of the window.",
    time: "The search ended because its time was up; more time may find more.",
    noBetter: "The search ended because no further attempt found an improvement.",
    stopped: "The search was stopped.",
  }[ended ?? "stopped"];
  return `${tried} ${why}`;
}

function Result({ even }: { even: EvenOutHook }) {
  const { evened, measured, found, left, toggle, taken, news } = even;
  if (!news) return null;
  // The list below comes with the figures: above a list that is already there, they would push it away from under the pointer.
  if (!measured) return <p className="text-side">{texts.measuringTheMoves}</p>;
  return (
    <>
      <div className={`flex flex-wrap items-start gap-x-8 gap-y-4 ${evened ? "" : "opacity-60"}`} aria-busy={!evened}>
        <div className="min-w-[300px] flex-1">
          <h2 className="pb-1 font-title text-[18px]">{texts.hoursOverOnSingleDays}</h2>
          <div className="min-h-[214px]">
            <OverChart evened={measured} window={even.window} />
          </div>
        </div>
        <Figures evened={measured} lines={measured.effects.length} />
      </div>
      <div className="flex items-center gap-3 pt-4 pb-2">
        <h2 className="font-title text-[18px]">
          {countText(taken.length, "move")} of {found.length} selected
        </h2>
        <Button look="main" className="ml-auto" disabled={taken.length === 0 || !evened} onClick={() => void even.apply()}>
          Apply {countText(taken.length, "move")}
        </Button>
      </div>
      <p className="pb-2 text-side">{endText(news)}</p>
      <ul aria-label={texts.proposedMoves}>
        {found.map((line, at) => (
          <Line
            key={JSON.stringify(line.edits)}
            line={line}
            isTaken={!left.has(at)}
            effect={left.has(at) || !evened ? undefined : evened.effects[found.slice(0, at).filter((_, own) => !left.has(own)).length]}
            onToggle={() => toggle(at)}
          />
        ))}
      </ul>
    </>
  );
}

/** The measures of a plan before and after, as text. */
function figureRows({ before, after }: Redacted<Evened>, currency: string): [name: string, was: string, is: string][] {
  const spread = ({ spread: own }: Redacted<EvenedFigures>) => (own ? [own.low, own.middle, own.high].map(shareText).join(", ") : "–");
  return [
    ["Hours over on single days of the window", hoursText(before.window), hoursText(after.window)],
    ["Hours over on single days of the plan", hoursText(before.peakOver), hoursText(after.peakOver)],
    ["Person-weeks overloaded", wholeText(before.overWeeks), wholeText(after.overWeeks)],
    ["Hours that cannot be worked", hoursText(before.unplaced), hoursText(after.unplaced)],
    ["Utilization: low, median, high", spread(before), spread(after)],
    [`Cost, ${currency}`, moneyText(before.cost, 0), moneyText(after.cost, 0)],
  ];
}

/** Before and after, in a small table. */
function Figures({ evened, lines }: { evened: Redacted<Evened>; lines: number }) {
  const { currency } = usePlanFacts();
  const { finishes } = evened;
  return (
    <div className="w-[410px]">
      <FigureTable label={texts.figure} heads={["", texts.before, texts.after]}>
        {figureRows(evened, currency).map(([name, was, is]) => (
          <FigureRow key={name} name={name}>
            <td className="text-ink-2">{was}</td>
            <td className="font-semibold!">{is}</td>
          </FigureRow>
        ))}
      </FigureTable>
      <p className="pt-1 text-side">
        {countText(lines, "move")}.{" "}
        {finishes.length === 0
          ? texts.noProjectFinishesLater
          : finishes.map(({ name, finish }) => `${name} finishes on ${longDay(finish)}`).join(", ")}
      </p>
    </div>
  );
}

interface LineProps {
  line: Redacted<RemedyLine>;
  isTaken: boolean;
  /** Null where the line cannot be made without those left out; undefined while it is not known. */
  effect: Redacted<NamedEffect> | null | undefined;
  onToggle: () => void;
}

function Line({ line, isTaken, effect, onToggle }: LineProps) {
  const session = usePlan();
  const { currency } = usePlanFacts();
  const text = remedyText(line, true);
  const shown = effect ?? line.effect;
  const projects = [...new Set(line.steps.flatMap(({ projectName }) => projectName ?? []))];
  const [taskId] = line.taskIds;
  return (
    <li className={`line-above flex items-start gap-3 py-1.5 ${isTaken ? "" : "opacity-60"}`}>
      <span className="min-w-0 flex-1">
        <CheckboxField checked={isTaken} onChange={onToggle} label={text}>
          <span className="block">
            {text} <span className="text-side">{projects.join(", ")}</span>
          </span>
          <span className="block text-side">
            {effect === null
              ? texts.itDependsOnAMove
              : effectPhrases(shown, currency)
                  .map((phrase) => phrase.text)
                  .join(" · ")}
          </span>
        </CheckboxField>
      </span>
      {taskId !== undefined && (
        <TextButton
          onClick={() => {
            if (isTaken) onToggle();
            void session.edit(lockEdit("tasks", taskId, true));
          }}
          aria-label={`Lock the task of: ${text}`}
        >
          lock
        </TextButton>
      )}
      <span className="w-[70px] shrink-0 text-right font-semibold">{hoursText(shown.peakOver)} h</span>
    </li>
  );
}
