"use client";
// Horizon: capacity against demand by role, skill, team or place, with work that is not won yet; worst first, and the figures under the charts.
import dynamic from "next/dynamic";
import { useQueryStates } from "nuqs";
import { type RefObject, useMemo, useRef, useState } from "react";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import type { Redacted } from "../../client/seen.ts";
import { useAnswer } from "../../client/session.tsx";
import type { HorizonAnswer, PipelineCase } from "../../core/answers/horizon.ts";
import type { ForecastBy } from "../../core/forecast/groups.ts";
import { Button } from "../../ui/button.tsx";
import { ChartLegend } from "../../ui/chartParts.tsx";
import { hoursText } from "../../ui/format.ts";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { usePlanWindow } from "../scope/windowed.ts";
import { demandMarks } from "./demandMarks.ts";
import { GroupSheet } from "./groupSheet.tsx";
import { byWords, manyWords } from "./groupWords.ts";
import { HorizonExport } from "./horizonExport.tsx";
import { type HorizonParams, horizonParams, horizonQueryOf } from "./horizonParams.ts";
import { HorizonTable } from "./horizonTable.tsx";
import { HorizonTools } from "./horizonTools.tsx";
import { PipelineSheet } from "./pipelineSheet.tsx";
import { texts } from "./words.ts";

const GroupCharts = dynamic(() => import("./groupCharts.tsx"), { ssr: false, loading: () => <div className="h-[340px]" /> });

/** The content of the side sheet: the work behind a figure, or the pipeline. */
type Opened = { key: string; period: number } | "pipeline" | null;

export function Horizon({ initial }: { initial: Initial<AnswerOf<"horizon">> }) {
  const horizon = useHorizon(initial);
  const { params, change, query, answer, cases, setCases, show, opened, setOpened } = horizon;
  const charts = useRef<HTMLDivElement>(null);
  const figure = opened === "pipeline" ? null : opened;
  const close = () => setOpened(null);
  return (
    <Screen
      isTwoLined
      title={texts.horizon}
      figures={<Figures answer={answer} by={params.by} isAsIf={cases.length > 0} />}
      actions={
        <HorizonTools params={params} onParams={change}>
          <Button onClick={() => setOpened(opened === "pipeline" ? null : "pipeline")} aria-pressed={opened === "pipeline"}>
            Pipeline, {answer.pipeline.length}
          </Button>
          <HorizonExport cases={cases} charts={charts} answer={answer} params={params} />
        </HorizonTools>
      }
      sheet={
        opened === "pipeline" ? (
          <PipelineSheet pipeline={answer.pipeline} cases={cases} onCases={setCases} onClose={close} />
        ) : (
          figure &&
          answer.periods[figure.period] && (
            <GroupSheet groupKey={figure.key} range={answer.periods[figure.period]} query={query} onShow={show} onClose={close} />
          )
        )
      }
    >
      {answer.groups.length === 0 ? (
        <Empty title={`No ${manyWords[params.by]} yet`}>
          Capacity and demand appear here {byWords[params.by].toLowerCase()}, once there are people and work.
        </Empty>
      ) : (
        <Forecast horizon={horizon} charts={charts} figure={figure} />
      )}
    </Screen>
  );
}

interface ForecastProps {
  horizon: ReturnType<typeof useHorizon>;
  charts: RefObject<HTMLDivElement | null>;
  /** The figure whose work is next to it. */
  figure: Exclude<Opened, "pipeline">;
}

/** The charts, and the figures below them. */
function Forecast({ horizon: { answer, params, query, change, setOpened }, charts, figure }: ForecastProps) {
  return (
    <div className="@container min-h-0 flex-1 overflow-y-auto box-open p-5">
      <div ref={charts}>
        <GroupCharts answer={answer} grain={params.per} onOpen={(key, at) => setOpened({ key, period: at })} />
      </div>
      <ChartLegend marks={Object.values(demandMarks)} />
      <HorizonTable
        answer={answer}
        grain={params.per}
        by={params.by}
        level={query.level}
        measure={params.show}
        onMeasure={(measure) => change({ show: measure })}
        onOpen={(key, at) => setOpened({ key, period: at })}
        openedAt={figure}
      />
    </div>
  );
}

/** The view of the forecast, the what-if pipeline, and the open sheet. */
function useHorizon(initial: Initial<AnswerOf<"horizon">>) {
  const window = usePlanWindow();
  const { horizon, today } = usePlanFacts();
  const [params, setParams] = useQueryStates(horizonParams, { shallow: true });
  const { cases } = params;
  const setCases = (next: readonly PipelineCase[]) => void setParams({ cases: [...next] });
  const [opened, setOpened] = useState<Opened>(null);
  const query = useMemo(() => horizonQueryOf(params, window, horizon, today), [params, window, horizon, today]);
  const answer = useAnswer("horizon", query, initial);
  const change = (next: Partial<HorizonParams>) => {
    // The open sheet belongs to a group that the screen no longer shows.
    if (next.by !== undefined || next.level !== undefined) setOpened((known) => (known === "pipeline" ? known : null));
    void setParams(next);
  };
  const show = (shown: PipelineCase) => setCases([...cases.filter(({ projectId }) => projectId !== shown.projectId), shown]);
  return { params, change, query, answer, cases, setCases, show, opened, setOpened };
}

function Figures({ answer: { groups }, by, isAsIf }: { answer: Redacted<HorizonAnswer>; by: ForecastBy; isAsIf: boolean }) {
  const sum = (amounts: readonly number[]) => amounts.reduce((all, own) => all + own, 0);
  const shortage = groups.reduce((all, { expectedShortage }) => all + sum(expectedShortage), 0);
  const short = groups.filter(({ shortageProbability }) => shortageProbability.some((share) => share >= 5_000)).length;
  return (
    <>
      {/* The person who has several skills, or is in several teams, would be counted several times. */}
      {(by === "role" || by === "place") && (
        <Figure value={`${hoursText(shortage)} h`} says={`expected shortage, all ${manyWords[by]}`} isOver={shortage > 0} />
      )}
      <Figure value={String(short)} says={`${short === 1 ? by : manyWords[by]} more likely short than not`} isOver={short > 0} />
      {isAsIf && <Figure value="What-if:" says={texts.thePipelineDiffers} />}
    </>
  );
}
