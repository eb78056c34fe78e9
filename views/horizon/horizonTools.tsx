"use client";
// The view of the horizon: its grouping, periods and span.
import type { ReactNode } from "react";
import { Choice } from "../../ui/choice.tsx";
import { wordOptions } from "../../ui/options.ts";
import { PipelineChoice } from "../periods/pipelineChoice.tsx";
import { byWords } from "./groupWords.ts";
import { type HorizonParams, levelOf } from "./horizonParams.ts";
import { texts } from "./words.ts";

const grainWords = { week: "By week", month: "By month", quarter: "By quarter" } as const;
const spanWords = { plan: "Whole plan", window: "Window" } as const;

const levels = [1, 2, 3, 4, 5].map((level) => ({ value: String(level), text: level === 1 ? texts.anyLevel : `Level ${level}+` }));

interface HorizonToolsProps {
  params: HorizonParams;
  onParams: (next: Partial<HorizonParams>) => void;
  children: ReactNode;
}

export function HorizonTools({ params, onParams, children }: HorizonToolsProps) {
  return (
    <>
      <Choice label={texts.groupBy} value={params.by} options={wordOptions(byWords)} onChange={(by) => onParams({ by })} width={100} />
      {params.by === "skill" && (
        <Choice
          label={texts.level}
          value={String(levelOf(params))}
          options={levels}
          onChange={(level) => onParams({ level: Number(level) })}
          width={98}
        />
      )}
      <Choice
        label={texts.periods}
        value={params.per}
        options={wordOptions(grainWords)}
        onChange={(per) => onParams({ per })}
        width={106}
      />
      <Choice label={texts.span} value={params.span} options={wordOptions(spanWords)} onChange={(span) => onParams({ span })} width={112} />
      <PipelineChoice value={params.pipeline} onChange={(pipeline) => onParams({ pipeline })} width={152} />
      {children}
    </>
  );
}
