"use client";
// The figures of the horizon as a file, and its charts as a picture, with the pipeline as it is looked at.
import { Download } from "lucide-react";
import { useSearchParams } from "next/navigation";
import type { RefObject } from "react";
import type { Redacted } from "../../client/seen.ts";
import type { HorizonAnswer, PipelineCase } from "../../core/answers/horizon.ts";
import { DownloadLink } from "../../ui/downloadLink.tsx";
import { rangeText } from "../../ui/format.ts";
import { Menu } from "../../ui/menu.tsx";
import { SaveChartLines } from "../../ui/saveChartLines.tsx";
import { pageText, printPage } from "../../ui/savePage.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { demandMarks } from "./demandMarks.ts";
import { byWords } from "./groupWords.ts";
import { type HorizonParams, levelOf } from "./horizonParams.ts";
import { texts } from "./words.ts";

interface HorizonExportProps {
  cases: readonly PipelineCase[];
  /** The element that contains the charts. */
  charts: RefObject<HTMLDivElement | null>;
  answer: Redacted<HorizonAnswer>;
  params: HorizonParams;
}

/** Prints the figures. @param isAsIf With the pipeline looked at as it may come. */
function usePrint(answer: Redacted<HorizonAnswer>, shown: HorizonParams, isAsIf: boolean) {
  const { planName, periodSettings: settings } = usePlanFacts();
  return async () => {
    const { HorizonPage } = await import("./horizonPage.tsx");
    const { by, per, show } = shown;
    const page = { answer, by, level: levelOf(shown), grain: per, measure: show, studio: planName, settings };
    printPage(await pageText(<HorizonPage {...page} isAsIf={isAsIf} />));
  };
}

export function HorizonExport({ cases, charts, answer, params: shown }: HorizonExportProps) {
  const params = useSearchParams();
  const { periods, groups } = answer;
  const file = (format: "csv" | "xlsx") => {
    const query = new URLSearchParams(params);
    query.set("format", format);
    return `/api/horizon?${query}`;
  };
  const print = usePrint(answer, shown, cases.length > 0);
  const side = () =>
    `Hours ${byWords[shown.by].toLowerCase()}, ${rangeText({ start: periods[0].start, stop: periods[periods.length - 1].stop })}`;
  return (
    <Menu label={texts.export} icon={<Download size={14} />}>
      <div className="w-[190px]">
        <DownloadLink className="menu-line" href={file("csv")} name="horizon.csv">
          {texts.figuresAsCsv}
        </DownloadLink>
        <DownloadLink className="menu-line" href={file("xlsx")} name="horizon.xlsx">
          {texts.figuresAsXlsx}
        </DownloadLink>
        <SaveChartLines
          what="Charts"
          chart={charts}
          name="horizon"
          title={texts.capacityAgainstDemand}
          side={side}
          marks={Object.values(demandMarks)}
          disabled={groups.length === 0}
        />
        <button type="button" className="menu-line" disabled={groups.length === 0} onClick={() => void print()}>
          {texts.print}
        </button>
      </div>
    </Menu>
  );
}
