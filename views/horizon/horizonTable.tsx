"use client";
// The figures of the charts: by group and period one of them, each opening the work behind it.
import type { Redacted } from "../../client/seen.ts";
import type { HorizonAnswer } from "../../core/answers/horizon.ts";
import type { Grain, Range } from "../../core/calendar/periods.ts";
import type { ForecastBy } from "../../core/forecast/groups.ts";
import { Choice } from "../../ui/choice.tsx";
import { FigureRow, FigureTable } from "../../ui/figureTable.tsx";
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
        <FigureTable
          label={`${measureWords[measure]} ${byWords[by].toLowerCase()} and period`}
          heads={[groupWords[by], ...usePeriodHeads(periods, grain)]}
        >
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
        </FigureTable>
      </div>
    </section>
  );
}

function usePeriodHeads(periods: readonly Range[], grain: Props["grain"]) {
  const { periodSettings } = usePlanFacts();
  return periods.map((period) => {
    const { main, side } = periodHeading(period, grain, periodSettings);
    return (
      <span key={period.start} className="whitespace-nowrap">
        <span className="block font-semibold text-ink">{main}</span>
        {side}
      </span>
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
    <FigureRow name={<span className="whitespace-nowrap">{groupName(group)}</span>}>
      {periods.map((period, at) => {
        const { text, isBad } = figureOf(group, measure, at);
        return (
          <td key={period.start} className={openedAt === at ? "bg-pine-wash" : ""}>
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
    </FigureRow>
  );
}
