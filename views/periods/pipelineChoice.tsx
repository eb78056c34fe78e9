"use client";
// The counting of work that is not won yet: one choice with one wording for every screen.
import type { Counting } from "../../core/load/counting.ts";
import { Choice } from "../../ui/choice.tsx";
import { wordOptions } from "../../ui/options.ts";
import { pipelineWords } from "./pipelineWords.ts";
import { texts } from "./words.ts";

interface Props {
  value: Counting["pipeline"];
  onChange: (next: Counting["pipeline"]) => void;
  width?: number;
}

export function PipelineChoice({ value, onChange, width = 164 }: Props) {
  return <Choice label={texts.pipeline} value={value} options={wordOptions(pipelineWords)} onChange={onChange} width={width} />;
}
