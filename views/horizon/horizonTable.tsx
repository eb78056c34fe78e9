"use client";
// The figures of the charts: by group and period one of them, each opening the work behind it.
import type { Redacted } from "../../client/seen.ts";
import type { HorizonAnswer } from "../../core/answers/horizon.ts";
import type { Grain, Range } from "../../core/calendar/periods.ts";
import type { ForecastBy } from "../../core/forecast/groups.ts";
import { Choice } from "../../ui/choice.tsx";
import { periodHeading, periodPhrase } from "../../ui/format.ts";
import { wordOptions } from "../../ui/options.ts";
import { usePlanFacts } from "../scope/facts.ts";
import { byWords, countsText, groupName, groupWords } from "./groupWords.ts";
import { figureOf, type Measure, measureWords, unitOf } from "./measures.ts";
import { texts } from "./words.ts";

interface Props {
  answer: Redacted<HorizonAnswer>;
  grain: Grain;
  by: ForecastBy;
  level: number;
  measure: Measure;
  onMeasure: (measure: Measure) => void;
  openedAt: { key: string; period: number } | null;
  onOpen: (key: string, period: number) => void;
}

export function HorizonTable({ answer: { groups, periods }, grain, by, level, measure, onMeasure, openedAt, onOpen }: Props) {
  return (
    <section aria-label={`Figures ${byWords[by].toLowerCase()}`}>
      <div className="flex items-center gap-3 pt-4 pb-1">
        <h2 className="font-title text-[18px]">{byWords[by]}</h2>
        <Choice label={texts.figure} value={measure} options={wordOptions(measureWords)} onChange={onMeasure} width={260} isSmall />
        <span className="text-side">{unitOf(measure)}</span>
      </div>
      {countsText(by, level) && <p className="pb-1 text-side">{countsText(by, level)}</p>}
      <div className="overflow-x-auto">
        <table className="w-full text-right text-[13px]" aria-label={`${measureWords[measure]} ${byWords[by].toLowerCase()} and period`}>
          <thead>
            <tr className="text-side">
              <th scope="col" className="py-1 text-left font-normal">
                {groupWords[by]}
              </th>
              <PeriodHeads periods={periods} grain={grain} />
            </tr>
          </thead>
          <tbody>
            {groups.map((group) => (
              <GroupRow
                key={group.key}
                group={group}
                periods={periods}
                measure={measure}
                openedAt={openedAt?.key === group.key ? openedAt.period : null}
                onOpen={(period) => onOpen(group.key, period)}
              />
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

function PeriodHeads({ periods, grain }: Pick<Redacted<HorizonAnswer>, "periods"> & Pick<Props, "grain">) {
  const { periodSettings } = usePlanFacts();
  return periods.map((period) => {
    const { main, side } = periodHeading(period, grain, periodSettings);
    return (
      <th key={period.start} scope="col" className="pl-3 font-normal whitespace-nowrap">
        <span className="block font-semibold text-ink">{main}</span>
        {side}
      </th>
    );
  });
}

interface RowProps {
  group: Redacted<HorizonAnswer>["groups"][number];
  periods: readonly Range[];
  measure: Measure;
  openedAt: number | null;
  onOpen: (period: number) => void;
}

function GroupRow({ group, periods, measure, openedAt, onOpen }: RowProps) {
  return (
    <tr className="line-above">
      <th scope="row" className="py-[3px] text-left font-normal whitespace-nowrap">
        {groupName(group)}
      </th>
      {periods.map((period, at) => {
        const { text, isBad } = figureOf(group, measure, at);
        return (
          <td key={period.start} className={`pl-3 ${openedAt === at ? "bg-pine-wash" : ""}`}>
            <button
              type="button"
              aria-label={`${groupName(group)}, ${periodPhrase(period)}: ${text}`}
              className={`hover:underline ${isBad ? "figure-bad" : ""}`}
              onClick={() => onOpen(at)}
            >
              {text}
            </button>
          </td>
        );
      })}
    </tr>
  );
}
