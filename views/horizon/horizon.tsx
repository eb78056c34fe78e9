"use client";
// Horizon: capacity against demand by role, with work that is not won yet; worst first, and the figures under the charts.
import dynamic from "next/dynamic";
import { useQueryStates } from "nuqs";
import { useMemo, useRef, useState } from "react";
import type { AnswerOf } from "../../client/questions.ts";
import { type Initial, useAnswer } from "../../client/session.tsx";
import type { HorizonAnswer, PipelineCase } from "../../core/answers/horizon.ts";
import { Button } from "../../ui/button.tsx";
import { ChartLegend } from "../../ui/chartParts.tsx";
import { Choice } from "../../ui/choice.tsx";
import { hoursText } from "../../ui/format.ts";
import { wordOptions } from "../../ui/options.ts";
import { usePlanFacts } from "../frame/facts.ts";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { usePlanWindow } from "../frame/windowed.ts";
import { demandMarks } from "./demandMarks.ts";
import { HorizonExport } from "./horizonExport.tsx";
import { horizonParams, horizonQueryOf } from "./horizonParams.ts";
import { HorizonTable } from "./horizonTable.tsx";
import { PipelineSheet } from "./pipelineSheet.tsx";
import { RoleSheet } from "./roleSheet.tsx";

const RoleCharts = dynamic(() => import("./roleCharts.tsx"), { ssr: false, loading: () => <div className="h-[340px]" /> });

const grainWords = { week: "By week", month: "By month", quarter: "By quarter" } as const;
const spanWords = { plan: "The whole plan", window: "In the window" } as const;

/** What stands in the side sheet: the work behind a figure, or the pipeline. */
type Opened = { roleId: string; period: number } | "pipeline" | null;

export function Horizon({ initial }: { initial: Initial<AnswerOf<"horizon">> }) {
  const window = usePlanWindow();
  const { horizon, today } = usePlanFacts();
  const [params, setParams] = useQueryStates(horizonParams, { shallow: true });
  const [cases, setCases] = useState<readonly PipelineCase[]>([]);
  const [opened, setOpened] = useState<Opened>(null);
  const charts = useRef<HTMLDivElement>(null);
  const query = useMemo(() => horizonQueryOf(params, window, horizon, today, cases), [params, window, horizon, today, cases]);
  const answer = useAnswer("horizon", query, initial);
  const show = (change: PipelineCase) => setCases((known) => [...known.filter(({ projectId }) => projectId !== change.projectId), change]);
  const period = opened !== null && opened !== "pipeline" ? answer.periods[opened.period] : undefined;
  return (
    <Screen
      isTwoLined
      title="Horizon"
      figures={<Figures answer={answer} isAsIf={cases.length > 0} />}
      actions={
        <>
          <Choice
            label="Periods"
            value={params.per}
            options={wordOptions(grainWords)}
            onChange={(per) => void setParams({ per })}
            width={112}
          />
          <Choice
            label="Span"
            value={params.span}
            options={wordOptions(spanWords)}
            onChange={(span) => void setParams({ span })}
            width={138}
          />
          <Button onClick={() => setOpened(opened === "pipeline" ? null : "pipeline")} aria-pressed={opened === "pipeline"}>
            Pipeline, {answer.pipeline.length}
          </Button>
          <HorizonExport cases={cases} charts={charts} answer={answer} />
        </>
      }
      sheet={
        opened === "pipeline" ? (
          <PipelineSheet pipeline={answer.pipeline} cases={cases} onCases={setCases} onClose={() => setOpened(null)} />
        ) : (
          opened &&
          period && <RoleSheet roleId={opened.roleId} range={period} query={query} onShow={show} onClose={() => setOpened(null)} />
        )
      }
    >
      {answer.roles.length === 0 ? (
        <Empty title="No roles yet">Capacity and demand stand here by role, once there are people and work.</Empty>
      ) : (
        <div className="@container min-h-0 flex-1 overflow-y-auto box-open p-5">
          <div ref={charts}>
            <RoleCharts answer={answer} grain={params.per} />
          </div>
          <ChartLegend marks={Object.values(demandMarks)} />
          <HorizonTable
            answer={answer}
            grain={params.per}
            onOpen={(roleId, at) => setOpened({ roleId, period: at })}
            openedAt={opened !== null && opened !== "pipeline" ? opened : null}
          />
        </div>
      )}
    </Screen>
  );
}

function Figures({ answer: { roles }, isAsIf }: { answer: HorizonAnswer; isAsIf: boolean }) {
  const sum = (amounts: readonly number[]) => amounts.reduce((all, own) => all + own, 0);
  const lacking = roles.reduce((all, { expectedShortage }) => all + sum(expectedShortage), 0);
  const short = roles.filter(({ shortageProbability }) => shortageProbability.some((share) => share >= 5_000)).length;
  return (
    <>
      <Figure value={`${hoursText(lacking)} h`} says="expected to lack, all roles" isOver={lacking > 0} />
      <Figure
        value={String(short)}
        says={short === 1 ? "role more likely short than not" : "roles more likely short than not"}
        isOver={short > 0}
      />
      {isAsIf && <Figure value="As if" says="the pipeline is not as it is written" />}
    </>
  );
}
