"use client";
// Cash flow: what is spent in each period by kind, and the running total; for a project, a client, a task or everything.
import dynamic from "next/dynamic";
import { useRef } from "react";
import type { AnswerOf } from "../../client/questions.ts";
import { type Initial, useAnswer } from "../../client/session.tsx";
import type { Money } from "../../core/answers/money.ts";
import type { Grain } from "../../core/calendar/periods.ts";
import { ChartLegend } from "../../ui/chartParts.tsx";
import { moneyText, periodHeading, rangeText } from "../../ui/format.ts";
import { kindOptions, none } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { SaveChartLines } from "../../ui/saveChartLines.tsx";
import { useNames, usePlanFacts } from "../frame/facts.ts";
import { Empty } from "../frame/screen.tsx";
import { cashMarks } from "./cashMarks.ts";
import { MoneyFigures } from "./money.tsx";
import { MoneyExport } from "./moneyExport.tsx";
import { runningTotal } from "./moneyFile.ts";
import { cashSettings } from "./moneyParams.ts";
import { MoneyScreen } from "./moneyScreen.tsx";
import { PeriodTools } from "./moneyTools.tsx";
import { rowName } from "./moneyWords.ts";
import { useMoneyParams } from "./useMoney.ts";
import { WithinLine } from "./withinLine.tsx";

const CashChart = dynamic(() => import("./cashChart.tsx"), { ssr: false, loading: () => null });

export function CashFlow({ initial }: { initial: Initial<AnswerOf<"money">> }) {
  const { params, setParams, query, grain } = useMoneyParams(cashSettings);
  const money = useAnswer("money", query, initial);
  const chart = useRef<HTMLDivElement>(null);
  const places = money.places.map(({ by, key, name }) => rowName(by, key, name)).join(", ");
  const title = `Cash flow: ${places || "all projects"}`;
  return (
    <MoneyScreen
      figures={<MoneyFigures money={money} says="cost" />}
      actions={
        <>
          <OfWhat of={params.of} onChange={(of) => setParams({ of })} />
          <PeriodTools params={params} grain={grain} onChange={setParams} />
          <CashExport chart={chart} money={money} title={title} />
        </>
      }
    >
      {!isPicked(params.of) && <WithinLine places={money.places} onChange={(of) => setParams({ of })} />}
      {money.rows.length === 0 ? (
        <Empty title="Nothing is spent in these periods">Choose other projects, or the whole plan, to see what is spent when.</Empty>
      ) : (
        <div className="min-h-0 flex-1 overflow-y-auto box-open p-5">
          <div ref={chart} role="img" aria-label={`${title}, bars of each period and the running total`} className="h-[280px]">
            <CashChart money={money} grain={grain} />
          </div>
          <ChartLegend marks={cashMarks(money)} />
          <CashTable money={money} grain={grain} />
        </div>
      )}
    </MoneyScreen>
  );
}

/** True of what stands in the picker itself. */
const isPicked = (of: readonly string[]): boolean => of.length === 1 && (of[0].startsWith("project:") || of[0].startsWith("client:"));

function OfWhat({ of, onChange }: { of: readonly string[]; onChange: (of: string[]) => void }) {
  const { projects, clients } = useNames();
  return (
    <Picker
      label="Of what"
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

function CashExport({ chart, money, title }: { chart: React.RefObject<HTMLDivElement | null>; money: Money; title: string }) {
  const { periods, currency, total, rows } = money;
  const side = () => `${currency} ${moneyText(total)}, ${rangeText({ start: periods[0].start, stop: periods[periods.length - 1].stop })}`;
  return (
    <MoneyExport name="cash-flow">
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

/** The figures under the chart: kinds across, periods down. */
function CashTable({ money, grain }: { money: Money; grain: Grain }) {
  const { periodSettings } = usePlanFacts();
  const { rows, periods, totals, total, before, budget, currency } = money;
  const running = runningTotal(money);
  return (
    <table className="mt-4 w-full text-right" aria-label={`Cash flow in ${currency}`}>
      <thead>
        <tr className="text-side">
          {[
            "",
            ...rows.map(({ key, name }) => rowName("kind", key, name)),
            "Together",
            "Running total",
            ...(budget === null ? [] : ["Budget left"]),
          ].map((head, at) => (
            <th key={head} scope="col" className={`py-1 font-normal ${at === 0 ? "text-left" : "pl-3"}`}>
              {head === "" ? currency : head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {before > 0 && (
          <tr className="line-above text-ink-2">
            <th scope="row" className="py-[3px] text-left font-normal">
              Before
            </th>
            <td colSpan={rows.length + 1} />
            <td>{moneyText(before)}</td>
            {budget !== null && <td>{moneyText(budget - before)}</td>}
          </tr>
        )}
        {periods.map((period, p) => {
          const { main, side } = periodHeading(period, grain, periodSettings);
          const left = (budget ?? 0) - running[p];
          return (
            <tr key={period.start} className="line-above">
              <th scope="row" className="py-[3px] text-left font-normal">
                {main} <span className="text-side">{side}</span>
              </th>
              {rows.map(({ key, periods: amounts }) => (
                <td key={key} className={amounts[p] === 0 ? "text-ink-3" : ""}>
                  {amounts[p] === 0 ? "–" : moneyText(amounts[p])}
                </td>
              ))}
              <td>{moneyText(totals[p])}</td>
              <td>{moneyText(running[p])}</td>
              {budget !== null && <td className={left < 0 ? "figure-bad" : ""}>{moneyText(left)}</td>}
            </tr>
          );
        })}
        <tr className="line-above font-semibold">
          <th scope="row" className="py-[3px] text-left">
            Together
          </th>
          {rows.map(({ key, total: own }) => (
            <td key={key}>{moneyText(own)}</td>
          ))}
          <td>{moneyText(total)}</td>
          <td colSpan={budget === null ? 1 : 2} />
        </tr>
      </tbody>
    </table>
  );
}
