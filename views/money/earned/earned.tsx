"use client";
// Earned value: every project against a baseline, what it was to have done and spent by now, and what it will cost.
import { parseAsString, parseAsStringLiteral, useQueryStates } from "nuqs";
import { useMemo } from "react";
import type { Initial } from "../../../client/initial.ts";
import type { AnswerOf } from "../../../client/questions.ts";
import type { Redacted } from "../../../client/seen.ts";
import { useAnswer } from "../../../client/session.tsx";
import type { Earned as EarnedAnswer } from "../../../core/answers/earned.ts";
import { isNegative } from "../../../core/plan/moneySides.ts";
import { deviationBys } from "../../../core/status/deviationBy.ts";
import { Button, TextButton } from "../../../ui/button.tsx";
import { Choice } from "../../../ui/choice.tsx";
import { marginText, moneyText } from "../../../ui/format.ts";
import { wordOptions } from "../../../ui/options.ts";
import { DataTable } from "../../../ui/table/dataTable.tsx";
import { Empty, Figure } from "../../frame/screen.tsx";
import { MoneyScreen } from "../moneyScreen.tsx";
import { BaselinePicker } from "./baselinePicker.tsx";
import { BaselineSheet } from "./baselineSheet.tsx";
import { ChangeTable } from "./changeTable.tsx";
import { earnedColumns } from "./earnedColumns.tsx";
import { EarnedSheet } from "./earnedSheet.tsx";
import { TakeBaseline } from "./takeBaseline.tsx";
import { byWords, texts } from "./words.ts";

const NOW = "";
const params = {
  baseline: parseAsString,
  by: parseAsStringLiteral(deviationBys).withDefault("project"),
  /** The later baseline that it is compared with; now where it is left out. */
  later: parseAsString,
  row: parseAsString,
  sheet: parseAsString,
};

function useEarned(initial: Initial<AnswerOf<"earned">>) {
  const [view, setView] = useQueryStates(params, { shallow: true });
  const earned = useAnswer("earned", { baselineId: view.baseline, by: view.by }, initial);
  const later = earned.baselines.find(({ id }) => id === view.later && id !== earned.baselineId) ?? null;
  return { view, setView, earned, later, take: () => void setView({ row: null, sheet: "take" }) };
}

type Hook = ReturnType<typeof useEarned>;

export function Earned({ initial }: { initial: Initial<AnswerOf<"earned">> }) {
  const hook = useEarned(initial);
  const { earned, later, take } = hook;
  return (
    <MoneyScreen
      figures={later === null && <EarnedTotals earned={earned} />}
      actions={<Tools hook={hook} />}
      sheet={<EarnedPart hook={hook} />}
    >
      {earned.baselineId === null ? (
        <Empty title={texts.noBaselineYet}>
          A baseline keeps what the plan promises today. Later you see what has moved, and what the work done so far is worth.{" "}
          <TextButton onClick={take}>{texts.takeTheFirstOne}</TextButton>.
        </Empty>
      ) : later === null ? (
        <EarnedTable hook={hook} />
      ) : (
        <ChangeTable query={{ baselineId: earned.baselineId, laterId: later.id, by: hook.view.by }} />
      )}
    </MoneyScreen>
  );
}

function Tools({ hook: { view, setView, earned, later, take } }: { hook: Hook }) {
  const { baselines, baselineId } = earned;
  const others = baselines.filter(({ id }) => id !== baselineId);
  return (
    <>
      {baselineId !== null && (
        <>
          <Choice
            label={texts.rows}
            value={view.by}
            options={wordOptions(byWords)}
            onChange={(by) => void setView({ by, row: null })}
            width={120}
          />
          <BaselinePicker
            baselines={baselines}
            value={baselineId}
            onChange={(baseline) => void setView({ baseline, later: null, row: null })}
          />
          {others.length > 0 && (
            <BaselinePicker
              label={texts.comparedWith}
              now={texts.now}
              baselines={others}
              value={later?.id ?? NOW}
              onChange={(id) => void setView({ later: id || null, row: null })}
            />
          )}
          <Button onClick={() => void setView({ row: null, sheet: "baseline" })}>{texts.details}</Button>
        </>
      )}
      <Button look="main" onClick={take}>
        {texts.takeABaseline}
      </Button>
    </>
  );
}

function EarnedTable({ hook: { view, setView, earned } }: { hook: Hook }) {
  const columns = useMemo(() => earnedColumns(view.by), [view.by]);
  return (
    <DataTable
      name="earned"
      label={byWords[view.by]}
      columns={columns}
      rows={earned.rows}
      idOf={({ id }) => id}
      nameOf={({ name }) => name}
      selectedId={view.row}
      onOpen={({ id }) => void setView({ row: id, sheet: null })}
      rowHeight={44}
      empty={texts.noneOfItsProjectsIsLeft}
    />
  );
}

/** The side sheet: a baseline to take, the one that is shown, or a row against it. */
function EarnedPart({ hook: { view, setView, earned, later } }: { hook: Hook }) {
  const { baselines, baselineId, rows } = earned;
  const close = () => void setView({ row: null, sheet: null });
  if (view.sheet === "take") return <TakeBaseline onTaken={(baseline) => void setView({ baseline, sheet: null })} onClose={close} />;
  const baseline = baselines.find(({ id }) => id === baselineId);
  if (!baseline) return null;
  if (view.sheet === "baseline") return <BaselineSheet key={baseline.id} baseline={baseline} onClose={close} />;
  const row = later === null ? rows.find(({ id }) => id === view.row) : undefined;
  return row ? (
    <EarnedSheet key={row.id} row={row} isProject={view.by === "project"} earned={earned} baselineId={baseline.id} onClose={close} />
  ) : null;
}

function EarnedTotals({ earned: { totals, currency } }: { earned: Redacted<EarnedAnswer> }) {
  if (!totals?.promised) return null;
  const { atCompletion, varianceAtCompletion } = totals.promised;
  return (
    <Figure
      value={moneyText(atCompletion, 0)}
      says={`${currency} at completion · ${marginText(totals.percent)} done`}
      isOver={isNegative(varianceAtCompletion)}
    />
  );
}
