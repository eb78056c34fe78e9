"use client";
// Cash flow: what is spent in each period by kind, and the running total; for a project, a client, a task or everything.
import dynamic from "next/dynamic";
import { useRouter } from "next/navigation";
import { useRef } from "react";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import type { Redacted } from "../../client/seen.ts";
import { useAnswer } from "../../client/session.tsx";
import type { MoneyAnswer } from "../../core/answers/money.ts";
import type { MoneyBy } from "../../core/cost/moneyKeys.ts";
import type { MoneyQuery } from "../../core/cost/moneyQuery.ts";
import { ChartLegend } from "../../ui/chartParts.tsx";
import { moneyText, rangeText } from "../../ui/format.ts";
import { kindOptions, none } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { SaveChartLines } from "../../ui/saveChartLines.tsx";
import { Empty } from "../frame/screen.tsx";
import { PipelineChoice } from "../periods/pipelineChoice.tsx";
import { useNames } from "../scope/facts.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { cashMarks } from "./cashMarks.ts";
import { CashTable } from "./cashTable.tsx";
import { MoneyFigures } from "./money.tsx";
import { MoneyExport } from "./moneyExport.tsx";
import { cashSettings, placeText } from "./moneyParams.ts";
import { MoneyScreen } from "./moneyScreen.tsx";
import { MoneySheet } from "./moneySheet.tsx";
import { PeriodTools } from "./moneyTools.tsx";
import { rowName } from "./moneyWords.ts";
import { useOpened } from "./opened.ts";
import { useMoneyParams } from "./useMoney.ts";
import { WithinLine } from "./withinLine.tsx";
import { texts } from "./words.ts";

const CashChart = dynamic(() => import("./cashChart.tsx"), { ssr: false, loading: () => null });

export function CashFlow({ initial }: { initial: Initial<AnswerOf<"money">> }) {
  const { params, setParams, query, grain } = useMoneyParams(cashSettings);
  const money = useAnswer("money", query, initial);
  const chart = useRef<HTMLDivElement>(null);
  const [opened, setOpened] = useOpened(money);
  const { push } = useRouter();
  const linkTo = useLinkTo();
  const breakDown = (group: MoneyBy) => push(linkTo("/money", { group, of: [...params.of, ...kindPlace(opened?.key ?? null)].join(",") }));
  const places = money.places.map(({ by, key, name }) => rowName(by, key, name)).join(", ");
  const title = `Cash flow: ${places || "all projects"}`;
  return (
    <MoneyScreen
      figures={<MoneyFigures money={money} says="cost" />}
      actions={
        <>
          <OfWhat of={params.of} onChange={(of) => setParams({ of })} />
          <PipelineChoice value={params.pipeline} onChange={(pipeline) => setParams({ pipeline })} />
          <PeriodTools params={params} grain={grain} onChange={setParams} />
          <CashExport chart={chart} money={money} query={query} title={title} />
        </>
      }
      sheet={opened && <MoneySheet money={money} query={query} opened={opened} onClose={() => setOpened(null)} onBreakDown={breakDown} />}
    >
      {!isPicked(params.of) && <WithinLine places={money.places} onChange={(of) => setParams({ of })} />}
      {money.rows.length === 0 ? (
        <Empty title={texts.noSpendingInThesePeriods}>{texts.chooseOtherProjects}</Empty>
      ) : (
        <section aria-label={texts.chartAndFigures} className="min-h-0 flex-1 overflow-y-auto box-open p-5">
          <div ref={chart} role="img" aria-label={`${title}, bars of each period and the running total`} className="h-[280px]">
            <CashChart money={money} grain={grain} onOpen={setOpened} />
          </div>
          <ChartLegend marks={cashMarks(money)} />
          <CashTable money={money} grain={grain} onOpen={setOpened} />
        </section>
      )}
    </MoneyScreen>
  );
}

const kindPlace = (key: string | null): string[] => (key === null ? [] : [placeText({ by: "kind", key })]);

/** True of what is in the picker itself. */
const isPicked = (of: readonly string[]): boolean => of.length === 1 && (of[0].startsWith("project:") || of[0].startsWith("client:"));

function OfWhat({ of, onChange }: { of: readonly string[]; onChange: (of: string[]) => void }) {
  const { projects, clients } = useNames();
  return (
    <Picker
      label={texts.scope}
      value={isPicked(of) ? of[0] : ""}
      width={200}
      options={[
        none("All projects"),
        ...kindOptions("A client’s projects", "client", clients),
        ...kindOptions("A project", "project", projects),
      ]}
      onChange={(place) => onChange(place === "" ? [] : [place])}
    />
  );
}

interface CashExportProps {
  chart: React.RefObject<HTMLDivElement | null>;
  money: Redacted<MoneyAnswer>;
  query: MoneyQuery;
  title: string;
}

function CashExport({ chart, money, query, title }: CashExportProps) {
  const { periods, currency, total, rows } = money;
  const side = () => `${currency} ${moneyText(total)}, ${rangeText({ start: periods[0].start, stop: periods[periods.length - 1].stop })}`;
  return (
    <MoneyExport name="cash-flow" money={money} query={query}>
      <SaveChartLines
        what="Chart"
        chart={chart}
        name="cash-flow"
        title={title}
        side={side}
        marks={cashMarks(money)}
        disabled={rows.length === 0}
      />
    </MoneyExport>
  );
}
