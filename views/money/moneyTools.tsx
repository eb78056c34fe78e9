"use client";
// The tools of money: measure, grouping and periods.
import type { Grain } from "../../core/calendar/periods.ts";
import type { MoneyQuery } from "../../core/cost/moneyQuery.ts";
import { Choice } from "../../ui/choice.tsx";
import { type Option, wordOptions } from "../../ui/options.ts";
import { PipelineChoice } from "../periods/pipelineChoice.tsx";
import { groupsFor, type MoneyParams } from "./moneyParams.ts";
import { grainWords, groupWords, kindWords, measureWords, spanWords } from "./moneyWords.ts";
import { texts } from "./words.ts";

interface Props {
  params: MoneyParams;
  query: MoneyQuery;
  grain: Grain;
  onChange: (set: Partial<MoneyParams>) => void;
}

export function MoneyTools({ params, query, grain, onChange }: Props) {
  const groups = groupsFor(query.measure).map((value): Option<MoneyQuery["by"]> => ({ value, text: groupWords[value] }));
  return (
    <>
      <Choice label={texts.groupBy} value={query.by} options={groups} onChange={(group) => onChange({ group })} width={132} />
      <Choice
        label={texts.figure}
        value={params.show}
        options={wordOptions(measureWords)}
        onChange={(show) => onChange({ show })}
        width={112}
      />
      {params.show === "cost" && (
        <Choice
          label={texts.kindOfCost}
          value={params.cost}
          options={wordOptions(kindWords)}
          onChange={(cost) => onChange({ cost })}
          width={116}
        />
      )}
      <PipelineChoice value={params.pipeline} onChange={(pipeline) => onChange({ pipeline })} />
      <PeriodTools params={params} grain={grain} onChange={onChange} />
    </>
  );
}

export function PeriodTools({ params, grain, onChange }: Pick<Props, "params" | "grain" | "onChange">) {
  return (
    <>
      <Choice label={texts.periods} value={grain} options={wordOptions(grainWords)} onChange={(per) => onChange({ per })} width={112} />
      <Choice label={texts.time} value={params.span} options={wordOptions(spanWords)} onChange={(span) => onChange({ span })} width={138} />
    </>
  );
}
